import type { EChartsCoreOption } from 'echarts/core';
import type { EnergySeries } from '../../api/generated/schema';
import { axis, inks, lettering, tip } from '../../parts/chart';
import { shown, symbolOf, toShown } from '../../parts/show';

/** What a run in time is drawn from. */
export interface EnergyPicture {
  series: EnergySeries;
  /** Where each point stands, hours. */
  at: number[];
  /** First and last hour drawn. */
  ends: [number, number];
  /** Hours that are labelled, and what a label says. */
  marks: number[];
  label: (hour: number) => string;
  /** What the box under the pointer is headed, from the hour of the series. */
  title: (hour: number) => string;
  /** Stretches of the aim. */
  windows: number[][];
  failure: number | null;
  /** Reserve of the bank; null where there is none. */
  reserve: number | null;
}

/** Every so many hours of a stretch, counted from midnight. */
export function hourMarks([first, last]: [number, number], every: number): number[] {
  const marks = [];
  for (let hour = Math.ceil(first / every) * every; hour <= last; hour += every) marks.push(hour);
  return marks;
}

/** Temperatures, powers and charge of a run, one above the other on one axis of time. */
export function energyPicture(p: EnergyPicture): EChartsCoreOption {
  const i = inks.value;
  const day = p.series;
  const battery = p.reserve !== null;
  const rows = battery ? [0, 1, 2] : [0, 1];
  const tops = battery ? ['7%', '43%', '75%'] : ['7%', '51%'];
  const heights = battery ? ['29%', '25%', '17%'] : ['37%', '40%'];
  const window = p.windows.map(([from, to]) => [{ xAxis: from }, { xAxis: to }]);
  const line = (name: string, index: number, data: (number | null)[], style: object, extra: object = {}) => ({
    name,
    type: 'line',
    xAxisIndex: index,
    yAxisIndex: index,
    showSymbol: false,
    data: p.at.map((hour, k) => [hour, data[k]]),
    lineStyle: style,
    itemStyle: { color: (style as { color: string }).color },
    ...extra,
  });
  const temperature = (v: number) => toShown(v, 'temperature');
  const temps = [...day.outdoorC, ...day.cabinC, ...day.setC].map(temperature);
  const markLine = (index: number) => ({
    silent: true,
    symbol: 'none',
    lineStyle: { color: i.caution, width: 2, type: 'solid' },
    label: { show: index === 0, formatter: p.failure === null ? '' : p.label(p.failure), ...lettering(13), fontWeight: 700 },
    data: p.failure === null ? [] : [{ xAxis: p.failure }],
  });
  const shade = { silent: true, itemStyle: { color: i.ground, opacity: 0.8 }, data: window };
  const others = day.otherSourcesW.some((w) => w > 0);
  return {
    animation: false,
    tooltip: tip({
      formatter: (ps: { dataIndex: number }[]) => {
        const k = ps[0]!.dataIndex;
        return [
          `<b>${p.title(day.hour[k]!)}</b>`,
          `cabin ${shown(day.cabinC[k]!, 'temperature')}, outdoors ${shown(day.outdoorC[k]!, 'temperature')}`,
          `unit ${shown(day.airconW[k]!, 'electricPower')}, devices ${shown(day.loadsW[k]!, 'electricPower')}`,
          `sun ${shown(day.sunW[k]!, 'electricPower')}`,
          ...(battery ? [`battery ${shown(day.soc[k]!, 'fraction')}`] : []),
        ].join('<br>');
      },
    }),
    axisPointer: { link: [{ xAxisIndex: 'all' }] },
    grid: rows.map((r) => ({ left: 52, right: 16, top: tops[r], height: heights[r] })),
    xAxis: rows.map((r) =>
      axis({
        type: 'value',
        gridIndex: r,
        min: p.ends[0],
        max: p.ends[1],
        axisTick: { show: false, customValues: p.marks },
        splitLine: { customValues: p.marks, lineStyle: { color: i.hair } },
        axisLabel: { show: r === rows.length - 1, customValues: p.marks, ...lettering(12), color: i.soft, formatter: p.label },
      }),
    ),
    yAxis: [
      axis({
        type: 'value',
        gridIndex: 0,
        min: Math.floor((Math.min(...temps) - 1.5) / 10) * 10,
        max: Math.ceil(Math.max(...temps) / 10) * 10,
        name: symbolOf('temperature'),
        nameGap: 6,
        splitNumber: 3,
      }),
      axis({ type: 'value', gridIndex: 1, min: 0, name: 'kW', nameGap: 6, splitNumber: 3 }),
      ...(battery ? [axis({ type: 'value', gridIndex: 2, min: 0, max: 100, name: '%', nameGap: 6, interval: 50 })] : []),
    ],
    series: [
      line(
        'outdoors',
        0,
        day.outdoorC.map(temperature),
        { color: i.heat, width: 2, type: [6, 4] },
        {
          markArea: {
            ...shade,
            label: { show: p.windows.length < 3, formatter: 'the aim', position: 'insideTopLeft', ...lettering(12.5), color: i.soft },
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
        { areaStyle: { color: i.sun, opacity: 0.28 }, markArea: shade, markLine: markLine(1) },
      ),
      line(
        'unit and devices',
        1,
        day.airconW.map((w, k) => (w + day.loadsW[k]!) / 1000),
        { color: i.ink, width: 2 },
      ),
      ...(others
        ? [
            line(
              'other sources',
              1,
              day.otherSourcesW.map((v) => v / 1000),
              { color: i.fuel, width: 2, type: [8, 3, 2, 3] },
            ),
          ]
        : []),
      ...(battery
        ? [
            line(
              'battery',
              2,
              day.soc.map((v) => v * 100),
              { color: i.stored, width: 2.5 },
              {
                areaStyle: { color: i.stored, opacity: 0.22 },
                markArea: shade,
                markLine: {
                  silent: true,
                  symbol: 'none',
                  lineStyle: { color: i.stop, width: 1.5, type: 'dashed' },
                  label: { formatter: 'reserve', position: 'insideStartTop', ...lettering(12), color: i.stop },
                  data: [{ yAxis: p.reserve! * 100 }],
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
        ...(others ? ['other sources'] : []),
        ...(battery ? ['battery'] : []),
      ],
    },
  };
}
