<script setup lang="ts">
import SheetTable, { type SheetColumn } from './SheetTable.vue';
import { moment } from './show';
import type { Kept, Records } from './records';

/** What was recorded, the newest first; one that is corrected is struck through. */
const props = defineProps<{ of: Records }>();
const log: SheetColumn<Kept>[] = [
  { key: 'at', label: 'when', text: (r) => moment(r.at), width: 130 },
  { key: 'by', label: 'by', text: (r) => r.by + (r.corrects ? ', correction' : '') },
  { key: 'readings', label: 'readings', text: (r) => props.of.readingsOf(r), wide: true },
  { key: 'correct', label: '' },
];
</script>

<template>
  <section data-log>
    <h2>Log</h2>
    <el-empty
      v-if="of.records.length === 0"
      :image-size="0"
      description="Nothing is recorded yet. What is recorded here is never changed: a correction is a new record that points at the old."
    />
    <SheetTable
      v-else
      name="Log"
      :rows="[...of.records].reverse()"
      :columns="log"
      :row-class="(r) => (of.isCorrected(r.id) ? 'struck' : '')"
      copies
    >
      <template #correct="{ row }">
        <button v-if="!of.isCorrected(row.id)" type="button" class="plain" @click="of.correct(row)">correct</button>
      </template>
    </SheetTable>
  </section>
</template>

<style scoped>
:deep(.struck) {
  text-decoration: line-through;
  color: var(--soft);
}
</style>
