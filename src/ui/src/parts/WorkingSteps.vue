<script setup lang="ts">
import type { CitationKind, Working } from '../api/generated/schema';

defineProps<{ working: Working }>();

const kinds: Record<CitationKind, string> = {
  published: 'published',
  fromMemory: 'from memory',
  commonPractice: 'common practice',
  definition: 'definition of this model',
};

function figure(value: number): string {
  return Math.abs(value) >= 10000 || (value !== 0 && Math.abs(value) < 0.001) ? value.toPrecision(5) : String(Number(value.toPrecision(6)));
}
</script>

<template>
  <ol class="steps">
    <li v-for="(step, index) in working.steps" :key="index">
      <p class="line">
        <b>{{ step.symbol }}</b> = {{ step.formula }}
      </p>
      <p v-if="step.numbers && step.numbers !== 'given'" class="numbers">{{ step.numbers }}</p>
      <p class="result">
        = <b>{{ figure(step.value) }}</b> {{ step.unit }}
      </p>
      <p class="citation">
        <em>{{ kinds[step.citation.kind] }}</em> · {{ step.citation.title }}
      </p>
    </li>
  </ol>
</template>

<style scoped>
.steps {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  border-bottom: 1px solid var(--hair);
  padding: 8px 0;
}
.numbers {
  color: var(--soft);
}
.citation {
  color: var(--soft);
  font-size: 13px;
}
.citation em {
  font-style: normal;
  font-weight: 650;
}
</style>
