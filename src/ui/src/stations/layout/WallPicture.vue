<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue';
import type { WallView } from '../../api/generated/schema';
import { shown } from '../../parts/show';
import { useRig } from '../../stores/rig';

/**
 * The wall from inside and from outside. The head is slid by its middle or by the arrow keys and comes to rest where it may hang; the hole is
 * pulled to another way out of the head.
 */
const props = defineProps<{ wall: WallView; slides: boolean }>();
const rig = useRig();
const inside = useTemplateRef<SVGSVGElement>('inside');
const mm = (m: number) => Math.round(m * 1000);
const high = computed(() => Math.max(mm(props.wall.ceilingLeftM), mm(props.wall.ceilingRightM)));
const wide = computed(() => mm(props.wall.widthM));
const y = (m: number) => high.value - mm(m);
const outline = computed(() => {
  const w = props.wall;
  return `0,${high.value} 0,${y(w.ceilingLeftM)} ${wide.value},${y(w.ceilingRightM)} ${wide.value},${high.value}`;
});
const box = computed(() => `-30 -40 ${wide.value + 60} ${high.value + 80}`);
const size = computed(() => Math.max(48, wide.value / 30));
type Area = { left: number; low: number; right: number; high: number };
const drawn = (a: Area, mirrored = false) => ({
  x: mirrored ? wide.value - mm(a.right) : mm(a.left),
  y: y(a.high),
  width: Math.max(4, mm(a.right) - mm(a.left)),
  height: Math.max(4, mm(a.high) - mm(a.low)),
});
const headWide = computed(() => props.wall.head.right - props.wall.head.left);
const headHigh = computed(() => props.wall.head.high - props.wall.head.low);
/** Where the head's body may be: each allowed place of its corner, widened by the head. */
const bodies = computed(() => props.wall.allowed.map((a) => ({ ...a, right: a.right + headWide.value, high: a.high + headHigh.value })));
const here = computed(() => props.wall.things.filter((t) => t.place === 'inside'));
const within = computed(() => props.wall.things.filter((t) => t.place === 'within'));
const beyond = computed(() => props.wall.things.filter((t) => t.place === 'outside' || t.kind === 'window' || t.kind === 'hatch'));
const datum = computed(() => props.wall.setOut[0]!);
const hole = computed(() => ({ x: mm(props.wall.holeX), y: y(props.wall.holeInsideM), r: mm(props.wall.holeM) / 2 }));
const outHole = computed(() => ({ x: wide.value - mm(props.wall.holeX), y: y(props.wall.holeOutsideM), r: mm(props.wall.holeM) / 2 }));
const atEdge = computed(() => outHole.value.x > wide.value - 4.5 * size.value);
const corner = computed(() => ({ x: mm(datum.value.cornerX), y: y(datum.value.cornerY) }));
const length = (m: number) => shown(Math.abs(m), 'smallLength');

const drag = ref<{ left: number; low: number } | null>(null);
const reason = ref('');
const head = computed(() => {
  const at = drag.value ?? { left: props.wall.head.left, low: props.wall.head.low };
  return drawn({ left: at.left, low: at.low, right: at.left + headWide.value, high: at.low + headHigh.value });
});

function point(event: PointerEvent): { x: number; y: number } {
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(inside.value!.getScreenCTM()!.inverse());
  return { x: at.x / 1000, y: (high.value - at.y) / 1000 };
}

/** The allowed place nearest to one that is wanted. */
function nearest(left: number, low: number): { left: number; low: number } | null {
  let best: { left: number; low: number } | null = null;
  let least = Infinity;
  for (const c of props.wall.allowed) {
    const at = { left: Math.min(c.right, Math.max(c.left, left)), low: Math.min(c.high, Math.max(c.low, low)) };
    const move = (at.left - left) ** 2 + (at.low - low) ** 2;
    if (move < least) [least, best] = [move, at];
  }
  return best;
}

