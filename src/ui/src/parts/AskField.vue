<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue';
import { fieldAt } from '../api/description';
import type { Option } from '../api/generated/schema';
import ChoiceField from './ChoiceField.vue';
import QuantityField from './QuantityField.vue';
import SwitchField from './SwitchField.vue';
import TextField from './TextField.vue';

/** One field of the design, asked in the way its kind wants. */
const props = defineProps<{ path: string; label?: string; more?: Option[] }>();
const DateField = defineAsyncComponent(() => import('./DateField.vue'));
const kind = computed(() => fieldAt(props.path).input);
</script>

<template>
  <QuantityField v-if="kind === 'quantity'" :path="path" :label="label" />
  <ChoiceField v-else-if="kind === 'choice'" :path="path" :label="label" :more="more" />
  <SwitchField v-else-if="kind === 'switch'" :path="path" :label="label" />
  <DateField v-else-if="kind === 'date'" :path="path" :label="label" />
  <TextField v-else :path="path" :label="label" />
</template>
