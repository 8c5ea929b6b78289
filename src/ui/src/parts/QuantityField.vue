<script setup lang="ts">
import { computed, nextTick, ref, useId, watch } from 'vue';
import { fieldAt } from '../api/description';
import { useRig, valueAt } from '../stores/rig';
import { settings } from './settings';
import { editable, symbolOf } from './show';

const props = defineProps<{ path: string; label?: string }>();
const rig = useRig();
const id = useId();
const input = ref<HTMLInputElement>();
const field = computed(() => fieldAt(props.path));
const stored = computed(() => valueAt(rig.design, props.path) as number | null);
const asShown = computed(() => (stored.value === null || stored.value === undefined ? '' : editable(stored.value, field.value.quantity!)));
const unsent = computed(() => rig.unsent.includes(props.path));
const typed = ref(unsent.value ? ((rig.wanted(props.path) as string | null) ?? asShown.value) : asShown.value);
const inFocus = ref(false);
const touched = ref(false);
const error = computed(() => rig.errors[props.path] ?? '');

// What is typed stays typed until it is saved: a field that was refused or not sent keeps its text.
watch([asShown, unsent, () => settings.units], () => {
  if (!touched.value && !error.value && !unsent.value) typed.value = asShown.value;
});

async function enter(): Promise<void> {
  inFocus.value = true;
  await nextTick();
  input.value?.select();
}

function leave(): void {
  inFocus.value = false;
  touched.value = false;
  if (!error.value && !unsent.value) typed.value = asShown.value;
}

function keystroke(): void {
  touched.value = true;
  void rig.type(props.path, typed.value);
}
</script>

<template>
  <div class="field" :class="{ wrong: error, unsent: unsent && rig.failure }">
    <label :for="id">{{ label ?? field.label }}</label>
    <span class="value">
      <input
        :id="id"
        ref="input"
        v-model="typed"
        :data-path="path"
        autocomplete="off"
        spellcheck="false"
        :aria-invalid="!!error"
        :aria-describedby="error ? id + '-error' : undefined"
        :title="field.help"
        @focus="enter"
        @blur="leave"
        @input="keystroke"
      />
      <small>{{ symbolOf(field.quantity!) }}</small>
    </span>
    <p v-if="error" :id="id + '-error'" class="error" role="alert">{{ error }}</p>
    <p v-else-if="inFocus && field.help" class="help">{{ field.help }}</p>
  </div>
</template>

<style scoped>
.field {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 2px 12px;
  align-items: baseline;
  padding: 5px 0;
  border-bottom: 1px solid var(--hair);
}
.value {
  display: inline-flex;
  align-items: baseline;
  gap: 5px;
  border-bottom: 2px solid var(--ink);
  padding: 0 2px;
}
input {
  width: 74px;
  border: 0;
  background: none;
  text-align: right;
  font-weight: 620;
  padding: 2px 0;
  min-height: 28px;
}
input:focus {
  outline: none;
}
.value:focus-within {
  outline: 3px solid var(--focus);
  outline-offset: 1px;
}
small {
  color: var(--soft);
  min-width: 18px;
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
.unsent .value {
  border-bottom-style: dashed;
}
.wrong .value {
  border-color: var(--stop);
}
</style>
