import type { ComputedRef, InjectionKey } from 'vue';

/** The station that keeps all fields of a group, where that is not the one that is open. */
export const keeperKey: InjectionKey<ComputedRef<string>> = Symbol('keeper');
