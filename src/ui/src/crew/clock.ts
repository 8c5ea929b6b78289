import { useIntervalFn } from '@vueuse/core';
import { shallowRef, watch } from 'vue';
import { ask } from '../api/client';
import type { ClockMoment, ClockSample, ClockView } from '../api/generated/schema';
import { useMe } from './me';

const samples = 8;
const againMs = 10 * 60 * 1000;
const nowS = () => Date.now() / 1000;

/** How the clock of this device stands to the laptop's; nothing on the laptop itself, or while it cannot be asked. */
export function useClock() {
  const me = useMe();
  const said = shallowRef<ClockView | null>(null);

  async function measure(): Promise<void> {
    if (!me.value || me.value.role === 'owner') return;
    try {
      const asked: ClockSample[] = [];
      for (let n = 0; n < samples; n++) {
        const sentS = nowS();
        const moment = await ask<ClockMoment>('GET', '/crew/clock');
        asked.push({ sentS, ...moment, backS: nowS() });
      }
      said.value = await ask<ClockView>('POST', '/crew/clock', asked);
    } catch {
      // Away from the laptop: what was said last stays.
    }
  }

  watch(me, () => void measure(), { immediate: true });
  useIntervalFn(() => void measure(), againMs);
  return said;
}
