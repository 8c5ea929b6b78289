<script setup lang="ts">
/** What stands further down a long station: press to go there. */
defineProps<{ to: { words: string; at: string }[] }>();

function go(at: string): void {
  const section = document.querySelector<HTMLElement>(`[${at}]`);
  section?.scrollIntoView({ block: 'start' });
  section?.querySelector<HTMLElement>('button, input, summary')?.focus({ preventScroll: true });
}
</script>

<template>
  <nav class="jump" aria-label="Further down">
    <span class="soft">further down</span>
    <button v-for="j in to" :key="j.at" type="button" @click="go(j.at)">{{ j.words }}</button>
  </nav>
</template>

<style scoped>
.jump {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  align-items: baseline;
  margin: 2px 0 8px;
}
button {
  border: 0;
  background: none;
  padding: 4px 0;
  min-height: 30px;
  font: inherit;
  color: var(--ink);
  text-decoration: underline;
  cursor: pointer;
}
</style>
