<script setup lang="ts">
import { computed, reactive, ref } from 'vue';
import { ask, Refused } from '../../api/client';
import { recordFieldsOf } from '../../api/description';
import type { CommissionRecord, RigView, VerdictRow } from '../../api/generated/schema';
import VerdictBox from '../../parts/VerdictBox.vue';
import { decimalComma, settings } from '../../parts/settings';
import { editable, say, shown, shownMeasure, symbolOf } from '../../parts/show';
import { useRig } from '../../stores/rig';
import StationLayout from '../StationLayout.vue';

const kind = 'start-up';
const recordFields = recordFieldsOf(kind);
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
  for (const field of recordFields) {
    const name = field.path.slice(1);
    const value = (old.readings as Record<string, unknown>)[name];
    before[name] = typeof value === 'number' ? editable(value, field.quantity!) : '';
    typed[name] = before[name];
  }
}

function readingsOf(record: CommissionRecord): string {
  const readings = record.readings as unknown as Record<string, number | null>;
  return recordFields
    .filter((f) => typeof readings[f.path.slice(1)] === 'number')
    .map((f) => shown(readings[f.path.slice(1)]!, f.quantity!))
    .join(' · ');
}

const isCorrected = (id: string) => records.value.some((r) => r.corrects === id);

function open(row: VerdictRow): void {
  if (row.expected) rig.figure = { label: row.label, value: row.expected.value, quantity: row.expected.quantity, working: row.working };
}
</script>

<template>
  <StationLayout title="Commission" question="Does it do what was predicted?">
    <template #say>
      <p class="caution">
        Prove dead before a cover comes off. Capacitors hold charge for minutes. Readings of the running unit only with covers on and an
        insulated clamp.
      </p>
      <form @submit.prevent="record">
        <h2>{{ corrects ? 'Correct a record' : 'Record a start-up' }}</h2>
        <label class="reading"
          ><span>Taken by</span><span class="value"><input v-model="by" data-reading="by" autocomplete="name" /></span
        ></label>
        <label v-for="field in recordFields" :key="field.path" class="reading">
          <span>{{ field.label }}</span>
          <span class="value"
            ><input
              v-model="typed[field.path.slice(1)]"
              :data-reading="field.path.slice(1)"
              autocomplete="off"
              :aria-invalid="!!errors[field.path.slice(1)]"
            /><small>{{ symbolOf(field.quantity!) }}</small></span
          >
          <em v-if="errors[field.path.slice(1)]" role="alert">{{ errors[field.path.slice(1)] }}</em>
        </label>
        <p v-if="general" class="severity-stop" role="alert">{{ general }}</p>
        <button type="submit" class="plain record">{{ corrects ? 'record the correction' : 'record the readings' }}</button>
        <button v-if="corrects" type="button" class="bare" @click="corrects = null">leave it</button>
      </form>
    </template>
    <template #see>
      <VerdictBox :verdict="proof.verdict" :findings="proof.findings" />
      <table class="sheet proof" data-proof>
        <thead>
          <tr>
            <th></th>
            <th>reading</th>
            <th class="number">measured</th>
            <th class="number">expected</th>
            <th>band</th>
            <th>verdict</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in proof.rows" :key="row.id" :data-row="row.id" :class="row.verdict">
            <td class="mark" aria-hidden="true">{{ marks[row.verdict] }}</td>
            <td>{{ row.label }}</td>
            <td class="number">
              <b>{{ shownMeasure(row.measured) }}</b>
            </td>
            <td class="number">
              <button v-if="row.expected" type="button" class="bare working" @click="open(row)">{{ shownMeasure(row.expected) }}</button>
            </td>
            <td class="soft">{{ say(row.band) }}</td>
            <td>
              <b class="word">{{ words[row.verdict] }}</b> {{ row.verdict === 'notDone' ? '' : say(row.words) }}
            </td>
          </tr>
        </tbody>
      </table>
      <h2 class="log">Log</h2>
      <p v-if="records.length === 0" class="soft">
        Nothing is recorded yet. What is recorded here is never changed: a correction is a new record that points at the old.
      </p>
      <table v-else class="sheet" data-log>
        <tbody>
          <tr v-for="r in [...records].reverse()" :key="r.id" :class="{ struck: isCorrected(r.id) }">
            <td>{{ new Date(r.at).toLocaleString('en-GB') }}</td>
            <td>{{ r.by }}{{ r.corrects ? ', correction' : '' }}</td>
            <td>
              {{ readingsOf(r) }}
            </td>
            <td><button v-if="!isCorrected(r.id)" type="button" class="plain" @click="correct(r)">correct</button></td>
          </tr>
        </tbody>
      </table>
    </template>
  </StationLayout>
</template>

<style scoped>
.caution {
  border: 2px solid var(--caution);
  border-radius: 3px;
  padding: 6px 9px;
  font-size: 13.5px;
  margin: 10px 0 12px;
}
.reading {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 2px 10px;
  align-items: baseline;
  border-bottom: 1px solid var(--hair);
  padding: 4px 0;
}
.value {
  display: inline-flex;
  align-items: baseline;
  gap: 5px;
  border-bottom: 2px solid var(--ink);
}
.value input {
  width: 92px;
  border: 0;
  background: none;
  text-align: right;
  font-weight: 620;
  min-height: 32px;
}
small {
  color: var(--soft);
  min-width: 40px;
}
em {
  grid-column: 1 / -1;
  font-style: normal;
  color: var(--stop);
  font-size: 13.5px;
}
.record {
  margin: 12px 12px 0 0;
  min-height: 42px;
  font-weight: 650;
}
.mark {
  width: 22px;
  font-size: 16px;
}
.pass .mark,
.pass .word {
  color: var(--pass);
}
.caution .mark,
tr.caution .word {
  color: var(--caution);
}
.stop .mark,
.stop .word {
  color: var(--stop);
}
tr.caution {
  border: 0;
}
.working {
  border-bottom: 1.5px dotted var(--soft);
}
.log {
  margin-top: 18px;
}
.struck {
  text-decoration: line-through;
  color: var(--soft);
}
</style>
