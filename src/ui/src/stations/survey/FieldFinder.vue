<script setup lang="ts">
import { computed, ref } from 'vue';
import { findFields } from '../../api/description';
import AskField from '../../parts/AskField.vue';

/** Brings a few fields of the survey together by a word of their names. */
const wanted = ref('');
const found = computed(() => findFields('/survey/', wanted.value));
</script>

<template>
  <div class="finder" role="search">
    <label for="find-field">Find a field</label>
    <input id="find-field" v-model="wanted" type="search" placeholder="ribs, breaker, wind …" data-find />
  </div>
  <div v-if="wanted.trim().length > 1" class="found">
    <AskField v-for="f in found" :key="f.path" :path="f.path" :label="f.label" />
    <p v-if="found.length === 0" class="soft">No field of the survey is called that; rows such as windows have theirs below.</p>
  </div>
</template>

<style scoped>
.finder {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 10px;
  align-items: baseline;
  margin-top: 12px;
}
.finder input {
  min-height: 34px;
  border: 0;
  border-bottom: 2px solid var(--ink);
  background: none;
  min-width: 0;
}
.found {
  background: var(--ground);
  padding: 4px 10px;
}
</style>
