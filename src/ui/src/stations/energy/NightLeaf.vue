<script setup lang="ts">
import { computed } from 'vue';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import DrawnChart from '../../parts/DrawnChart.vue';
import { clock } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { energyPicture, hourMarks } from './picture';

const rig = useRig();
const energy = computed(() => rig.assessment!.energy!);

/** Hours since the day began, so that midnight does not break the lines. */
const since = (hour: number) => (hour - rig.design!.energy.startHour + 24) % 24;
const clockOf = (x: number) => clock(rig.design!.energy.startHour + x);

const picture = computed(() => {
  const design = rig.design!.energy;
  const from = since(design.from);
  const to = since(design.to) || 24;
  return energyPicture({
    series: energy.value.series,
    at: energy.value.series.hour.map(since),
    ends: [0, 24],
    marks: hourMarks([0, 24], 3),
    label: clockOf,
    title: clock,
    windows: from < to ? [[from, to]] : [[from, 24], [0, to]], // prettier-ignore
    failure: energy.value.failureHour === null ? null : since(energy.value.failureHour),
    reserve: energy.value.hasBattery ? rig.design!.start.reserveSoc : null,
  });
});
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskGroup title="The aim" :paths="['/energy/setpointC', '/energy/from', '/energy/to', '/energy/otherwiseC', '/start/reserveSoc']" />
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
      <AskGroup
        title="How it is run"
        :paths="['/energy/ecoSoc', '/energy/ecoRiseK', '/energy/preCoolK', '/energy/powerCapW', '/energy/stopAtReserve']"
        :open="false"
      >
        <AskRows path="/energy/setpoints" one="set-point">
          <template #default="{ path }">
            <AskField v-for="f in ['from', 'to', 'setpointC', 'dry']" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
    </template>
    <template #picture>
      <DrawnChart fill :option="picture" :height="280" label="Cabin, sun, load and battery over a day and a night" />
    </template>
  </LeafLayout>
</template>
