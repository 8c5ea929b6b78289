<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { EnergyYearResult } from '../../api/generated/schema';
import DrawnChart from '../../parts/DrawnChart.vue';
import { useLongRun, waits } from '../../parts/longRun';
import { axis, inks, lettering, tip } from '../../parts/chart';
import { say, shown } from '../../parts/show';
import { useRig } from '../../stores/rig';

/** The year as a strip of weeks: lowest charge, hours too warm, what the sun leaves over. */
const rig = useRig();
const stale = ref(false);
const { result: year, busy, place, error, run: ask } = useLongRun<EnergyYearResult>();

async function run(): Promise<void> {
  if (await ask(`/rigs/${rig.id}/energy-year`)) stale.value = false;
}

watch(
  () => rig.revision,
  () => (stale.value = true),
);

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
      { left: 52, right: 16, top: 26, height: 70 },
      { left: 52, right: 16, top: 120, height: 50 },
      { left: 52, right: 16, top: 194, height: 70 },
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
  <section class="year" data-year>
    <h2>The year, week by week</h2>
    <p class="row">
      <button type="button" class="plain" :disabled="busy" @click="run">{{ busy ? 'running the year' : 'run the year' }}</button>
      <span v-if="place" class="soft" role="status">{{ waits(place) }}</span>
      <span v-if="year && stale && !busy" class="soft">The rig has changed since; run it again.</span>
    </p>
    <p v-if="error" class="severity-stop" role="alert">{{ error }}</p>
    <template v-if="year">
      <p>
        The unit takes <b>{{ shown(year.airconKWh * 1000, 'energy') }}</b>, the sun gives
        <b>{{ shown(year.sunKWh * 1000, 'energy') }}</b> of which {{ shown(year.unusedKWh * 1000, 'energy') }} find no taker.
        <template v-if="year.generatorHours > 0"
          >The generator runs {{ shown(year.generatorHours, 'hours') }} and burns {{ shown(year.fuelLitres, 'fuel') }}.
        </template>
        <template v-if="battery">The bank goes round {{ year.cycles.toFixed(0) }} times.</template>
        <span class="soft"> Weather: {{ year.weather }}.</span>
      </p>
      <p v-for="f in year.findings" :key="f.code">
        <b :class="'severity-' + f.level">{{ f.level }}</b> {{ say(f.words) }}
      </p>
      <DrawnChart :option="option" :height="304" label="Lowest charge, hours too warm and energy of each week of the year" />
    </template>
  </section>
</template>

<style scoped>
.year {
  margin-top: 16px;
}
.row {
  display: flex;
  gap: 10px;
  align-items: center;
  margin: 4px 0 8px;
}
</style>
