<script setup lang="ts">
import { computed } from 'vue';
import type { VerdictRow } from '../../api/generated/schema';
import RecordForm from '../../parts/RecordForm.vue';
import RecordLog from '../../parts/RecordLog.vue';
import { useRecords } from '../../parts/records';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { say, shownMeasure } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { marks as states } from '../../parts/writing';

const rig = useRig();
const records = useRecords('start-up');
const proof = computed(() => rig.assessment!.commission!);
const marks: Record<string, string> = { pass: '●', note: '○', caution: '▲', stop: '◆', notDone: '–' };
const words: Record<string, string> = { pass: 'pass', note: 'note', caution: 'caution', stop: 'stop', notDone: 'not taken' };

const rows: SheetColumn<VerdictRow>[] = [
  { key: 'mark', label: '', width: 26 },
  { key: 'label', label: 'reading', text: (r) => r.label, wide: true },
  { key: 'measured', label: 'measured', number: true, text: (r) => shownMeasure(r.measured) },
  { key: 'expected', label: 'expected', number: true, text: (r) => shownMeasure(r.expected) },
  { key: 'band', label: 'band', text: (r) => say(r.band), wide: true },
  { key: 'verdict', label: 'verdict', text: (r) => words[r.verdict]!, wide: true },
];
function open(row: VerdictRow): void {
  if (row.expected)
    rig.figure = { label: row.label, value: row.expected.value, quantity: row.expected.quantity, working: row.working, leaf: '' };
}
</script>

<template>
  <LeafLayout>
    <template #say>
      <p class="danger">
        Prove dead before a cover comes off. Capacitors hold charge for minutes. Readings of the running unit only with covers on and an
        insulated clamp.
      </p>
      <RecordForm :of="records" :asks="proof.asks" :groups="proof.groups" title="Record a start-up" />
      <p v-if="proof.notOpened" class="soft small">{{ say(proof.notOpened) }}</p>
    </template>
    <template #picture>
      <ol class="stages" data-stages>
        <li v-for="(s, n) in proof.stages" :key="s.name" :class="s.state" :data-stage="s.state">
          <i aria-hidden="true">{{ states[s.state] }}</i>
          <b>{{ n + 1 }} {{ s.name }}</b> <small v-if="s.dwellMin">{{ s.dwellMin }} min</small>
          <span>{{ say(s.words) }}</span>
        </li>
      </ol>
      <div data-proof>
        <SheetTable name="Measured against predicted" :rows="proof.rows" :columns="rows" :row-class="(r) => r.verdict" copies>
          <template #mark="{ row }">
            <span class="mark" aria-hidden="true">{{ marks[row.verdict] }}</span>
          </template>
          <template #measured="{ row }">
            <b>{{ shownMeasure(row.measured) }}</b>
          </template>
          <template #expected="{ row }">
            <button v-if="row.expected" type="button" class="bare working" @click="open(row)">{{ shownMeasure(row.expected) }}</button>
          </template>
          <template #band="{ row }">
            <span class="soft">{{ say(row.band) }}</span>
          </template>
          <template #verdict="{ row }">
            <span :data-row="row.id"
              ><b class="word">{{ words[row.verdict] }}</b> {{ row.verdict === 'notDone' ? '' : say(row.words) }}</span
            >
          </template>
        </SheetTable>
      </div>
    </template>
    <template #below>
      <RecordLog :of="records" />
    </template>
  </LeafLayout>
</template>

<style scoped>
.danger {
  border: 2px solid var(--caution);
  border-radius: 3px;
  padding: 6px 9px;
  font-size: 13.5px;
  margin: 6px 0 12px;
}
.stages {
  list-style: none;
  margin: 0 0 12px;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
  gap: 0 14px;
}
.stages li {
  border-top: 3px solid var(--rule);
  padding: 6px 0;
  font-size: 14px;
}
.stages li.passed {
  border-color: var(--pass);
}
.stages li.caution {
  border-color: var(--caution);
}
.stages li.stop {
  border-color: var(--stop);
}
.stages i {
  font-style: normal;
  margin-right: 5px;
}
.stages small,
.stages span {
  color: var(--soft);
}
.stages span {
  display: block;
}
.mark {
  font-size: 16px;
}
:deep(.pass) .mark,
:deep(.pass) .word {
  color: var(--pass);
}
:deep(.caution) .mark,
:deep(.caution) .word {
  color: var(--caution);
}
:deep(.stop) .mark,
:deep(.stop) .word {
  color: var(--stop);
}
.working {
  border-bottom: 1.5px dotted var(--soft);
  min-height: 28px;
}
@media (pointer: coarse), (max-width: 700px) {
  .working {
    min-height: 44px;
  }
}
</style>
