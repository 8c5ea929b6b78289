<script setup lang="ts">
import { computed, useId } from 'vue';
import { fieldAt } from '../api/description';
import { useRig } from '../stores/rig';

const props = defineProps<{ path: string; label?: string }>();
const rig = useRig();
const id = useId();
const field = computed(() => fieldAt(props.path));
const value = computed(() => rig.wanted(props.path) as boolean);
</script>

<template>
  <div class="field">
    <label :for="id" :title="field.help">{{ label ?? field.label }}</label>
    <input :id="id" type="checkbox" role="switch" :checked="value" :data-path="path" @change="rig.set(path, !value)" />
  </div>
</template>

<style scoped>
.field {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  padding: 5px 0;
  min-height: 38px;
  border-bottom: 1px solid var(--hair);
}
input {
  appearance: none;
  width: 44px;
  height: 24px;
  border: 2px solid var(--ink);
  border-radius: 3px;
  background: var(--raised);
  position: relative;
  cursor: pointer;
  flex: none;
}
input::after {
  content: '';
  position: absolute;
  inset: 2px auto 2px 2px;
  width: 16px;
  background: var(--rule);
  border-radius: 1px;
}
input:checked::after {
  inset: 2px 2px 2px auto;
  background: var(--ink);
}
</style>
