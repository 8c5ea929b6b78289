<script setup lang="ts">
import { computed } from 'vue';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import DrawnChart from '../../parts/DrawnChart.vue';
import { axis, inks, lettering, tip } from '../../parts/chart';
import { clock, symbolOf, toShown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { place, placeMore, stand, winter } from './asked';

const rig = useRig();
/** The day's air as Load takes it. */
const day = computed(() => rig.assessment!.load?.outdoorC ?? []);
const option = computed(() => ({
  animation: false,
  grid: { left: 44, right: 20, top: 26, bottom: 26 },
  tooltip: tip({ valueFormatter: (v: number) => `${v.toFixed(1)} ${symbolOf('temperature')}` }),
  xAxis: axis({ type: 'value', min: 0, max: 24, interval: 3, axisLabel: { formatter: clock, ...lettering(12), color: inks.value.soft } }),
  yAxis: axis({ type: 'value', scale: true, name: symbolOf('temperature'), nameGap: 8 }),
  series: [
    {
      name: 'outdoors on the design day',
      type: 'line',
      showSymbol: false,
      data: day.value.map((t, h) => [h + 0.5, toShown(t, 'temperature')]),
      lineStyle: { color: inks.value.heat, width: 3 },
      itemStyle: { color: inks.value.heat },
    },
  ],
}));
</script>

<template>
  <LeafLayout holds>
    <template #say>
      <AskField v-for="path in place" :key="path" :path="path" />
      <AskGroup title="More of the place" :paths="placeMore" :open="false" />
      <AskGroup title="Winter" :paths="winter" :open="false" />
      <AskGroup title="Other stands of the season" :open="rig.design!.survey.stands.length > 0">
        <AskRows path="/survey/stands" one="stand">
          <template #default="{ path }">
            <AskField :path="`${path}/from`" />
            <AskField :path="`${path}/headingDeg`" />
            <AskField v-for="f in stand" :key="f" :path="`${path}/place/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
    </template>
    <template #picture
      ><DrawnChart v-if="day.length" fill :option="option" :height="240" label="Air outdoors over the design day"
    /></template>
  </LeafLayout>
</template>
