<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core';
import type { InputInstance } from 'element-plus';
import { computed, nextTick, ref, useId, watch } from 'vue';
import { fieldAt, symbolsOf } from '../api/description';
import { useRig, valueAt } from '../stores/rig';
import FieldFrame from './FieldFrame.vue';
import { settings } from './settings';
import { editable, gaugeOf, say, symbolOf } from './show';

const props = defineProps<{ path: string; label?: string }>();
const rig = useRig();
const id = useId();
const input = ref<InputInstance>();
const touch = useMediaQuery('(pointer: coarse)');
const field = computed(() => fieldAt(props.path));
const stored = computed(() => valueAt(rig.design, props.path) as number | null);
const asShown = computed(() => (stored.value === null || stored.value === undefined ? '' : editable(stored.value, field.value.quantity!)));
const unsent = computed(() => rig.unsent.includes(props.path));
const typed = ref(unsent.value ? ((rig.wanted(props.path) as string | null) ?? asShown.value) : asShown.value);
const inFocus = ref(false);
const touched = ref(false);
const error = computed(() => rig.errors[props.path] ?? '');
const beside = computed(() => (stored.value && field.value.quantity === 'conductorArea' ? gaugeOf(stored.value) : ''));

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

/** A unit said by a press, where the keypad has none. */
function inUnit(symbol: string): void {
  typed.value = `${typed.value.replace(/[^\d.,-]+$/, '').trim()} ${symbol}`;
  keystroke();
}
</script>

<template>
  <FieldFrame
    :path="path"
    :label="label ?? field.label"
    :label-for="id"
    :error="error"
    :error-id="id + '-error'"
    :help="inFocus ? say(field.help) || beside : beside"
    :class="{ unsent: unsent && rig.failure }"
  >
    <el-input
      :id="id"
      ref="input"
      v-model="typed"
      class="quantity"
      :data-path="path"
      autocomplete="off"
      spellcheck="false"
      :inputmode="touch ? 'decimal' : undefined"
      :aria-invalid="!!error"
      :aria-describedby="error ? id + '-error' : undefined"
      @focus="enter"
      @blur="leave"
      @input="keystroke"
    >
      <template v-if="symbolOf(field.quantity!)" #suffix>{{ symbolOf(field.quantity!) }}</template>
    </el-input>
    <span v-if="touch && inFocus && symbolsOf(field.quantity!).length > 1" class="units">
      <button v-for="symbol in symbolsOf(field.quantity!)" :key="symbol" type="button" class="plain" @pointerdown.prevent="inUnit(symbol)">
        {{ symbol }}
      </button>
    </span>
  </FieldFrame>
</template>

<style scoped>
.quantity {
  width: 118px;
}
.units {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.unsent :deep(.el-input__wrapper) {
  border-bottom-style: dashed;
}
</style>
