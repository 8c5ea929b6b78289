<script setup lang="ts">
import { computed } from 'vue';
import type { DeviceDesign } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import { clock, shown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { device, occupant, people, stove } from './asked';

const rig = useRig();
const devices = computed(() => rig.design!.survey.devices as DeviceDesign[]);
const hours = computed(() => rig.design!.survey.people);
interface Bar {
  name: string;
  from: number;
  to: number;
  words: string;
  start: boolean;
}
const bars = computed<Bar[]>(() => [
  { name: `${hours.value.count} awake`, from: hours.value.awakeFrom, to: hours.value.awakeTo, words: '', start: false },
  ...devices.value.map((d) => ({ name: d.name, from: d.from, to: d.to, words: shown(d.powerW, 'electricPower'), start: d.onAtStart })),
]);

/** The hours as stretches of the day; one that goes past midnight has two. */
const stretches = (b: Bar) =>
  b.from === b.to
    ? [[0, 24]]
    : b.from < b.to
      ? [[b.from, b.to]]
      : [
          [0, b.to],
          [b.from, 24],
        ];
const percent = (h: number) => `${(100 * h) / 24}%`;
</script>

<template>
  <LeafLayout holds>
    <template #say>
      <AskGroup title="People" :paths="people" />
      <AskGroup title="Devices">
        <AskRows path="/survey/devices" one="device">
          <template #default="{ path }">
            <AskField v-for="f in device" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup title="Visitors and animals, by the hour" :open="rig.design!.survey.occupants.length > 0">
        <AskRows path="/survey/occupants" one="entry">
          <template #default="{ path, index }">
            <AskField v-for="f in occupant(rig.design!.survey, index)" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup title="Cooking and flames" :open="rig.design!.survey.cooking.length > 0">
        <AskRows path="/survey/cooking" one="stove">
          <template #default="{ path }">
            <AskField v-for="f in stove" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
    </template>
    <template #picture>
      <div class="day" role="img" aria-label="The hours at which people are awake and devices are on">
        <div v-for="b in bars" :key="b.name" class="bar">
          <span class="who"
            >{{ b.name }} <span class="soft">{{ b.words }}</span></span
          >
          <span class="track">
            <i
              v-for="(s, i) in stretches(b)"
              :key="i"
              :class="{ start: b.start }"
              :style="{ left: percent(s[0]!), width: percent(s[1]! - s[0]!) }"
            />
          </span>
        </div>
        <div class="bar">
          <span />
          <span class="hours soft"
            ><span v-for="h in [0, 6, 12, 18, 24]" :key="h">{{ h === 24 ? '24:00' : clock(h) }}</span></span
          >
        </div>
        <p class="soft small">Hatched: may be on when the unit starts.</p>
      </div>
    </template>
  </LeafLayout>
</template>

<style scoped>
.day {
  display: grid;
  gap: 6px;
  max-width: 760px;
}
.bar {
  display: grid;
  grid-template-columns: minmax(90px, 190px) minmax(0, 1fr);
  gap: 12px;
  align-items: center;
}
.track {
  position: relative;
  height: 18px;
  background: var(--ground);
  border: 1px solid var(--rule);
}
.track i {
  position: absolute;
  top: 0;
  bottom: 0;
  background: var(--soft);
}
.track .start {
  background: repeating-linear-gradient(45deg, var(--ink) 0 4px, var(--sheet) 4px 7px);
}
.hours {
  display: flex;
  justify-content: space-between;
  font-size: 12.5px;
}
@media (max-width: 700px) {
  .hours span:nth-child(even) {
    visibility: hidden;
    width: 0;
  }
}
</style>
