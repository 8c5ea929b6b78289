import { useLocalStorage } from '@vueuse/core';
import { computed, ref, watchEffect, type Ref } from 'vue';
import { ask } from '../api/client';
import type { CrewMe } from '../api/generated/schema';

/** Who holds this device; nobody known yet is somebody who may look only. */
const me = ref<CrewMe | null>(null);
let asked: Promise<unknown> | null = null;

/** Asked once for the page; offline the last answer of this device stands. */
export function useMe(): typeof me {
  asked ??= ask<CrewMe>('GET', '/crew/me').then(
    (found) => {
      me.value = found;
      localStorage.setItem('vanto.me', JSON.stringify(found));
    },
    () => {
      asked = null;
      me.value = JSON.parse(localStorage.getItem('vanto.me') ?? 'null') as CrewMe | null;
    },
  );
  return me;
}

/** On a device of the crew its own name stands under what is written; only where several share it, or on the laptop, one is typed. */
export const nameStands = computed(() => me.value?.shared === false);

/** The name under which things are written down, kept on this device. */
export function useBy(): Ref<string> {
  const by = useLocalStorage('vanto.by', '');
  useMe();
  watchEffect(() => nameStands.value && (by.value = me.value!.name));
  return by;
}
