<script setup lang="ts">
import { useClipboard } from '@vueuse/core';
import { computed } from 'vue';
import { useRig } from '../stores/rig';
import { shown } from './show';
import WorkingSteps from './WorkingSteps.vue';

const rig = useRig();
const { copy: put, copied } = useClipboard();
const open = computed({
  get: () => rig.figure !== null,
  set: (value: boolean) => {
    if (!value) rig.figure = null;
  },
});

async function copy(): Promise<void> {
  const figure = rig.figure;
  if (!figure) return;
  const lines = figure.working.steps.map(
    (s) => `${s.symbol} = ${s.formula}\t${s.numbers}\t${s.value} ${s.unit}\t${s.citation.kind}: ${s.citation.title}`,
  );
  await put([`${figure.label}: ${shown(figure.value, figure.quantity)}`, ...lines].join('\n'));
}
</script>

<template>
  <el-drawer v-model="open" :title="rig.figure?.label ?? ''" size="min(440px, 94%)" class="working">
    <template v-if="rig.figure">
      <p class="total">{{ shown(rig.figure.value, rig.figure.quantity) }}</p>
      <button type="button" class="plain" @click="copy">{{ copied ? 'copied' : 'copy the working' }}</button>
      <WorkingSteps :working="rig.figure.working" />
    </template>
  </el-drawer>
</template>

<style scoped>
.total {
  font-size: 28px;
  font-weight: 650;
  margin-bottom: 8px;
}
</style>
