<script setup lang="ts">
import type { EChartsCoreOption } from 'echarts/core';
import { computed, ref } from 'vue';
import type { TrendSeries } from '../../api/generated/schema';
import { axis, inks, lettering } from '../../parts/chart';
import DrawnChart from '../../parts/DrawnChart.vue';
import RecordForm from '../../parts/RecordForm.vue';
import { useRecords } from '../../parts/records';
import { say, symbolOf, toShown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { useLeafSays } from '../said';

/** Each quantity against this rig's own normal, and the sum that tells a drift from a bad day. */
const rig = useRig();
const series = computed(() => rig.assessment!.service!.trends);
const chosen = ref('');
const shownSeries = computed<TrendSeries | null>(
  () => series.value.find((s) => s.id === chosen.value) ?? series.value.find((s) => s.level) ?? series.value[0] ?? null,
);
const records = useRecords('trend');
const verdict = useLeafSays();
const asks = ['day', 'ranMin', 'outdoorC', 'splitK', 'runA', 'runV', 'startA', 'usableWh'];
const picture = computed<EChartsCoreOption>(() => {
  const i = inks.value;
  const s = shownSeries.value!;
  const at = (v: number | null) => (v === null ? null : toShown(v, s.quantity));
  const steady = s.points.filter((p) => p.steady);
  const sums = steady.filter((p) => p.z !== null);
  const line = (name: string, data: unknown[], color: string, type: string, axisIndex: number) => ({
    name,
    type: 'line',
    showSymbol: false,
    silent: true,
    xAxisIndex: axisIndex,
    yAxisIndex: axisIndex,
    data,
    lineStyle: { color, width: 2, type },
    itemStyle: { color },
  });
  return {
    animation: false,
    legend: { top: 0, right: 10, textStyle: lettering(12.5), data: ['read', 'normal here', 'sum up', 'sum down'] },
    grid: [
      { left: 52, right: 16, top: 30, height: '43%' },
      { left: 52, right: 16, bottom: 34, height: '22%' },
    ],
    xAxis: [
      axis({ type: 'time', gridIndex: 0, min: s.points[0]?.day, max: s.points.at(-1)?.day, axisLabel: { ...lettering(12) } }),
      axis({ type: 'time', gridIndex: 1, min: s.points[0]?.day, max: s.points.at(-1)?.day, axisLabel: { ...lettering(12) } }),
    ],
    yAxis: [
      axis({ type: 'value', scale: true, gridIndex: 0, name: symbolOf(s.quantity) }),
      axis({
        type: 'value',
        gridIndex: 1,
        name: 'sum',
        min: 0,
        max: (v: { max: number }) => Math.ceil(Math.max(v.max, (s.limit ?? 1) * 1.2)),
      }),
    ],
    series: [
      line(
        'normal here',
        steady.filter((p) => p.expected !== null).map((p) => [p.day, at(p.expected)]),
        i.soft,
        'dashed',
        0,
      ),
      {
        name: 'read',
        type: 'scatter',
        symbolSize: 9,
        itemStyle: { color: i.cold },
        data: s.points.map((p) => ({
          value: [p.day, at(p.value)],
          itemStyle: { color: p.steady ? (p.ofBaseline ? i.soft : i.cold) : i.ground, borderColor: i.cold, borderWidth: 2 },
        })),
      },
      {
        ...line(
          'sum up',
          sums.map((p) => [p.day, p.up]),
          i.heat,
          'solid',
          1,
        ),
      },
      {
        ...line(
          'sum down',
          sums.map((p) => [p.day, p.down]),
          i.cold,
          'solid',
          1,
        ),
        markLine: {
          silent: true,
          symbol: 'none',
          lineStyle: { color: i.stop, width: 1.5, type: 'solid' },
          label: { position: 'insideEndTop', formatter: 'drift', ...lettering(12) },
          data: s.limit === null ? [] : [{ yAxis: s.limit }],
        },
      },
    ],
  };
});
</script>

<template>
  <LeafLayout :verdict="verdict">
    <template #say>
      <RecordForm :of="records" :asks="asks" title="Write a reading down" />
      <p class="soft">
        It counts after a quarter of an hour of running. Eight readings make a baseline; until then the newest is held against the first.
      </p>
    </template>
    <template v-if="series.length" #act>
      <p class="units" role="group" aria-label="Quantity">
        <button
          v-for="s in series"
          :key="s.id"
          type="button"
          class="unit"
          :aria-pressed="s.id === shownSeries?.id"
          :data-series="s.id"
          @click="chosen = s.id"
        >
          {{ s.level ? '▲ ' : '' }}{{ s.name }}
        </button>
      </p>
      <p v-if="shownSeries" data-series-says>
        {{ say(shownSeries.words) }}
        <span v-if="shownSeries.wolfReadings" class="soft"
          >Without any drift it cries wolf once in about {{ Math.round(shownSeries.wolfReadings / 10) * 10 }} readings.</span
        >
      </p>
    </template>
    <template v-if="shownSeries && shownSeries.points.length" #picture>
      <DrawnChart
        fill
        :option="picture"
        :height="300"
        :label="`${shownSeries.name} over the years, with what is normal here and the sums of drift`"
      />
    </template>
  </LeafLayout>
</template>

<style scoped src="../../parts/reading.css"></style>
