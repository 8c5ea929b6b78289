<script setup lang="ts">
import { computed, reactive, ref } from 'vue';
import { ask, Refused } from '../../api/client';
import { recordFieldsOf } from '../../api/description';
import type { CommissionRecord, RigView, VerdictRow } from '../../api/generated/schema';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { decimalComma, settings } from '../../parts/settings';
import { editable, moment, say, shown, shownMeasure, symbolOf } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';

const kind = 'start-up';
const recordFields = computed(() => recordFieldsOf(kind).filter((f) => proof.value.asks.includes(f.path.slice(1))));
const rig = useRig();
const records = computed(() => rig.records.filter((r) => r.kind === kind));
const proof = computed(() => rig.assessment!.commission!);
const by = ref('');
const typed = reactive<Record<string, string>>({});
let before: Record<string, string> = {};
const errors = reactive<Record<string, string>>({});
const general = ref('');
const corrects = ref<string | null>(null);
const marks: Record<string, string> = { pass: '●', note: '○', caution: '▲', stop: '◆', notDone: '–' };
const words: Record<string, string> = { pass: 'pass', note: 'note', caution: 'caution', stop: 'stop', notDone: 'not taken' };

async function record(): Promise<void> {
  for (const key of Object.keys(errors)) delete errors[key];
  general.value = '';
  try {
    const wanted = { kind, by: by.value, units: settings.units, decimalComma, values: changed(), corrects: corrects.value };
    rig.take(await ask<RigView>('POST', `/rigs/${rig.id}/records`, wanted));
    for (const key of Object.keys(typed)) delete typed[key];
    corrects.value = null;
  } catch (error) {
    if (!(error instanceof Refused)) {
      general.value = 'The server does not answer; the readings are still here.';
      return;
    }
    for (const e of error.errors) errors[e.field] = e.reason;
    general.value = error.message;
  }
}

/** Of a correction only what was typed anew: the rest stays as it was read, to the last digit. */
function changed(): Record<string, string> {
  return corrects.value ? Object.fromEntries(Object.entries(typed).filter(([name, text]) => text !== before[name])) : { ...typed };
}

function correct(old: CommissionRecord): void {
  corrects.value = old.id;
  before = {};
  by.value = old.by;
  for (const field of recordFields.value) {
    const name = field.path.slice(1);
    const value = (old.readings as Record<string, unknown>)[name];
    before[name] = typeof value === 'number' ? editable(value, field.quantity!) : '';
    typed[name] = before[name];
  }
}

function readingsOf(record: CommissionRecord): string {
  const readings = record.readings as unknown as Record<string, number | null>;
  return recordFieldsOf(kind)
    .filter((f) => typeof readings[f.path.slice(1)] === 'number')
    .map((f) => shown(readings[f.path.slice(1)]!, f.quantity!))
    .join(' · ');
}

const isCorrected = (id: string) => records.value.some((r) => r.corrects === id);

const rows: SheetColumn<VerdictRow>[] = [
  { key: 'mark', label: '', width: 26 },
  { key: 'label', label: 'reading', text: (r) => r.label, wide: true },
  { key: 'measured', label: 'measured', number: true, text: (r) => shownMeasure(r.measured) },
  { key: 'expected', label: 'expected', number: true, text: (r) => shownMeasure(r.expected) },
  { key: 'band', label: 'band', text: (r) => say(r.band), wide: true },
  { key: 'verdict', label: 'verdict', text: (r) => words[r.verdict]!, wide: true },
];
const log: SheetColumn<CommissionRecord>[] = [
  { key: 'at', label: 'when', text: (r) => moment(r.at), width: 130 },
  { key: 'by', label: 'by', text: (r) => r.by + (r.corrects ? ', correction' : '') },
  { key: 'readings', label: 'readings', text: readingsOf, wide: true },
  { key: 'correct', label: '' },
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
      <form @submit.prevent="record">
        <h2>{{ corrects ? 'Correct a record' : 'Record a start-up' }}</h2>
        <div class="field reading">
          <label for="reading-by">Taken by</label>
          <el-input id="reading-by" v-model="by" data-reading="by" autocomplete="name" class="typed" />
        </div>
        <div v-for="field in recordFields" :key="field.path" class="field reading" :class="{ wrong: errors[field.path.slice(1)] }">
          <label :for="`reading-${field.path.slice(1)}`">{{ field.label }}</label>
          <el-input
            :id="`reading-${field.path.slice(1)}`"
            v-model="typed[field.path.slice(1)]"
            :data-reading="field.path.slice(1)"
            autocomplete="off"
            class="typed"
            :aria-invalid="!!errors[field.path.slice(1)]"
          >
            <template v-if="symbolOf(field.quantity!)" #suffix>{{ symbolOf(field.quantity!) }}</template>
          </el-input>
          <em v-if="errors[field.path.slice(1)]" role="alert">{{ errors[field.path.slice(1)] }}</em>
        </div>
        <p v-if="general" class="severity-stop" role="alert">{{ general }}</p>
        <p class="acts record">
          <button type="submit" class="plain">{{ corrects ? 'record the correction' : 'record the readings' }}</button>
          <button v-if="corrects" type="button" class="plain" @click="corrects = null">leave it</button>
        </p>
      </form>
      <p v-if="proof.notOpened" class="soft small">{{ say(proof.notOpened) }}</p>
    </template>
    <template #picture>
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
      <section data-log>
        <h2>Log</h2>
        <el-empty
          v-if="records.length === 0"
          :image-size="0"
          description="Nothing is recorded yet. What is recorded here is never changed: a correction is a new record that points at the old."
        />
        <SheetTable
          v-else
          name="Log"
          :rows="[...records].reverse()"
          :columns="log"
          :row-class="(r) => (isCorrected(r.id) ? 'struck' : '')"
          copies
        >
          <template #correct="{ row }">
            <button v-if="!isCorrected(row.id)" type="button" class="plain" @click="correct(row)">correct</button>
          </template>
        </SheetTable>
      </section>
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
.reading {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 10px;
  align-items: baseline;
  border-bottom: 1px solid var(--hair);
  padding: 4px 0;
}
.typed {
  width: 128px;
}
em {
  grid-column: 1 / -1;
  font-style: normal;
  color: var(--stop);
  font-size: 13.5px;
}
.record {
  margin-top: 12px;
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
:deep(.struck) {
  text-decoration: line-through;
  color: var(--soft);
}
</style>
