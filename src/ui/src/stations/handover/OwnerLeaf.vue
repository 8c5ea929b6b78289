<script setup lang="ts">
import { computed } from 'vue';
import AskGroup from '../../parts/AskGroup.vue';
import { useRig } from '../../stores/rig';
import PrintedBlock from './PrintedBlock.vue';
import LeafLayout from '../LeafLayout.vue';

const rig = useRig();
const sheet = computed(() => rig.assessment!.handover!);
const pair = computed(() => sheet.value.blocks.filter((b) => b.place === 'rig' || b.place === 'fitted'));
const rest = computed(() => {
  const care = rig.assessment!.service?.printed;
  return [...sheet.value.blocks.filter((b) => !pair.value.includes(b)), ...(care ? [care] : [])];
});
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskGroup
        title="On the sheet"
        :paths="['/handover/firm', '/handover/contact', '/handover/owner', '/handover/remarks', '/handover/ownerReports', '/units']"
      />
      <p class="print"><a class="plain" :href="`/api/rigs/${rig.id}/handover.pdf`" target="_blank" data-pdf>open as PDF</a></p>
      <p class="print"><a class="plain" :href="`/api/rigs/${rig.id}/job-file`" download>save the job file</a></p>
    </template>
    <template #picture>
      <article class="paper" data-sheet>
        <header>
          <h2 class="title">{{ rig.design!.name }}</h2>
          <b v-if="sheet.draft" class="severity-stop">DRAFT</b>
        </header>
        <div class="pair"><PrintedBlock v-for="block in pair" :key="block.heading" :block="block" bare /></div>
        <PrintedBlock v-for="block in rest" :key="block.heading" :block="block" />
        <template v-if="rig.design!.handover.remarks">
          <h3>Remarks</h3>
          <p class="remarks">{{ rig.design!.handover.remarks }}</p>
        </template>
      </article>
    </template>
  </LeafLayout>
</template>

<style scoped>
.print {
  margin-top: 14px;
}
.paper {
  background: var(--raised);
  border: 1px solid var(--rule);
  padding: 20px 26px;
  max-width: 780px;
}
header {
  display: flex;
  justify-content: space-between;
  border-bottom: 2px solid var(--ink);
  padding-bottom: 6px;
  margin-bottom: 10px;
}
.title {
  font-size: 22px;
  color: var(--ink);
}
h3 {
  font-size: 15px;
  margin: 14px 0 4px;
}
@media (max-width: 700px) {
  .paper {
    padding: 14px 12px;
  }
}
.remarks {
  white-space: pre-line;
}
</style>
