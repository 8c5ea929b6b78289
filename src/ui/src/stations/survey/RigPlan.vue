<script setup lang="ts">
import { computed, ref } from 'vue';
import type { SunHour, SurveyDesign } from '../../api/generated/schema';
import { shapeOf, spacesOf, windowBoxes } from '../../parts/rigShape';
import { clock, shown } from '../../parts/show';
import { useRig } from '../../stores/rig';

const props = defineProps<{ survey: SurveyDesign; sunPath: SunHour[] }>();
const rig = useRig();
const hour = ref(15);
const ring = 100;
const svg = ref<SVGSVGElement>();
const dragging = ref(false);

const length = computed(() => shapeOf(props.survey).length);
const partitions = computed(() => spacesOf(props.survey).slice(1));
const scale = computed(() => 112 / Math.max(length.value, props.survey.space.widthM));
const half = computed(() => ({ l: (length.value * scale.value) / 2, w: (props.survey.space.widthM * scale.value) / 2 }));
const sun = computed(() => props.sunPath.find((s) => s.hour === hour.value) ?? null);

/** North up; the sun is drawn on the ring, nearer the middle when it stands higher. */
function onRing(azimuth: number, elevation: number): { x: number; y: number } {
  const radius = ring * (1 - elevation / 110);
  const angle = (azimuth * Math.PI) / 180;
  return { x: radius * Math.sin(angle), y: -radius * Math.cos(angle) };
}

const path = computed(() =>
  props.sunPath
    .map((s, i) => `${i ? 'L' : 'M'} ${onRing(s.azimuthDeg, s.elevationDeg).x} ${onRing(s.azimuthDeg, s.elevationDeg).y}`)
    .join(' '),
);

const edges = computed(() => {
  const k = scale.value;
  const sides = [
    { side: 'left' as const, at: (x: number, w: number) => ({ x: -half.value.w - 1.5, y: -half.value.l + x * k, w: 3, h: w * k }) },
    { side: 'right' as const, at: (x: number, w: number) => ({ x: half.value.w - 1.5, y: -half.value.l + x * k, w: 3, h: w * k }) },
    { side: 'front' as const, at: (x: number, w: number) => ({ x: -half.value.w + x * k, y: -half.value.l - 1.5, w: w * k, h: 3 }) },
    { side: 'rear' as const, at: (x: number, w: number) => ({ x: -half.value.w + x * k, y: half.value.l - 1.5, w: w * k, h: 3 }) },
  ];
  return sides.flatMap((s) => windowBoxes(props.survey, s.side).map((b) => ({ ...s.at(b.x, b.w), covered: b.covered })));
});

/** Sides that the sun falls on at this hour; the others lie in the shade. */
const lit = computed<Record<string, boolean>>(() => Object.fromEntries((sun.value?.lit ?? []).map((side) => [side, true])));

function turnTo(event: PointerEvent): void {
  if (!dragging.value || !svg.value) return;
  const box = svg.value.getBoundingClientRect();
  const angle = (Math.atan2(event.clientX - (box.left + box.width / 2), box.top + box.height / 2 - event.clientY) * 180) / Math.PI;
  void rig.set('/survey/headingDeg', (Math.round(angle / 5) * 5 + 360) % 360);
}

function turnBy(degrees: number): void {
  void rig.set('/survey/headingDeg', (props.survey.headingDeg + degrees + 360) % 360);
}
</script>

