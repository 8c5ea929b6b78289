<script setup lang="ts">
import { computed, ref } from 'vue';
import { ask, Refused, textOf, whyNot } from '../../api/client';
import type { AcUnit, Candidate, RigView } from '../../api/generated/schema';
import { fieldAt } from '../../api/description';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import DrawnChart from '../../parts/DrawnChart.vue';
import FigureRow from '../../parts/FigureRow.vue';
import VerdictBox from '../../parts/VerdictBox.vue';
import { axis, inks, lettering, tip, tipText } from '../../parts/chart';
import { say, shown, symbolOf, toShown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import StationLayout from '../StationLayout.vue';
import PullDownBox from './PullDownBox.vue';

const rig = useRig();
const unit = computed(() => rig.assessment!.unit!);
const onlyFitting = ref(false);
const own = computed(() => (rig.design!.unit.own as AcUnit[]).map((u) => ({ value: u.id, label: `${u.id} · own` })));
const kinds = new Map(fieldAt('/unit/own/0/kind').choices.map((c) => [c.value, c.label]));
const rows = computed(() =>
  [...unit.value.candidates]
    .filter((c) => !onlyFitting.value || c.level !== 'stop')
    .sort((a, b) => Math.abs(a.ratio - 1) - Math.abs(b.ratio - 1)),
);
const ownFields = [
  'id',
  'kind',
  'supplyVoltageV',
  'frequencyHz',
  'ratedCapacityW',
  'ratedPowerW',
  'minCapacityW',
  'maxCapacityW',
  'rlaA',
  'lraA',
  'fanPowerW',
  'massKg',
  'heatingW',
  'heatingLowestC',
  'noiseInDb',
  'noiseOutDb',
];
/** Noise in and out as typed; a dash where the sheet says nothing. */
function noise(c: Candidate): string {
  return c.noiseInDb === null && c.noiseOutDb === null ? '–' : `${c.noiseInDb ?? '–'} / ${c.noiseOutDb ?? '–'} dB(A)`;
}

const csvErrors = ref<string[]>([]);

async function readCsv(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  if (!file) return;
  csvErrors.value = [];
  try {
    rig.take(await ask<RigView>('POST', `/rigs/${rig.id}/units.csv`, await textOf(file)));
  } catch (e) {
    csvErrors.value = e instanceof Refused && e.errors.length ? e.errors.map((x) => x.reason) : [whyNot(e)];
  }
  input.value = '';
}

const shapes: Record<string, string> = {
  rooftopSingleSpeed: 'rect',
  railingPortable: 'triangle',
  miniSplitInverter: 'circle',
  dcNativeRooftop: 'diamond',
  dcNativeSplit: 'diamond',
  pvAssistedSplit: 'pin',
};

const chart = computed(() => ({
  animation: false,
  grid: { left: 62, right: 24, top: 26, bottom: 40 },
  tooltip: tip({
    trigger: 'item',
    formatter: (p: { data: { candidate: Candidate } }) =>
      tipText(p.data.candidate.id, [
        `${shown(p.data.candidate.capacityW, 'power')} for ${shown(p.data.candidate.powerW, 'electricPower')}`,
        `starts at ${shown(p.data.candidate.startA, 'current')}, ${shown(p.data.candidate.massKg, 'mass')}`,
      ]),
  }),
  xAxis: axis({ type: 'value', name: `draws, ${symbolOf('electricPower')}`, nameLocation: 'middle', nameGap: 24 }),
  yAxis: axis({
    type: 'value',
    name: `gives at the design heat, ${symbolOf('power')}`,
    nameLocation: 'end',
    nameGap: 10,
    nameTextStyle: { ...lettering(12.5), color: inks.value.soft, align: 'left', padding: [0, 0, 0, -50] },
  }),
  series: [
    {
      type: 'scatter',
      data: unit.value.candidates.map((c) => ({
        value: [c.powerW, toShown(c.capacityW, 'power')],
        candidate: c,
        symbol: shapes[c.kind],
        symbolSize: c.id === unit.value.chosen ? 20 : 11,
        itemStyle: {
          color:
            c.id === unit.value.chosen
              ? inks.value.ink
              : c.level === null
                ? inks.value.pass
                : c.level === 'note'
                  ? inks.value.cold
                  : c.level === 'caution'
                    ? inks.value.caution
                    : inks.value.rule,
          borderColor: inks.value.ink,
          borderWidth: 1,
        },
        label: { show: c.id === unit.value.chosen || c.level === null, formatter: c.id, position: 'top', ...lettering(12) },
      })),
      markLine: {
        silent: true,
        symbol: 'none',
        lineStyle: { color: inks.value.heat, width: 2, type: 'dashed' },
        label: { formatter: 'the load', position: 'insideEndTop', ...lettering(12.5), color: inks.value.heat },
        data: [{ yAxis: toShown(unit.value.peakW, 'power') }],
      },
    },
  ],
}));
</script>

<template>
  <StationLayout title="Unit" question="Which capacity and kind?">
    <template #say>
      <AskGroup title="Chosen">
        <AskField path="/unit/chosen" :more="own" />
        <AskField path="/unit/school" />
        <AskField path="/unit/inletRiseK" />
        <AskField path="/unit/airFlowShare" />
      </AskGroup>
      <AskGroup title="Both schools">
        <p class="soft words">
          Just enough: dry air, small inverter and battery, a slow pull-down and a warm hour in extreme weather. Oversized on purpose: fast
          pull-down and quiet low speed if it turns down; else it cycles, the evening is damp, and breaker, cable and start grow.
        </p>
      </AskGroup>
      <AskGroup title="Heads, one a zone" :open="rig.design!.unit.heads.length > 0">
        <AskRows path="/unit/heads" one="head">
          <template #default="{ path }">
            <AskField :path="`${path}/space`" />
            <AskField :path="`${path}/ratedCapacityW`" />
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup title="Own units" :open="(rig.design!.unit.own as AcUnit[]).length > 0">
        <AskRows
          path="/unit/own"
          one="own unit"
          :add="{ id: `OWN-${(rig.design!.unit.own as AcUnit[]).length + 1}`, minCapacityW: 2700, maxCapacityW: 2700, rlaA: 7.6, lraA: 40 }"
        >
          <template #default="{ path }">
            <AskField v-for="f in ownFields" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
        <p class="csv">
          <a class="button" :href="`/api/rigs/${rig.id}/units.csv`" download>save own as CSV</a>
          <a class="button" :href="`/api/rigs/${rig.id}/units.csv?catalogue=true`" download>save the catalogue</a>
          <label class="plain file">read CSV <input type="file" accept=".csv" data-csv @change="readCsv" /></label>
        </p>
        <ul v-if="csvErrors.length" class="severity-stop" role="alert">
          <li v-for="e in csvErrors" :key="e">{{ e }}</li>
        </ul>
      </AskGroup>
    </template>
    <template #see>
      <VerdictBox :verdict="unit.verdict" :findings="unit.findings" />
      <FigureRow :figures="unit.figures" />
      <DrawnChart :option="chart" :height="240" label="Candidates by power drawn and cooling at the design heat, with the load as a line" />
      <PullDownBox :pull="unit.pullDown" :schools="unit.schools" :setpoint-c="rig.design!.load.setpointC" />
      <label class="soft"><input v-model="onlyFitting" type="checkbox" /> leave out what is far too small</label>
      <div class="wide">
        <table class="sheet candidates">
          <thead>
            <tr>
              <th>unit</th>
              <th>kind</th>
              <th class="number">gives</th>
              <th class="number">draws</th>
              <th class="number">turns to</th>
              <th class="number">starts at</th>
              <th class="number">weighs</th>
              <th class="number" title="in and out, dB(A), as typed from the maker's sheet">noise</th>
              <th>verdict</th>
              <th><span class="shown-to-readers">choose</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="c in rows" :key="c.id" :class="{ chosen: c.id === unit.chosen }" :data-unit="c.id">
              <td>
                <b>{{ c.id }}</b>
              </td>
              <td>{{ kinds.get(c.kind) }}</td>
              <td class="number">{{ shown(c.capacityW, 'power') }}</td>
              <td class="number">{{ shown(c.powerW, 'electricPower') }}</td>
              <td class="number">{{ c.lowestW < c.capacityW * 0.99 ? shown(c.lowestW, 'power') : '–' }}</td>
              <td class="number">{{ shown(c.startA, 'current') }}</td>
              <td class="number">{{ shown(c.massKg, 'mass') }}</td>
              <td class="number">{{ noise(c) }}</td>
              <td :class="c.level ? 'severity-' + c.level : 'fits'">{{ say(c.words) }}</td>
              <td>
                <button
                  v-if="c.id !== unit.chosen"
                  type="button"
                  class="plain"
                  :aria-label="`Choose ${c.id}`"
                  @click="rig.set('/unit/chosen', c.id)"
                >
                  choose
                </button>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
  </StationLayout>
</template>

<style scoped>
.csv {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 8px;
}
.csv .plain {
  text-decoration: none;
}
.words {
  font-size: 13.5px;
}
.wide {
  overflow-x: auto;
}
.candidates {
  font-size: 13.5px;
}
.candidates button {
  padding: 3px 8px;
}
.candidates td {
  white-space: nowrap;
}
.candidates td:nth-child(2),
.candidates td:nth-child(9) {
  white-space: normal;
}
.chosen td {
  background: var(--ground);
}
.fits {
  color: var(--pass);
}
</style>
