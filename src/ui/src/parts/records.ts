import { computed, reactive, ref } from 'vue';
import { ask, Refused } from '../api/client';
import { recordFieldsOf } from '../api/description';
import type { RigView } from '../api/generated/schema';
import { decimalComma, settings } from './settings';
import { editable, shown } from './show';
import { useRig } from '../stores/rig';

export type Kept = RigView['records'][number];
const readingsIn = (record: Kept) => (record as unknown as { readings: Record<string, number | boolean | null | undefined> }).readings;

/** Readings of one kind as they are typed and kept: what is recorded is never changed, a correction is a new record that points at the old. */
export function useRecords(kind: string) {
  const rig = useRig();
  const records = computed(() => rig.records.filter((r) => r.kind === kind));
  const by = ref('');
  const typed = reactive<Record<string, string>>({});
  let before: Record<string, string> = {};
  const errors = reactive<Record<string, string>>({});
  const general = ref('');
  const corrects = ref<string | null>(null);

  /** Of a correction only what was typed anew: the rest stays as it was read, to the last digit. */
  const changed = (): Record<string, string> =>
    corrects.value ? Object.fromEntries(Object.entries(typed).filter(([name, text]) => text !== before[name])) : { ...typed };

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

  function correct(old: Kept): void {
    corrects.value = old.id;
    before = {};
    by.value = old.by;
    for (const field of recordFieldsOf(kind)) {
      const name = field.path.slice(1);
      const value = readingsIn(old)[name];
      before[name] = typeof value === 'number' ? editable(value, field.quantity!) : typeof value === 'boolean' ? String(value) : '';
      typed[name] = before[name];
    }
  }

  const readingsOf = (r: Kept): string =>
    recordFieldsOf(kind)
      .filter((f) => typeof readingsIn(r)[f.path.slice(1)] === 'number')
      .map((f) => shown(readingsIn(r)[f.path.slice(1)] as number, f.quantity!))
      .join(' · ');
  const isCorrected = (id: string) => records.value.some((r) => r.corrects === id);
  const forget = () => (corrects.value = null);
  return reactive({ kind, records, by, typed, errors, general, corrects, record, correct, readingsOf, isCorrected, forget });
}

export type Records = ReturnType<typeof useRecords>;
