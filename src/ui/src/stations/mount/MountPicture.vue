<script setup lang="ts">
import { computed } from 'vue';
import type { MountView } from '../../api/generated/schema';
import { shown } from '../../parts/show';

/** The mount to scale with the unit on it and the force of the case that asks most. */
const props = defineProps<{ view: MountView; massKg: number }>();
const v = computed(() => props.view);
const mm = (m: number) => Math.round(m * 1000);
const arms = computed(
  () => v.value.kind === 'braced' || v.value.kind === 'plain' || v.value.kind === 'railing' || v.value.kind === 'window',
);
const stands = computed(() => ['roofFrame', 'deckStand', 'cradle', 'towBar'].includes(v.value.kind));
const carrier = computed(
  () =>
    ({
      braced: 'the wall',
      plain: 'the wall',
      railing: 'the railing',
      window: 'the window',
      roofFrame: 'the roof',
      clamp: 'the roof',
      deckStand: 'the deck',
      cradle: 'the floor above',
      pad: 'slab',
      towBar: 'tow bar',
      byPlace: '',
    })[v.value.kind],
);
/** Left edge and width of the unit as it is seen: from its side on arms, from its front elsewhere. */
const left = computed(() => (arms.value ? mm(v.value.offM) : -mm(v.value.unitWidthM) / 2));
const wide = computed(() => mm(arms.value ? v.value.unitDepthM : v.value.unitWidthM));
const feet = computed(() =>
  arms.value ? [mm(v.value.rearFootM), mm(v.value.frontFootM)] : [-mm(v.value.feetWideM) / 2, mm(v.value.feetWideM) / 2],
);
const high = computed(() => mm(v.value.unitHeightM));
const stand = computed(() => (stands.value && v.value.kind !== 'cradle' ? mm(v.value.standM) : 0));
const drop = computed(() =>
  v.value.kind === 'braced' ? mm(v.value.strutDownM) : v.value.kind === 'pad' ? mm(v.value.standM) : arms.value ? 260 : 60,
);
const box = computed(() => {
  const from = arms.value ? -190 : Math.min(left.value, -mm(v.value.baseWideM) / 2) - 260;
  const to = arms.value ? Math.max(mm(v.value.armM), left.value + wide.value) + 330 : -from;
  const top = -high.value - stand.value - (v.value.kind === 'cradle' ? mm(v.value.standM) : 0) - 120;
  return { x: from, y: top, width: to - from, height: drop.value + 150 - top };
});
const size = computed(() => Math.max(box.value.width / 32, box.value.height / 20));
const centre = computed(() => ({ x: left.value + wide.value / 2, y: -stand.value - mm(v.value.highM) }));
const sideways = computed(() => (arms.value ? v.value.forceOutN : v.value.forceSideN || v.value.forceOutN));
const most = computed(() => Math.max(1, Math.hypot(sideways.value, v.value.forceUpN)));
const arrow = computed(() => {
  const k = 190 / most.value;
  return { x: sideways.value * k, y: -v.value.forceUpN * k };
});
/** The force's figure stands beside the middle of an upright arrow, beyond the end of any other. */
const named = computed(() =>
  Math.abs(arrow.value.x) < 20
    ? { x: centre.value.x + 18, y: centre.value.y + arrow.value.y / 2 }
    : { x: centre.value.x + Math.max(0, arrow.value.x) + 14, y: centre.value.y + arrow.value.y + size.value * 0.9 },
);
</script>

