import { ref, shallowRef } from 'vue';
import type { SizingResult } from '../api/generated/schema';
import { madeBefore } from '../parts/longRun';
import { useRig } from './rig';
import { useRuns } from './runs';

/** The search for the smallest kit: a stream of progress, then the maps; closing it ends it, and its last result is kept. */
export function useSizing() {
  const rig = useRig();
  const runs = useRuns();
  const path = `/api/rigs/${rig.id}/sizing`;
  const result = shallowRef<SizingResult | null>(runs.of<SizingResult>(path)?.result ?? null);
  const made = ref<number | null>(runs.of<SizingResult>(path)?.revision ?? null);
  const progress = ref<{ done: number; total: number } | null>(null);
  const error = ref('');
  const place = ref(0);
  let source: EventSource | null = null;

  function stop(): void {
    source?.close();
    source = null;
    progress.value = null;
  }

  function search(): void {
    stop();
    error.value = '';
    progress.value = { done: 0, total: 0 };
    const revision = rig.revision;
    source = new EventSource(path);
    const on = (name: string, act: (data: string) => void) => source!.addEventListener(name, (e) => act((e as MessageEvent<string>).data));
    on('queued', (data) => (place.value = JSON.parse(data) as number));
    on('progress', (data) => {
      place.value = 0;
      progress.value = JSON.parse(data) as { done: number; total: number };
    });
    on('result', (data) => {
      result.value = JSON.parse(data) as SizingResult;
      made.value = revision;
      runs.keep(path, revision, result.value);
      stop();
    });
    on('fault', (data) => {
      error.value = JSON.parse(data) as string;
      stop();
    });
    source.onerror = () => {
      if (!source) return;
      error.value = 'The server does not answer.';
      stop();
    };
  }

  const stale = () => (progress.value ? '' : madeBefore(rig, made.value));
  return { result, progress, error, place, search, stop, stale };
}
