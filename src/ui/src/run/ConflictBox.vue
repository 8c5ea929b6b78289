<script setup lang="ts">
import { computed } from 'vue';
import { fieldAt } from '../api/description';
import { shown } from '../parts/show';
import { useRig } from '../stores/rig';
import SheetTable, { type SheetColumn } from '../parts/SheetTable.vue';
import type { ConflictField } from '../api/generated/schema';

const rig = useRig();
const open = computed(() => rig.conflict !== null);

function words(path: string, value: unknown): string {
  const field = fieldAt(path);
  if (value === null || value === undefined) return 'empty';
  if (field.quantity && typeof value === 'number') return shown(value, field.quantity);
  return typeof value === 'object' ? `${Array.isArray(value) ? value.length : 1} entries` : String(value);
}

const columns: SheetColumn<ConflictField>[] = [
  { key: 'label', label: 'field', text: (f) => f.label, wide: true },
  { key: 'mine', label: 'here', text: (f) => words(f.path, f.mine) },
  { key: 'theirs', label: 'there', text: (f) => words(f.path, f.theirs) },
];
</script>

<template>
  <el-dialog
    :model-value="open"
    title="Another tab changed the same field"
    width="min(520px, 94%)"
    :show-close="false"
    :close-on-click-modal="false"
    :close-on-press-escape="false"
  >
    <div data-conflict>
      <SheetTable name="Where they differ" :rows="rig.conflict?.fields ?? []" :columns="columns" />
    </div>
    <template #footer>
      <button type="button" class="plain" @click="rig.takeTheirs()">take the other tab's</button>
      <button type="button" class="plain" @click="rig.keepMine()">keep what I typed here</button>
    </template>
  </el-dialog>
</template>
