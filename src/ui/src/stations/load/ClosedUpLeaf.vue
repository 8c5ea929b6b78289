<script setup lang="ts">
import { computed } from 'vue';
import AskField from '../../parts/AskField.vue';
import DrawnChart from '../../parts/DrawnChart.vue';
import { axis, inks, lettering, tip } from '../../parts/chart';
import { clock, shown, symbolOf, toShown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';

/** Closed up in the sun: how hot it gets, and how long it stays safe once the unit stops. */
const rig = useRig();
const load = computed(() => rig.assessment!.load!);
const soak = computed(() => load.value.soak);
const fields = ['/survey/place/dryBulbC', '/load/setpointC', '/survey/headingDeg', '/survey/space/airChangesPerHour', '/survey/roof/paint'];
const option = computed(() => ({
  animation: false,
  grid: { left: 40, right: 10, top: 22, bottom: 24 },
  tooltip: tip({ valueFormatter: (v: number) => `${v.toFixed(1)} ${symbolOf('temperature')}` }),
  xAxis: axis({ type: 'value', min: 0, max: 24, interval: 6, axisLabel: { formatter: clock, ...lettering(12), color: inks.value.soft } }),
  yAxis: axis({ type: 'value', scale: true, name: symbolOf('temperature'), nameGap: 6, splitNumber: 3 }),
  legend: { top: 0, right: 4, itemHeight: 8, textStyle: lettering(12) },
  series: [
    {
      name: 'closed up',
      type: 'line',
      showSymbol: false,
      data: soak.value.airC.map((t, i) => [(i + 1) / 2, toShown(t, 'temperature')]),
      lineStyle: { color: inks.value.heat, width: 3 },
      itemStyle: { color: inks.value.heat },
      markLine: {
        silent: true,
        symbol: 'none',
        lineStyle: { color: inks.value.cold, type: 'dotted', width: 2 },
        label: { formatter: 'set-point', position: 'insideStartTop', ...lettering(12), color: inks.value.cold },
        data: [{ yAxis: toShown(rig.design!.load.setpointC, 'temperature') }],
      },
    },
    {
      name: 'outdoors',
      type: 'line',
      showSymbol: false,
      data: load.value.outdoorC.map((t, h) => [h + 0.5, toShown(t, 'temperature')]),
      lineStyle: { color: inks.value.heat, width: 1.5, type: [6, 4] },
      itemStyle: { color: inks.value.heat },
    },
  ],
}));
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskField v-for="f in fields" :key="f" :path="f" />
      <p class="soft small">
        Nobody in, nothing on, windows shut. Count on the shortest time: convection inside with the fan off is not known.
      </p>
    </template>
    <template #act>
      <p data-soak>
        <span class="soft">Once the unit stops at the hottest hour, count on no more than:</span>
        <span v-for="h in soak.hold" :key="h.limitC" class="hold"
          ><b>{{ h.minutes === null ? `not in ${shown(soak.limitMinutes / 60, 'hours')}` : h.minutes + ' min' }}</b> to
          {{ shown(h.limitC, 'temperature')
          }}<small v-if="h.minutes !== null && h.longest !== h.minutes">
            ({{ h.longest === null ? 'at best never' : `at best ${h.longest}` }})</small
          ></span
        >
      </p>
    </template>
    <template #picture>
      <DrawnChart fill :option="option" :height="220" :label="`Closed up it reaches ${shown(soak.peakC, 'temperature')}`" />
    </template>
  </LeafLayout>
</template>

<style scoped>
p {
  margin-bottom: 8px;
}
.hold {
  display: inline-block;
  margin-left: 12px;
}
</style>
