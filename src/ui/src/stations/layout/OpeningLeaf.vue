<script setup lang="ts">
import { computed } from 'vue';
import AskGroup from '../../parts/AskGroup.vue';
import { shown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { under } from './asked';

/** The opening of a rooftop unit, cut through: roof, gasket, inner part. */
const rig = useRig();
const opening = computed(() => rig.assessment?.layout?.opening ?? null);
const o = computed(() => rig.design!.layout.opening);
const mm = (m: number) => Math.round(m * 1000);
const sag = computed(() => mm(opening.value?.sagM ?? 0));
const roof = computed(() => {
  const [w, t, s] = [mm(o.value.acrossM), mm(o.value.roofM), sag.value];
  return `M ${-w} ${s * 4} Q 0 ${-s * 4} ${w} ${s * 4} V ${s * 4 + t} Q 0 ${-s * 4 + t} ${-w} ${s * 4 + t} Z`;
});
</script>

<template>
  <LeafLayout>
    <template #say>
      <template v-if="opening">
        <AskGroup title="The opening" :paths="under('opening', 'lengthM', 'widthM', 'madeLengthM', 'madeWidthM', 'ribM', 'framed')" />
        <AskGroup title="Gasket" :paths="under('opening', 'gasketM', 'pressedM', 'acrossM', 'crownM')" />
        <AskGroup title="The roof" :paths="under('opening', 'roofM', 'takesFromM', 'takesToM', 'pitchDeg', 'drivingKg', 'staticKg')" />
      </template>
      <p v-else class="soft">The chosen unit is a split.</p>
    </template>
    <template v-if="opening" #picture>
      <figure data-opening>
        <svg
          :viewBox="`${-mm(o.acrossM) - 60} -150 ${2 * mm(o.acrossM) + 120} 330`"
          role="img"
          aria-label="The roof cut through at the opening"
        >
          <path :d="roof" class="roof" />
          <rect :x="-mm(o.widthM) / 2" y="-90" :width="mm(o.widthM)" height="330" class="hole" />
          <rect
            :x="-mm(o.acrossM) / 2"
            :y="-mm(o.pressedM) - 4"
            :width="(mm(o.acrossM) - mm(o.widthM)) / 2"
            :height="mm(o.pressedM) + sag"
            class="gasket"
          />
          <rect
            :x="mm(o.widthM) / 2"
            :y="-mm(o.pressedM) - 4"
            :width="(mm(o.acrossM) - mm(o.widthM)) / 2"
            :height="mm(o.pressedM) + sag"
            class="gasket"
          />
          <rect :x="-mm(o.acrossM) / 2 - 40" :y="-mm(o.pressedM) - 84" :width="mm(o.acrossM) + 80" height="80" class="unit" />
          <text x="0" :y="-mm(o.pressedM) - 36" class="on">unit</text>
        </svg>
        <figcaption class="soft small">
          Across the rig; the roof falls away {{ shown(opening.sagM, 'smallLength') }} under the gasket, drawn larger. Dark: the gasket.
        </figcaption>
      </figure>
    </template>
  </LeafLayout>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  width: 100%;
  max-height: 40vh;
}
.roof {
  fill: var(--rule);
  stroke: var(--ink);
  stroke-width: 3;
}
.hole {
  fill: var(--sheet);
}
.gasket {
  fill: var(--ink);
}
.unit {
  fill: var(--cold);
  stroke: var(--ink);
  stroke-width: 3;
}
.on {
  fill: var(--raised);
  text-anchor: middle;
  font-size: 22px;
  font-weight: 640;
}
</style>
