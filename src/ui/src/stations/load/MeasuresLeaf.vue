<script setup lang="ts">
import { computed } from 'vue';
import type { LoadMeasure } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { say, shown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';

/** What would buy most, and any of them tried together without counting a saving twice. */
const rig = useRig();
const load = computed(() => rig.assessment!.load!);
const hours = (m: { nightHours: number; allNight: boolean }) =>
  m.allNight ? 'all night' : `${m.nightHours < 0 ? '−' : '+'}${Math.abs(m.nightHours).toFixed(1)} h`;
const costs = (m: { cost: number }) => (m.cost > 0 ? 'about ' + Math.round(m.cost / 10) * 10 + ' €' : '–');
const weighs = (m: { massKg: number }) => (m.massKg > 0 ? shown(m.massKg, 'mass') : '–');

/** The measures, and all that are tried together as a last line. */
type Line = LoadMeasure & { all?: boolean };
const rows = computed<Line[]>(() => {
  const together = load.value.together;
  return together
    ? [...load.value.measures, { ...together, id: 'together', words: { template: '', measures: [] }, tried: true, all: true } as Line]
    : load.value.measures;
});

const columns: SheetColumn<Line>[] = [
  { key: 'words', label: 'measure', text: (m) => (m.all ? 'together' : say(m.words)), wide: true },
  { key: 'peak', label: 'peak', number: true, text: (m) => shown(m.peakChangeW, 'power'), sort: (m) => m.peakChangeW },
  { key: 'day', label: 'a day', number: true, text: (m) => shown(m.dayChangeWh, 'heatEnergy'), sort: (m) => m.dayChangeWh },
  { key: 'night', label: 'night lasts', number: true, text: hours, sort: (m) => m.nightHours },
  { key: 'mass', label: 'weighs', number: true, text: weighs, sort: (m) => m.massKg },
  { key: 'cost', label: 'costs', number: true, text: costs, sort: (m) => m.cost },
  { key: 'take', label: '' },
];

function tryIt(measure: LoadMeasure): void {
  const tried = load.value.measures.filter((m) => (m.id === measure.id ? !m.tried : m.tried)).map((m) => m.id);
  void rig.set('/load/trying', tried.join(','));
}

function take(measure: LoadMeasure): void {
  if (measure.changes.length) void rig.apply(measure.changes);
}
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskField v-for="f in ['/load/setpointC', '/survey/place/dryBulbC', '/survey/headingDeg']" :key="f" :path="f" />
      <p class="soft small">Tick several to see what they bring together: no saving is counted twice.</p>
    </template>
    <template #picture>
      <SheetTable name="What would buy most" :rows="rows" :columns="columns" :row-class="(m) => (m.all ? 'together' : '')" copies>
        <template #words="{ row }">
          <span v-if="row.all" data-together>
            <b>{{ load.together!.ids.length }} together</b>
            <span class="soft"> (one by one {{ shown(load.together!.sumOfPeaksW, 'power') }})</span>
          </span>
          <span v-else :data-measure="row.id">
            <el-checkbox :model-value="row.tried" :aria-label="`Try ${say(row.words)} with the others`" @change="tryIt(row)">{{
              say(row.words)
            }}</el-checkbox>
          </span>
        </template>
        <template #peak="{ row }">
          <b>{{ shown(row.peakChangeW, 'power') }}</b>
        </template>
        <template #take="{ row }">
          <button
            type="button"
            class="plain"
            :disabled="row.changes.length === 0"
            :aria-label="row.all ? 'take all' : `take it: ${say(row.words)}`"
            @click="take(row)"
          >
            {{ row.all ? 'take all' : 'take it' }}
          </button>
        </template>
      </SheetTable>
    </template>
    <template #below>
      <p class="soft small">Weights and costs are rough. “Night lasts”: how much longer the same cooling carries the night.</p>
    </template>
  </LeafLayout>
</template>

<style scoped>
:deep(.together td.el-table__cell) {
  border-top: 2px solid var(--ink);
}
</style>
