<script setup lang="ts">
import { computed } from 'vue';
import type { AroundDesign, FaceRoom } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { shown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { under } from './asked';

/** The outdoor unit from above, with the room that it needs and what stands there. */
const rig = useRig();
const unit = computed(() => rig.assessment?.layout?.outdoor ?? null);
const around = computed(() => (rig.design?.layout.outdoor.around ?? []) as AroundDesign[]);
const spot = computed(() => rig.design!.layout.outdoor);
const disconnect = computed(() => spot.value.disconnectM);
const wall = computed(() => rig.assessment?.layout?.wall?.widthM ?? 2);
const mm = (m: number) => Math.round(m * 1000);
const faces: SheetColumn<FaceRoom>[] = [
  { key: 'face', label: 'room', text: (f) => f.face, wide: true },
  { key: 'gap', label: 'free', number: true, text: (f) => (f.gapM === null ? 'nothing near' : shown(f.gapM, 'smallLength')) },
  { key: 'need', label: 'it wants', number: true, text: (f) => shown(f.needM, 'smallLength') },
  { key: 'share', label: '', number: true, text: (f) => (f.ratio === null ? '' : shown(f.ratio!, 'fraction')) },
];
const need = (face: string) => unit.value?.faces.find((f) => f.face === face)?.needM ?? 0;
/** The room it wants, in its own frame: forward to the right. */
const wants = computed(() => {
  const u = unit.value!;
  const [front, back, side, other] = ['where it blows', 'behind it', 'at its ports', 'at its other side'].map(need) as [
    number,
    number,
    number,
    number,
  ];
  return {
    x: -mm(u.depthM / 2 + back),
    y: -mm(u.widthM / 2 + side),
    width: mm(u.depthM + back + front),
    height: mm(u.widthM + side + other),
  };
});
const box = computed(() => {
  const u = unit.value!;
  const left = Math.min(0, mm(u.x) - 1200);
  const right = Math.max(mm(wall.value), mm(u.x) + 1200);
  const far = Math.max(mm(u.y) + 1300, ...around.value.map((a) => mm(a.outM + a.depthM) + 100));
  return `${left - 50} -160 ${right - left + 100} ${Math.min(far, 6000) + 160}`;
});
const size = computed(() => Math.max(60, Number(box.value.split(' ')[2]) / 34));
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskGroup title="Its place" :paths="under('outdoor', 'place', 'rightM', 'upM', 'offM', 'blows')" />
      <AskGroup title="Round it">
        <AskRows path="/layout/outdoor/around" one="thing">
          <template #default="{ path }">
            <AskField
              v-for="f in ['name', 'kind', 'rightM', 'outM', 'upM', 'widthM', 'depthM', 'heightM']"
              :key="f"
              :path="`${path}/${f}`"
            />
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup title="Its disconnect" :paths="under('outdoor', 'disconnectM', 'disconnectWideM', 'handleM', 'disconnectSeen')" />
      <AskGroup title="Weather" :paths="under('outdoor', 'saltAir', 'coilProtected', 'snowM', 'edgeM')" />
    </template>
    <template v-if="unit" #picture>
      <figure data-outdoor>
        <svg :viewBox="box" role="img" aria-label="The outdoor unit from above, the room it wants dashed">
          <rect x="-10" y="-90" :width="mm(wall) + 20" height="90" class="wall" />
          <text :x="mm(wall) / 2" y="-28" :font-size="size" class="name">the wall, seen from above; the rig is behind it</text>
          <g :transform="`translate(${mm(unit.x)} ${mm(unit.y)}) rotate(${unit.yawDeg})`">
            <rect v-bind="wants" class="wants" />
            <rect :x="-mm(unit.depthM) / 2" :y="-mm(unit.widthM) / 2" :width="mm(unit.depthM)" :height="mm(unit.widthM)" class="unit" />
            <path :d="`M ${mm(unit.depthM) / 2 + 30} 0 h 240 m -70 -60 l 70 60 l -70 60`" class="blows" />
          </g>
          <g v-if="disconnect !== null">
            <rect :x="mm(disconnect) - mm(spot.disconnectWideM) / 2" y="0" :width="mm(spot.disconnectWideM)" height="70" class="box" />
            <text :x="mm(disconnect)" :y="70 + size" :font-size="size" class="name">disconnect</text>
          </g>
          <text :x="mm(unit.x)" :y="mm(unit.y) + size / 3" :font-size="size" class="on">unit</text>
          <g v-for="(a, i) in around" :key="i">
            <rect :x="mm(a.rightM)" :y="mm(a.outM)" :width="mm(a.widthM)" :height="mm(a.depthM)" class="thing" />
            <text :x="mm(a.rightM + a.widthM / 2)" :y="mm(a.outM + a.depthM) + size" :font-size="size" class="name">
              {{ a.name || a.kind }}
            </text>
          </g>
        </svg>
        <figcaption class="soft small">From above. Dashed: the room it wants; the arrow is the way it blows.</figcaption>
      </figure>
    </template>
    <template v-if="unit" #below><SheetTable name="Room at its faces" :rows="unit.faces" :columns="faces" /></template>
  </LeafLayout>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  width: 100%;
  max-height: 46vh;
  display: block;
}
.wall {
  fill: var(--rule);
  stroke: var(--ink);
  stroke-width: 6;
}
.wants {
  fill: none;
  stroke: var(--cold);
  stroke-width: 9;
  stroke-dasharray: 36 26;
}
.unit {
  fill: var(--cold);
  stroke: var(--ink);
  stroke-width: 7;
}
.box {
  fill: var(--sun);
  stroke: var(--ink);
  stroke-width: 6;
}
.blows {
  fill: none;
  stroke: var(--cold);
  stroke-width: 16;
}
.thing {
  fill: var(--ground);
  stroke: var(--ink);
  stroke-width: 6;
}
.name,
.on {
  text-anchor: middle;
  font-weight: 560;
  fill: var(--ink);
}
.on {
  fill: var(--raised);
}
</style>