async function rest(left: number, low: number): Promise<void> {
  const at = nearest(left, low) ?? { left, low };
  const round = (m: number) => Math.round(m * 10000) / 10000;
  await rig.set('/layout/head/leftM', round(at.left));
  await rig.set('/layout/head/lowM', round(at.low));
}

let grip = { x: 0, y: 0 };
function down(event: PointerEvent): void {
  if (!props.slides) return;
  const at = point(event);
  grip = { x: at.x - props.wall.head.left, y: at.y - props.wall.head.low };
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
  drag.value = { left: props.wall.head.left, low: props.wall.head.low };
}
function move(event: PointerEvent): void {
  const at = point(event);
  if (drag.value) drag.value = { left: at.x - grip.x, low: at.y - grip.y };
}
async function up(): Promise<void> {
  const at = drag.value;
  if (at) await rest(at.left, at.low);
  drag.value = null;
}

/** The hole while it is pulled, m from the left. */
const pulled = ref<number | null>(null);
const others = computed(() => props.wall.exits.filter((e) => Math.abs(e.x - props.wall.holeX) > 1e-6));
function holeDown(event: PointerEvent): void {
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
  pulled.value = props.wall.holeX;
}
function holeMove(event: PointerEvent): void {
  if (pulled.value !== null) pulled.value = point(event).x;
}
async function holeUp(): Promise<void> {
  const at = pulled.value;
  pulled.value = null;
  if (at === null) return;
  const exit = props.wall.exits.reduce((a, b) => (Math.abs(b.x - at) < Math.abs(a.x - at) ? b : a));
  await rig.set('/layout/head/exit', exit.exit);
}
function holeKey(event: KeyboardEvent): void {
  const by = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
  if (by === 0) return;
  event.preventDefault();
  const ways = [...props.wall.exits].sort((a, b) => a.x - b.x);
  const next = ways[ways.findIndex((e) => Math.abs(e.x - props.wall.holeX) < 1e-6) + by];
  if (next) void rig.set('/layout/head/exit', next.exit);
}

/** Why the middle of the head may not be at a point. */
function why(event: PointerEvent): void {
  if (drag.value) return;
  const at = point(event);
  const [left, low] = [at.x - headWide.value / 2, at.y - headHigh.value / 2];
  const in_ = (a: Area) => left >= a.left && left <= a.right && low >= a.low && low <= a.high;
  reason.value = props.wall.allowed.some(in_)
    ? ''
    : `not here: too near the ${props.wall.forbidden.find(in_)?.name ?? 'edge of the wall, its ceiling or the floor'}`;
}

const steps: Record<string, [number, number]> = {
  ArrowLeft: [-0.01, 0],
  ArrowRight: [0.01, 0],
  ArrowUp: [0, 0.01],
  ArrowDown: [0, -0.01],
};
function key(event: KeyboardEvent): void {
  const step = steps[event.key];
  if (!step || !props.slides) return;
  event.preventDefault();
  void rest(props.wall.head.left + step[0], props.wall.head.low + step[1]);
}
const told = computed(
  () =>
    `Hole ${length(datum.value.rightM)} ${datum.value.rightM >= 0 ? 'right' : 'left'} and ${length(datum.value.upM)} ` +
    `${datum.value.upM >= 0 ? 'up' : 'down'} of the ${datum.value.corner}, seen from inside`,
);
</script>

