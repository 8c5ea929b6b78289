import Dexie, { type EntityTable } from 'dexie';
import { useLocalStorage } from '@vueuse/core';
import { computed, onMounted, onUnmounted, ref, shallowRef } from 'vue';
import { ask, Refused } from '../../api/client';
import type { InstallValues, RigView, SentEvent, TakenEvents } from '../../api/generated/schema';
import { useRig } from '../../stores/rig';
import { contentHash, freshId } from '../../parts/identity';
import { useBy } from '../../crew/me';

/** An event in this device's own log: kept until the server holds it, and thirty days after. */
interface KeptEvent {
  id: string;
  rig: string;
  seq: number;
  sent: SentEvent;
  held: number | null;
  /** Why the server would not have it; it stays here, and keeps no other back. */
  aside?: string;
}

/** A photograph on this device, by the hash of its content. */
interface KeptPhoto {
  sha256: string;
  rig: string;
  blob: Blob;
  held: number | null;
}

const db = new Dexie('vanto-site') as Dexie & {
  events: EntityTable<KeptEvent, 'id'>;
  photos: EntityTable<KeptPhoto, 'sha256'>;
  facts: EntityTable<{ name: string; value: string }, 'name'>;
};
db.version(1).stores({ events: 'id, [rig+seq], held', photos: 'sha256', facts: 'name' });

/** Longest side of a photograph as it is kept. */
const longest = 2048;
const quality = 0.85;

/** The whole picture, where somebody asks that it is kept too; the server takes no larger one. */
const wholeQuality = 0.95;
const wholeBytes = 12_000_000;

/** Drawn anew, so that neither place nor camera stay in it. */
async function drawn(file: Blob, most: number, quality: number): Promise<Blob> {
  const picture = await createImageBitmap(file);
  const share = Math.min(1, most / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(picture.width * share);
  canvas.height = Math.round(picture.height * share);
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('this is no picture'))), 'image/jpeg', quality),
  );
}

/** Clocks of events beyond these are nobody's: the laptop takes none, and none is gone on from. */
const farAheadMs = 24 * 3600 * 1000;
const mostCount = 1_000_000;
const keepHeldMs = 30 * 24 * 3600 * 1000;
const retryMs = 5000;
const most = 200;

/** Answers that judge what was sent; all others say only that it cannot be taken now. */
const judged = [400, 403, 409];

/** This device's name among devices, made once. */
async function device(): Promise<string> {
  const known = await db.facts.get('device');
  if (known) return known.value;
  const made = freshId().slice(0, 13);
  await db.facts.put({ name: 'device', value: made });
  return made;
}

const empty = (): InstallValues => ({
  type: 'noteAdded',
  step: '',
  device: '',
  seq: 0,
  l: 0,
  c: 0,
  atMs: 0,
  source: 'hand',
  text: '',
  field: '',
  value: null,
  each: null,
  asTyped: '',
  second: '',
  whole: '',
  void: null,
});

/**
 * The log of the work on site: each event is written on the device first, then shown, then sent in its order; nothing is let go before the server
 * says that it holds it. The button never waits for the network.
 */
