<script setup lang="ts" generic="T extends object">
import { useClipboard, useMediaQuery } from '@vueuse/core';
import { computed } from 'vue';

/** One column: where its text comes from, whether it is a number, and whether one can sort by it. */
export interface SheetColumn<R> {
  key: string;
  label: string;
  /** As copied, and as shown where no slot draws it. */
  text?: (row: R) => string;
  /** What is sorted by; without it one cannot sort. */
  sort?: (row: R) => number | string;
  number?: boolean;
  width?: number;
  /** Takes what width is left, in proportion. */
  wide?: boolean;
  /** Stands on one line, such as a day. */
  whole?: boolean;
  /** Left out on a phone. */
  desk?: boolean;
}

const props = defineProps<{
  rows: T[];
  columns: SheetColumn<T>[];
  name: string;
  rowClass?: (row: T) => string;
  maxHeight?: number;
  copies?: boolean;
}>();
const narrow = useMediaQuery('(max-width: 700px)');
const { copy: put, copied } = useClipboard();
const styled = ({ row }: { row: T }) => props.rowClass?.(row) ?? '';
const sorted = (column: SheetColumn<T>) => (a: T, b: T) => {
  const [x, y] = [column.sort!(a), column.sort!(b)];
  return typeof x === 'number' && typeof y === 'number' ? x - y : String(x).localeCompare(String(y));
};
const standing = computed(() => props.columns.filter((c) => !(narrow.value && c.desk)));
const headed = computed(() => standing.value.some((c) => c.label));

/** The whole table with tabs between, as a spreadsheet takes it. */
async function copy(): Promise<void> {
  const told = props.columns.filter((c) => c.text);
  await put([told.map((c) => c.label), ...props.rows.map((r) => told.map((c) => c.text!(r)))].map((cells) => cells.join('\t')).join('\n'));
}
</script>

<template>
  <div class="sheet-table" role="group" :aria-label="name">
    <el-table
      :data="rows"
      :row-class-name="styled"
      :show-header="headed"
      :max-height="maxHeight"
      :fit="true"
      table-layout="auto"
      :scrollbar-tabindex="0"
    >
      <el-table-column
        v-for="(column, index) in standing"
        :key="column.key"
        :prop="column.key"
        :label="column.label"
        :align="column.number ? 'right' : 'left'"
        :sortable="!!column.sort"
        :sort-method="column.sort ? sorted(column) : undefined"
        :min-width="column.width ?? (column.wide ? 160 : undefined)"
        :fixed="narrow && index === 0 && standing.length > 4 ? 'left' : false"
        :class-name="[column.number && 'number', column.whole && 'whole'].filter(Boolean).join(' ')"
      >
        <template #default="{ row }">
          <slot :name="column.key" :row="row as T">{{ column.text?.(row as T) }}</slot>
        </template>
      </el-table-column>
      <template #empty><slot name="empty">nothing here yet</slot></template>
    </el-table>
    <button v-if="copies" type="button" class="bare copy" @click="copy">{{ copied ? 'copied' : 'copy the table' }}</button>
  </div>
</template>

<style scoped>
.sheet-table {
  min-width: 0;
}
.sheet-table :deep(.whole .cell) {
  white-space: nowrap;
}
.copy {
  font-size: 13px;
  color: var(--soft);
  text-decoration: underline;
  min-height: 30px;
}
@media (max-width: 700px), (pointer: coarse) {
  .copy {
    min-height: 44px;
  }
}
</style>
