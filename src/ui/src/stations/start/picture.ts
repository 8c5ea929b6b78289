import type { EChartsCoreOption } from 'echarts/core';
import type { MeasuredMoment, StartAssessment } from '../../api/generated/schema';
import { axis, inks, lettering, tip, tipText } from '../../parts/chart';

const volts = ['volts at the compressor', 'battery volts'];
/** A start that lasts longer than this is told in seconds. */
const longS = 5;

/** Current over the start against what the source bears, with volts and, where a battery feeds it, the battery under it on the same axis of time. */
export function startPicture(start: StartAssessment, measured: MeasuredMoment[]): EChartsCoreOption {
  const i = inks.value;
  const { trace } = start;
  const battery = trace.batteryV.length > 0;
  const end = Math.max(0.3, trace.seconds.at(-1) ?? 1);
  const long = end > longS;
  const at = (data: number[]) => trace.seconds.map((t, k) => [t, data[k]]);
  const bears = start.bearing.filter((b) => b.seconds <= end * 1.5).map((b) => [b.seconds, b.currentA]);
  const lower = { top: '72%', bottom: 40 };
  const names = (top: number | string, data: string[]) => ({ top, right: 54, textStyle: lettering(12.5), itemHeight: 8, data });
  const below = (name: string, data: number[], color: string, type: string, yAxisIndex = 1) => ({
    name,
    type: 'line',
    xAxisIndex: 1,
    yAxisIndex,
    data: at(data),
    showSymbol: false,
    lineStyle: { color, width: 2, type },
    itemStyle: { color },
  });
  const time = { type: 'value', min: 0, max: Number(end.toFixed(2)) };
  return {
    animation: false,
    grid: [
      { left: 50, right: 54, top: 28, bottom: '36%' },
      { left: 50, right: 54, ...lower },
    ],
    axisPointer: { link: [{ xAxisIndex: 'all' }] },
    tooltip: tip({
      formatter: (ps: { seriesName: string; value: number[]; axisIndex: number }[]) => {
        const t = ps[0]?.value[0] ?? 0;
        return tipText(
          long ? `${t.toFixed(0)} s` : `${(t * 1000).toFixed(0)} ms`,
          ps.map((p) => `${p.seriesName} ${p.value[1]!.toFixed(1)} ${volts.includes(p.seriesName) ? 'V' : 'A'}`),
        );
      },
    }),
    xAxis: [
      axis({ ...time, axisLabel: { show: false } }),
      axis({ ...time, gridIndex: 1, name: 'seconds', nameLocation: 'middle', nameGap: 22 }),
    ],
    yAxis: [
      axis({ type: 'value', name: 'A', min: 0 }),
      axis({ type: 'value', gridIndex: 1, name: 'V', min: 0, splitNumber: 2, nameGap: 4 }),
      axis({
        type: 'value',
        gridIndex: 1,
        show: battery,
        position: 'right',
        name: 'A',
        min: 0,
        splitNumber: 2,
        nameGap: 4,
        splitLine: { show: false },
      }),
    ],
    series: [
      {
        name: 'the source bears',
        type: 'line',
        data: bears,
        showSymbol: false,
        lineStyle: { color: i.stop, width: 2.5, type: [8, 4] },
        itemStyle: { color: i.stop },
        markLine: {
          silent: true,
          symbol: 'none',
          lineStyle: { color: i.rule, width: 1, type: 'solid' },
          data:
            start.neighboursA > 0
              ? [
                  {
                    yAxis: start.neighboursA,
                    label: { formatter: 'on beside it', position: 'insideStartTop', ...lettering(12), color: i.soft },
                  },
                ]
              : [],
        },
      },
      {
        name: 'all on this source',
        type: 'line',
        data: at(trace.sourceA),
        showSymbol: false,
        lineStyle: { color: i.ink, width: 3 },
        itemStyle: { color: i.ink },
        areaStyle: { color: i.ink, opacity: 0.07 },
      },
      {
        name: 'the compressor',
        type: 'line',
        data: at(trace.compressorA),
        showSymbol: false,
        lineStyle: { color: i.cold, width: 2, type: 'dotted' },
        itemStyle: { color: i.cold },
      },
      ...(measured.length
        ? [
            {
              name: 'measured',
              type: 'line',
              data: measured.map((m) => [m.afterMs / 1000, m.currentA]),
              showSymbol: false,
              lineStyle: { color: i.heat, width: 2, type: [10, 3, 2, 3] },
              itemStyle: { color: i.heat },
            },
          ]
        : []),
      below('volts at the compressor', trace.volts, i.ink, 'solid'),
      ...(battery
        ? [below('battery volts', trace.batteryV, i.stored, 'dashed'), below('battery amperes', trace.batteryA, i.heat, 'dotted', 2)]
        : []),
    ],
    legend: [
      names(0, ['all on this source', 'the compressor', 'the source bears', ...(measured.length ? ['measured'] : [])]),
      names('65%', ['volts at the compressor', ...(battery ? ['battery volts', 'battery amperes'] : [])]),
    ],
  };
}
