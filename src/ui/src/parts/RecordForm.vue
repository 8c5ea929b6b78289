<script setup lang="ts">
import { computed } from 'vue';
import { recordFieldsOf } from '../api/description';
import { symbolOf } from './show';
import type { Records } from './records';

/** What is read, field by field, and who read it. */
const props = defineProps<{ of: Records; asks: string[]; title: string }>();
const fields = computed(() => recordFieldsOf(props.of.kind).filter((f) => props.asks.includes(f.path.slice(1))));
const kept = computed(() => props.of);
</script>

<template>
  <form @submit.prevent="kept.record()">
    <h2>{{ kept.corrects ? 'Correct a record' : title }}</h2>
    <div class="field reading">
      <label for="reading-by">Taken by</label>
      <el-input id="reading-by" v-model="kept.by" data-reading="by" autocomplete="name" class="typed" />
    </div>
    <div v-for="field in fields" :key="field.path" class="field reading" :class="{ wrong: kept.errors[field.path.slice(1)] }">
      <label :for="`reading-${field.path.slice(1)}`">{{ field.label }}</label>
      <el-switch
        v-if="field.input === 'switch'"
        :id="`reading-${field.path.slice(1)}`"
        :model-value="kept.typed[field.path.slice(1)] === 'true'"
        :aria-label="field.label"
        @update:model-value="(on: string | number | boolean) => (kept.typed[field.path.slice(1)] = String(on))"
      />
      <el-input
        v-else
        :id="`reading-${field.path.slice(1)}`"
        v-model="kept.typed[field.path.slice(1)]"
        :data-reading="field.path.slice(1)"
        autocomplete="off"
        class="typed"
        :aria-invalid="!!kept.errors[field.path.slice(1)]"
      >
        <template v-if="symbolOf(field.quantity!)" #suffix>{{ symbolOf(field.quantity!) }}</template>
      </el-input>
      <em v-if="kept.errors[field.path.slice(1)]" role="alert">{{ kept.errors[field.path.slice(1)] }}</em>
    </div>
    <p v-if="kept.general" class="severity-stop" role="alert">{{ kept.general }}</p>
    <p class="acts record">
      <button type="submit" class="plain">{{ kept.corrects ? 'record the correction' : 'record the readings' }}</button>
      <button v-if="kept.corrects" type="button" class="plain" @click="kept.forget()">leave it</button>
    </p>
  </form>
</template>

<style scoped>
.reading {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 10px;
  align-items: baseline;
  border-bottom: 1px solid var(--hair);
  padding: 4px 0;
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