<template>
  <div class="both" data-wall>
    <figure>
      <figcaption><b>From inside</b> <span class="soft">hatched: the head may not be there</span></figcaption>
      <svg ref="inside" :viewBox="box" role="group" :aria-label="told" @pointermove="why" @pointerdown="why">
        <defs>
          <pattern id="refused" width="34" height="34" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="34" height="34" class="ground" />
            <line x1="0" y1="0" x2="0" y2="34" class="hatch" />
          </pattern>
        </defs>
        <polygon :points="outline" fill="url(#refused)" class="outline" />
        <rect v-for="(a, i) in bodies" :key="i" v-bind="drawn(a)" class="free" />
        <rect
          v-for="r in wall.ribs"
          :key="'r' + r"
          v-bind="drawn({ left: r - wall.ribWidthM / 2, right: r + wall.ribWidthM / 2, low: 0, high: high / 1000 })"
          class="rib"
        />
        <rect v-for="(t, i) in within" :key="'w' + i" v-bind="drawn(t.area)" class="within" />
        <g v-for="(t, i) in here" :key="'h' + i">
          <rect v-bind="drawn(t.area)" :class="t.kind === 'window' || t.kind === 'hatch' ? 'glass' : 'thing'" />
          <text
            :x="drawn(t.area).x + drawn(t.area).width / 2"
            :y="drawn(t.area).y + drawn(t.area).height / 2 + size / 3"
            :font-size="size"
            class="name"
          >
            {{ t.area.name }}
          </text>
        </g>
        <g
          class="head"
          data-head
          :tabindex="slides ? 0 : undefined"
          role="button"
          aria-label="The head: arrow keys move it"
          @pointerdown.stop="down"
          @pointermove="move"
          @pointerup="up"
          @keydown="key"
        >
          <rect v-bind="head" :class="{ refused: wall.refused.length > 0 && !drag }" />
          <text :x="head.x + head.width / 2" :y="head.y + head.height / 2 + size / 3" :font-size="size" class="on">head</text>
        </g>
        <template v-if="!drag">
          <circle v-for="(s, i) in wall.screws" :key="'s' + i" :cx="mm(s.left)" :cy="y(s.low)" :r="size / 3.4" class="screw" />
          <path :d="`M ${corner.x} ${corner.y} H ${hole.x} V ${hole.y}`" class="dimension" />
          <path :d="`M ${corner.x - size} ${corner.y} h ${2 * size} M ${corner.x} ${corner.y - size} v ${2 * size}`" class="cross" />
          <circle v-for="e in slides ? others : []" :key="e.exit" :cx="mm(e.x)" :cy="y(e.upM)" :r="hole.r" class="hole other" />
          <circle :cx="pulled === null ? hole.x : mm(pulled)" :cy="hole.y" :r="hole.r" class="hole" />
          <circle
            v-if="slides && others.length"
            data-hole
            :cx="pulled === null ? hole.x : mm(pulled)"
            :cy="hole.y"
            :r="Math.max(hole.r * 1.6, size)"
            class="grip"
            tabindex="0"
            role="button"
            aria-label="The hole: left and right arrow keys take it to another side of the head"
            @pointerdown.stop="holeDown"
            @pointermove="holeMove"
            @pointerup="holeUp"
            @keydown="holeKey"
          />
          <text :x="(corner.x + hole.x) / 2" :y="corner.y + size * 1.15" :font-size="size" class="told">{{ length(datum.rightM) }}</text>
          <text :x="hole.x + size * 0.5" :y="(corner.y + hole.y) / 2" :font-size="size" class="told start">
            {{ length(datum.upM) }}
          </text>
        </template>
      </svg>
      <p class="soft small" aria-live="polite">
        {{
          reason ||
          (slides
            ? 'Slide the head; it comes to rest where it may hang. Pull the hole to a dashed ring: pipes leave there. Arrow keys do both.'
            : '')
        }}
      </p>
    </figure>
    <figure>
      <figcaption><b>From outside</b> <span class="soft">mirrored, from the same corner</span></figcaption>
      <svg :viewBox="box" role="img" aria-label="The same wall from outside, mirrored">
        <polygon :points="outline" :transform="`translate(${wide} 0) scale(-1 1)`" class="outline plain" />
        <rect
          v-for="r in wall.ribs"
          :key="'r' + r"
          v-bind="drawn({ left: r - wall.ribWidthM / 2, right: r + wall.ribWidthM / 2, low: 0, high: high / 1000 }, true)"
          class="rib"
        />
        <rect v-for="(t, i) in within" :key="'w' + i" v-bind="drawn(t.area, true)" class="within" />
        <g v-for="(t, i) in [...beyond, ...within]" :key="'o' + i">
          <rect
            v-if="t.place !== 'within'"
            v-bind="drawn(t.area, true)"
            :class="t.kind === 'window' || t.kind === 'hatch' ? 'glass' : 'thing'"
          />
          <text
            :x="t.place === 'within' ? 20 : drawn(t.area, true).x + drawn(t.area, true).width / 2"
            :y="t.place === 'within' ? drawn(t.area, true).y - size / 3 : drawn(t.area, true).y + drawn(t.area, true).height / 2 + size / 3"
            :font-size="size"
            :class="['name', { start: t.place === 'within' }]"
          >
            {{ t.area.name }}
          </text>
        </g>
        <rect v-bind="drawn(wall.head, true)" class="ghost" />
        <path :d="`M ${wide - corner.x} ${corner.y} H ${outHole.x} V ${outHole.y}`" class="dimension" />
        <path
          :d="`M ${wide - corner.x - size} ${corner.y} h ${2 * size} M ${wide - corner.x} ${corner.y - size} v ${2 * size}`"
          class="cross"
        />
        <circle :cx="outHole.x" :cy="outHole.y" :r="outHole.r" class="hole" />
        <text :x="(wide - corner.x + outHole.x) / 2" :y="corner.y + size * 1.15" :font-size="size" class="told">
          {{ length(datum.outsideRightM) }}
        </text>
        <text
          :x="outHole.x + size * (atEdge ? -0.5 : 0.5)"
          :y="(corner.y + outHole.y) / 2"
          :font-size="size"
          class="told"
          :class="atEdge ? 'end' : 'start'"
        >
          {{ length(datum.outsideUpM) }}
        </text>
      </svg>
    </figure>
  </div>
