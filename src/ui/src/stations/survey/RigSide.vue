<script setup lang="ts">
import { computed } from 'vue';
import type { AcUnit, SurveyDesign } from '../../api/generated/schema';
import RigElevation from '../../parts/RigElevation.vue';
import { shapeOf, spacesOf } from '../../parts/rigShape';
import { shown } from '../../parts/show';

const props = defineProps<{ survey: SurveyDesign; unit: AcUnit | null; tall?: boolean }>();
const shape = computed(() => shapeOf(props.survey));
const split = computed(() => !!props.unit && !props.unit.kind.toLowerCase().includes('rooftop'));
const size = computed(() => Math.max((shape.value.length + shape.value.nose + 2) / 60, 0.13));
const box = computed(() => {
  const left = -shape.value.nose - 0.9;
  const width = shape.value.length + shape.value.nose + 1.9 + 9 * size.value;
  const top = -shape.value.height - 1.05;
  return { left, top, width, height: shape.value.height + 2.2 };
});
</script>

<template>
  <figure>
    <svg
      :class="{ tall }"
      :viewBox="`${box.left} ${box.top} ${box.width} ${box.height}`"
      role="img"
      aria-label="Left side of the rig to scale"
    >
      <line :x1="box.left" :x2="box.left + box.width" y1="0.56" y2="0.56" class="ground" />
      <RigElevation :survey="survey" :split="split" :has-unit="!!unit" />
      <line v-for="p in spacesOf(survey).slice(1)" :key="p.path" :x1="p.from" :x2="p.from" y1="0" :y2="-shape.height" class="partition" />
      <g class="dimension" :style="{ '--size': `${size}px` }">
        <path :d="`M 0 0.75 v 0.2 M ${shape.length} 0.75 v 0.2 M 0 0.85 H ${shape.length}`" />
        <text :x="shape.length / 2" :y="0.8 - size * 0.15" text-anchor="middle">{{ shown(shape.length, 'length') }}</text>
        <path
          :d="`M ${shape.length + 0.42} 0 h 0.2 M ${shape.length + 0.42} ${-shape.height} h 0.2 M ${shape.length + 0.52} 0 V ${-shape.height}`"
        />
        <text :x="shape.length + 0.6" :y="-shape.height / 2" text-anchor="start">{{ shown(shape.height, 'length') }}</text>
      </g>
    </svg>
    <figcaption class="soft">Left side, to scale. Glass blue, covered glass grey, modules violet.</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0 0 8px;
}
svg {
  width: 100%;
  height: 176px;
  display: block;
}
svg.tall {
  height: min(46vh, 420px);
}
.ground {
  stroke: var(--rule);
  stroke-width: 0.05;
}
.partition {
  stroke: var(--ink);
  stroke-width: 0.025;
  stroke-dasharray: 0.12 0.08;
}
.dimension path {
  stroke: var(--soft);
  stroke-width: 0.02;
  fill: none;
}
.dimension text {
  font-size: calc(1.25 * var(--size));
  fill: var(--ink);
  font-weight: 620;
}
@media (max-width: 700px) {
  svg,
  svg.tall {
    height: auto;
  }
  .dimension text {
    font-size: calc(2.2 * var(--size));
  }
}
figcaption {
  font-size: 13px;
}
</style>
