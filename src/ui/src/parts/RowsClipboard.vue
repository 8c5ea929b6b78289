<script setup lang="ts">
import { useClipboard } from '@vueuse/core';
import { computed, ref } from 'vue';
import { fieldsUnder } from '../api/description';
import { useRig, valueAt, type Edit } from '../stores/rig';
import { editable } from './show';

/** Rows of a list to and from a spreadsheet: the first line names the columns, as the copy has them. */
const props = defineProps<{ path: string; one: string; fresh: object }>();
const rig = useRig();
const open = ref(false);
const pasted = ref('');
const { copy: put, copied } = useClipboard();
const fields = computed(() => fieldsUnder(props.path));
const rows = computed(() => (valueAt(rig.design, props.path) as object[]) ?? []);

/** A value of a row as it can be typed again. */
function cell(row: object, name: string): string {
  const field = fields.value.find((f) => f.name === name)!;
  const value = (row as Record<string, unknown>)[name];
  if (value === null || value === undefined) return '';
  return typeof value === 'number' && field.quantity ? editable(value, field.quantity) : String(value);
}

async function copy(): Promise<void> {
  const head = fields.value.map((f) => f.label).join('\t');
  await put([head, ...rows.value.map((r) => fields.value.map((f) => cell(r, f.name)).join('\t'))].join('\n'));
}

const wrong = ref('');

/** What is pasted becomes rows behind those that are there; each cell is read as if it were typed. */
async function take(): Promise<void> {
  const [head, ...lines] = pasted.value
    .trimEnd()
    .split(/\r?\n/)
    .map((l) => l.split('\t').map((c) => c.trim()));
  const columns = head!.map((title) => fields.value.find((f) => [f.label, f.name].some((n) => n.toLowerCase() === title.toLowerCase())));
  const unknown = head!.filter((_, i) => !columns[i]);
  wrong.value = unknown.length
    ? `No column is called "${unknown[0]}"; there are ${fields.value.map((f) => f.label).join(', ')}.`
    : lines.length === 0
      ? 'Under the line of names there must be a row.'
      : '';
  if (wrong.value) return;
  const first = rows.value.length;
  const edits: Edit[] = lines.flatMap((cells, i) =>
    columns.flatMap((field, k): Edit[] => {
      const text = cells[k] ?? '';
      const path = `${props.path}/${first + i}/${field!.name}`;
      if (text === '') return [];
      if (field!.input === 'quantity') return [{ path, text }];
      if (field!.input === 'switch') return [{ path, value: ['true', 'yes', '1'].includes(text.toLowerCase()) }];
      const choice = field!.choices.find((c) => [c.value, c.label].some((n) => n.toLowerCase() === text.toLowerCase()));
      return [{ path, value: choice?.value ?? text }];
    }),
  );
  await rig.change([{ path: props.path, value: [...rows.value, ...lines.map(() => ({ ...props.fresh }))] }, ...edits]);
  const refused = [props.path, ...edits.map((e) => e.path)].map((p) => rig.errors[p]).find(Boolean);
  wrong.value = refused ?? '';
  if (!refused) {
    open.value = false;
    pasted.value = '';
  }
}
</script>

<template>
  <span class="tools">
    <button v-if="rows.length" type="button" class="bare" :data-copy-rows="path" @click="copy">
      {{ copied ? 'copied' : 'copy rows' }}
    </button>
    <button type="button" class="bare" :data-paste-rows="path" @click="open = true">paste rows</button>
  </span>
  <el-dialog v-model="open" :title="`Rows from a spreadsheet: ${one}`" width="min(560px, 94%)" append-to-body>
    <p class="soft small">
      The first line names the columns: {{ fields.map((f) => f.label).join(', ') }}. Any of them, in any order; units as typed.
    </p>
    <el-input v-model="pasted" type="textarea" :rows="8" :aria-label="`Rows of ${one} with tabs between`" data-pasted />
    <p v-if="wrong" class="severity-stop" role="alert">{{ wrong }}</p>
    <template #footer><button type="button" class="plain" @click="take">add the rows</button></template>
  </el-dialog>
</template>

<style scoped>
.tools {
  margin-left: 12px;
  display: inline-flex;
  gap: 12px;
}
.bare {
  color: var(--soft);
  text-decoration: underline;
  font-size: 13.5px;
  min-height: 30px;
}
@media (pointer: coarse), (max-width: 700px) {
  .bare {
    min-height: 44px;
  }
}
</style>
