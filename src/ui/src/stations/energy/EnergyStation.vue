<script setup lang="ts">
import { computed } from 'vue';
import AskGroup from '../../parts/AskGroup.vue';
import DrawnChart from '../../parts/DrawnChart.vue';
import FigureRow from '../../parts/FigureRow.vue';
import VerdictBox from '../../parts/VerdictBox.vue';
import { axis, inks, lettering, tip } from '../../parts/chart';
import { clock, shown, symbolOf, toShown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import HandBudget from './HandBudget.vue';
import StationLayout from '../StationLayout.vue';

const rig = useRig();
const energy = computed(() => rig.assessment!.energy!);
const points = computed(() => energy.value.points);

/** Hours since the day began, so that midnight does not break the lines. */
const since = (hour: number) => (hour - rig.design!.energy.startHour + 24) % 24;
const clockOf = (x: number) => clock(rig.design!.energy.startHour + x);

const picture = computed(() => {
  const i = inks.value;
  const design = rig.design!.energy;
  const pts = points.value;
  const rows = energy.value.hasBattery ? [0, 1, 2] : [0, 1];
  const tops = energy.value.hasBattery ? [22, 168, 294] : [22, 190];
  const heights = energy.value.hasBattery ? [118, 104, 74] : [140, 150];
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
    data: pts.map((p, k) => [since(p.hour), data[k]]),
    lineStyle: style,
    itemStyle: { color: (style as { color: string }).color },
    ...extra,
  });
  const temperature = (v: number) => toShown(v, 'temperature');
  const temps = pts.flatMap((p) => [p.outdoorC, p.cabinC, p.setC]).map(temperature);
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
        const p = pts[ps[0]!.dataIndex]!;
        return `<b>${clock(p.hour)}</b><br>cabin ${shown(p.cabinC, 'temperature')}, outdoors ${shown(p.outdoorC, 'temperature')}<br>unit ${shown(p.airconW, 'electricPower')}, devices ${shown(p.loadsW, 'electricPower')}<br>sun ${shown(p.sunW, 'electricPower')}${energy.value.hasBattery ? `<br>battery ${shown(p.soc, 'fraction')}` : ''}`;
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
        pts.map((p) => temperature(p.outdoorC)),
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
      line(
        'at most',
        0,
        pts.map((p) => temperature(p.setC)),
        { color: i.soft, width: 1.5, type: [2, 3] },
        { step: 'middle' },
      ),
      line(
        'cabin',
        0,
        pts.map((p) => temperature(p.cabinC)),
        { color: i.cold, width: 3 },
      ),
      line(
        'sun',
        1,
        pts.map((p) => p.sunW / 1000),
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
        pts.map((p) => (p.airconW + p.loadsW) / 1000),
        { color: i.ink, width: 2 },
      ),
      line(
        'other sources',
        1,
        pts.map((p) => p.otherSourcesW / 1000),
        { color: i.fuel, width: 2, type: [8, 3, 2, 3] },
      ),
      ...(energy.value.hasBattery
        ? [
            line(
              'battery',
              2,
              pts.map((p) => p.soc * 100),
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
        ...(points.value.some((p) => p.otherSourcesW > 0) ? ['other sources'] : []),
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
      <FigureRow :figures="energy.figures" />
      <DrawnChart :option="picture" :height="energy.hasBattery ? 396 : 372" label="Cabin, sun, load and battery over a day and a night" />
      <HandBudget :budget="energy.budget" />
    </template>
  </StationLayout>
</template>
