<script setup lang="ts">
import { ref } from 'vue';
import AskField from './AskField.vue';

const props = withDefaults(defineProps<{ title: string; paths?: string[]; open?: boolean }>(), { open: true, paths: () => [] });

/** What was never unfolded is never drawn. */
const seen = ref(props.open);

function toggled(event: Event): void {
  if ((event.target as HTMLDetailsElement).open) seen.value = true;
}
</script>

<template>
  <details class="group" :open="open" @toggle="toggled">
    <summary>
      <h2>{{ title }}</h2>
    </summary>
    <template v-if="seen">
      <AskField v-for="path in paths" :key="path" :path="path" />
      <slot />
    </template>
  </details>
</template>

<style scoped>
.group {
  margin-top: 14px;
}
summary {
  cursor: pointer;
  list-style: none;
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 28px;
}
summary::-webkit-details-marker {
  display: none;
}
summary::after {
  content: '+';
  color: var(--soft);
  font-weight: 700;
}
.group[open] > summary::after {
  content: '–';
}
</style>
