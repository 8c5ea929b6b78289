<script setup lang="ts">
import { computed } from 'vue';
import type { TakeOffLine } from '../../api/generated/schema';
import PaperLink from '../../parts/PaperLink.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import SingleLinePicture from './SingleLinePicture.vue';

/** What is printed, bought, cut and stuck on. */
const rig = useRig();
const wiring = computed(() => rig.assessment?.wiring ?? null);
const file = (path: string) => `/api/rigs/${rig.id}/wiring/${path}`;
const lines: SheetColumn<TakeOffLine>[] = [
  { key: 'what', label: 'to buy or cut', text: (l) => l.what, wide: true },
  { key: 'amount', label: 'amount', text: (l) => l.amount, width: 210 },
  { key: 'for', label: 'asked by', text: (l) => l.for },
];
</script>

<template>
  <LeafLayout>
    <template #say>
      <section class="take" aria-label="Papers to take along">
        <h2>Take along</h2>
        <PaperLink :href="file('papers.pdf')" kind="PDF" paper="pdf">Schedule, line, tests, labels</PaperLink>
        <PaperLink :href="file('line.svg')" kind="SVG" paper="svg" file="single-line.svg">Single line</PaperLink>
      </section>
      <p class="soft small">
        Before the covers: gland on the cable before the cover, interconnect through the wall before the head is hung, both terminals
        measured before the whip is bought, a photograph of every block.
      </p>
    </template>
    <template v-if="wiring" #picture>
      <SingleLinePicture :line="wiring.picture" />
      <section>
        <h2>Labels</h2>
        <div class="labels">
          <p v-for="l in wiring.breakerLabels" :key="l.join()">
            <b>{{ l[0] }}</b>
            <span v-for="t in l.slice(1)" :key="t">{{ t }}</span>
          </p>
        </div>
      </section>
    </template>
    <template v-if="wiring" #below>
      <SheetTable name="Take-off" :rows="wiring.takeOff" :columns="lines" copies />
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
  margin: 0.4rem 0 0.3rem;
}
.labels {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.labels p {
  display: grid;
  border: 2px solid var(--ink);
  border-radius: 3px;
  padding: 6px 12px;
  margin: 0;
  background: var(--raised);
}
</style>
