<script setup lang="ts">
import { computed, ref, useId, watch } from 'vue';
import { fieldAt } from '../api/description';
import { useRig } from '../stores/rig';
import FieldFrame from './FieldFrame.vue';

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
  <FieldFrame :path="path" :label="label ?? field.label" :label-for="id" :error="rig.errors[path]">
    <el-input
      :id="id"
      v-model="typed"
      class="text"
      :data-path="path"
      autocomplete="off"
      :aria-invalid="!!rig.errors[path]"
      @focus="inFocus = true"
      @blur="inFocus = false"
      @input="rig.set(path, typed)"
    />
  </FieldFrame>
</template>

<style scoped>
.text {
  width: 148px;
}
</style>
