<script setup lang="ts">
import { computed } from 'vue';
import type { InstallValues } from '../../api/generated/schema';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { eventWords } from './eventWords';

/** Every event as it was written down; none is edited or deleted. */
const rig = useRig();
const site = computed(() => rig.assessment?.install ?? null);
interface Row {
  at: number;
  by: string;
  event: InstallValues;
}
const rows = computed(() =>
  rig.records
    .filter((r) => r.kind === 'install')
    .map((r) => r as unknown as { by: string; event: InstallValues })
    .map((r): Row => ({ at: r.event.atMs, by: r.by, event: r.event }))
    .toReversed(),
);
const nameOf = (id: string) => site.value?.steps.find((s) => s.id === id)?.name ?? id;
const columns: SheetColumn<Row>[] = [
  { key: 'at', label: 'at', text: (r) => new Date(r.at).toLocaleString('sv').slice(0, 16), width: 140 },
  { key: 'by', label: 'by', text: (r) => r.by, width: 110 },
  { key: 'step', label: 'step', text: (r) => nameOf(r.event.step), wide: true },
  { key: 'what', label: '', text: (r) => (r.event.void ? 'taken back' : eventWords[r.event.type]), width: 110 },
  {
    key: 'said',
    label: 'written down',
    text: (r) =>
      [r.event.field, r.event.asTyped || (r.event.value ?? ''), r.event.text, r.event.second && `with ${r.event.second}`]
        .filter(Boolean)
        .join(' · '),
    wide: true,
  },
];
</script>

<template>
  <LeafLayout>
    <template #say>
      <p class="soft">A mistake is corrected by another event; the first stays in the log.</p>
    </template>
    <template v-if="site" #picture>
      <ul v-if="site.remarks.length" class="remarks">
        <li v-for="r in site.remarks" :key="r.event + r.words">{{ nameOf(r.step) }}: {{ r.words }}</li>
      </ul>
      <SheetTable v-if="rows.length" name="Log" :rows="rows" :columns="columns" copies />
      <el-empty v-else :image-size="0" description="Nothing is written down yet: begin on the leaf step." />
    </template>
  </LeafLayout>
</template>

<style scoped>
.remarks {
  margin: 0 0 10px;
  padding-left: 1.1rem;
  color: var(--caution);
}
</style>
