<script setup lang="ts">
import { computed, inject } from 'vue';
import { titled } from '../api/description';
import { usePlace } from '../run/place';
import { keeperKey } from './keeper';

/** What every field has: its label, the word of the station that keeps it where that is another, its error or its help under it. */
const props = defineProps<{
  path: string;
  label: string;
  labelFor?: string;
  error?: string;
  help?: string;
  stacked?: boolean;
  errorId?: string;
}>();
const place = usePlace();
const told = inject(keeperKey, null);
const keeper = computed(() => {
  const parts = props.path.split('/');
  const station = parts[1] ?? '';
  return parts.length > 2 && station !== place.value.station && station !== told?.value ? titled(station) : '';
});
</script>

<template>
  <div class="field" :class="{ wrong: error, stacked }">
    <component :is="labelFor ? 'label' : 'span'" :for="labelFor" class="label"
      >{{ label }} <small v-if="keeper" class="keeper">{{ keeper }}</small></component
    >
    <slot />
    <p v-if="error" :id="errorId" class="error" role="alert">{{ error }}</p>
    <p v-else-if="help" class="help">{{ help }}</p>
  </div>
</template>

<style scoped>
.field {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 10px;
  align-items: baseline;
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
}
.field:has(> .el-switch) {
  align-items: center;
}
.stacked {
  grid-template-columns: minmax(0, 1fr);
}
.label {
  overflow-wrap: anywhere;
}
.keeper {
  color: var(--soft);
  font-size: 11.5px;
  border: 1px solid var(--rule);
  border-radius: 2px;
  padding: 0 3px;
  margin-left: 2px;
  white-space: nowrap;
}
.error,
.help {
  grid-column: 1 / -1;
  font-size: 13.5px;
}
.error {
  color: var(--stop);
}
.help {
  color: var(--soft);
}
.field.marked {
  background: color-mix(in srgb, var(--sun) 26%, transparent);
  outline: 2px solid var(--ink);
  outline-offset: 2px;
}
</style>
