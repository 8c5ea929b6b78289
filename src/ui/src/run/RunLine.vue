<script setup lang="ts">
import { phases, titled } from '../api/description';
import type { StationState } from '../api/generated/schema';
import StateShape from '../parts/StateShape.vue';
import { findingPlace, pathOf, worstFinding } from './place';

/** The stations as joints on a line; a joint that stops or warns leads to its finding, its name to the station. */
defineProps<{ id: string; here: string; states: Record<string, StationState> }>();

const words: Record<StationState, string> = { open: 'open', resting: 'waits', passed: 'passed', caution: 'caution', stop: 'stop' };
</script>

<template>
  <nav class="run" aria-label="Stations">
    <div v-for="phase in phases" :key="phase.name" class="phase">
      <h2>{{ titled(phase.name) }}</h2>
      <div v-for="station in phase.stations" :key="station" class="joint" :class="{ here: station === here }">
        <span class="cable" :class="states[station]" aria-hidden="true" />
        <RouterLink
          v-if="worstFinding(station)"
          :to="findingPlace(id, worstFinding(station)!)"
          class="shape"
          :data-joint="station"
          :aria-label="`${titled(station)}, ${words[states[station] ?? 'open']}: go to it`"
          ><StateShape :state="states[station] ?? 'open'"
        /></RouterLink>
        <span v-else class="shape"><StateShape :state="states[station] ?? 'open'" /></span>
        <RouterLink :to="pathOf(id, station)" class="name" :aria-current="station === here ? 'page' : undefined"
          >{{ titled(station) }}<span class="shown-to-readers">, {{ words[states[station] ?? 'open'] }}</span></RouterLink
        >
      </div>
    </div>
  </nav>
</template>

<style scoped>
.run {
  padding: 12px 0 12px 8px;
  overflow: hidden auto;
}
.phase {
  margin-bottom: 12px;
}
h2 {
  padding-left: 38px;
  font-size: 13px;
}
.joint {
  display: flex;
  align-items: stretch;
  height: 38px;
  position: relative;
}
.joint.here {
  background: var(--sheet);
  font-weight: 680;
  border: 1.5px solid var(--ink);
  border-right-color: var(--sheet);
  margin: 0 -1.5px 0 -1.5px;
  border-radius: 3px 0 0 3px;
}
.name {
  flex: 1;
  display: flex;
  align-items: center;
  text-decoration: none;
  padding-right: 10px;
}
.name:hover {
  text-decoration: underline;
}
.shape {
  width: 36px;
  display: grid;
  place-items: center;
  position: relative;
}
.cable {
  position: absolute;
  left: 16px;
  top: 0;
  bottom: 0;
  width: 4px;
  background: var(--rule);
}
.cable.passed,
.cable.caution {
  background: var(--ink);
}
.name:focus-visible,
.shape:focus-visible {
  outline-offset: -3px;
}
</style>