<template>
  <figure data-mount>
    <svg
      :viewBox="`${box.x} ${box.y} ${box.width} ${box.height}`"
      role="img"
      aria-label="The mount to scale with the force that asks most of it"
    >
      <defs>
        <marker id="force" viewBox="0 0 10 10" refX="8" refY="5" markerWidth="4" markerHeight="4" orient="auto">
          <path d="M0 0 L10 5 L0 10 z" class="head" />
        </marker>
      </defs>
      <template v-if="arms">
        <rect :x="-110" :y="-high - 60" width="110" :height="high + drop + 150" class="carrier" />
        <rect x="0" :y="-20" width="26" :height="drop + 70" class="steel" />
        <rect x="0" y="0" :width="mm(v.armM)" :height="mm(v.armHighM)" class="steel" />
        <line
          v-if="v.kind === 'braced'"
          x1="14"
          :y1="drop + mm(v.armHighM)"
          :x2="mm(v.strutOutM)"
          :y2="mm(v.armHighM)"
          :stroke-width="mm(v.strutHighM)"
          class="strut"
        />
        <g v-if="v.pullN > 0">
          <line :x1="-20" :y1="22" :x2="-150" :y2="22" class="wallforce" marker-start="url(#force)" />
        </g>
        <text :x="-100" :y="-high - 75" :font-size="size">{{ carrier }}</text>
      </template>
      <template v-else-if="stands">
        <rect
          :x="box.x + 40"
          :y="v.kind === 'cradle' ? -high - mm(v.standM) - 60 : 0"
          :width="box.width - 80"
          height="60"
          class="carrier"
        />
        <rect :x="-mm(v.baseWideM) / 2 - 25" :y="-stand" :width="mm(v.baseWideM) + 50" :height="mm(v.armHighM)" class="steel" />
        <rect
          v-for="side in [-1, 1]"
          :key="side"
          :x="(side * mm(v.baseWideM)) / 2 - mm(v.strutHighM) / 2"
          :y="v.kind === 'cradle' ? -high - mm(v.standM) : -stand"
          :width="mm(v.strutHighM)"
          :height="v.kind === 'cradle' ? high + mm(v.standM) : stand"
          class="steel"
        />
        <text :x="0" :y="v.kind === 'cradle' ? -high - mm(v.standM) - 20 : 42" :font-size="size" class="carrier-text">{{ carrier }}</text>
      </template>
      <template v-else>
        <rect :x="box.x + 60" y="0" :width="box.width - 120" :height="Math.max(60, drop)" class="carrier" />
        <text :x="0" :y="Math.max(60, drop) / 2 + size / 3" :font-size="size" class="carrier-text">{{ carrier }}</text>
      </template>
      <rect :x="left" :y="-high - stand - 24" :width="wide" :height="high" class="unit" />
      <circle v-if="!arms" :cx="left + wide * 0.38" :cy="-high / 2 - stand - 24" :r="Math.min(high, wide) * 0.38" class="fan" />
      <rect v-for="x in feet" :key="x" :x="x - 28" :y="-24 - stand" width="56" height="24" class="foot" />
      <text :x="left + 16" :y="-high - stand + size * 0.75" :font-size="size" class="on">{{ shown(massKg, 'mass') }}</text>
      <line :x1="centre.x" :y1="centre.y" :x2="centre.x + arrow.x" :y2="centre.y + arrow.y" class="force" marker-end="url(#force)" />
      <text :x="named.x" :y="named.y" :font-size="size" class="force-text">{{ shown(most, 'force') }}</text>
      <g v-if="arms" class="dim">
        <line x1="0" :x2="mm(v.armM)" :y1="drop + 96" :y2="drop + 96" />
        <text :x="mm(v.armM) / 2" :y="drop + 88" :font-size="size">{{ shown(v.armM, 'smallLength') }}</text>
      </g>
    </svg>
    <figcaption class="soft small">
      {{ arms ? 'From the side' : 'From its front' }}, to scale; {{ v.forceCase }}, factor in it.
      <template v-if="v.pullN > 0">Each arm pulls {{ shown(v.pullN, 'force') }} out of {{ carrier }}.</template>
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  width: 100%;
  max-height: 50vh;
  display: block;
}
.carrier {
  fill: var(--rule);
  stroke: var(--ink);
  stroke-width: 4;
}
.steel {
  fill: var(--ink);
}
.strut {
  stroke: var(--ink);
}
.unit {
  fill: var(--ground);
  stroke: var(--cold);
  stroke-width: 4;
}
.fan {
  fill: none;
  stroke: var(--cold);
  stroke-width: 5;
}
.foot {
  fill: var(--sun);
}
.force,
.wallforce {
  stroke: var(--heat);
  stroke-width: 9;
}
.wallforce {
  stroke: var(--shore);
}
.head {
  fill: var(--heat);
}
text {
  fill: var(--ink);
  font-weight: 600;
}
.carrier-text {
  text-anchor: middle;
}
.dim line {
  stroke: var(--ink);
  stroke-width: 3;
}
.dim text {
  text-anchor: middle;
}
</style>
