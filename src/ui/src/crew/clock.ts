import { useIntervalFn } from '@vueuse/core';
import { shallowRef, watch } from 'vue';
import { ask } from '../api/client';
import type { ClockMoment, ClockSample, ClockView } from '../api/generated/schema';
import { useMe } from './me';

const againMs = 10 * 60 * 1000;
const nowS = () => Date.now() / 1000;

/** How the clock of this device stands to the laptop's; nothing on the laptop itself, or while it cannot be asked. */
export function useClock() {
  const me = useMe();
  const said = shallowRef<ClockView | null>(null);

  async function measure(): Promise<void> {
    if (!me.value || me.value.role === 'owner') return;
    try {
      const samples: ClockSample[] = [];
      let wanted = 1;
      while (samples.length < wanted) {
        const sentS = nowS();
        const { receivedS, answeredS, asked } = await ask<ClockMoment>('GET', '/crew/clock');
        samples.push({ sentS, receivedS, answeredS, backS: nowS() });
        wanted = asked;
      }
      said.value = await ask<ClockView>('POST', '/crew/clock', samples);
    } catch {
      // Away from the laptop: what was said last stays.
    }
  }

  watch(me, () => void measure(), { immediate: true });
  useIntervalFn(() => void measure(), againMs);
  return said;
}
