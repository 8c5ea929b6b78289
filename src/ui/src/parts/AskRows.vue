<script setup lang="ts" generic="T extends object">
import { computed, defineAsyncComponent } from 'vue';
import { fieldAt } from '../api/description';
import { useRig, valueAt } from '../stores/rig';

/** A list in the design: its rows, one more, one less. */
const props = defineProps<{ path: string; one: string; add?: Partial<T> }>();
const rig = useRig();
const rows = computed(() => (valueAt(rig.design, props.path) as T[]) ?? []);

const RowsClipboard = defineAsyncComponent(() => import('./RowsClipboard.vue'));
const fresh = computed(() => ({ ...(fieldAt(props.path).default as unknown as T), ...(props.add ?? {}) }));

async function addRow(): Promise<void> {
  await rig.set(props.path, [...rows.value, fresh.value]);
}

function removeRow(index: number): void {
  void rig.set(
    props.path,
    rows.value.filter((_, i) => i !== index),
  );
}
</script>

<template>
  <div v-for="(row, index) in rows" :key="index" class="row">
    <slot :path="`${path}/${index}`" :row="row" :index="index" />
    <button type="button" class="bare remove" :aria-label="`Remove ${one} ${index + 1}`" @click="removeRow(index)">remove</button>
  </div>
  <button type="button" class="plain" @click="addRow">one more {{ one }}</button>
  <RowsClipboard :path="path" :one="one" :fresh="fresh" />
</template>

<style scoped>
.row {
  border-left: 3px solid var(--rule);
  padding-left: 10px;
  margin: 6px 0 10px;
}
.remove {
  color: var(--soft);
  text-decoration: underline;
  font-size: 13.5px;
  min-height: 28px;
}
@media (max-width: 700px), (pointer: coarse) {
  .remove {
    min-height: 44px;
  }
}
</style>
