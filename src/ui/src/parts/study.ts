import { onMounted, onUnmounted, watch, type Ref, type ShallowRef } from 'vue';
import { useRig } from '../stores/rig';
import { useLongRun } from './longRun';

const rest = 400;

/** What the server works out beside the assessment: asked at once, and anew when the rig has rested for a moment. What was last found stays beside a fault. */
export function useStudy<T>(part: string): { study: ShallowRef<T | null>; fault: Ref<string>; place: Ref<number> } {
  const rig = useRig();
  const { result, error, place, run } = useLongRun<T>();
  let timer = 0;
  const load = () => void run(`/rigs/${rig.id}/${part}`);

  watch(
    () => rig.revision,
    () => {
      window.clearTimeout(timer);
      timer = window.setTimeout(load, rest);
    },
  );
  onMounted(load);
  onUnmounted(() => window.clearTimeout(timer));
  return { study: result, fault: error, place };
}
