<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue';
import type { LineWay, RoutePoint } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { say, shown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { under } from './asked';

/** The pipe's way drawn in space, the ways held side by side, the set to order and where its slack goes. */
const rig = useRig();
const layout = computed(() => rig.assessment?.layout ?? null);
const bundle = computed(() => layout.value?.bundle ?? null);
const points = computed(() => rig.design?.layout.line.points ?? []);
const length = (m: number) => shown(m, 'length');
const small = (m: number) => shown(m, 'smallLength');
/** A point in space on the page: out from the wall goes down and to the right. */
const flat = (p: RoutePoint): [number, number] => [1000 * (p.x + 0.5 * p.y), 1000 * (-p.z + 0.32 * p.y)];
/** Its inverse where the distance from the wall stays. */
const spaced = (x: number, y: number, out: number) => ({ x: x / 1000 - 0.5 * out, z: 0.32 * out - y / 1000 });
const path = (ps: RoutePoint[]) => ps.map((p, i) => `${i ? 'L' : 'M'} ${flat(p).join(' ')}`).join(' ');
const wall = computed(() => {
  const w = layout.value!.wall!;
  return path([
    { x: 0, y: 0, z: 0 },
    { x: w.widthM, y: 0, z: 0 },
    { x: w.widthM, y: 0, z: w.ceilingRightM },
    { x: 0, y: 0, z: w.ceilingLeftM },
  ]);
});
const unit = computed(() => {
  const u = layout.value!.outdoor!;
  const off = rig.design!.layout.wall.thicknessM;
  const [along, out] = u.yawDeg === 90 ? [u.widthM, u.depthM] : [u.depthM, u.widthM];
  const c = (dx: number, dy: number, dz: number) => ({ x: u.x + dx * along, y: off + u.y + dy * out, z: u.baseM + dz * u.heightM });
  return [
    [c(-0.5, 0.5, 0), c(0.5, 0.5, 0), c(0.5, 0.5, 1), c(-0.5, 0.5, 1)],
    [c(-0.5, -0.5, 1), c(0.5, -0.5, 1), c(0.5, 0.5, 1), c(-0.5, 0.5, 1)],
    [c(0.5, -0.5, 0), c(0.5, 0.5, 0), c(0.5, 0.5, 1), c(0.5, -0.5, 1)],
  ];
});
const head = computed(() => {
  const h = layout.value!.wall!.head;
  return path([
    { x: h.left, y: 0, z: h.low },
    { x: h.right, y: 0, z: h.low },
    { x: h.right, y: 0, z: h.high },
    { x: h.left, y: 0, z: h.high },
  ]);
});
const box = computed(() => {
  const w = layout.value!.wall!;
  const all = [
    ...layout.value!.ways[0]!.points,
    ...unit.value.flat(),
    { x: 0, y: 0, z: 0 },
    { x: w.widthM, y: 0, z: Math.max(w.ceilingLeftM, w.ceilingRightM) },
  ].map(flat);
  const [left, right] = [Math.min(...all.map((p) => p[0])), Math.max(...all.map((p) => p[0]))];
  const [top, bottom] = [Math.min(...all.map((p) => p[1])), Math.max(...all.map((p) => p[1]))];
  return `${left - 120} ${top - 120} ${right - left + 240} ${bottom - top + 240}`;
});
const ways: SheetColumn<LineWay>[] = [
  { key: 'name', label: 'way', text: (w) => w.name, width: 140 },
  { key: 'need', label: 'pipe', number: true, text: (w) => length(w.needM), sort: (w) => w.needM },
  { key: 'bends', label: 'bends', number: true, text: (w) => String(w.bends) },
  { key: 'kit', label: 'set', number: true, text: (w) => (w.kitM === null ? 'none' : length(w.kitM)) },
  { key: 'slack', label: 'slack', number: true, text: (w) => (w.slackM === null ? '–' : length(w.slackM)) },
  { key: 'added', label: 'charge', number: true, text: (w) => (w.addedKg > 0 ? `+${shown(w.addedKg, 'mass')}` : 'as it is') },
  { key: 'hands', label: 'work', number: true, text: (w) => shown(w.handsH, 'hours'), sort: (w) => w.handsH },
  { key: 'drain', label: 'drain', text: (w) => (w.drainFalls ? 'falls' : 'pump'), width: 70 },
  { key: 'take', label: '' },
];

const picture = useTemplateRef<SVGSVGElement>('picture');
/** Typed points can be pulled: along the wall and up by hand, out from it by Page Up and Page Down. */
const pulls = computed(() => points.value.length > 0 && layout.value?.ways[0]!.points.length === points.value.length + 2);
const pulled = ref<{ at: number; x: number; z: number } | null>(null);
const way = computed(() =>
  layout.value!.ways[0]!.points.map((p, i) => (pulled.value?.at === i ? { ...p, x: pulled.value.x, z: pulled.value.z } : p)),
);
const stepM = 0.01;
const snap = (m: number) => Math.round(m / stepM) * stepM;
const to3 = (m: number) => Math.round(m * 1000) / 1000;

async function put(at: number, p: RoutePoint): Promise<void> {
  const base = `/layout/line/points/${at - 1}`;
  const was = points.value[at - 1]!;
  if (to3(p.x) !== was.rightM) await rig.set(`${base}/rightM`, to3(p.x));
  if (to3(p.y) !== was.outM) await rig.set(`${base}/outM`, to3(p.y));
  if (to3(p.z) !== was.upM) await rig.set(`${base}/upM`, to3(p.z));
}

function pull(event: PointerEvent, at: number): void {
  const on = new DOMPoint(event.clientX, event.clientY).matrixTransform(picture.value!.getScreenCTM()!.inverse());
  const p = spaced(on.x, on.y, layout.value!.ways[0]!.points[at]!.y);
  pulled.value = { at, x: snap(p.x), z: snap(p.z) };
}
function grab(event: PointerEvent, at: number): void {
  if (!pulls.value) return;
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
  pull(event, at);
}
async function drop(at: number): Promise<void> {
  const p = pulled.value;
  if (p) await put(at, { ...way.value[at]! });
  pulled.value = null;
}
const moves: Record<string, [number, number, number]> = {
  ArrowLeft: [-stepM, 0, 0],
  ArrowRight: [stepM, 0, 0],
  ArrowUp: [0, 0, stepM],
  ArrowDown: [0, 0, -stepM],
  PageUp: [0, stepM, 0],
  PageDown: [0, -stepM, 0],
};
function nudge(event: KeyboardEvent, at: number): void {
  const by = moves[event.key];
  if (!by || !pulls.value) return;
  event.preventDefault();
  const p = layout.value!.ways[0]!.points[at]!;
  void put(at, { x: p.x + by[0], y: p.y + by[1], z: p.z + by[2] });
}

/** Takes a way: by its points, or by none where it is the one that is found by itself. */
function take(way: LineWay, byItself: boolean): void {
  const inner = byItself ? [] : way.points.slice(1, -1);
  const round = (m: number) => Math.round(m * 1000) / 1000;
  void rig.set(
    '/layout/line/points',
    inner.map((p) => ({ rightM: round(p.x), outM: round(p.y), upM: round(p.z) })),
  );
}
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskGroup title="The set" :paths="under('line', 'kind', 'kitM', 'bent', 'insulationM', 'fittingM', 'sealBroken')" />
      <AskGroup title="Points between hole and unit" :open="points.length > 0">
        <AskRows path="/layout/line/points" one="point">
          <template #default="{ path: at }">
            <AskField v-for="f in ['rightM', 'outM', 'upM']" :key="f" :path="`${at}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup title="Tails and slack" :paths="under('line', 'headTailM', 'unitTailM', 'allowance', 'coilRoomM', 'coilStands')" />
      <AskGroup title="Old pipe" :open="false" :paths="under('line', 'reused', 'otherOil', 'cableM')" />
    </template>
    <template v-if="layout?.wall && layout.outdoor" #picture>
      <svg
        ref="picture"
        :viewBox="box"
        :role="pulls ? 'group' : 'img'"
        aria-label="The pipe in space, from the head through the wall to the outdoor unit"
        data-pipe
      >
        <path :d="`${wall} Z`" class="wall" />
        <path :d="`${head} Z`" class="head" />
        <path v-for="(f, i) in unit" :key="i" :d="`${path(f)} Z`" class="unit" />
        <path :d="path(way)" class="pipe" />
        <template v-for="(p, i) in way" :key="'p' + i">
          <circle
            v-if="pulls && i > 0 && i < way.length - 1"
            :cx="flat(p)[0]"
            :cy="flat(p)[1]"
            r="44"
            class="point handle"
            tabindex="0"
            role="button"
            :aria-label="`Point ${i} of the pipe: arrow keys move it, Page Up and Page Down move it out and in`"
            :data-point="i"
            @pointerdown.stop="grab($event, i)"
            @pointermove="pulled && pull($event, i)"
            @pointerup="drop(i)"
            @keydown="nudge($event, i)"
          />
          <circle v-else :cx="flat(p)[0]" :cy="flat(p)[1]" r="26" class="point" />
        </template>
      </svg>
      <p v-if="pulls" class="soft small">
        Pull a point, or move it by arrow keys 10 mm at a time; Page Up and Page Down move it out and in.
      </p>
    </template>
    <template v-if="layout?.wall && bundle" #below>
      <SheetTable name="Ways compared" :rows="layout.ways" :columns="ways" copies>
        <template #name="{ row }"
          >{{ row.name }}<br v-if="row.fault" /><small v-if="row.fault" class="severity-stop">{{ say(row.fault) }}</small></template
        >
        <template #take="{ row }">
          <button
            v-if="row.name !== layout.ways[0]!.name"
            type="button"
            class="plain"
            :aria-label="`take it: ${row.name}`"
            @click="take(row, row.name === 'straight through the wall')"
          >
            take it
          </button>
          <button v-else-if="!pulls" type="button" class="plain" aria-label="write its points down, to pull them" @click="take(row, false)">
            pull
          </button>
        </template>
      </SheetTable>
      <p data-bundle>
        The bundle is <b>{{ small(bundle.bundleM) }}</b> across; the hole of {{ small(bundle.holeM) }} leaves
        <b>{{ small(bundle.spareM) }}</b> to spare. It bends no tighter than {{ small(bundle.radiusM) }}.
        <template v-if="bundle.slack && bundle.slack.turns > 0">
          Its slack lies flat in {{ bundle.slack.turns }} {{ bundle.slack.turns === 1 ? 'turn' : 'turns' }},
          {{ small(bundle.slack.outsideM) }} across and {{ small(bundle.slack.heightM) }} high.
        </template>
        <template v-else-if="bundle.slack?.loopM">Its slack makes a flat loop {{ small(bundle.slack.loopM) }} deep.</template>
      </p>
      <p class="soft small">
        Only who is licensed adds or removes refrigerant. Hours of work are common practice: hole by kind of wall, bends, metres, pump.
      </p>
    </template>
  </LeafLayout>
</template>

<style scoped>
svg {
  width: 100%;
  max-height: 46vh;
}
.wall {
  fill: var(--ground);
  stroke: var(--ink);
  stroke-width: 8;
}
.handle {
  cursor: grab;
  touch-action: none;
}
.handle:focus-visible {
  outline: none;
  stroke: var(--focus);
  stroke-width: 26;
}
.head {
  fill: none;
  stroke: var(--cold);
  stroke-width: 9;
  stroke-dasharray: 40 26;
}
.unit {
  fill: color-mix(in srgb, var(--cold) 30%, var(--sheet));
  stroke: var(--ink);
  stroke-width: 6;
}
.pipe {
  fill: none;
  stroke: var(--heat);
  stroke-width: 24;
  stroke-linejoin: round;
  stroke-linecap: round;
}
.point {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 8;
}
</style>
