import { defineStore } from 'pinia';
import { shallowReactive } from 'vue';

interface Kept {
  revision: number;
  result: unknown;
}

/** Last results of long runs, by the address they were asked of, with the revision they were made from: leaving a leaf does not lose them. */
export const useRuns = defineStore('runs', {
  state: () => ({ kept: shallowReactive(new Map<string, Kept>()) }),
  actions: {
    keep(path: string, revision: number, result: unknown): void {
      this.kept.set(path, { revision, result });
    },
    of<T>(path: string): { revision: number; result: T } | undefined {
      return this.kept.get(path) as { revision: number; result: T } | undefined;
    },
  },
});
