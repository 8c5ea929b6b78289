<script setup lang="ts">
import { computed } from 'vue';
import AskField from '../../parts/AskField.vue';
import DrawnChart from '../../parts/DrawnChart.vue';
import { axis, inks, lettering, tip } from '../../parts/chart';
import { shown, symbolOf, toShown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { minutes } from './words';

/** From closed up in the sun to the set-point with the chosen unit. */
const rig = useRig();
const pull = computed(() => rig.assessment!.unit!.pullDown);
const fields = ['/unit/chosen', '/unit/airFlowShare', '/load/setpointC', '/survey/place/dryBulbC'];
const option = computed(() => ({
  animation: false,
  grid: { left: 40, right: 12, top: 18, bottom: 38 },
  tooltip: tip({ valueFormatter: (v: number) => `${v.toFixed(1)} ${symbolOf('temperature')}` }),
  xAxis: axis({
    type: 'value',
    min: 0,
    max: Math.max(30, pull.value.airC.length * pull.value.stepMinutes),
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
        [0, toShown(pull.value.startC, 'temperature')],
        ...pull.value.airC.map((t, i) => [(i + 1) * pull.value.stepMinutes, toShown(t, 'temperature')]),
      ],
      lineStyle: { color: inks.value.cold, width: 3 },
      markLine: {
        silent: true,
        symbol: 'none',
        lineStyle: { color: inks.value.cold, type: 'dotted', width: 2 },
        label: { formatter: 'set-point', position: 'insideStartTop', ...lettering(12), color: inks.value.cold },
        data: [{ yAxis: toShown(rig.design!.load.setpointC, 'temperature') }],
      },
    },
  ],
}));
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskField v-for="f in fields" :key="f" :path="f" />
      <p class="soft small">The unit is switched on at the hottest hour, with the rig soaked by the sun since morning.</p>
    </template>
    <template #act>
      <p class="soft" data-pull>
        <b>{{ minutes(pull) }}</b> from {{ shown(pull.startC, 'temperature') }}; the contents then still stand at
        {{ shown(pull.massC, 'temperature') }}, the air at {{ shown(pull.humidityPct, 'percent') }} humidity.
      </p>
    </template>
    <template #picture>
      <DrawnChart fill :option="option" :height="220" :label="`Set-point reached after ${minutes(pull)}`" />
    </template>
  </LeafLayout>
</template>