<template>
  <figure>
    <svg
      ref="svg"
      viewBox="-128 -122 256 244"
      role="img"
      :aria-label="`Plan with the nose to ${shown(survey.headingDeg, 'angle')} and the sun's path`"
      @pointermove="turnTo"
      @pointerup="dragging = false"
      @pointerleave="dragging = false"
    >
      <circle :r="ring" class="ring" />
      <g v-for="(name, i) in ['N', 'E', 'S', 'W']" :key="name">
        <text :x="113 * Math.sin((i * Math.PI) / 2)" :y="-113 * Math.cos((i * Math.PI) / 2) + 4.5" text-anchor="middle" class="compass">
          {{ name }}
        </text>
      </g>
      <path :d="path" class="sunpath" />
      <g v-if="sun">
        <line :x1="onRing(sun.azimuthDeg, sun.elevationDeg).x" :y1="onRing(sun.azimuthDeg, sun.elevationDeg).y" x2="0" y2="0" class="ray" />
        <circle :cx="onRing(sun.azimuthDeg, sun.elevationDeg).x" :cy="onRing(sun.azimuthDeg, sun.elevationDeg).y" r="7" class="sun" />
      </g>
      <g :transform="`rotate(${survey.headingDeg})`">
        <rect :x="-half.w" :y="-half.l" :width="2 * half.w" :height="2 * half.l" class="body" />
        <line
          v-for="p in partitions"
          :key="p.path"
          :x1="-half.w"
          :x2="half.w"
          :y1="-half.l + p.from * scale"
          :y2="-half.l + p.from * scale"
          class="partition"
        />
        <path v-if="lit.left" :d="`M ${-half.w - 4} ${-half.l} v ${2 * half.l}`" class="lit" />
        <path v-if="lit.right" :d="`M ${half.w + 4} ${-half.l} v ${2 * half.l}`" class="lit" />
        <path v-if="lit.rear" :d="`M ${-half.w} ${half.l + 4} h ${2 * half.w}`" class="lit" />
        <rect
          v-for="(edge, i) in edges"
          :key="i"
          :x="edge.x"
          :y="edge.y"
          :width="edge.w"
          :height="edge.h"
          :class="['glass', { covered: edge.covered }]"
        />
        <path :d="`M ${-half.w} ${-half.l} L 0 ${-half.l - 16} L ${half.w} ${-half.l} Z`" class="nose" @pointerdown="dragging = true" />
      </g>
    </svg>
    <div class="beside">
      <p>
        <b>Nose to {{ shown(survey.headingDeg, 'angle') }}</b>
      </p>
      <p class="turn">
        <button type="button" class="plain" aria-label="Turn left by 22.5 degrees" @click="turnBy(-22.5)">turn left</button>
        <button type="button" class="plain" aria-label="Turn right by 22.5 degrees" @click="turnBy(22.5)">turn right</button>
      </p>
      <div class="hour">
        Sun at {{ clock(hour) }}
        <el-slider v-model="hour" :min="4" :max="21" :format-tooltip="clock" aria-label="Hour of the sun" />
      </div>
      <p class="soft">
        {{
          sun ? `It stands ${shown(sun.elevationDeg, 'angle')} high, over ${shown(sun.azimuthDeg, 'angle')}.` : 'It is below the horizon.'
        }}
        Drag the nose to turn the rig.
      </p>
    </div>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  display: grid;
  grid-template-columns: 270px 1fr;
  gap: 18px;
  align-items: start;
}
svg {
  width: 270px;
  touch-action: none;
}
.ring {
  fill: none;
  stroke: var(--rule);
}
.compass {
  fill: var(--soft);
  font-size: 13px;
  font-weight: 650;
}
.sunpath {
  fill: none;
  stroke: var(--sun);
  stroke-width: 2.5;
}
.ray {
  stroke: var(--sun);
  stroke-dasharray: 3 4;
}
.sun {
  fill: var(--sun);
}
.body {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.partition {
  stroke: var(--ink);
  stroke-dasharray: 4 3;
}
.lit {
  stroke: var(--sun);
  stroke-width: 3.5;
}
.nose {
  fill: var(--ink);
  cursor: grab;
}
.glass {
  fill: var(--cold);
}
.covered {
  fill: var(--soft);
}
.turn {
  display: flex;
  gap: 8px;
  margin: 6px 0 10px;
}
.hour {
  display: grid;
  gap: 4px;
  max-width: 300px;
}
@media (max-width: 700px) {
  figure {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
