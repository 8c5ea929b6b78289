<script setup lang="ts">
import { computed } from 'vue';
import type { DesignChange, SizingResult } from '../../api/generated/schema';
import { say, shown } from '../../parts/show';

/** Batteries by modules, each kit with whether it holds; the frontier is pressed to adopt it. */
const props = defineProps<{ result: SizingResult; seen: number }>();
const emit = defineEmits<{ take: [changes: DesignChange[]] }>();
const take = (changes: DesignChange[]) => emit('take', changes);
const wordsOf = (id: string) => say(props.result.scenarios.find((s) => s.id === id)?.words);

const rowHeight = 20;
const map = computed(() => {
  const r = props.result;
  const drawn = r.maps[props.seen]!;
  const columns = drawn.least.length;
  const w = Math.min(40, 400 / columns);
  const rows = r.mostBatteries;
  const at = (batteries: number, modules: number) => ({ x: 34 + modules * w, y: 8 + (rows - batteries) * rowHeight });
  const cells = drawn.cells.map((c) => ({ ...at(c.batteries, c.modules), ...c, why: c.holds ? 'holds' : `fails: ${wordsOf(c.failsIn)}` }));
  const points = r.frontier
    .filter((p) => p.kit.setpointC === r.setpointC && p.kit.generatorW === drawn.generatorW)
    .map((p) => ({ ...at(p.kit.batteries, p.kit.modules), p }));
  const fitted = r.fitted.modules < columns && r.fitted.batteries <= rows ? at(r.fitted.batteries, r.fitted.modules) : null;
  return { cells, points, fitted, width: 34 + columns * w + 8, height: rows * rowHeight + 28, columns, rows, w };
});
</script>

<template>
  <figure>
    <svg
      :viewBox="`0 0 ${map.width} ${map.height}`"
      class="map"
      role="group"
      :aria-label="`Kits that hold ${shown(result.setpointC, 'temperature')}: batteries up, modules across`"
    >
      <g v-for="c in map.cells" :key="`${c.batteries}-${c.modules}`">
        <rect :x="c.x" :y="c.y" :width="map.w - 2" :height="18" :class="c.holds ? 'holds' : 'fails'">
          <title>{{ c.batteries }} blocks, {{ c.modules }} modules: {{ c.why }}</title>
        </rect>
        <path v-if="!c.holds" :d="`M ${c.x + map.w / 2 - 5} ${c.y + 5} l 8 8 m 0 -8 l -8 8`" class="cross" />
      </g>
      <text v-for="b in map.rows" :key="'b' + b" :x="28" :y="8 + (map.rows - b) * 20 + 14" text-anchor="end">{{ b }}</text>
      <text v-for="a in map.columns" :key="'a' + a" :x="34 + (a - 1) * map.w + map.w / 2 - 1" :y="map.rows * 20 + 22" text-anchor="middle">
        {{ a - 1 }}
      </text>
      <rect v-if="map.fitted" :x="map.fitted.x - 1" :y="map.fitted.y - 1" :width="map.w" :height="20" class="fitted">
        <title>fitted now</title>
      </rect>
      <g
        v-for="point in map.points"
        :key="`${point.p.kit.batteries}-${point.p.kit.modules}`"
        class="point"
        tabindex="0"
        role="button"
        :aria-label="`Adopt ${point.p.kit.batteries} blocks and ${point.p.kit.modules} modules`"
        @click="take(point.p.changes)"
        @keydown.enter="take(point.p.changes)"
      >
        <circle :cx="point.x + map.w / 2 - 1" :cy="point.y + 9" r="7" />
        <title>{{ point.p.kit.batteries }} blocks, {{ point.p.kit.modules }} modules: adopt</title>
      </g>
    </svg>
    <figcaption class="soft small">Modules across, battery blocks up; ✕ fails in some of the days asked; outlined: fitted now.</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
.map {
  width: 100%;
  max-height: 44vh;
}
.holds {
  fill: var(--pass);
  opacity: 0.28;
}
.fails {
  fill: var(--ground);
  stroke: var(--hair);
}
.cross {
  stroke: var(--rule);
  stroke-width: 1.5;
}
.fitted {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.5;
}
.point {
  cursor: pointer;
}
.point circle {
  fill: var(--stored);
  stroke: var(--sheet);
  stroke-width: 2;
}
.point:focus circle {
  stroke: var(--focus);
  stroke-width: 4;
}
text {
  fill: var(--soft);
  font-size: 12.5px;
}
</style>
