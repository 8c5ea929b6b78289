<script setup lang="ts">
/** A paper to take along. */
defineProps<{ href: string; kind: string; paper?: string; file?: string }>();
</script>

<template>
  <a class="paper" :href="href" :download="file ?? ''" :data-paper="paper">
    <slot /> <small>{{ kind }}</small>
  </a>
</template>

<style scoped>
.paper {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 1rem;
  min-height: 44px;
  padding: 0 0.7rem;
  border: 1px solid var(--rule);
  background: var(--raised);
  color: var(--ink);
  text-decoration: none;
  font-weight: 560;
}
.paper:hover {
  border-color: var(--ink);
}
.paper small {
  color: var(--soft);
}
</style>
