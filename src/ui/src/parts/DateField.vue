<script setup lang="ts">
import { computed } from 'vue';
import { fieldAt } from '../api/description';
import { useRig } from '../stores/rig';
import FieldFrame from './FieldFrame.vue';

/** A date, written 2027-03-02 everywhere. */
const props = defineProps<{ path: string; label?: string }>();
const rig = useRig();
const field = computed(() => fieldAt(props.path));
const value = computed(() => (rig.wanted(props.path) as string) || '');
</script>

<template>
  <FieldFrame :path="path" :label="label ?? field.label" :error="rig.errors[path]">
    <el-date-picker
      :model-value="value"
      type="date"
      format="YYYY-MM-DD"
      value-format="YYYY-MM-DD"
      placeholder="yyyy-mm-dd"
      class="date"
      :data-path="path"
      :aria-label="label ?? field.label"
      @update:model-value="(v: string | null) => rig.set(path, v ?? '')"
    />
  </FieldFrame>
</template>

<style scoped>
.field :deep(.date) {
  width: 148px;
}
</style>
