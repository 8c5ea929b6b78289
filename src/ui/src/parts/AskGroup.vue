<script setup lang="ts">
import AskField from './AskField.vue';

withDefaults(defineProps<{ title: string; paths?: string[]; open?: boolean }>(), { open: true, paths: () => [] });
</script>

<template>
  <details class="group" :open="open">
    <summary>
      <h2>{{ title }}</h2>
    </summary>
    <AskField v-for="path in paths" :key="path" :path="path" />
    <slot />
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