</template>

<style scoped>
.both {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
  gap: 18px;
}
figure {
  margin: 0;
}
svg {
  width: 100%;
  max-height: 46vh;
  display: block;
}
.ground {
  fill: var(--ground);
}
.hatch {
  stroke: var(--rule);
  stroke-width: 7;
}
.outline {
  stroke: var(--ink);
  stroke-width: 9;
}
.outline.plain {
  fill: var(--sheet);
}
.free {
  fill: var(--raised);
}
.rib {
  fill: var(--rule);
  opacity: 0.5;
}
.within {
  fill: var(--sun);
}
.thing {
  fill: var(--ground);
  stroke: var(--ink);
  stroke-width: 5;
}
.glass {
  fill: color-mix(in srgb, var(--cold) 22%, var(--sheet));
  stroke: var(--ink);
  stroke-width: 5;
}
.name,
.told,
.on {
  fill: var(--ink);
  text-anchor: middle;
  font-weight: 560;
}
.told.end {
  text-anchor: end;
}
.start {
  text-anchor: start;
}
.told {
  font-weight: 720;
  paint-order: stroke;
  stroke: var(--raised);
  stroke-width: 12;
}
.on {
  fill: var(--raised);
  pointer-events: none;
}
.head {
  cursor: grab;
  touch-action: none;
}
.head rect {
  fill: var(--cold);
  stroke: var(--ink);
  stroke-width: 7;
}
.head rect.refused {
  fill: var(--stop);
}
.head:focus-visible {
  outline: 3px solid var(--focus);
}
.ghost {
  fill: none;
  stroke: var(--cold);
  stroke-width: 8;
  stroke-dasharray: 30 20;
}
.screw {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 5;
  pointer-events: none;
}
.hole {
  fill: var(--ink);
  stroke: var(--heat);
  stroke-width: 16;
  pointer-events: none;
}
.hole.other {
  fill: none;
  stroke-width: 8;
  stroke-dasharray: 22 16;
}
.grip {
  fill: transparent;
  cursor: ew-resize;
  touch-action: none;
}
.grip:focus-visible {
  outline: 3px solid var(--focus);
}
.dimension,
.cross {
  fill: none;
  stroke: var(--ink);
  stroke-width: 6;
  pointer-events: none;
}
.cross {
  stroke-width: 9;
}
</style>
