<script setup lang="ts">
import { computed, ref, useId, watch } from 'vue';
import { fieldAt } from '../api/description';
import { useRig } from '../stores/rig';

const props = defineProps<{ path: string; label?: string }>();
const rig = useRig();
const id = useId();
const field = computed(() => fieldAt(props.path));
const stored = computed(() => (rig.wanted(props.path) as string) ?? '');
const typed = ref(stored.value);
const inFocus = ref(false);
watch(stored, (value) => {
  if (!inFocus.value) typed.value = value;
});
</script>

<template>
  <div class="field">
    <label :for="id">{{ label ?? field.label }}</label>
    <input
      :id="id"
      v-model="typed"
      :data-path="path"
      autocomplete="off"
      @focus="inFocus = true"
      @blur="inFocus = false"
      :aria-invalid="!!rig.errors[path]"
      @input="rig.set(path, typed)"
    />
    <p v-if="rig.errors[path]" class="error" role="alert">{{ rig.errors[path] }}</p>
  </div>
</template>

<style scoped>
.field {
  display: grid;
  grid-template-columns: auto minmax(90px, 1fr);
  gap: 10px;
  align-items: baseline;
  padding: 5px 0;
  border-bottom: 1px solid var(--hair);
}
input {
  border: 0;
  border-bottom: 2px solid var(--ink);
  background: none;
  font-weight: 620;
  text-align: right;
  min-height: 28px;
  min-width: 0;
}
input:focus {
  outline: 3px solid var(--focus);
}
.error {
  grid-column: 1 / -1;
  color: var(--stop);
  font-size: 13.5px;
}
</style>
