<script setup lang="ts">
import { computed } from 'vue';
import { recordFieldsOf } from '../api/description';
import { say, symbolOf } from './show';
import type { Records } from './records';

/** What is read, field by field, and who read it. */
const props = defineProps<{
  of: Records;
  asks: string[];
  title: string;
  groups?: { title: string; fields: string[]; always: boolean }[];
}>();
const fields = computed(() => recordFieldsOf(props.of.kind).filter((f) => props.asks.includes(f.path.slice(1))));
const kept = computed(() => props.of);
/** As they are read; what is not asked every time is folded away. */
const parts = computed(() =>
  (props.groups ?? [{ title: '', fields: props.asks, always: true }]).map((g) => ({
    ...g,
    asks: fields.value.filter((f) => g.fields.includes(f.path.slice(1))),
  })),
);
/** Folded ones stand open where something is in them. */
const open = (part: { always: boolean; fields: string[] }) =>
  part.always || part.fields.some((f) => props.of.errors[f] || (props.of.typed[f] ?? '') !== '');
</script>

<template>
  <form @submit.prevent="kept.record()">
    <h2>{{ kept.corrects ? 'Correct a record' : title }}</h2>
    <div class="field reading">
      <label :for="`${of.kind}-by`">Taken by</label>
      <el-input :id="`${of.kind}-by`" v-model="kept.by" data-reading="by" autocomplete="name" class="typed" />
    </div>
    <component :is="part.title ? 'details' : 'div'" v-for="part in parts" :key="part.title" :open="open(part) || undefined" class="part">
      <summary v-if="part.title">{{ part.title }}</summary>
      <div v-for="field in part.asks" :key="field.path" class="field reading" :class="{ wrong: kept.errors[field.path.slice(1)] }">
        <label :for="`${of.kind}-${field.path.slice(1)}`">{{ field.label }}</label>
        <el-switch
          v-if="field.input === 'switch'"
          :id="`${of.kind}-${field.path.slice(1)}`"
          :model-value="kept.typed[field.path.slice(1)] === 'true'"
          :aria-label="field.label"
          @update:model-value="(on: string | number | boolean) => (kept.typed[field.path.slice(1)] = String(on))"
        />
        <el-select
          v-else-if="field.choices.length"
          :id="`${of.kind}-${field.path.slice(1)}`"
          v-model="kept.typed[field.path.slice(1)]"
          :data-reading="field.path.slice(1)"
          class="typed"
          :aria-label="field.label"
          placeholder=" "
        >
          <el-option v-for="c in field.choices" :key="c.value" :value="c.value" :label="c.label" />
        </el-select>
        <el-input
          v-else
          :id="`${of.kind}-${field.path.slice(1)}`"
          v-model="kept.typed[field.path.slice(1)]"
          :data-reading="field.path.slice(1)"
          :placeholder="field.quantity ? '' : say(field.help) || (field.input === 'date' ? 'yyyy-mm-dd' : '')"
          autocomplete="off"
          class="typed"
          :aria-invalid="!!kept.errors[field.path.slice(1)]"
        >
          <template v-if="field.quantity && symbolOf(field.quantity)" #suffix>{{ symbolOf(field.quantity) }}</template>
        </el-input>
        <em v-if="kept.errors[field.path.slice(1)]" role="alert">{{ kept.errors[field.path.slice(1)] }}</em>
      </div>
    </component>
    <p v-if="kept.general" class="severity-stop" role="alert">{{ kept.general }}</p>
    <p class="acts record">
      <button type="submit" class="plain">{{ kept.corrects ? 'record the correction' : 'record the readings' }}</button>
      <button v-if="kept.corrects" type="button" class="plain" @click="kept.forget()">leave it</button>
    </p>
  </form>
</template>

<style scoped>
.part summary {
  margin-top: 8px;
  font-weight: 700;
}
.reading {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 10px;
  align-items: baseline;
  border-bottom: 1px solid var(--hair);
  padding: 4px 0;
}
.reading:has(> .el-switch) {
  align-items: center;
}
.typed {
  width: 128px;
}
em {
  grid-column: 1 / -1;
  font-style: normal;
  color: var(--stop);
  font-size: 13.5px;
}
.record {
  margin-top: 12px;
}
</style>
