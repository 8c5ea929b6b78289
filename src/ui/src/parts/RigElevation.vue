<script setup lang="ts">
import { computed } from 'vue';
import type { AcUnit, SurveyDesign } from '../api/generated/schema';
import { shapeOf, windowBoxes } from './rigShape';

/** A rig in side elevation, in metres; the floor of the space at y = 0, y upwards is negative. */
const props = defineProps<{ survey: SurveyDesign; split: boolean; hasUnit: boolean; unit?: AcUnit | null }>();
const shape = computed(() => shapeOf(props.survey));
const windows = computed(() => windowBoxes(props.survey, 'left'));
const gabled = computed(() => props.survey.kind === 'cabin' || props.survey.kind === 'workshop');
const roofStart = computed(() => (shape.value.boat ? shape.value.length * 0.22 : gabled.value ? shape.value.length * 0.52 : 0.15));
const roofSlope = computed(() => (gabled.value ? (Math.atan2(0.8, shape.value.length / 2 + 0.25) * 180) / Math.PI : 0));
const roofTop = computed(() => (gabled.value ? -shape.value.height - 0.86 : -shape.value.height - 0.1));
const modules = computed(() =>
  Math.min(
    props.survey.sources.modules.count,
    Math.max(1, Math.floor((shape.value.length * (shape.value.boat ? 0.62 : gabled.value ? 0.5 : 1) - (props.split ? 0.3 : 1.2)) / 1.1)),
  ),
);

/** A closed shape through points, as an SVG path. */
function path(...points: [number, number][]): string {
  return `M ${points.map(([x, y]) => `${x} ${y}`).join(' L ')} Z`;
}

const body = computed(() => {
  const { length, height, nose, boat, building } = shape.value;
  const top = -height;
  if (boat)
    return (
      path([-nose, top * 0.55], [length + 0.3, top * 0.55], [length, 0.25], [0.2, 0.25]) +
      path([length * 0.12, top * 0.55], [length * 0.2, top], [length * 0.85, top], [length * 0.9, top * 0.55])
    );
  if (building) return `M 0 0.1 L 0 ${top} L ${length} ${top} L ${length} 0.1 Z`;
  if (nose === 0) return `M 0 0.15 L 0 ${top} L ${length} ${top} L ${length} 0.15 Z`;
  return path(
    [-nose, 0.2],
    [-nose, top * 0.42],
    [-nose * 0.55, top * 0.52],
    [-nose * 0.12, top * 0.97],
    [0.1, top],
    [length, top],
    [length, 0.2],
  );
});
</script>

<template>
  <g class="elevation">
    <path
      v-if="survey.kind === 'cabin' || survey.kind === 'workshop'"
      :d="`M -0.25 ${-shape.height} L ${shape.length / 2} ${-shape.height - 0.8} L ${shape.length + 0.25} ${-shape.height} Z`"
      class="body"
    />
    <path :d="body" class="body" />
    <path
      v-if="shape.nose > 0.8 && !shape.boat"
      :d="
        path(
          [-shape.nose * 0.5, -shape.height * 0.54],
          [-shape.nose * 0.14, -shape.height * 0.9],
          [0, -shape.height * 0.9],
          [0, -shape.height * 0.54],
        )
      "
      class="glass"
    />
    <rect
      v-for="(box, i) in windows"
      :key="i"
      :x="box.x"
      :y="-box.y - box.h"
      :width="box.w"
      :height="box.h"
      :class="['glass', { covered: box.covered }]"
    />
    <circle v-for="x in shape.wheels" :key="x" :cx="x" :cy="0.22" :r="shape.wheelRadius" class="wheel" />
    <path v-if="shape.boat" :d="`M ${-shape.nose - 0.6} 0.02 H ${shape.length + 0.9}`" class="water" />
    <g v-if="modules > 0 && survey.sources.modules.count > 0" :transform="`rotate(${roofSlope} ${roofStart} ${roofTop})`">
      <rect v-for="i in modules" :key="i" :x="roofStart + (i - 1) * 1.1" :y="roofTop" width="1.02" height="0.06" class="module" />
    </g>
    <rect v-if="hasUnit && !split" :x="shape.length * 0.62" :y="-shape.height - 0.28" width="0.95" height="0.28" rx="0.06" class="unit" />
    <g v-if="hasUnit && split">
      <rect
        :x="shape.boat ? shape.length * 0.93 : shape.length + 0.02"
        :y="shape.boat ? -shape.height * 0.55 - 0.55 : -0.75"
        width="0.3"
        height="0.55"
        class="unit"
      />
      <rect
        :x="shape.boat ? shape.length * 0.62 : shape.length - 0.85"
        :y="-shape.height + (shape.boat ? 0.14 : 0.12)"
        width="0.8"
        height="0.24"
        rx="0.05"
        class="unit"
      />
    </g>
  </g>
</template>

<style scoped>
.body {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 0.05;
  stroke-linejoin: round;
}
.glass {
  fill: color-mix(in srgb, var(--cold) 22%, var(--raised));
  stroke: var(--ink);
  stroke-width: 0.03;
}
.covered {
  fill: var(--hair);
}
.wheel {
  fill: var(--ink);
  stroke: var(--raised);
  stroke-width: 0.09;
}
.water {
  stroke: var(--cold);
  stroke-width: 0.06;
  stroke-dasharray: 0.4 0.15;
  fill: none;
}
.module {
  fill: var(--stored);
}
.unit {
  fill: var(--cold);
  stroke: var(--ink);
  stroke-width: 0.03;
}
</style>
