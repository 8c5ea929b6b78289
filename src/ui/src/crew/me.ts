import { ref } from 'vue';
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
