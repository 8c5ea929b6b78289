<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { ref } from 'vue';
import KeyHelp from './parts/KeyHelp.vue';
import { isTyping } from './parts/keys';
import { switchScheme, switchUnits } from './parts/settings';

const help = ref(false);

function onKey(event: KeyboardEvent): void {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
  if (event.key === 'u') switchUnits();
  else if (event.key === 's') switchScheme();
  else if (event.key === '?') help.value = !help.value;
}

useEventListener('keydown', onKey);
</script>

<template>
  <RouterView />
  <KeyHelp v-model="help" />
</template>
