import { useTimeoutFn } from '@vueuse/core';
import { onMounted, watch, type ComputedRef, type Ref, type ShallowRef } from 'vue';
import { useRig } from '../stores/rig';
import { useLongRun } from './longRun';

const rest = 400;

/** What the server works out beside the assessment: asked at once, and anew when the rig has rested for a moment. What was last found stays beside a fault. */
export function useStudy<T>(part: string): {
  study: ShallowRef<T | null>;
  fault: Ref<string>;
  busy: Ref<boolean>;
  place: Ref<number>;
  /** What was found is of the rig as it stands. */
  fresh: ComputedRef<boolean>;
} {
  const rig = useRig();
  const { result, error, busy, place, fresh, run } = useLongRun<T>(part);
  const rested = useTimeoutFn(() => void run(), rest, { immediate: false });

  watch(
    () => rig.revision,
    () => rested.start(),
  );
  onMounted(run);
  return { study: result, fault: error, busy, place, fresh };
}
