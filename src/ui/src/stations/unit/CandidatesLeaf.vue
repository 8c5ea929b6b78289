<script setup lang="ts">
import { computed, ref } from 'vue';
import type { AcUnit, Candidate } from '../../api/generated/schema';
import { fieldAt } from '../../api/description';
import AskField from '../../parts/AskField.vue';
import DrawnChart from '../../parts/DrawnChart.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { axis, inks, lettering, tip, tipText } from '../../parts/chart';
import { say, shown, symbolOf, toShown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import OwnUnits from './OwnUnits.vue';

const rig = useRig();
const unit = computed(() => rig.assessment!.unit!);
const onlyFitting = ref(true);
const own = computed(() => (rig.design!.unit.own as AcUnit[]).map((u) => ({ value: u.id, label: `${u.id} · own` })));
const kinds = new Map(fieldAt('/unit/own/0/kind').choices.map((c) => [c.value, c.label]));
const rows = computed(() =>
  [...unit.value.candidates]
    .filter((c) => !onlyFitting.value || c.level !== 'stop' || c.id === unit.value.chosen)
    .sort((a, b) => Math.abs(a.ratio - 1) - Math.abs(b.ratio - 1)),
);

/** Noise in and out as typed; a dash where the sheet says nothing. */
function noise(c: Candidate): string {
  return c.noiseInDb === null && c.noiseOutDb === null ? '–' : `${c.noiseInDb ?? '–'} / ${c.noiseOutDb ?? '–'} dB(A)`;
}

const columns: SheetColumn<Candidate>[] = [
  { key: 'name', label: 'unit', text: (c) => c.name, sort: (c) => c.name, width: 176 },
  { key: 'gives', label: 'gives', number: true, text: (c) => shown(c.capacityW, 'power'), sort: (c) => c.capacityW },
  { key: 'draws', label: 'draws', number: true, text: (c) => shown(c.powerW, 'electricPower'), sort: (c) => c.powerW },
  {
    key: 'lowest',
    label: 'turns to',
    number: true,
    text: (c) => (c.lowestW < c.capacityW * 0.99 ? shown(c.lowestW, 'power') : '–'),
    sort: (c) => c.lowestW,
  },
  { key: 'start', label: 'starts at', number: true, text: (c) => shown(c.startA, 'current'), sort: (c) => c.startA },
  { key: 'mass', label: 'weighs', number: true, text: (c) => shown(c.massKg, 'mass'), sort: (c) => c.massKg },
  { key: 'noise', label: 'noise', number: true, text: noise },
  { key: 'verdict', label: 'verdict', text: (c) => say(c.words), wide: true },
  { key: 'choose', label: '' },
];

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
      tipText(p.data.candidate.name, [
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
      labelLayout: { hideOverlap: true },
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
        label: { show: c.id === unit.value.chosen || c.level === null, formatter: c.name, position: 'top', ...lettering(12) },
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
  <LeafLayout>
    <template #say>
      <AskField path="/unit/chosen" :more="own" />
      <AskField path="/unit/school" />
      <p class="soft small">
        Just enough: dry air, small inverter and battery, a slow pull-down and a warm hour in extreme weather. Oversized on purpose: fast
        pull-down and quiet low speed if it turns down; else it cycles, the evening is damp, and breaker, cable and start grow.
      </p>
      <OwnUnits />
    </template>
    <template #picture>
      <DrawnChart
        fill
        :option="chart"
        :height="220"
        label="Candidates by power drawn and cooling at the design heat, with the load as a line"
      />
    </template>
    <template #below>
      <div>
        <el-checkbox v-model="onlyFitting">leave out what is far too small or far too large</el-checkbox>
        <SheetTable name="Candidates" :rows="rows" :columns="columns" :row-class="(c) => (c.id === unit.chosen ? 'chosen' : '')" copies>
          <template #name="{ row }">
            <span :data-unit="row.id"
              ><b>{{ row.name }}</b
              ><br /><small class="soft">{{ row.id === row.name ? '' : row.id + ', ' }}{{ kinds.get(row.kind) }}</small></span
            >
          </template>
          <template #verdict="{ row }">
            <span :class="row.level ? 'severity-' + row.level : 'severity-pass'">{{ say(row.words) }}</span>
          </template>
          <template #choose="{ row }">
            <button
              v-if="row.id !== unit.chosen"
              type="button"
              class="plain"
              :aria-label="`Choose ${row.name}`"
              @click="rig.set('/unit/chosen', row.id)"
            >
              choose
            </button>
          </template>
        </SheetTable>
      </div>
    </template>
  </LeafLayout>
</template>
