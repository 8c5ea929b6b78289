<script setup lang="ts">
import { computed } from 'vue';
import type { CutPart, DrilledHole, JoinPart } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import PaperLink from '../../parts/PaperLink.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';

/** What the workshop takes along: drawing, cut list with bars, holes, bolts and welds, and the drill template. */
const rig = useRig();
const mount = computed(() => rig.assessment?.mount ?? null);
const shop = computed(() => mount.value?.workshop);
const wall = computed(() => rig.assessment?.layout?.wall ?? null);
const file = (path: string) => `/api/rigs/${rig.id}/${path}`;
const one = (v: number) => v.toFixed(1);
const parts: SheetColumn<CutPart>[] = [
  { key: 'label', label: '', text: (p) => p.label, width: 44 },
  { key: 'count', label: 'count', number: true, text: (p) => String(p.count) },
  { key: 'what', label: 'part', text: (p) => p.what, wide: true },
  { key: 'profile', label: 'profile', text: (p) => p.profile, width: 160 },
  { key: 'long', label: 'long point, mm', number: true, text: (p) => one(p.longMm) },
  {
    key: 'cut',
    label: 'cuts',
    text: (p) => (p.firstDeg + p.secondDeg > 0 ? `${one(p.firstDeg)}° / ${one(p.secondDeg)}°` : 'square'),
    width: 130,
  },
];
const bars = computed(() =>
  Object.entries(shop.value?.stock ?? {}).flatMap(([profile, plan]) =>
    plan.bars.map((b) => ({ profile, pieces: b.piecesMm.map(one).join(' + '), left: Math.round(b.leftMm), proved: plan.proved })),
  ),
);
const stock: SheetColumn<{ profile: string; pieces: string; left: number }>[] = [
  { key: 'profile', label: 'a bar of', text: (b) => b.profile, width: 160 },
  { key: 'pieces', label: 'pieces, mm', text: (b) => b.pieces, wide: true },
  { key: 'left', label: 'left, mm', number: true, text: (b) => String(b.left) },
];
const joins: SheetColumn<JoinPart>[] = [
  { key: 'what', label: 'bolts and welds', text: (j) => j.what, wide: true },
  { key: 'count', label: 'count', number: true, text: (j) => String(j.count) },
  { key: 'note', label: '', text: (j) => j.note, width: 150 },
];
const holes: SheetColumn<DrilledHole>[] = [
  { key: 'part', label: 'holes in', text: (h) => h.part, width: 80 },
  { key: 'number', label: 'no.', number: true, text: (h) => String(h.number) },
  { key: 'x', label: 'right, mm', number: true, text: (h) => one(h.x) },
  { key: 'y', label: 'up, mm', number: true, text: (h) => one(h.y) },
  { key: 'drill', label: 'drill, mm', number: true, text: (h) => one(h.drillMm) },
  { key: 'purpose', label: '', text: (h) => h.purpose, wide: true },
];
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskGroup v-if="bars.length" title="Stock">
        <AskField path="/mount/stockM" />
        <AskField path="/mount/kerfM" />
      </AskGroup>
      <section class="take" aria-label="Papers to take along">
        <h2>Take along</h2>
        <PaperLink :href="file('mount/papers.pdf')" kind="PDF" paper="pdf">Drawing and lists</PaperLink>
        <PaperLink :href="file('mount/drawing.dxf')" kind="DXF" paper="dxf">Drawing for the shop</PaperLink>
        <PaperLink :href="file('mount/drawing.svg')" kind="SVG" paper="svg" file="mount.svg">Drawing</PaperLink>
        <template v-if="wall">
          <PaperLink :href="file('layout/template.pdf?paper=a4')" kind="A4, 1:1" paper="template">Drill template, inside</PaperLink>
          <PaperLink :href="file('layout/template.pdf?paper=a4&outside=true')" kind="A4, 1:1">Drill template, outside</PaperLink>
          <PaperLink :href="file('layout/template.pdf?paper=letter')" kind="Letter, 1:1">Drill template, inside</PaperLink>
          <p class="soft small">
            Printed at 100 %: both bars must measure 100 mm. Off by more than half a millimetre, print again; bars that differ mean that the
            printer stretches: then measure by tape.
          </p>
        </template>
      </section>
    </template>
    <template v-if="mount" #picture>
      <img
        class="drawing"
        :src="`${file('mount/drawing.svg')}?at=${rig.revision}`"
        alt="The mount in three views with its dimensions in millimetres"
        data-drawing
      />
    </template>
    <template v-if="shop" #below>
      <div v-if="mount!.putUp.length" class="pair" data-put-up>
        <section
          v-for="list in [
            { title: 'Put up', steps: mount!.putUp },
            { title: 'Take down', steps: mount!.takeDown },
          ]"
          :key="list.title"
        >
          <h2>{{ list.title }}</h2>
          <ol>
            <li v-for="s in list.steps" :key="s">{{ s }}</li>
          </ol>
        </section>
      </div>
      <SheetTable v-if="shop.parts.length" name="Cut list" :rows="shop.parts" :columns="parts" copies />
      <div class="pair">
        <SheetTable v-if="bars.length" name="Bars" :rows="bars" :columns="stock" copies />
        <SheetTable v-if="shop.joins.length" name="Bolts and welds" :rows="shop.joins" :columns="joins" copies />
      </div>
      <SheetTable v-if="shop.holes.length" name="Holes" :rows="shop.holes" :columns="holes" copies />
      <p v-if="shop.holes.length" class="soft small">
        Holes are measured from the lower left corner of the finished part; lengths are over the long points. Unknown cables, gas, fuel and
        water lines: look on both sides, pilot by hand.
      </p>
    </template>
  </LeafLayout>
</template>

<style scoped>
.take {
  display: grid;
  gap: 0.4rem;
}
h2 {
  font-size: 0.95rem;
  margin: 0.4rem 0 0;
}
.drawing {
  display: block;
  width: 100%;
  max-height: 52vh;
  background: #fff;
  border: 1px solid var(--hair);
}
</style>
