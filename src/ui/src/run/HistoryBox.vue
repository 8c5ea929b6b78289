<script setup lang="ts">
import { ref } from 'vue';
import { ask } from '../api/client';
import type { HistoryLine, RigView } from '../api/generated/schema';
import { labelOf } from '../api/description';
import { useRig } from '../stores/rig';

const props = defineProps<{ id: string }>();
const rig = useRig();
const open = ref(false);
const lines = ref<HistoryLine[]>([]);

async function show(): Promise<void> {
  lines.value = await ask<HistoryLine[]>('GET', `/rigs/${props.id}/history`);
  open.value = true;
}

async function restore(revision: number): Promise<void> {
  rig.take(await ask<RigView>('POST', `/rigs/${props.id}/restore`, { revision, client: 'history' }));
  open.value = false;
}

function what(line: HistoryLine): string {
  if (line.label) return line.label;
  const names = line.paths.map((p) => labelOf(p));
  return names.slice(0, 3).join(', ') + (names.length > 3 ? ` and ${names.length - 3} more` : '');
}
</script>

<template>
  <button type="button" class="key" @click="show">history</button>
  <el-dialog v-model="open" title="History of the design" width="560">
    <p class="soft">Returning to an earlier state makes a new one; nothing is lost.</p>
    <a class="plain" :href="`/api/rigs/${id}/job-file`" download>save as job file</a>
    <table class="sheet">
      <tbody>
        <tr v-for="line in lines" :key="line.number">
          <td>{{ line.number }}</td>
          <td>{{ new Date(line.at).toLocaleString('en-GB') }}</td>
          <td>{{ what(line) }}</td>
          <td>
            <button v-if="line.number !== rig.revision" type="button" class="plain" @click="restore(line.number)">return to it</button>
            <span v-else class="soft">now</span>
          </td>
        </tr>
      </tbody>
    </table>
  </el-dialog>
</template>

<style scoped>
.key {
  border: 1.5px solid var(--rule);
  border-radius: 3px;
  padding: 4px 10px;
  min-height: 34px;
  background: var(--sheet);
  color: var(--ink);
  cursor: pointer;
}
</style>
