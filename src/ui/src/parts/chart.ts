import { BarChart, LineChart, ScatterChart } from 'echarts/charts';
import { GridComponent, LegendComponent, MarkAreaComponent, MarkLineComponent, PolarComponent, TooltipComponent } from 'echarts/components';
import { use } from 'echarts/core';
import { LabelLayout } from 'echarts/features';
import { CanvasRenderer } from 'echarts/renderers';
import { computed, ref } from 'vue';
import { settings } from './settings';

use([
  BarChart,
  LineChart,
  ScatterChart,
  GridComponent,
  LegendComponent,
  MarkAreaComponent,
  MarkLineComponent,
  PolarComponent,
  TooltipComponent,
  CanvasRenderer,
  LabelLayout,
]);

/** True once the lettering is there; a canvas drawn before would keep another typeface. */
const lettered = ref(false);
void document.fonts.load('16px "Atkinson Hyperlegible Next Variable"').then(() => (lettered.value = true));

/** The colours of the scheme in use; a chart that reads them follows a change. */
export const inks = computed(() => {
  void settings.scheme;
  void lettered.value;
  document.documentElement.dataset.scheme = settings.scheme;
  const style = getComputedStyle(document.documentElement);
  const read = (name: string) => style.getPropertyValue('--' + name).trim();
  return {
    ink: read('ink'),
    soft: read('soft'),
    rule: read('rule'),
    hair: read('hair'),
    ground: read('ground'),
    sheet: read('sheet'),
    heat: read('heat'),
    cold: read('cold'),
    sun: read('sun'),
    stored: read('stored'),
    fuel: read('fuel'),
    shore: read('shore'),
    pass: read('pass'),
    caution: read('caution'),
    stop: read('stop'),
  };
});

/** Text of a chart. */
export function lettering(size = 13) {
  return { fontFamily: 'Atkinson Hyperlegible Next Variable, sans-serif', fontSize: size, color: inks.value.ink };
}

/** An axis drawn as thin rules. */
export function axis(extra: object = {}) {
  return {
    axisLine: { lineStyle: { color: inks.value.rule } },
    axisTick: { show: false },
    axisLabel: { ...lettering(12.5), color: inks.value.soft },
    splitLine: { lineStyle: { color: inks.value.hair } },
    nameTextStyle: { ...lettering(12.5), color: inks.value.soft },
    ...extra,
  };
}

/** What the box under the pointer says, line by line, the first bold: text that came from a file is never read as HTML. */
export function tipText(title: string, lines: string[] = []): HTMLElement {
  const box = document.createElement('div');
  const head = document.createElement('b');
  head.textContent = title;
  box.append(head, ...lines.flatMap((line) => [document.createElement('br'), document.createTextNode(line)]));
  return box;
}

/** The box under the pointer. */
export function tip(extra: object = {}) {
  return {
    trigger: 'axis',
    backgroundColor: inks.value.sheet,
    borderColor: inks.value.ink,
    borderWidth: 1.5,
    padding: [6, 10],
    textStyle: lettering(13),
    extraCssText: 'border-radius:3px;box-shadow:none',
    axisPointer: { lineStyle: { color: inks.value.ink, width: 1.5 }, crossStyle: { color: inks.value.ink } },
    ...extra,
  };
}
