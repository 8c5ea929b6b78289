<script setup lang="ts">
import { computed } from 'vue';
import AskGroup from '../../parts/AskGroup.vue';
import VerdictBox from '../../parts/VerdictBox.vue';
import { useRig } from '../../stores/rig';
import PrintedBlock from './PrintedBlock.vue';
import StationLayout from '../StationLayout.vue';

const rig = useRig();
const sheet = computed(() => rig.assessment!.handover!);
const pair = computed(() => sheet.value.blocks.filter((b) => b.place === 'rig' || b.place === 'fitted'));
const rest = computed(() => sheet.value.blocks.filter((b) => !pair.value.includes(b)));
</script>

<template>
  <StationLayout title="Handover" question="What does the owner need to know?">
    <template #say>
      <AskGroup title="On the sheet" :paths="['/handover/firm', '/handover/contact', '/handover/owner', '/handover/remarks', '/units']" />
      <p class="print"><a class="button" :href="`/api/rigs/${rig.id}/handover.pdf`" target="_blank" data-pdf>open as PDF</a></p>
      <p class="print"><a class="button" :href="`/api/rigs/${rig.id}/job-file`" download>save the job file</a></p>
    </template>
    <template #see>
      <VerdictBox :verdict="sheet.verdict" :findings="sheet.findings" />
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
  </StationLayout>
</template>

<style scoped>
.print {
  margin-top: 14px;
}
.button {
  display: inline-block;
  border: 1.5px solid var(--ink);
  border-radius: 3px;
  background: var(--raised);
  padding: 7px 14px;
  text-decoration: none;
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
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px;
}
.remarks {
  white-space: pre-line;
}
</style>
