import { computed, onUnmounted, ref, shallowRef, type ComputedRef, type Ref, type ShallowRef } from 'vue';
import { ask, whyNot } from '../api/client';
import { useRig } from '../stores/rig';
import { useRuns } from '../stores/runs';
import { freshId } from './identity';

const between = 700;

export interface LongRun<T> {
  result: ShallowRef<T | null>;
  busy: Ref<boolean>;
  /** So many runs are before this one; 0 while it runs. */
  place: Ref<number>;
  error: Ref<string>;
  /** What has changed since the result was made, in a sentence; empty while it is of the rig as it stands. */
  stale: ComputedRef<string>;
  /** The result is of the rig as it stands. */
  fresh: ComputedRef<boolean>;
  run: () => Promise<boolean>;
  cancel: () => void;
}

/** What a result that was made before is told with. */
export function madeBefore(rig: ReturnType<typeof useRig>, revision: number | null): string {
  if (revision === null || revision === rig.revision) return '';
  const changed = rig.changedSince(revision);
  const what = changed.slice(0, 2).join(', ') + (changed.length > 2 ? ` and ${changed.length - 2} more` : '');
  return changed.length ? `Made before you changed ${what}: run it again.` : 'Made before the rig was changed: run it again.';
}

/**
 * A long run on the server: its place in the queue while it waits, its result with the revision it was made from, its fault. It ends when the page
 * leaves or asks anew; its last result is kept for the next visit.
 */
export function useLongRun<T>(part: string): LongRun<T> {
  const rig = useRig();
  const runs = useRuns();
  const path = `/rigs/${rig.id}/${part}`;
  const result = shallowRef<T | null>(runs.of<T>(path)?.result ?? null);
  const made = ref<number | null>(runs.of<T>(path)?.revision ?? null);
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

  async function run(): Promise<boolean> {
    leave?.abort();
    const mine = new AbortController();
    leave = mine;
    const name = freshId();
    const revision = rig.revision;
    busy.value = true;
    place.value = 0;
    error.value = '';
    void watchPlace(name, mine.signal);
    try {
      result.value = await ask<T>('GET', path, undefined, { signal: mine.signal, run: name });
      made.value = revision;
      runs.keep(path, revision, result.value);
      return true;
    } catch (e) {
      if (leave === mine) error.value = whyNot(e);
      return false;
    } finally {
      mine.abort();
      if (leave === mine) busy.value = false;
    }
  }

  function cancel(): void {
    const mine = leave;
    leave = null;
    mine?.abort();
    busy.value = false;
  }

  onUnmounted(cancel);
  return {
    result,
    busy,
    place,
    error,
    stale: computed(() => (busy.value ? '' : madeBefore(rig, made.value))),
    fresh: computed(() => made.value === rig.revision),
    run,
    cancel,
  };
}

/** What stands beside a run that waits. */
export const waits = (place: number): string => (place === 0 ? '' : place === 1 ? 'waits for one before it' : `waits, ${place} before it`);
