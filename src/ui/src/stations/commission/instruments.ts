import { useIntervalFn } from '@vueuse/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { ask, whyNot } from '../../api/client';
import type { ChannelView, InstrumentsView, RigView, SceneKind, TakeAs, TraceView } from '../../api/generated/schema';
import { useRig } from '../../stores/rig';

const beatMs = 1000;
const points = 800;

/** Instruments of the rig that is open: asked each second while the leaf is on the screen; what was seen last stays where the server does not answer. */
export function useInstruments() {
  const rig = useRig();
  const seen = shallowRef<InstrumentsView | null>(null);
  const trace = shallowRef<TraceView | null>(null);
  const chosen = ref<number | null>(null);
  const lastMin = ref<number | null>(null);
  const refused = ref('');
  const away = ref(false);
  const channel = computed<ChannelView | null>(
    () => seen.value?.channels.find((c) => c.id === chosen.value) ?? seen.value?.channels[0] ?? null,
  );
  let asking = false;

  async function look(): Promise<void> {
    if (asking) return;
    asking = true;
    try {
      seen.value = await ask<InstrumentsView>('GET', `/rigs/${rig.id}/instruments`);
      const of = channel.value;
      if (of) {
        const from = lastMin.value === null ? '' : `&from=${of.toMs - lastMin.value * 60_000}`;
        trace.value = await ask<TraceView>('GET', `/rigs/${rig.id}/instruments/trace?channel=${of.id}&points=${points}${from}`);
      } else trace.value = null;
      away.value = false;
    } catch {
      away.value = true;
    } finally {
      asking = false;
    }
  }

  async function tell(path: string, body: object): Promise<void> {
    refused.value = '';
    try {
      seen.value = await ask<InstrumentsView>('POST', `/rigs/${rig.id}/instruments/${path}`, body);
    } catch (error) {
      refused.value = whyNot(error);
    }
    await look();
  }

  /** Takes the trace that is shown over into the proof; the answer is on the leaf of that proof. */
  async function take(as: TakeAs, by: string, fromMs: number | null, toMs: number | null): Promise<boolean> {
    refused.value = '';
    if (!by.trim()) {
      refused.value = 'Who takes them over? Write your name first.';
      return false;
    }
    try {
      rig.take(
        await ask<RigView>('POST', `/rigs/${rig.id}/instruments/take`, { as, by, channel: channel.value?.id ?? null, fromMs, toMs }),
      );
      return true;
    } catch (error) {
      refused.value = whyNot(error);
      return false;
    }
  }

  useIntervalFn(() => void look(), beatMs, { immediateCallback: true });
  watch([chosen, lastMin], () => void look());
  return {
    seen,
    trace,
    channel,
    chosen,
    lastMin,
    refused,
    away,
    look,
    take,
    listen: (on: boolean) => tell('broker', { on }),
    play: (scene: SceneKind, rate: number) => tell('scene', { scene, rate, seed: 1 + Math.floor(Math.random() * 1e6) }),
    stop: () => tell('scene/stop', {}),
  };
}
