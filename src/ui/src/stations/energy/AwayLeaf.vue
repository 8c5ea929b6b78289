<script setup lang="ts">
import { computed } from 'vue';
import type { AwayRow, AwayView, Verdict } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { say, shown } from '../../parts/show';
import { useStudy } from '../../parts/study';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { useLeafSays } from '../said';

/** Nobody aboard: ways to leave the unit by its clock, what each keeps and takes; the one that is taken stands on the owner's guide. */
const rig = useRig();
const { study: view, fault } = useStudy<AwayView>('nobody-aboard');
const own = useLeafSays();
const asked = computed(() => rig.design!.energy.away.asked);
const verdict = computed<Verdict>(() =>
  asked.value || !view.value ? own.value : { state: 'open', headline: view.value.answer, detail: { template: '', measures: [] } },
);
const asks = ['mostC', 'mostRhPct', 'days', 'winter', 'asked'];
const runs = computed(() => rig.design!.energy.away.runs);
const set = computed(() => (runs.value ? ['runs', 'setC', 'from', 'to'] : ['runs']));
const columns: SheetColumn<AwayRow>[] = [
  { key: 'words', label: 'the unit', text: (r) => say(r.words) + (r.holds ? '' : `: ${r.says}`), width: 112 },
  { key: 'warmest', label: 'warmest', number: true, text: (r) => shown(r.warmestC, 'temperature'), width: 72 },
  { key: 'takes', label: 'takes a day', number: true, text: (r) => shown(r.whADay, 'energy'), width: 78 },
  { key: 'take', label: '', width: 98 },
  { key: 'humid', label: 'humidity', number: true, text: (r) => shown(r.meanRhPct, 'percent') },
  { key: 'runs', label: 'runs a day', number: true, text: (r) => shown(r.runHours, 'hours') },
  {
    key: 'charge',
    label: 'lowest charge',
    number: true,
    text: (r) => (r.lowestSoc === null ? '–' : r.emptyDay ? `reserve on day ${r.emptyDay}` : shown(r.lowestSoc!, 'fraction')),
  },
];
</script>

<template>
  <LeafLayout :verdict="verdict">
    <template #say>
      <AskField v-for="f in asks" :key="f" :path="`/energy/away/${f}`" />
      <template v-if="asked">
        <AskField v-for="f in set" :key="f" :path="`/energy/away/${f}`" />
      </template>
      <p class="soft">Nobody is in it: covers closed, only what runs round the clock switched on.</p>
    </template>
    <template #picture>
      <p v-if="fault && !view" class="severity-stop" role="alert">{{ fault }}</p>
      <el-skeleton v-if="!view && !fault" :rows="6" />
      <SheetTable
        v-if="view"
        name="Nobody aboard"
        :rows="view.rows"
        :columns="columns"
        :row-class="(r) => (r.holds ? 'holds' : 'fails')"
        copies
        data-away
      >
        <template #take="{ row }">
          <button type="button" class="plain take" :aria-label="`set it so: ${say(row.words)}`" @click="rig.apply(row.way.changes)">
            set it so
          </button>
        </template>
      </SheetTable>
    </template>
  </LeafLayout>
</template>

<style scoped>
.take {
  padding: 2px 10px;
  white-space: nowrap;
}
:deep(.fails) {
  color: var(--soft);
}
</style>
