<script setup lang="ts">
import { ref, watch } from 'vue';
import { ask } from '../api/client';
import type { HistoryLine, RigView } from '../api/generated/schema';
import { labelOf } from '../api/description';
import { moment } from '../parts/show';
import { useRig } from '../stores/rig';

const props = defineProps<{ id: string }>();
const open = defineModel<boolean>({ required: true });
const rig = useRig();
const lines = ref<HistoryLine[] | null>(null);

watch(open, async (shown) => {
  lines.value = null;
  if (shown) lines.value = await ask<HistoryLine[]>('GET', `/rigs/${props.id}/history`);
});

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
  <el-drawer v-model="open" title="History of the design" size="min(520px, 94%)" class="history">
    <p class="soft">Returning to an earlier state makes a new one; nothing is lost.</p>
    <p class="save"><a class="plain" :href="`/api/rigs/${id}/job-file`" download>save as job file</a></p>
    <el-skeleton v-if="lines === null" :rows="6" />
    <el-timeline v-else>
      <el-timeline-item v-for="line in lines" :key="line.number" :timestamp="`${moment(line.at)} · ${line.number}`" placement="top">
        <div class="acts">
          <span>{{ what(line) }}</span>
          <button v-if="line.number !== rig.revision" type="button" class="plain" @click="restore(line.number)">return to it</button>
          <span v-else class="soft">now</span>
        </div>
      </el-timeline-item>
    </el-timeline>
  </el-drawer>
</template>

<style scoped>
.save {
  margin: 10px 0 16px;
}
</style>
