import { useEventListener, useIntervalFn } from '@vueuse/core';
import { onUnmounted, watch, type Ref } from 'vue';

const againMs = 20000;
const tones = [880, 660, 880];
const toneS = 0.35;

/**
 * Sounds and shakes when something that runs by itself is over, and again until somebody has heard it. A page may only sound after it was touched
 * once; before that it shakes and shows.
 */
export function useWaitAlarm(unheard: Ref<string[]>): void {
  let sound: AudioContext | null = null;
  useEventListener(document, 'click', () => void (sound ??= new AudioContext()).resume(), { passive: true });

  function ring(): void {
    navigator.vibrate?.([400, 200, 400, 200, 400]);
    if (sound?.state !== 'running') return;
    for (const [i, hertz] of tones.entries()) {
      const [tone, loud] = [sound.createOscillator(), sound.createGain()];
      const at = sound.currentTime + i * toneS;
      tone.frequency.value = hertz;
      loud.gain.setValueAtTime(0.25, at);
      loud.gain.exponentialRampToValueAtTime(0.001, at + toneS);
      tone.connect(loud).connect(sound.destination);
      tone.start(at);
      tone.stop(at + toneS);
    }
  }

  watch(
    () => unheard.value.join(),
    (now, before) => now && now !== before && ring(),
    { immediate: true },
  );
  useIntervalFn(() => unheard.value.length && ring(), againMs);
  onUnmounted(() => void sound?.close());
}
