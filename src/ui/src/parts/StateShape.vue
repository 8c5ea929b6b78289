<script setup lang="ts">
import type { StationState } from '../api/generated/schema';

/** A state as its shape; colour only repeats it. */
defineProps<{ state: StationState; size?: number }>();
</script>

<template>
  <svg :width="size ?? 26" :height="size ?? 26" viewBox="0 0 26 26" aria-hidden="true">
    <circle v-if="state === 'passed'" cx="13" cy="13" r="9" class="filled" />
    <path v-if="state === 'passed'" d="M8.500 13.500l3 3 6-6.500" class="mark" />
    <circle v-if="state === 'open'" cx="13" cy="13" r="8" class="hollow" />
    <rect v-if="state === 'resting'" x="9" y="9" width="8" height="8" class="resting" />
    <path v-if="state === 'caution'" d="M13 2l11 20H2z" class="caution" />
    <path v-if="state === 'caution'" d="M13 9v6m0 2.500v2" class="mark" />
    <path v-if="state === 'stop'" d="M13 0l13 13-13 13L0 13z" class="stop" />
    <path v-if="state === 'stop'" d="M9.500 9.500l7 7m0-7l-7 7" class="mark" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  flex: none;
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
</style>
