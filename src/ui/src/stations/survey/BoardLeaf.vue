<script setup lang="ts">
import { computed } from 'vue';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import { shown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import SourcePick from './SourcePick.vue';
import { sources } from './asked';

const rig = useRig();
const survey = computed(() => rig.design!.survey);
const asked = computed(() => sources(survey.value));

/** What feeds what, left to right; each with its rating. */
const chain = computed(() => {
  const s = survey.value.sources;
  return [
    { name: 'sun', on: s.modules.count > 0, words: `${s.modules.count} × ${shown(s.modules.ratedW, 'electricPower')}`, ink: 'sun' },
    { name: 'battery', on: s.battery.fitted, words: `${s.battery.blocks} × ${shown(s.battery.blockAh, 'charge')}`, ink: 'stored' },
    {
      name: 'inverter',
      on: s.inverter.fitted,
      words: `${shown(s.inverter.ratedW, 'electricPower')}, ${shown(s.inverter.outputV, 'voltage')}`,
      ink: 'ink',
    },
    { name: 'generator', on: s.generator.fitted, words: `${shown(s.generator.ratedW, 'electricPower')}`, ink: 'fuel' },
    {
      name: 'shore',
      on: s.shore.pluggedIn,
      words: `${shown(s.shore.volts, 'voltage')}, ${shown(s.shore.breakerA, 'current')}`,
      ink: 'shore',
    },
  ];
});
</script>

<template>
  <LeafLayout holds>
    <template #say>
      <AskGroup title="Battery bank" :paths="asked.battery" />
      <AskGroup title="Inverter" :paths="asked.inverter">
        <SourcePick group="inverter" />
      </AskGroup>
      <AskGroup
        v-if="survey.sources.inverter.fitted"
        title="Inverter, as its maker describes it"
        :paths="['/survey/sources/inverter/labelVa', '/survey/sources/inverter/peakW']"
        :open="false"
      >
        <AskRows path="/survey/sources/inverter/surge" one="point that it bears">
          <template #default="{ path }">
            <AskField v-for="f in ['powerW', 'seconds']" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
        <AskRows path="/survey/sources/inverter/efficiency" one="point of its efficiency">
          <template #default="{ path }">
            <AskField v-for="f in ['powerW', 'efficiency']" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup title="Solar modules" :paths="asked.modules" />
      <AskGroup title="Charging while driving" :paths="asked.alternator" :open="false" />
      <AskGroup title="Generator" :paths="asked.generator">
        <SourcePick group="generator" />
      </AskGroup>
      <AskGroup title="Shore" :paths="asked.shore">
        <SourcePick group="shore" />
      </AskGroup>
    </template>
    <template #picture>
      <ul class="chain" aria-label="What is on board">
        <li v-for="c in chain" :key="c.name" :class="{ off: !c.on }" :style="{ borderColor: c.on ? `var(--${c.ink})` : undefined }">
          <b>{{ c.name }}</b> <span>{{ c.on ? c.words : 'none' }}</span>
        </li>
      </ul>
    </template>
  </LeafLayout>
</template>

<style scoped>
.chain {
  list-style: none;
  margin: 6px 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 14px;
}
.chain li {
  border: 3px solid var(--rule);
  border-left-width: 12px;
  background: var(--raised);
  padding: 12px 14px;
  display: grid;
  gap: 2px;
}
.chain b {
  font-size: 17px;
}
.off {
  color: var(--soft);
  border-style: dashed;
  background: none;
}
</style>
