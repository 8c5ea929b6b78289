import { ref } from 'vue';
import { ask, Refused } from '../api/client';
import type { RigView, StationState } from '../api/generated/schema';
import { useRig } from '../stores/rig';
import { decimalComma, settings } from './settings';
import { useBy } from '../crew/me';

/** The shape of each state, and its word for a part of the proof. */
export const marks: Record<StationState, string> = { open: '○', resting: '○', passed: '●', caution: '▲', stop: '◆' };
export const proofWords: Record<StationState, string> = {
  open: 'open',
  resting: 'waits',
  passed: 'proved',
  caution: 'caution',
  stop: 'stop',
};

/** Writes readings down as records, under the name that this device knows; says what was refused, field by field. */
export function useWriting() {
  const rig = useRig();
  const by = useBy();
  const errors = ref<Record<string, string>>({});
  const refused = ref('');
  const busy = ref(false);

  async function write(kind: string, values: Record<string, string>, corrects: string | null = null): Promise<boolean> {
    [errors.value, refused.value] = [{}, ''];
    if (!by.value.trim()) {
      refused.value = 'Who reads it? Write your name first.';
      return false;
    }
    busy.value = true;
    try {
      const wanted = { kind, by: by.value, units: settings.units, decimalComma, values, corrects };
      rig.take(await ask<RigView>('POST', `/rigs/${rig.id}/records`, wanted));
      return true;
    } catch (error) {
      if (error instanceof Refused) errors.value = Object.fromEntries(error.errors.map((e) => [e.field, e.reason]));
      refused.value = error instanceof Refused ? error.message : 'The server does not answer; nothing was lost, press again.';
      return false;
    } finally {
      busy.value = false;
    }
  }
  /** Brings the reading's field under the thumb. */
  const toRead = () => document.querySelector<HTMLInputElement>('[data-read]')?.focus();
  return { by, errors, refused, busy, write, toRead };
}
