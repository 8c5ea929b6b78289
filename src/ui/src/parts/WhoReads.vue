<script setup lang="ts">
import { nameStands } from '../crew/me';

/** The name under which readings are written down, kept on this device. */
const by = defineModel<string>({ required: true });
withDefaults(defineProps<{ label?: string }>(), { label: 'Read by' });
</script>

<template>
  <label class="who">{{ label }} <input v-model="by" data-by autocomplete="name" placeholder="your name" :readonly="nameStands" /></label>
</template>

<style scoped>
.who {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px;
  align-items: center;
  color: var(--soft);
  margin: 4px 0 8px;
}
input {
  font: inherit;
  font-weight: 640;
  color: var(--ink);
  min-height: 34px;
  min-width: 0;
  border: 0;
  border-bottom: 1.5px solid var(--rule);
  background: transparent;
}
@media (pointer: coarse), (max-width: 700px) {
  input {
    min-height: 44px;
  }
}
</style>
