import { toReactive, useLocalStorage } from '@vueuse/core';
import { watchEffect } from 'vue';

export type Scheme = 'light' | 'dark' | 'sunlight';

interface Settings {
  units: 'metric' | 'customary';
  scheme: Scheme;
}

const schemes: Scheme[] = ['light', 'dark', 'sunlight'];
const first: Settings = { units: 'metric', scheme: 'light' };

/** How this person reads: units and colour scheme, kept in this browser. */
export const settings = toReactive<Settings>(
  useLocalStorage<Settings>('vanto.settings', first, { mergeDefaults: true, listenToStorageChanges: false, flush: 'sync' }),
);

/** True where this browser's language writes a decimal comma. */
export const decimalComma = new Intl.NumberFormat(navigator.language).format(1.5).includes(',');

watchEffect(() => {
  document.documentElement.dataset.scheme = settings.scheme;
});

export function switchUnits(): void {
  settings.units = settings.units === 'metric' ? 'customary' : 'metric';
}

export function switchScheme(): void {
  settings.scheme = schemes[(schemes.indexOf(settings.scheme) + 1) % schemes.length]!;
}
