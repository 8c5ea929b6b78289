<script setup lang="ts">
import { computed } from 'vue';
import { choicesOf, fieldAt } from '../api/description';
import type { Option } from '../api/generated/schema';
import { useRig } from '../stores/rig';
import FieldFrame from './FieldFrame.vue';
import { say } from './show';

const props = defineProps<{ path: string; label?: string; more?: Option[] }>();
const rig = useRig();
const field = computed(() => fieldAt(props.path));
const choices = computed(() => [...choicesOf(field.value), ...(props.more ?? [])]);
const value = computed(() => rig.wanted(props.path) as string);
/** Two or three short choices stand side by side, more are a list, and in a long list one can search. */
const letters = computed(() => choices.value.reduce((sum, c) => sum + c.label.length + 3, 0));
const longest = computed(() => Math.max(...choices.value.map((c) => c.label.length)));
const sideBySide = computed(() => choices.value.length > 1 && choices.value.length <= 4 && letters.value <= 34);
const searched = computed(() => choices.value.length > 7);
const name = computed(() => props.label ?? field.value.label);
</script>

<template>
  <FieldFrame :path="path" :label="name" :error="rig.errors[path]" :stacked="sideBySide || longest > 22" :help="say(field.help)">
    <el-segmented
      v-if="sideBySide"
      :model-value="value"
      :options="choices"
      :aria-label="name"
      :data-path="path"
      @change="(v: unknown) => rig.set(path, v)"
    />
    <el-select
      v-else
      :model-value="value"
      :aria-label="name"
      :data-path="path"
      :filterable="searched"
      placement="bottom-end"
      :fit-input-width="false"
      class="choice"
      @change="(v: string) => rig.set(path, v)"
    >
      <el-option v-for="choice in choices" :key="choice.value" :value="choice.value" :label="choice.label" />
    </el-select>
  </FieldFrame>
</template>

<style scoped>
.choice {
  min-width: 148px;
}
.stacked .choice {
  width: 100%;
}
</style>
