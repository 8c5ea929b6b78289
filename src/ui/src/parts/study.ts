import { onMounted, onUnmounted, ref, shallowRef, watch, type Ref, type ShallowRef } from 'vue';
import { ask, Refused } from '../api/client';
import { useRig } from '../stores/rig';

const rest = 400;

/** What the server works out beside the assessment: asked at once, and anew when the rig has rested for a moment. What was last found stays beside a fault. */
export function useStudy<T>(part: string): { study: ShallowRef<T | null>; fault: Ref<string> } {
  const rig = useRig();
  const study = shallowRef<T | null>(null);
  const fault = ref('');
  let timer = 0;

  async function load(): Promise<void> {
    try {
      study.value = await ask<T>('GET', `/rigs/${rig.id}/${part}`, undefined, true);
      fault.value = '';
    } catch (error) {
      fault.value = error instanceof Refused ? error.message : 'The server does not answer.';
    }
  }

  watch(
    () => rig.revision,
    () => {
      window.clearTimeout(timer);
      timer = window.setTimeout(() => void load(), rest);
    },
  );
  onMounted(load);
  onUnmounted(() => window.clearTimeout(timer));
  return { study, fault };
}
