<script setup lang="ts">
import { computed } from 'vue';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import DrawnChart from '../../parts/DrawnChart.vue';
import FigureRow from '../../parts/FigureRow.vue';
import JumpRow from '../../parts/JumpRow.vue';
import VerdictBox from '../../parts/VerdictBox.vue';
import { axis, inks, lettering, tip } from '../../parts/chart';
import { clock, shown, symbolOf, toShown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import ArrayBox from './ArrayBox.vue';
import HandBudget from './HandBudget.vue';
import LimitedBox from './LimitedBox.vue';
import OptionsBox from './OptionsBox.vue';
import YearBox from './YearBox.vue';
import SizingBox from './SizingBox.vue';
import StationLayout from '../StationLayout.vue';

const rig = useRig();
const energy = computed(() => rig.assessment!.energy!);
const series = computed(() => energy.value.series);

const further = computed(() => [
  ...(energy.value.hasBattery ? [{ words: 'the smallest kit', at: 'data-sizing' }] : []),
  { words: 'roof and strings', at: 'data-array' },
  { words: 'the year', at: 'data-year' },
  { words: 'by hand', at: 'data-budget' },
  { words: 'limited power', at: 'data-limited' },
  { words: 'options', at: 'data-options' },
]);

/** Hours since the day began, so that midnight does not break the lines. */
const since = (hour: number) => (hour - rig.design!.energy.startHour + 24) % 24;
const clockOf = (x: number) => clock(rig.design!.energy.startHour + x);

const picture = computed(() => {
  const i = inks.value;
  const design = rig.design!.energy;
  const day = series.value;
  const rows = energy.value.hasBattery ? [0, 1, 2] : [0, 1];
  const tops = energy.value.hasBattery ? [22, 152, 266] : [22, 190];
  const heights = energy.value.hasBattery ? [104, 90, 64] : [140, 150];
  const from = since(design.from);
  const to = since(design.to) || 24;
  const window =
    from < to
      ? [[{ xAxis: from }, { xAxis: to }]]
      : [
          [{ xAxis: from }, { xAxis: 24 }],
          [{ xAxis: 0 }, { xAxis: to }],
        ];
  const line = (name: string, index: number, data: (number | null)[], style: object, extra: object = {}) => ({
    name,
    type: 'line',
    xAxisIndex: index,
    yAxisIndex: index,
    showSymbol: false,
    data: day.hour.map((hour, k) => [since(hour), data[k]]),
    lineStyle: style,
    itemStyle: { color: (style as { color: string }).color },
    ...extra,
  });
  const temperature = (v: number) => toShown(v, 'temperature');
  const temps = [...day.outdoorC, ...day.cabinC, ...day.setC].map(temperature);
  const failure = energy.value.failureHour === null ? [] : [{ xAxis: since(energy.value.failureHour) }];
  const markLine = (index: number) => ({
    silent: true,
    symbol: 'none',
    lineStyle: { color: i.caution, width: 2, type: 'solid' },
    label: {
      show: index === 0,
      formatter: energy.value.failureHour === null ? '' : clock(energy.value.failureHour),
      ...lettering(13),
      fontWeight: 700,
    },
    data: failure,
  });
  return {
    animation: false,
    tooltip: tip({
      formatter: (ps: { dataIndex: number }[]) => {
        const k = ps[0]!.dataIndex;
        return `<b>${clock(day.hour[k]!)}</b><br>cabin ${shown(day.cabinC[k]!, 'temperature')}, outdoors ${shown(day.outdoorC[k]!, 'temperature')}<br>unit ${shown(day.airconW[k]!, 'electricPower')}, devices ${shown(day.loadsW[k]!, 'electricPower')}<br>sun ${shown(day.sunW[k]!, 'electricPower')}${energy.value.hasBattery ? `<br>battery ${shown(day.soc[k]!, 'fraction')}` : ''}`;
      },
    }),
    axisPointer: { link: [{ xAxisIndex: 'all' }] },
    grid: rows.map((r) => ({ left: 52, right: 16, top: tops[r], height: heights[r] })),
    xAxis: rows.map((r) =>
      axis({
        type: 'value',
        gridIndex: r,
        min: 0,
        max: 24,
        interval: 3,
        axisLabel: { show: r === rows.length - 1, ...lettering(12), color: i.soft, formatter: clockOf },
      }),
    ),
    yAxis: [
      axis({
        type: 'value',
        gridIndex: 0,
        min: Math.floor((Math.min(...temps) - 1.5) / 5) * 5,
        max: Math.ceil(Math.max(...temps) / 5) * 5,
        name: symbolOf('temperature'),
        nameGap: 6,
        splitNumber: 3,
      }),
      axis({ type: 'value', gridIndex: 1, min: 0, name: 'kW', nameGap: 6, splitNumber: 3 }),
      ...(energy.value.hasBattery ? [axis({ type: 'value', gridIndex: 2, min: 0, max: 100, name: '%', nameGap: 6, interval: 50 })] : []),
    ],
    series: [
      line(
        'outdoors',
        0,
        day.outdoorC.map(temperature),
        { color: i.heat, width: 2, type: [6, 4] },
        {
          markArea: {
            silent: true,
            itemStyle: { color: i.ground, opacity: 0.8 },
            label: { show: true, formatter: 'the aim', position: 'insideTopLeft', ...lettering(12.5), color: i.soft },
            data: window,
          },
          markLine: markLine(0),
        },
      ),
      line('at most', 0, day.setC.map(temperature), { color: i.soft, width: 1.5, type: [2, 3] }, { step: 'middle' }),
      line('cabin', 0, day.cabinC.map(temperature), { color: i.cold, width: 3 }),
      line(
        'sun',
        1,
        day.sunW.map((v) => v / 1000),
        { color: i.sun, width: 2 },
        {
          areaStyle: { color: i.sun, opacity: 0.28 },
          markArea: { silent: true, itemStyle: { color: i.ground, opacity: 0.8 }, data: window },
          markLine: markLine(1),
        },
      ),
      line(
        'unit and devices',
        1,
        day.airconW.map((w, k) => (w + day.loadsW[k]!) / 1000),
        { color: i.ink, width: 2 },
      ),
      ...(day.otherSourcesW.some((w) => w > 0)
        ? [
            line(
              'other sources',
              1,
              day.otherSourcesW.map((v) => v / 1000),
              { color: i.fuel, width: 2, type: [8, 3, 2, 3] },
            ),
          ]
        : []),
      ...(energy.value.hasBattery
        ? [
            line(
              'battery',
              2,
              day.soc.map((v) => v * 100),
              { color: i.stored, width: 2.5 },
              {
                areaStyle: { color: i.stored, opacity: 0.22 },
                markArea: { silent: true, itemStyle: { color: i.ground, opacity: 0.8 }, data: window },
                markLine: {
                  silent: true,
                  symbol: 'none',
                  lineStyle: { color: i.stop, width: 1.5, type: 'dashed' },
                  label: { formatter: 'reserve', position: 'insideStartTop', ...lettering(12), color: i.stop },
                  data: [{ yAxis: rig.design!.start.reserveSoc * 100 }],
                },
              },
            ),
          ]
        : []),
    ],
    legend: {
      top: 0,
      right: 12,
      textStyle: lettering(12.5),
      itemHeight: 8,
      data: [
        'outdoors',
        'cabin',
        'at most',
        'sun',
        'unit and devices',
        ...(day.otherSourcesW.some((w) => w > 0) ? ['other sources'] : []),
        ...(energy.value.hasBattery ? ['battery'] : []),
      ],
    },
  };
});
</script>

<template>
  <StationLayout title="Energy" question="Will it last the night?">
    <template #say>
      <AskGroup title="The aim" :paths="['/energy/holdC', '/energy/from', '/energy/to', '/energy/otherwiseC', '/start/reserveSoc']" />
      <AskGroup title="How the day begins" :paths="['/energy/startHour', '/energy/startSoc']" />
      <AskGroup
        title="How it is run"
        :paths="['/energy/ecoSoc', '/energy/ecoRiseK', '/energy/preCoolK', '/energy/powerCapW', '/energy/stopAtReserve']"
        :open="false"
      >
        <AskRows path="/energy/setpoints" one="set-point">
          <template #default="{ path }">
            <AskField v-for="f in ['from', 'to', 'holdC', 'dry']" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup
        v-if="rig.design!.survey.sources.battery.fitted"
        title="Stored"
        :paths="['/survey/sources/battery/blocks', '/survey/sources/battery/blockAh', '/survey/sources/battery/capacityLeft']"
      />
      <AskGroup
        title="Sun"
        :paths="['/survey/sources/modules/count', '/survey/sources/modules/ratedW', '/survey/sources/modules/mounting']"
      />
    </template>
    <template #see>
      <VerdictBox :verdict="energy.verdict" :findings="energy.findings" />
      <JumpRow :to="further" />
      <FigureRow :figures="energy.figures" />
      <DrawnChart :option="picture" :height="energy.hasBattery ? 356 : 372" label="Cabin, sun, load and battery over a day and a night" />
      <SizingBox v-if="energy.hasBattery" />
      <ArrayBox :array="energy.array" />
      <YearBox />
      <HandBudget :budget="energy.budget" />
      <LimitedBox />
      <OptionsBox />
    </template>
  </StationLayout>
</template>
