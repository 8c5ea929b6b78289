<script setup lang="ts">
import { computed } from 'vue';
import type { SiteStep } from '../../api/generated/schema';
import PaperLink from '../../parts/PaperLink.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { spanOf } from '../plan/asked';

/** What is done, what runs, what is left; the step itself is led on its own leaf. */
const rig = useRig();
const site = computed(() => rig.assessment?.install ?? null);
const states: Record<string, string> = {
  open: 'open',
  running: 'runs',
  paused: 'paused',
  waiting: 'runs by itself',
  done: 'done',
  skipped: 'skipped',
  reopened: 'opened again',
};
const clock = (ms: number | null) => (ms === null ? '' : new Date(ms).toTimeString().slice(0, 5));
const columns: SheetColumn<SiteStep>[] = [
  { key: 'stage', label: 'stage', text: (s) => s.stage, width: 150, desk: true },
  { key: 'name', label: 'step', text: (s) => s.name, wide: true },
  { key: 'state', label: 'stands', text: (s) => states[s.state]!, width: 110 },
  { key: 'begun', label: 'begun', text: (s) => clock(s.firstStartMs), width: 70, desk: true },
  { key: 'done', label: 'done', text: (s) => clock(s.doneMs), width: 70, desk: true },
  {
    key: 'hands',
    label: 'hands',
    number: true,
    text: (s) => (s.handsMs ? spanOf(s.handsMs / 60000) : `likely ${spanOf(s.likelyMin)}`),
    width: 120,
    desk: true,
  },
  { key: 'by', label: 'by', text: (s) => s.by, width: 74 },
  {
    key: 'open',
    label: 'gate',
    text: (s) => (s.contested.length ? 'to be looked at' : s.overrides.length ? 'passed over' : ''),
    width: 120,
    desk: true,
  },
];
</script>

<template>
  <LeafLayout>
    <template #say>
      <PaperLink :href="`/api/rigs/${rig.id}/install/run-sheet.pdf`" kind="PDF" paper="pdf">Run sheet on paper</PaperLink>
      <p class="soft">Press a step to open it. All of them stand in the order of the plan.</p>
    </template>
    <template v-if="site" #picture>
      <div class="bar" role="img" :aria-label="`${site.done} of ${site.steps.length} steps are done`">
        <i :style="{ width: `${(100 * site.done) / Math.max(1, site.steps.length)}%` }"></i>
      </div>
      <SheetTable name="Run sheet" :rows="site.steps" :columns="columns" :row-class="(s) => s.state" copies>
        <template #name="{ row }">
          <RouterLink class="open" :to="{ path: `/rig/${rig.id}/install/step`, query: { step: row.id } }">{{ row.name }}</RouterLink>
        </template>
      </SheetTable>
      <p v-if="site.outside.length" class="soft">Done outside the plan: {{ site.outside.join(', ') }}.</p>
    </template>
  </LeafLayout>
</template>

<style scoped>
@media (max-width: 700px) {
  .open {
    display: flex;
    align-items: center;
    min-height: 44px;
  }
}
.bar {
  height: 12px;
  background: var(--ground);
  margin-bottom: 10px;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--pass);
}
:deep(.running),
:deep(.waiting),
:deep(.paused) {
  font-weight: 720;
}
:deep(.done),
:deep(.skipped) {
  color: var(--soft);
}
</style>
