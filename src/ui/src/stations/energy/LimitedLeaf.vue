<script setup lang="ts">
import { computed } from 'vue';
import type { DegreeRow, LimitedPowerView, ShedRow, Verdict } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { clock, say, shown } from '../../parts/show';
import { useProposal } from '../../parts/proposal';
import { useStudy } from '../../parts/study';
import { worstOf } from '../../run/place';
import LeafLayout from '../LeafLayout.vue';

/** Running on limited power: what a degree costs, what cooling ahead buys, what is switched off first. */
const { study: view, fault } = useStudy<LimitedPowerView>('limited-power');
const { refused, propose } = useProposal();
const verdict = computed<Verdict>(() => ({
  state: view.value ? worstOf(view.value.findings) : 'open',
  headline: view.value?.answer ?? { template: 'What a degree costs is being run.', measures: [] },
  detail: { template: '', measures: [] },
}));

/** Hours in a row as from and to. */
function hours(of: number[]): string {
  const runs: number[][] = [];
  for (const h of of) {
    const last = runs.at(-1);
    if (last && last[1] === h) last[1] = h + 1;
    else runs.push([h, h + 1]);
  }
  return runs.map(([from, to]) => `${clock(from!)} to ${clock(to!)}`).join(', ');
}

const moved = (k: number) => (k === 0 ? 'as it is set' : `${shown(Math.abs(k), 'temperatureDifference')} ${k > 0 ? 'warmer' : 'cooler'}`);

const degrees: SheetColumn<DegreeRow>[] = [
  { key: 'kelvin', label: 'all set-points', text: (d) => moved(d.kelvin), wide: true },
  { key: 'takes', label: 'unit takes', number: true, text: (d) => shown(d.airconWh, 'energy') },
  {
    key: 'change',
    label: 'change',
    number: true,
    text: (d) => (d.kelvin === 0 ? '' : (d.differenceWh > 0 ? '+' : '−') + shown(Math.abs(d.differenceWh), 'energy')),
  },
  { key: 'charge', label: 'lowest charge', number: true, text: (d) => (d.minSoc === null ? '–' : shown(d.minSoc, 'fraction')) },
];
type Shed = ShedRow & { place: number };
const shed = computed<Shed[]>(() => (view.value?.rows ?? []).map((r, place) => ({ ...r, place })));
const shedding = computed<SheetColumn<Shed>[]>(() => [
  { key: 'words', label: 'next off', text: (r) => say(r.words), wide: true },
  { key: 'turn', label: '' },
  { key: 'saved', label: 'spared in all', number: true, text: (r) => shown(r.savedWh, 'energy') },
  ...(shed.value.some((r) => r.minSoc !== null)
    ? [{ key: 'charge', label: 'lowest charge', number: true, text: (r: Shed) => (r.minSoc === null ? '–' : shown(r.minSoc, 'fraction')) }]
    : []),
]);
</script>

<template>
  <LeafLayout :verdict="verdict" :findings="view?.findings ?? []">
    <template #say>
      <AskField
        v-for="f in [
          '/energy/setpointC',
          '/energy/from',
          '/energy/to',
          '/energy/powerCapW',
          '/energy/preCoolK',
          '/energy/ecoSoc',
          '/energy/ecoRiseK',
        ]"
        :key="f"
        :path="f"
      />
    </template>
    <template #picture>
      <p v-if="refused || (fault && !view)" class="severity-stop" role="alert">{{ refused || fault }}</p>
      <el-skeleton v-if="!view && !fault" :rows="6" />
      <div v-if="view" class="pair" data-limited>
        <section data-shed>
          <h2>Switch off in this order</h2>
          <SheetTable name="Switch off in this order" :rows="shed" :columns="shedding" copies>
            <template #turn="{ row }">
              <button
                v-if="row.place > 0 && row.device !== null"
                type="button"
                class="plain up"
                :aria-label="`${say(row.words)} one earlier`"
                title="one earlier"
                @click="propose('shed-earlier', { row: row.device })"
              >
                ↑
              </button>
            </template>
          </SheetTable>
          <p class="soft small">Never: {{ view.never }}. After power returns wait three minutes; start one compressor at a time.</p>
        </section>
        <section>
          <h2>What a degree costs</h2>
          <SheetTable name="What a degree costs" :rows="view.degrees" :columns="degrees" />
          <p class="soft small">
            By the quick estimate, loss × hours over the unit's yield, a degree costs {{ shown(view.quickWh, 'energy') }} a day.
          </p>
        </section>
      </div>
    </template>
    <template #below>
      <div v-if="view" class="told">
        <p>
          Cooling {{ shown(view.preCoolK, 'temperatureDifference') }} ahead lets the unit rest {{ shown(view.preCool.restH, 'hours') }} at
          dusk and takes {{ shown(view.preCoolDrawnWh, 'energy') }} by day:
          <b>{{ view.worthIt ? 'the sun without a taker covers it.' : 'without surplus sun it costs more than it saves.' }}</b>
        </p>
        <p v-if="view.drift">
          Half a degree warmer each hour after midnight spares <b>{{ shown(view.drift.savedWh, 'energy') }}</b> and ends at
          {{ shown(view.drift.warmestC, 'temperature') }}: people notice the stop, not the drift.
        </p>
        <p v-if="view.fanHours.length">
          The fan alone does it in {{ view.fanHours.length }} hours of the design day ({{ hours(view.fanHours) }}): the air outdoors is
          cooler and drier.
        </p>
        <p v-if="view.belowLowestHours > 1">
          For {{ shown(view.belowLowestHours, 'hours') }} the load is below the unit's lowest steady cooling. Where the air is damp, let it
          run on at its lowest: set-points of their own, dry.
        </p>
        <details>
          <summary>the usual order of the trade</summary>
          <ol>
            <li v-for="s in view.shed" :key="s">{{ s }}</li>
          </ol>
        </details>
      </div>
    </template>
  </LeafLayout>
</template>

<style scoped>
.up {
  padding: 2px 10px;
}
.told p {
  margin-bottom: 6px;
}
summary {
  cursor: pointer;
  color: var(--soft);
  padding: 6px 0;
}
ol {
  margin: 4px 0 6px;
  padding-left: 22px;
}
</style>
