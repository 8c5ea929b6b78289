<script setup lang="ts">
import { computed } from 'vue';
import type { PowerTestRow } from '../../api/generated/schema';
import RecordForm from '../../parts/RecordForm.vue';
import RecordLog from '../../parts/RecordLog.vue';
import { useRecords } from '../../parts/records';
import PaperLink from '../../parts/PaperLink.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { say } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';

/** What is measured before power goes on, in its order, with limits and verdicts. */
const rig = useRig();
const wiring = computed(() => rig.assessment?.wiring ?? null);
const records = useRecords('power-test');
const marks: Record<string, string> = { open: '○', passed: '●', failed: '◆', notApplicable: '–' };
const words: Record<string, string> = { open: 'open', passed: 'passed', failed: 'failed', notApplicable: 'not asked' };
const rows: SheetColumn<PowerTestRow>[] = [
  { key: 'mark', label: '', width: 26 },
  { key: 'name', label: 'step', text: (r) => r.name, wide: true },
  { key: 'limit', label: 'limit', text: (r) => say(r.limit), wide: true },
  { key: 'measured', label: 'read', number: true, text: (r) => say(r.measured) || '–' },
  { key: 'state', label: '', text: (r) => (r.locked && r.state === 'open' ? 'waits' : words[r.state]!), width: 84 },
  { key: 'words', label: '', text: (r) => say(r.words), wide: true },
];
</script>

<template>
  <LeafLayout>
    <template #say>
      <p class="danger small">
        Tester proved on a known source before and after. A pair that is not dead: stop. Insulation only with electronics disconnected. What
        is asked is read with the power off until the last two lines.
      </p>
      <RecordForm v-if="wiring" :of="records" :asks="wiring.testAsks" title="Record the tests" />
    </template>
    <template v-if="wiring" #picture>
      <div data-tests>
        <SheetTable name="Before power" :rows="wiring.tests" :columns="rows" :row-class="(r) => r.state" copies>
          <template #mark="{ row }">
            <span class="mark" aria-hidden="true">{{ marks[row.state] }}</span>
          </template>
        </SheetTable>
      </div>
      <p class="take">
        <PaperLink :href="`/api/rigs/${rig.id}/wiring/papers.pdf`" kind="PDF">Test sheet with the papers</PaperLink>
        <PaperLink :href="`/api/rigs/${rig.id}/wiring/certificate.pdf`" kind="PDF" paper="certificate">Certificate of the tests</PaperLink>
      </p>
    </template>
    <template v-if="wiring" #below>
      <RecordLog :of="records" />
    </template>
  </LeafLayout>
</template>

<style scoped>
.danger {
  border: 2px solid var(--caution);
  border-radius: 3px;
  padding: 6px 9px;
  margin: 6px 0 12px;
}
.mark {
  font-size: 16px;
}
:deep(.passed) .mark {
  color: var(--pass);
}
:deep(.failed) {
  color: var(--stop);
}
</style>
