<script setup lang="ts">
import { computed } from 'vue';
import { choicesOf, fieldAt } from '../api/description';
import type { Option } from '../api/generated/schema';
import { useRig } from '../stores/rig';

const props = defineProps<{ path: string; label?: string; more?: Option[] }>();
const rig = useRig();
const field = computed(() => fieldAt(props.path));
const choices = computed(() => [...choicesOf(field.value), ...(props.more ?? [])]);
const value = computed(() => rig.wanted(props.path) as string);
</script>

<template>
  <div class="field">
    <span class="label">{{ label ?? field.label }}</span>
    <el-select
      :model-value="value"
      :aria-label="label ?? field.label"
      :data-path="path"
      placement="bottom-end"
      :fit-input-width="false"
      @change="(v: string) => rig.set(path, v)"
    >
      <el-option v-for="choice in choices" :key="choice.value" :value="choice.value" :label="choice.label" />
    </el-select>
    <p v-if="rig.errors[path]" class="error" role="alert">{{ rig.errors[path] }}</p>
  </div>
</template>

<style scoped>
.field {
  display: grid;
  grid-template-columns: auto minmax(120px, 1fr);
  gap: 2px 10px;
  align-items: center;
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
}
.error {
  grid-column: 1 / -1;
  color: var(--stop);
  font-size: 13.5px;
}
:deep(.el-select__wrapper) {
  box-shadow: none;
  border-bottom: 2px solid var(--ink);
  border-radius: 0;
  padding: 2px;
  min-height: 30px;
  font-size: 15px;
  text-align: right;
}
:deep(.el-select__wrapper.is-focused) {
  outline: 3px solid var(--focus);
}
:deep(.el-select__placeholder) {
  font-weight: 620;
  color: var(--ink);
}
</style>
