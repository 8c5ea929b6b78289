<script setup lang="ts">
import { computed, useId } from 'vue';
import { fieldAt } from '../api/description';
import { useRig } from '../stores/rig';
import FieldFrame from './FieldFrame.vue';
import { say } from './show';

const props = defineProps<{ path: string; label?: string }>();
const rig = useRig();
const id = useId();
const field = computed(() => fieldAt(props.path));
const value = computed(() => rig.wanted(props.path) as boolean);
</script>

<template>
  <FieldFrame :path="path" :label="label ?? field.label" :label-for="id" :error="rig.errors[path]" :help="say(field.help)">
    <el-switch :id="id" :model-value="value" :data-path="path" @change="(v: string | number | boolean) => rig.set(path, v)" />
  </FieldFrame>
</template>
