<script setup lang="ts">
import { computed } from 'vue';
import type { EnergyYearResult, Verdict } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import DrawnChart from '../../parts/DrawnChart.vue';
import RunBar from '../../parts/RunBar.vue';
import { useLongRun } from '../../parts/longRun';
import { axis, inks, lettering, tip } from '../../parts/chart';
import { shown } from '../../parts/show';
import { worstOf } from '../../run/place';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';

/** The year as a strip of weeks: lowest charge, hours too warm, what the sun leaves over. */
const rig = useRig();
const { result: year, busy, place, error, stale, run, cancel } = useLongRun<EnergyYearResult>('energy-year');
const verdict = computed<Verdict>(() => ({
  state: year.value ? worstOf(year.value.findings) : 'open',
  headline: year.value?.answer ?? { template: 'Run the year to see what becomes of the bank week by week.', measures: [] },
  detail: { template: '', measures: [] },
}));
const fields = computed(() => [
  '/energy/setpointC',
  '/energy/from',
  '/energy/to',
  '/start/reserveSoc',
  ...(battery.value ? ['/survey/sources/battery/blocks'] : []),
  '/survey/sources/modules/count',
  '/survey/climate/seed',
]);

const battery = computed(() => rig.design!.survey.sources.battery.fitted);
const option = computed(() => {
  const i = inks.value;
  const weeks = year.value!.weeks;
  const bars = (name: string, index: number, data: number[], color: string, stack?: string) => ({
    name,
    type: 'bar',
    stack,
    xAxisIndex: index,
    yAxisIndex: index,
    barCategoryGap: '12%',
    silent: true,
    emphasis: { disabled: true },
    data,
    itemStyle: { color },
  });
  const strip = (index: number, last: boolean) =>
    axis({
      type: 'category',
      gridIndex: index,
      data: weeks.map((w) => w.number),
      axisLabel: { show: last, ...lettering(12), color: i.soft, interval: 3 },
      name: last ? 'week' : '',
      nameLocation: 'middle',
      nameGap: 22,
    });
  return {
    animation: false,
    tooltip: tip({
      formatter: (ps: { dataIndex: number }[]) => {
        const w = weeks[ps[0]!.dataIndex]!;
        return [
          `<b>week ${w.number}</b>`,
          ...(battery.value ? [`lowest charge ${shown(w.minSoc, 'fraction')}`] : []),
          `${shown(w.warmHours, 'hours')} too warm, ${shown(w.withoutUnitHours, 'hours')} without the unit`,
          `unit ${w.airconKWh.toFixed(1)} kWh, sun ${w.sunKWh.toFixed(1)} kWh, ${w.unusedKWh.toFixed(1)} without a taker`,
        ].join('<br>');
      },
    }),
    axisPointer: { link: [{ xAxisIndex: 'all' }] },
    grid: [
      { left: 52, right: 16, top: '9%', height: '23%' },
      { left: 52, right: 16, top: '40%', height: '17%' },
      { left: 52, right: 16, top: '65%', height: '22%' },
    ],
    xAxis: [strip(0, false), strip(1, false), strip(2, true)],
    yAxis: [
      axis({ type: 'value', gridIndex: 0, min: 0, max: 100, name: '% lowest', nameGap: 6, interval: 50 }),
      axis({ type: 'value', gridIndex: 1, min: 0, name: 'h too warm', nameGap: 6, splitNumber: 2 }),
      axis({ type: 'value', gridIndex: 2, min: 0, name: 'kWh', nameGap: 6, splitNumber: 2 }),
    ],
    legend: { top: 0, right: 12, textStyle: lettering(12.5), itemHeight: 8, data: ['sun used', 'sun without a taker', 'other sources'] },
    series: [
      bars(
        'lowest charge',
        0,
        weeks.map((w) => (battery.value ? 100 * w.minSoc : 0)),
        i.stored,
      ),
      bars(
        'too warm',
        1,
        weeks.map((w) => w.warmHours),
        i.heat,
      ),
      bars(
        'sun used',
        2,
        weeks.map((w) => w.sunKWh - w.unusedKWh),
        i.sun,
        'from',
      ),
      bars(
        'sun without a taker',
        2,
        weeks.map((w) => w.unusedKWh),
        i.rule,
        'from',
      ),
      bars(
        'other sources',
        2,
        weeks.map((w) => w.otherSourcesKWh),
        i.fuel,
        'from',
      ),
    ],
  };
});
</script>

<template>
  <LeafLayout :verdict="verdict" :findings="year?.findings ?? []">
    <template #say>
      <AskField v-for="f in fields" :key="f" :path="f" />
    </template>
    <template #act>
      <div data-year>
        <RunBar words="run the year" :busy="busy" :place="place" :error="error" :stale="stale" @run="run" @stop="cancel" />
        <p v-if="year">
          The sun gives <b>{{ shown(year.sunKWh * 1000, 'energy') }}</b> of which {{ shown(year.unusedKWh * 1000, 'energy') }} find no
          taker.
          <template v-if="year.generatorHours > 0"
            >The generator runs {{ shown(year.generatorHours, 'hours') }} and burns {{ shown(year.fuelLitres, 'fuel') }}.
          </template>
          <template v-if="battery">The bank goes round {{ year.cycles.toFixed(0) }} times.</template>
          <span class="soft"> Weather: {{ year.weather }}.</span>
        </p>
      </div>
    </template>
    <template #picture>
      <DrawnChart
        v-if="year"
        fill
        :option="option"
        :height="260"
        label="Lowest charge, hours too warm and energy of each week of the year"
      />
      <el-empty
        v-else
        :image-size="0"
        description="Cabin, sun, bank and unit run together through the weather of a year; each week then stands here as a bar."
      />
    </template>
  </LeafLayout>
</template>