export function useSiteLog() {
  const rig = useRig();
  const by = useBy();
  const waiting = shallowRef<KeptEvent[]>([]);
  const aside = shallowRef<KeptEvent[]>([]);
  const offline = ref(false);
  const whole = useLocalStorage('vanto.wholePictures', false);
  const unsentPhotos = ref(0);
  const clockOffS = ref<number | null>(null);
  const refused = ref<string[]>([]);
  let timer: ReturnType<typeof setInterval> | undefined;
  let sending: Promise<void> | null = null;
  let fresh = new Set<string>();

  async function read(): Promise<void> {
    const unsent = (
      await db.events
        .where('rig')
        .equals(rig.id)
        .toArray()
        .catch(() => db.events.filter((e) => e.rig === rig.id).toArray())
    )
      .filter((e) => e.held === null)
      .toSorted((a, b) => a.seq - b.seq);
    waiting.value = unsent.filter((e) => !e.aside);
    aside.value = unsent.filter((e) => e.aside);
  }

  /** What was set aside is sent once more. */
  async function again(id: string): Promise<void> {
    // Refused for a clock that ran ahead it would be refused for good: its place among all is told anew, the time it was written stays.
    const kept = await db.events.get(id);
    if (kept)
      await db.events.put({
        ...kept,
        aside: '',
        sent: { ...kept.sent, event: { ...kept.sent.event, l: Math.min(kept.sent.event.l, Date.now()) } },
      });
    await send();
  }

  /** The next number and clock of this device, over all that it has written for this rig. */
  async function stamp(): Promise<Pick<InstallValues, 'device' | 'seq' | 'l' | 'c' | 'atMs'>> {
    const name = await device();
    const mine = await db.events.filter((e) => e.rig === rig.id).toArray();
    const heard = rig.records.filter((r) => r.kind === 'install') as unknown as { event: InstallValues }[];
    const all = [...mine.map((e) => e.sent.event), ...heard.map((r) => r.event)];
    const now = Date.now();
    // What is further ahead than the laptop takes would stop this phone.
    const most = now + (clockOffS.value ?? 0) * 1000 + farAheadMs;
    const last = all
      .filter((e) => e.l <= most && e.c < mostCount)
      .reduce((a, e) => (e.l > a.l || (e.l === a.l && e.c > a.c) ? { l: e.l, c: e.c } : a), { l: 0, c: 0 });
    const seq = 1 + Math.max(0, ...all.filter((e) => e.device === name).map((e) => e.seq));
    return { device: name, seq, atMs: now, ...(now > last.l ? { l: now, c: 0 } : { l: last.l, c: last.c + 1 }) };
  }

  /** Writes events down and lets them go to the server in their own time; live ones may be refused at an open gate. */
  async function write(events: Partial<InstallValues>[], corrects: string | null = null): Promise<boolean> {
    refused.value = [];
    const kept: KeptEvent[] = [];
    await db.transaction('rw', db.events, db.facts, async () => {
      let at = await stamp();
      for (const e of events) {
        const event = { ...empty(), ...e, ...at };
        kept.push({ id: freshId(), rig: rig.id, seq: at.seq, sent: { id: '', by: by.value, event, corrects }, held: null });
        at = { ...at, seq: at.seq + 1, c: at.c + 1 };
      }
      for (const e of kept) e.sent.id = e.id;
      await db.events.bulkPut(kept);
    });
    await read();
    // Only what is written this moment, with nothing older before it, may be refused at a gate; what waited is taken as it is.
    fresh = waiting.value.length === kept.length ? new Set(kept.map((e) => e.id)) : new Set();
    await send();
    return refused.value.length === 0;
  }

  async function sendAll(): Promise<void> {
    await read();
    let singly = false;
    while (waiting.value.length) {
      const batch = waiting.value.slice(0, singly ? 1 : most);
      const live = !offline.value && batch.every((e) => fresh.has(e.id));
      try {
        const taken = await ask<TakenEvents>('POST', `/rigs/${rig.id}/install/events`, {
          events: batch.map((e) => e.sent),
          live,
          nowMs: Date.now(),
        });
        offline.value = false;
        const now = Date.now();
        await db.events.bulkPut(batch.map((e) => ({ ...e, held: now })));
        clockOffS.value = taken.clockOffS;
        rig.take(taken.view as RigView);
      } catch (error) {
        if (!(error instanceof Refused) || !judged.includes(error.status)) {
          offline.value = true;
          return;
        }
        const why = error.errors.length ? error.errors.map((e) => e.reason) : [error.message];
        // An act refused this moment was never done. What was done alone goes one by one: one that is refused stays here with the reason.
        if (live) {
          refused.value = why;
          await db.events.bulkDelete(batch.map((e) => e.id));
        } else if (batch.length > 1) singly = true;
        else await db.events.update(batch[0]!.id, { aside: why.join('; ') });
      }
      await read();
    }
    await db.events.filter((e) => e.held !== null && e.held < Date.now() - keepHeldMs).delete();
  }

  /** Photographs go first, so that who is told of one can see it; where they cannot, the events do not wait for them. */
  async function sendPhotos(): Promise<void> {
    for (const photo of await db.photos.filter((p) => p.rig === rig.id && p.held === null).toArray()) {
      try {
        await ask('POST', `/rigs/${rig.id}/install/photos`, photo.blob);
        await db.photos.update(photo.sha256, { held: Date.now() });
      } catch {
        break;
      }
    }
    unsentPhotos.value = await db.photos.filter((p) => p.rig === rig.id && p.held === null).count();
    await db.photos.filter((p) => p.held !== null && p.held < Date.now() - keepHeldMs).delete();
  }

  async function keepPhoto(blob: Blob): Promise<string> {
    const sha256 = await contentHash(blob);
    await db.photos.put({ sha256, rig: rig.id, blob, held: null });
    return sha256;
  }

  /** Keeps a photograph on the device, writes down that it was taken, and lets both go when they can. */
  async function photograph(file: Blob, step: string, slot: string): Promise<void> {
    refused.value = [];
    try {
      const text = await keepPhoto(await drawn(file, longest, quality));
      let large = '';
      if (whole.value) {
        const all = await drawn(file, Infinity, wholeQuality);
        if (all.size <= wholeBytes) large = await keepPhoto(all);
        else
          refused.value = [
            `The whole picture has ${Math.round(all.size / 1e6)} MB, ${wholeBytes / 1e6} are taken: the smaller one is kept.`,
          ];
      }
      await write([{ type: 'photoTaken', step, field: slot, text, whole: large }]);
    } catch (error) {
      refused.value = [`The picture was not kept: ${error instanceof Error ? error.message : String(error)}`];
    }
  }

  function send(): Promise<void> {
    return (sending ??= sendPhotos()
      .then(sendAll)
      .finally(() => (sending = null)));
  }

  onMounted(async () => {
    await send();
    timer = setInterval(() => void ((waiting.value.length || unsentPhotos.value) && send()), retryMs);
    window.addEventListener('online', send);
  });
  onUnmounted(() => {
    clearInterval(timer);
    window.removeEventListener('online', send);
  });

  /** States of steps as this device has written them and the server does not know yet. */
  const ahead = computed(() => waiting.value.map((e) => e.sent.event));
  return { by, whole, waiting, aside, again, unsentPhotos, clockOffS, offline, refused, ahead, write, photograph };
}
