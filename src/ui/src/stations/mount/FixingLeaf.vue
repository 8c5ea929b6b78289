<script setup lang="ts">
import { computed } from 'vue';
import AskGroup from '../../parts/AskGroup.vue';
import { shown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import UsedBars from './UsedBars.vue';
import { under } from './asked';

/** How the mount is held: fasteners, what they sit in, whether they land on studs or ribs. */
const rig = useRig();
const mount = computed(() => rig.assessment?.mount ?? null);
const how = computed(() => mount.value?.how ?? 'through');
const into = computed(() => mount.value?.into ?? 'ribs');
const held = computed(() => (mount.value?.parts ?? []).filter((p) => ['fastener', 'holder', 'weld', 'footBolt'].includes(p.element)));
const fasteners = computed(() => {
  const rows = mount.value?.landing || ['braced', 'plain'].includes(mount.value?.view.kind ?? '') ? ['inRow', 'rows'] : [];
  if (how.value === 'lag') return ['how', 'into', 'size', 'threadM', 'wood', ...rows, 'edgeM', 'locked'];
  if (how.value === 'anchor' || how.value === 'rivetNut')
    return ['how', 'into', 'size', 'pullN', 'shearN', 'rating', 'apartM', 'criticalApartM', 'edgeM', 'criticalEdgeM', ...rows, 'locked'];
  return ['how', 'into', 'size', 'grade', 'thread', ...rows, 'edgeM', 'locked'];
});
const sits = computed(() =>
  into.value === 'laminate'
    ? ['skinM', 'core', 'corePa', 'sleeved', 'backingM']
    : ['ribs', 'chassis', 'skin'].includes(into.value)
      ? ['ribM', 'ribMetal', 'backingM']
      : [],
);
const landing = computed(() => mount.value?.landing ?? null);
const misses = (i: number) => landing.value!.fit.at[i] === null && !landing.value!.spreader;
const mm = (m: number) => Math.round(m * 1000);
const span = computed(() => {
  const at = [...landing.value!.columns, ...landing.value!.members].map(mm);
  return { from: Math.min(...at) - 120, to: Math.max(...at) + 120 };
});
const size = computed(() => (span.value.to - span.value.from) / 34);
</script>

<template>
  <LeafLayout>
    <template #say>
      <p class="warn small">
        Never drill, cut or weld pillars, roof bows, belt anchors, airbag zones or chassis flanges. Battery disconnected before welding;
        nothing that burns behind.
      </p>
      <AskGroup title="Held by" :paths="under('fixing', ...fasteners)" />
      <AskGroup v-if="sits.length" title="What it sits in" :paths="under('fixing', ...sits)" />
      <AskGroup v-if="landing" title="Studs or ribs" :paths="under('fixing', 'shiftM', 'spreader')" />
      <AskGroup title="Metals that touch" :paths="under('frame', 'surface', 'skin')" />
    </template>
    <template v-if="mount" #picture>
      <figure v-if="landing" data-landing>
        <svg :viewBox="`${span.from} -40 ${span.to - span.from} 400`" role="img" aria-label="Columns of the bracket on studs or ribs">
          <g v-for="m in landing.members" :key="m">
            <rect :x="mm(m) - mm(landing.memberM) / 2" y="0" :width="mm(landing.memberM)" height="260" class="member" />
          </g>
          <g v-for="(c, i) in landing.columns" :key="c">
            <line :x1="mm(c)" :x2="mm(c)" y1="-10" y2="270" :class="misses(i) ? 'miss' : 'hit'" />
            <circle v-for="y in [50, 210]" :key="y" :cx="mm(c)" :cy="y" r="11" :class="misses(i) ? 'miss' : 'hit'" />
            <text :x="mm(c)" :y="270 + size * 1.2" :font-size="size">{{ shown(c, 'smallLength') }}</text>
          </g>
          <template v-if="landing.spreader">
            <rect v-for="y in [40, 200]" :key="y" :x="span.from + 60" :y="y" :width="span.to - span.from - 120" height="20" class="rail" />
          </template>
        </svg>
        <figcaption class="soft small">
          <template v-if="!landing.spreader">
            {{ landing.fit.landed }} of {{ landing.columns.length }} arms land; moved
            {{ shown(Math.abs(landing.fit.shiftM), 'smallLength') }} {{ landing.fit.shiftM >= 0 ? 'right' : 'left' }}.
          </template>
          From the wall's left edge, seen from inside.
          <template v-if="landing.spreader">
            Rails across carry both arms; each puts {{ shown(landing.spreader.nearN, 'force') }} and
            {{ shown(landing.spreader.farN, 'force') }} on its two, at four times the weight.
          </template>
        </figcaption>
      </figure>
      <UsedBars :parts="held" />
      <p v-if="into === 'ribs' || into === 'studs'" class="soft small">
        Not judged: the {{ into === 'studs' ? 'stud' : 'rib' }} itself, bending between its ends.
      </p>
    </template>
  </LeafLayout>
</template>

<style scoped>
figure {
  margin: 0 0 1rem;
}
svg {
  width: 100%;
  max-height: 40vh;
  display: block;
}
.member,
.rail {
  fill: var(--ground);
  stroke: var(--soft);
  stroke-width: 3;
}
.rail {
  fill: var(--soft);
}
line.hit {
  stroke: var(--pass);
  stroke-width: 8;
}
line.miss {
  stroke: var(--stop);
  stroke-width: 8;
  stroke-dasharray: 20 14;
}
circle {
  fill: var(--sheet);
  stroke-width: 6;
  stroke: var(--pass);
}
circle.miss {
  stroke: var(--stop);
}
text {
  text-anchor: middle;
  fill: var(--ink);
  font-weight: 560;
}
</style>
