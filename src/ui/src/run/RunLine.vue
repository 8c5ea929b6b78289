<script setup lang="ts">
import { onMounted, ref, watch } from 'vue';
import { phases, titled } from '../api/description';
import type { StationState } from '../api/generated/schema';

const props = defineProps<{ id: string; here: string; states: Record<string, StationState> }>();
const line = ref<HTMLElement | null>(null);

/** On a narrow screen the line is pushed sideways: the station that is open is brought into sight. */
function show(): void {
  const joint = line.value?.querySelector<HTMLElement>('.here');
  if (line.value && joint) line.value.scrollLeft = joint.offsetLeft - (line.value.clientWidth - joint.offsetWidth) / 2;
}
onMounted(show);
watch(() => props.here, show, { flush: 'post' });

const words: Record<StationState, string> = { open: 'open', resting: 'waits', passed: 'passed', caution: 'caution', stop: 'stop' };
</script>

<template>
  <nav ref="line" class="run" aria-label="Stations">
    <div v-for="phase in phases" :key="phase.name" class="phase">
      <h2>{{ titled(phase.name) }}</h2>
      <RouterLink
        v-for="station in phase.stations"
        :key="station"
        :to="`/rig/${id}/${station}`"
        class="joint"
        :class="{ here: station === here }"
        :aria-current="station === here ? 'page' : undefined"
      >
        <svg width="30" height="38" viewBox="0 0 30 38" aria-hidden="true">
          <line x1="15" y1="0" x2="15" y2="38" class="cable" :class="states[station]" />
          <circle v-if="states[station] === 'passed'" cx="15" cy="19" r="9" class="filled" />
          <path v-if="states[station] === 'passed'" d="M10.500 19.500l3 3 6-6.500" class="mark" />
          <circle v-if="states[station] === 'open'" cx="15" cy="19" r="8" class="hollow" />
          <rect v-if="states[station] === 'resting'" x="11" y="15" width="8" height="8" class="resting" />
          <path v-if="states[station] === 'caution'" d="M15 8l11 20H4z" class="caution" />
          <path v-if="states[station] === 'caution'" d="M15 15v6m0 2.500v2" class="mark" />
          <path v-if="states[station] === 'stop'" d="M15 6l13 13-13 13L2 19z" class="stop" />
          <path v-if="states[station] === 'stop'" d="M11.500 15.500l7 7m0-7l-7 7" class="mark" />
        </svg>
        <span>{{ titled(station) }}</span>
        <span class="shown-to-readers">{{ words[states[station] ?? 'open'] }}</span>
      </RouterLink>
    </div>
  </nav>
</template>

<style scoped>
.run {
  padding: 12px 0 12px 8px;
  overflow-y: auto;
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
  align-items: center;
  gap: 8px;
  height: 38px;
  text-decoration: none;
  padding-right: 10px;
}
.joint.here {
  background: var(--sheet);
  font-weight: 680;
  border: 1.5px solid var(--ink);
  border-right-color: var(--sheet);
  margin: 0 -1.5px 0 -1.5px;
  border-radius: 3px 0 0 3px;
}
.joint:hover:not(.here) {
  text-decoration: underline;
}
.cable {
  stroke: var(--rule);
  stroke-width: 4;
}
.cable.passed,
.cable.caution {
  stroke: var(--ink);
}
.filled {
  fill: var(--ink);
}
.hollow {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 2.5;
}
.resting {
  fill: var(--rule);
}
.caution {
  fill: var(--caution);
}
.stop {
  fill: var(--stop);
}
.mark {
  stroke: var(--sheet);
  stroke-width: 2.4;
  fill: none;
  stroke-linecap: round;
}
@media (max-width: 700px) {
  .run {
    display: flex;
    overflow-x: auto;
    padding: 4px;
    position: relative;
  }
  .phase {
    display: flex;
    margin: 0;
  }
  h2 {
    display: none;
  }
}
</style>
