import { onMounted, onUnmounted, shallowRef, watch, type ShallowRef } from 'vue';
import { ask } from '../api/client';
import { useRig } from '../stores/rig';

const rest = 400;

/** What the server works out beside the assessment: asked at once, and anew when the rig has rested for a moment. */
export function useStudy<T>(part: string): ShallowRef<T | null> {
  const rig = useRig();
  const study = shallowRef<T | null>(null);
  let timer = 0;

  async function load(): Promise<void> {
    study.value = await ask<T>('GET', `/rigs/${rig.id}/${part}`, undefined, true).catch(() => study.value);
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
  return study;
}
