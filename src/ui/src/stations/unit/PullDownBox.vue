<script setup lang="ts">
import { computed } from 'vue';
import type { PullDownView, SchoolSize } from '../../api/generated/schema';
import DrawnChart from '../../parts/DrawnChart.vue';
import { axis, inks, lettering, tip } from '../../parts/chart';
import { shown, symbolOf, toShown } from '../../parts/show';

/** From closed up in the sun to the set-point with the chosen unit; and what each school would take. */
const props = defineProps<{ pull: PullDownView; schools: SchoolSize[]; setpointC: number }>();
const words: Record<string, string> = { justEnough: 'just enough', oversizedOnPurpose: 'oversized on purpose' };
const minutes = (m: number | null) =>
  m === null ? `not in ${shown(props.pull.limitMinutes / 60, 'hours')}` : m < 100 ? `${m} min` : shown(m / 60, 'hours');
const option = computed(() => ({
  animation: false,
  grid: { left: 40, right: 12, top: 18, bottom: 38 },
  tooltip: tip({ valueFormatter: (v: number) => `${v.toFixed(1)} ${symbolOf('temperature')}` }),
  xAxis: axis({
    type: 'value',
    min: 0,
    max: Math.max(30, props.pull.airC.length * props.pull.stepMinutes),
    name: 'minutes after the start',
    nameLocation: 'middle',
    nameGap: 24,
  }),
  yAxis: axis({ type: 'value', scale: true, name: symbolOf('temperature'), nameGap: 4, splitNumber: 3 }),
  series: [
    {
      type: 'line',
      showSymbol: false,
      data: [
        [0, toShown(props.pull.startC, 'temperature')],
        ...props.pull.airC.map((t, i) => [(i + 1) * props.pull.stepMinutes, toShown(t, 'temperature')]),
      ],
      lineStyle: { color: inks.value.cold, width: 3 },
      markLine: {
        silent: true,
        symbol: 'none',
        lineStyle: { color: inks.value.cold, type: 'dotted', width: 2 },
        label: { formatter: 'set-point', position: 'insideStartTop', ...lettering(12), color: inks.value.cold },
        data: [{ yAxis: toShown(props.setpointC, 'temperature') }],
      },
    },
  ],
}));
</script>

<template>
  <div class="pair">
    <section data-pull>
      <h2>From closed up in the sun</h2>
      <DrawnChart :option="option" :height="170" :label="`Set-point reached after ${minutes(pull.minutes)}`" />
      <p class="soft">
        <b>{{ minutes(pull.minutes) }}</b> from {{ shown(pull.startC, 'temperature') }}; the contents then still stand at
        {{ shown(pull.massC, 'temperature') }}, the air at {{ shown(pull.humidityPct, 'percent') }} humidity.
      </p>
    </section>
    <section>
      <h2>What each school would take</h2>
      <table class="sheet" data-schools>
        <tbody>
          <tr v-for="s in schools" :key="s.school">
            <td>
              <b>{{ words[s.school] }}</b><br />{{ s.id }}, {{ shown(s.ratio, 'fraction') }} of the need
            </td>
            <td>
              {{ minutes(s.pullDownMinutes) }} to cool down; {{ s.hoursBelowMin }} h of the day below its lowest
              {{ shown(s.lowestW, 'power') }}; {{ shown(s.eveningRhPct, 'percent') }} in the evening; starts at
              {{ shown(s.startA, 'current') }}; {{ shown(s.massKg, 'mass') }}
            </td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 22px;
  margin: 6px 0 10px;
}
</style>
