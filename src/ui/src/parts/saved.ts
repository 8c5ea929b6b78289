import { init, use, type EChartsCoreOption } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { ElMessage } from 'element-plus';
import 'element-plus/es/components/message/style/css';

/** Gives the person a file. */
export function download(name: string, data: BlobPart, type: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([data], { type }));
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 1000);
}

const fileName = (label: string, ending: string) => label.replace(/[^\p{L}\d]+/gu, '-').slice(0, 60) + '.' + ending;

/** A chart as it stands, drawn once more as vectors, or as dots of twice the size. */
export async function savePicture(
  option: EChartsCoreOption,
  label: string,
  vectors: boolean,
  width: number,
  height: number,
): Promise<void> {
  use([SVGRenderer]);
  const holder = document.createElement('div');
  const chart = init(holder, null, { renderer: vectors ? 'svg' : 'canvas', width, height, devicePixelRatio: 2 });
  const paper = getComputedStyle(document.documentElement).getPropertyValue('--sheet').trim();
  chart.setOption({ ...option, animation: false, backgroundColor: paper });
  if (vectors) download(fileName(label, 'svg'), chart.renderToSVGString(), 'image/svg+xml');
  else {
    const canvas = chart.renderToCanvas({ pixelRatio: 2 });
    const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve));
    if (blob) download(fileName(label, 'png'), blob, 'image/png');
  }
  chart.dispose();
  ElMessage({ message: 'saved', duration: 1500 });
}

interface Series {
  name?: string;
  data?: unknown[];
}

/** The numbers of a chart, a row a point: series, place, value. */
export function saveNumbers(option: EChartsCoreOption, label: string): void {
  const axis = [option.xAxis].flat()[0] as { data?: unknown[] } | undefined;
  const rows = [option.series].flat().flatMap((s) => {
    const { name, data } = s as Series;
    return (data ?? []).map((d, i) => {
      const value = d !== null && typeof d === 'object' && !Array.isArray(d) ? (d as { value: unknown }).value : d;
      return [name ?? label, ...(Array.isArray(value) ? value : [axis?.data?.[i] ?? i, value])];
    });
  });
  const cell = (v: unknown) => (/[",\n]/.test(String(v)) ? `"${String(v).replaceAll('"', '""')}"` : String(v));
  download(fileName(label, 'csv'), [['series', 'x', 'y'], ...rows].map((r) => r.map(cell).join(',')).join('\r\n') + '\r\n', 'text/csv');
  ElMessage({ message: 'saved', duration: 1500 });
}
