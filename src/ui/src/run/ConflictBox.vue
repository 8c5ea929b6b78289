<script setup lang="ts">
import { computed } from 'vue';
import { fieldAt } from '../api/description';
import { shown } from '../parts/show';
import { useRig } from '../stores/rig';

const rig = useRig();
const open = computed(() => rig.conflict !== null);

function words(path: string, value: unknown): string {
  const field = fieldAt(path);
  if (value === null || value === undefined) return 'empty';
  if (field.quantity && typeof value === 'number') return shown(value, field.quantity);
  return typeof value === 'object' ? `${Array.isArray(value) ? value.length : 1} entries` : String(value);
}
</script>

<template>
  <el-dialog
    :model-value="open"
    title="Another tab changed the same field"
    width="520"
    :show-close="false"
    :close-on-click-modal="false"
    :close-on-press-escape="false"
  >
    <table class="sheet" data-conflict>
      <thead>
        <tr>
          <th>field</th>
          <th>here</th>
          <th>there</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="field in rig.conflict?.fields ?? []" :key="field.path">
          <td>{{ field.label }}</td>
          <td>
            <b>{{ words(field.path, field.mine) }}</b>
          </td>
          <td>
            <b>{{ words(field.path, field.theirs) }}</b>
          </td>
        </tr>
      </tbody>
    </table>
    <template #footer>
      <button type="button" class="plain" @click="rig.takeTheirs()">take the other tab's</button>
      <button type="button" class="plain" @click="rig.keepMine()">keep what I typed here</button>
    </template>
  </el-dialog>
</template>
