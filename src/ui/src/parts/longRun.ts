import { onUnmounted, ref, shallowRef, type Ref, type ShallowRef } from 'vue';
import { ask, whyNot } from '../api/client';

const between = 700;

export interface LongRun<T> {
  result: ShallowRef<T | null>;
  busy: Ref<boolean>;
  /** So many runs are before this one; 0 while it runs. */
  place: Ref<number>;
  error: Ref<string>;
  run: (path: string) => Promise<boolean>;
}

/** A long run on the server: its place in the queue while it waits, its result, its fault. It ends when the page leaves or asks anew. */
export function useLongRun<T>(): LongRun<T> {
  const result = shallowRef<T | null>(null);
  const busy = ref(false);
  const place = ref(0);
  const error = ref('');
  let leave: AbortController | null = null;

  async function watchPlace(name: string, signal: AbortSignal): Promise<void> {
    for (;;) {
      await new Promise((resolve) => setTimeout(resolve, between));
      if (signal.aborted) return;
      const at = await ask<{ place: number | null }>('GET', `/long-runs/${name}`, undefined, { signal }).catch(() => null);
      if (signal.aborted) return;
      place.value = at?.place ?? 0;
    }
  }

  async function run(path: string): Promise<boolean> {
    leave?.abort();
    const mine = new AbortController();
    leave = mine;
    const name = crypto.randomUUID();
    busy.value = true;
    place.value = 0;
    error.value = '';
    void watchPlace(name, mine.signal);
    try {
      result.value = await ask<T>('GET', path, undefined, { signal: mine.signal, run: name });
      return true;
    } catch (e) {
      if (leave === mine) error.value = whyNot(e);
      return false;
    } finally {
      mine.abort();
      if (leave === mine) busy.value = false;
    }
  }

  onUnmounted(() => {
    const mine = leave;
    leave = null;
    mine?.abort();
  });
  return { result, busy, place, error, run };
}

/** What stands beside a run that waits. */
export const waits = (place: number): string => (place === 0 ? '' : place === 1 ? 'waits for one before it' : `waits, ${place} before it`);
