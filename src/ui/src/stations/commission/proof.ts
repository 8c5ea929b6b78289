import { useIntervalFn } from '@vueuse/core';
import { computed, ref } from 'vue';
import type { Finding, StationState, Verdict } from '../../api/generated/schema';
import { useWaitAlarm } from '../../parts/waitAlarm';
import { useLeaf } from '../../run/place';
import { useRig } from '../../stores/rig';

/** What was read longer ago than this is no hold that somebody stands at. */
const leftAloneMin = 30;

/** Counts down to the next reading of a hold that runs, and sounds when it is due, until it is read or heard. */
export function useNextReading(kind: string, everyMin: () => number, running: () => boolean) {
  const rig = useRig();
  const now = ref(Date.now());
  const heard = ref(0);
  useIntervalFn(() => (now.value = Date.now()), 1000);
  const last = computed(() => rig.records.reduce((newest, r) => (r.kind === kind ? Math.max(newest, Date.parse(r.at)) : newest), 0));
  const leftS = computed(() => {
    const gone = (now.value - last.value) / 1000;
    return running() && last.value > 0 && gone < leftAloneMin * 60 ? Math.round(everyMin() * 60 - gone) : null;
  });
  const due = computed(() => leftS.value !== null && leftS.value <= 0);
  useWaitAlarm(computed(() => (due.value && heard.value !== last.value ? [`${last.value}`] : [])));
  const words = computed(() =>
    leftS.value === null ? '' : due.value ? 'now' : `${Math.floor(leftS.value / 60)}:${String(leftS.value % 60).padStart(2, '0')}`,
  );
  return { words, due, hear: () => (heard.value = last.value) };
}

/** A leaf whose answer is what stands and what comes next. */
export function useSaid(of: () => { state: StationState; words: Verdict['headline']; next: Verdict['detail'] } | null | undefined) {
  const leaf = useLeaf();
  const findings = computed<Finding[]>(() => leaf.value?.findings ?? []);
  const verdict = computed<Verdict | undefined>(() => {
    const view = of();
    return view ? { state: view.state, headline: view.words, detail: view.next } : undefined;
  });
  return { verdict, findings };
}
