<script setup lang="ts">
import { computed } from 'vue';
import type { ShelfRow } from '../api/generated/schema';
import SheetTable, { type SheetColumn } from '../parts/SheetTable.vue';
import { say } from '../parts/show';

/** Units, prices and people that the shop keeps for every rig; they come from a rig's own leaves. */
const props = defineProps<{ shelf: ShelfRow[] }>();
const emit = defineEmits<{ off: [row: ShelfRow] }>();
const columns: SheetColumn<ShelfRow>[] = [
  { key: 'key', label: '', text: (r) => r.name, width: 116 },
  { key: 'words', label: '', text: (r) => (r.state === 'unreadable' ? `${r.stands}: ${say(r.words)}` : say(r.words)), width: 150 },
  { key: 'by', label: '', text: (r) => r.kept, width: 104, whole: true, desk: true },
  { key: 'off', label: '', width: 72 },
];
const few = 8;
/** Each list by itself; a long one, such as the prices, is folded. */
const lists = computed(() => {
  const of = new Map<string, ShelfRow[]>();
  for (const r of props.shelf) of.set(r.of, [...(of.get(r.of) ?? []), r]);
  return [...of];
});
</script>

<template>
  <h2>Kept for every rig</h2>
  <div v-if="lists.length" data-kept-rows>
    <details v-for="[of, rows] in lists" :key="of" :open="rows.length <= few" :data-kept-list="rows[0]!.list">
      <summary>
        {{ of }} <small>{{ rows.length }}</small>
      </summary>
      <SheetTable :name="of" :rows="rows" :columns="columns" copies>
        <template #off="{ row }">
          <button type="button" class="bare off" :data-off="row.key" :title="`kept by ${row.by}`" @click="emit('off', row)">
            take off
          </button>
        </template>
      </SheetTable>
    </details>
  </div>
  <p v-else class="soft">
    Nothing is kept yet. A rig gives its own units, unit sheets, prices, hire prices and people to the shop where they are typed: Unit and
    Plan.
  </p>
</template>

<style scoped>
summary {
  cursor: pointer;
  min-height: 32px;
  display: list-item;
  padding: 6px 0;
  font-weight: 640;
}
summary small {
  color: var(--soft);
  font-weight: 400;
}
.off {
  white-space: nowrap;
  text-decoration: underline;
  color: var(--soft);
}
</style>
