<script setup lang="ts">
import { computed } from 'vue';
import type { LinePicture } from '../../api/generated/schema';

/** The rig as one line from its sources to its loads, as the core draws it. */
const props = withDefaults(defineProps<{ line: LinePicture; title?: string }>(), { title: 'Single line' });
const told = computed(() => `${props.title}: ` + props.line.nodes.map((n) => `${n.name} ${n.rating}`.trim()).join(', '));
</script>

<template>
  <figure class="line" data-line tabindex="0">
    <svg :viewBox="`0 0 ${line.wide} ${line.high}`" role="img" :aria-label="told">
      <path v-for="(w, i) in line.ways" :key="i" :d="w.path" class="wire" />
      <g v-for="(n, i) in line.nodes" :key="'n' + i" :transform="`translate(${n.x} ${n.y})`">
        <rect x="-18" y="-15" width="36" height="30" class="ground" />
        <path :d="n.shape" class="shape" :class="{ heavy: n.heavy }" />
        <text y="30">{{ n.name }}</text>
        <text y="42" class="soft">{{ n.rating }}</text>
      </g>
      <text v-for="(w, i) in line.ways.filter((x) => x.wire)" :key="'t' + i" :x="w.x" :y="w.y" class="size">{{ w.wire }}</text>
    </svg>
  </figure>
</template>

<style scoped>
.line {
  margin: 0 0 0.6rem;
  overflow-x: auto;
}
svg {
  width: 100%;
  min-width: 620px;
  max-height: 38vh;
  display: block;
}
.ground {
  fill: var(--sheet);
}
.wire,
.shape {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.8;
}
.shape.heavy {
  stroke-width: 5;
}
text {
  font-size: 12px;
  text-anchor: middle;
  fill: var(--ink);
  font-weight: 560;
}
text.soft {
  fill: var(--soft);
  font-weight: 400;
}
.size {
  fill: var(--cold);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4;
}
</style>
