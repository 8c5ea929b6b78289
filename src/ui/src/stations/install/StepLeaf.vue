<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core';
import { computed, nextTick, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import type { InstallValues } from '../../api/generated/schema';
import { nameStands, useMe } from '../../crew/me';
import { useHold } from '../../parts/hold';
import { say } from '../../parts/show';
import { useWaitAlarm } from '../../parts/waitAlarm';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { spanOf } from '../plan/asked';
import { eventWords } from './eventWords';
import GateItem from './GateItem.vue';
import { useSiteLog } from './siteLog';
import { nextHere, stepsHere, waitsHere } from './stepHere';

/** One step, big: what it is, what must hold, one button. */
const rig = useRig();
const site = computed(() => rig.assessment?.install ?? null);
const log = useSiteLog();
const route = useRoute();
const picked = ref(typeof route.query.step === 'string' ? route.query.step : '');
const now = ref(Date.now());
useIntervalFn(() => (now.value = Date.now()), 1000);
/** The steps as they are here: what was written and is not sent yet is in them, so that work goes on without a network. */
const steps = computed(() => stepsHere(site.value?.steps ?? [], log.ahead.value));
const nexts = computed(() => (log.ahead.value.length ? nextHere(steps.value) : [site.value?.current ?? '', ...(site.value?.next ?? [])]));
const current = computed(() => nexts.value[0] ?? '');
const id = computed(() => (steps.value.some((s) => s.id === picked.value) ? picked.value : current.value));
const step = computed(() => steps.value.find((s) => s.id === id.value) ?? null);
const asked = computed(
  () => step.value?.gate.filter((g) => g.start === (step.value!.state === 'open' || step.value!.state === 'reopened')) ?? [],
);
const open = computed(() => asked.value.filter((g) => !g.passed && !g.passing));
const why = ref('');
const pausing = ref<'' | 'pause' | 'skip' | 'note' | 'later'>('');
const pulled = ref<HTMLElement | null>(null);
/** Asked until the first act; after that the name stands small and can be changed. */
const asking = ref(!log.by.value);
watch(id, () => {
  pausing.value = '';
  why.value = '';
});

const running = computed(() => waitsHere(site.value?.waits ?? [], steps.value, log.ahead.value));
const leftMin = (fromMs: number, likelyMin: number) => (fromMs + likelyMin * 60000 - now.value) / 60000;
/** Waits that are over and nobody has heard of yet. */
const unheard = computed(() => {
  const seen = [
    ...log.ahead.value,
    ...rig.records.filter((r) => r.kind === 'install').map((r) => (r as unknown as { event: InstallValues }).event),
  ].filter((e) => e.type === 'waitAlarmSeen');
  return running.value
    .filter((w) => leftMin(w.fromMs, w.likelyMin) <= 0 && !seen.some((e) => e.step === w.step && e.atMs >= w.fromMs))
    .map((w) => w.step);
});
useWaitAlarm(unheard);
const inTheWait = computed(() => {
  const least = Math.min(...running.value.map((w) => leftMin(w.fromMs, w.likelyMin)));
  const row = site.value?.inTheWait.findLast((c) => c.fromMin <= Math.max(0, least));
  return row?.step ?? '';
});
const nameOf = (step: string) => site.value?.steps.find((s) => s.id === step)?.name ?? step;

const act = computed(() => {
  switch (step.value?.state) {
    case 'running':
      return step.value.waitMin > 0 ? `Hands off: ${step.value.wait} runs` : 'Done';
    case 'paused':
      return 'Go on';
    case 'waiting':
      return 'Wait over, done';
    case 'done':
    case 'skipped':
      return 'To the next step';
    default:
      return 'Start';
  }
});

/** Who may not end alone what takes a licence does so under the eye of who has it. */
const me = useMe();
const watched = computed(() => !!me.value?.may && !me.value.may.includes('endLicensed') && !!step.value?.skill);
const eye = ref('');

async function go(): Promise<void> {
  const s = step.value!;
  if (!log.by.value.trim()) {
    asking.value = true;
    await nextTick();
    pulled.value?.focus();
    return;
  }
  asking.value = false;
  if (s.state === 'done' || s.state === 'skipped') {
    picked.value = '';
    return;
  }
  const ends = s.state === 'waiting' || (s.state === 'running' && !s.waitMin);
  if (open.value.length && (ends || s.state === 'open' || s.state === 'reopened')) {
    document.querySelector<HTMLElement>('[data-open]')?.scrollIntoView({ block: 'center', behavior: 'smooth' });
    document.querySelector<HTMLElement>('[data-open] button, [data-open] input')?.focus();
    return;
  }
  const type = s.state === 'paused' ? 'stepResumed' : ends ? 'stepFinished' : s.state === 'running' ? 'handsOff' : 'stepStarted';
  if (ends && watched.value && !eye.value.trim()) {
    document.querySelector<HTMLElement>('[data-eye]')?.focus();
    return;
  }
  if ((await log.write([{ type, step: s.id, second: ends && watched.value ? eye.value : '' }])) && ends) picked.value = '';
}

/** What lets refrigerant or current go is begun by holding the button. */
const holds = computed(() => !!step.value?.heldToBegin && (step.value.state === 'open' || step.value.state === 'reopened'));
const { pressing, on: held } = useHold(() => void go());

/** A picture for a gate's slot or for the one that is suggested here. */
function took(event: Event, slot: string): void {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  if (file) void log.photograph(file, id.value, slot);
  input.value = '';
}

/** The whole picture, where it was kept beside the smaller one. */
function wholeOf(sha256: string): string {
  const taken = (rig.records as unknown as { event?: InstallValues }[]).find(
    (r) => r.event?.type === 'photoTaken' && r.event.text === sha256,
  );
  return taken?.event?.whole || sha256;
}

/** The newest event of this step that counts, to be taken back where it was a slip. */
const last = computed(() => {
  const events = rig.records.filter((r) => r.kind === 'install') as unknown as {
    id: string;
    event: InstallValues;
    corrects: string | null;
  }[];
  const gone = new Set(events.filter((r) => r.event.void).map((r) => r.corrects));
  return log.waiting.value.length
    ? null
    : (events.findLast((r) => r.event.step === id.value && r.event.type !== 'correction' && !gone.has(r.id)) ?? null);
});

const takeBack = () => void log.write([{ type: 'correction', step: id.value, void: true }], last.value!.id);

async function leave(): Promise<void> {
  const types = { pause: 'stepPaused', skip: 'stepSkipped', note: 'noteAdded', later: 'leftForLater' } as const;
  if (!pausing.value || !why.value.trim()) return;
  await log.write([{ type: types[pausing.value], step: id.value, text: why.value }]);
  pausing.value = '';
  why.value = '';
}

const pauses = ['break', 'part missing', 'weather', 'helped elsewhere', 'phone call'];
</script>

<template>
  <LeafLayout>
    <template #say>
      <p v-if="log.unsentPhotos.value" class="unsent">{{ log.unsentPhotos.value }} pictures not sent yet</p>
      <p v-if="log.waiting.value.length" class="unsent" data-unsent>
        {{ log.waiting.value.length }} not sent{{ log.offline.value ? '; kept here, sent when the network is back' : '' }}
      </p>
      <template v-if="site">
        <h2 v-if="nexts.length > 1">Next</h2>
        <button v-for="n in nexts.slice(1, 3)" :key="n" type="button" class="plain block" @click="picked = n">{{ nameOf(n) }}</button>
        <p v-if="step?.tools.length" class="soft small"><b>In the hand:</b> {{ step.tools.join(', ') }}.</p>
        <p v-if="step?.parts.length" class="soft small"><b>Parts:</b> {{ step.parts.join(', ') }}.</p>
      </template>
    </template>
    <template v-if="site" #picture>
      <button v-if="!asking" type="button" class="bare me" @click="asking = true">{{ log.by.value }}</button>
      <label v-else class="who"
        >Who is it?
        <input ref="pulled" v-model="log.by.value" data-by autocomplete="name" placeholder="your name" :readonly="nameStands" />
      </label>
      <label v-if="asking" class="whole"><input v-model="log.whole.value" type="checkbox" data-whole /> keep whole pictures too</label>
      <div v-if="running.length" class="waits" data-waits>
        <p v-for="w in running" :key="w.step" :class="{ over: leftMin(w.fromMs, w.likelyMin) <= 0 }">
          <b>{{ leftMin(w.fromMs, w.likelyMin) > 0 ? `${spanOf(Math.ceil(leftMin(w.fromMs, w.likelyMin)))} left` : 'over: read it' }}</b>
          {{ w.what }}
          <button type="button" class="bare" @click="picked = w.step">{{ w.name }}</button>
          <button
            v-if="unheard.includes(w.step)"
            type="button"
            class="plain"
            data-heard
            @click="void log.write([{ type: 'waitAlarmSeen', step: w.step }])"
          >
            heard
          </button>
        </p>
        <p class="soft">
          Meanwhile:
          <button v-if="inTheWait" type="button" class="bare" data-meanwhile @click="picked = inTheWait">{{ nameOf(inTheWait) }}</button>
          <template v-else>rest, drink, look at the supply</template>
        </p>
      </div>
      <button v-if="current && id !== current" type="button" class="plain next" data-back-to-next @click="picked = ''">
        Another step is next: {{ nameOf(current) }}
      </button>
      <article v-if="step" class="step" :data-step="step.id" :data-state="step.state">
        <p class="soft stage">
          {{ step.stage }}{{ step.skill ? ` · ${{ handler: 'refrigerant', electrician: 'electrical' }[step.skill]} licence` : ''
          }}{{ step.crew > 1 ? ' · two people' : '' }} · {{ spanOf(step.likelyMin) }}
        </p>
        <h2>{{ step.name }}</h2>
        <p class="does">{{ step.description }}</p>
        <div v-if="step.facts.length" class="facts" data-facts>
          <p v-for="f in step.facts" :key="f.label">
            <span>{{ f.label }}</span>
            <b>{{ say(f.value) }}</b>
            <small>{{ say(f.beside) }}</small>
          </p>
        </div>
        <p v-if="step.normal" class="aside">{{ step.normal }}</p>
        <p v-if="step.reason" class="aside">{{ step.reason }}</p>
        <p v-if="step.waitsFor.length && step.state === 'open'" class="severity-caution">
          First: {{ step.waitsFor.slice(0, 3).join(', ') }}.
        </p>
        <p v-if="step.state === 'paused'" class="severity-caution">Paused: {{ step.why }}. {{ step.leaveSafe }}</p>
        <p v-if="log.clockOffS.value" class="severity-caution">
          This device's clock is {{ spanOf(Math.abs(log.clockOffS.value) / 60) }} {{ log.clockOffS.value > 0 ? 'slow' : 'fast' }}: set it,
          or times do not agree.
        </p>
        <p v-for="r in log.refused.value" :key="r" role="alert" class="severity-stop">{{ r }}</p>
        <div v-for="e in log.aside.value" :key="e.id" data-aside>
          <p class="severity-caution">
            Not sent, {{ eventWords[e.sent.event.type] }}{{ e.sent.event.text ? `: ${e.sent.event.text}` : '' }}. The reason: {{ e.aside }}
          </p>
          <button type="button" class="plain" @click="log.again(e.id)">try again</button>
        </div>
        <ul class="gate">
          <GateItem
            v-for="g in asked"
            :key="g.key"
            :gate="g"
            :least-reason="site.leastReason"
            @write="(e) => void log.write([{ ...e, step: id }])"
            @photo="(e) => took(e, g.key)"
          />
        </ul>
        <label v-if="watched && step.state !== 'done'" class="who"
          >Under the eye of <input v-model="eye" data-eye maxlength="60" placeholder="who has the licence"
        /></label>
        <p v-if="step.photos.length" class="photos" data-photos>
          <a v-for="p in step.photos" :key="p" :href="`/api/rigs/${rig.id}/install/photos/${wholeOf(p)}`" target="_blank" rel="noopener"
            ><img :src="`/api/rigs/${rig.id}/install/photos/${p}`" :alt="`photograph of ${step.name}`"
          /></a>
        </p>
        <div class="side">
          <template v-if="!pausing">
            <button v-if="step.state === 'running'" type="button" class="bare" @click="pausing = 'pause'">pause</button>
            <button v-if="step.state === 'open' || step.state === 'reopened'" type="button" class="bare" @click="pausing = 'skip'">
              not now
            </button>
            <label class="bare pick"
              >photo<input type="file" accept="image/*" capture="environment" @change="took($event, step.photoSlot || 'step')"
            /></label>
            <button v-if="last && !asking" type="button" class="bare" data-take-back @click="takeBack">
              take back: {{ eventWords[last.event.type] }}
            </button>
            <button type="button" class="bare" @click="pausing = 'note'">note</button>
            <button type="button" class="bare" @click="pausing = 'later'">left for later</button>
          </template>
          <form v-else @submit.prevent="leave">
            <label>{{ pausing === 'note' ? 'Note' : 'Why' }} <input v-model="why" required maxlength="400" /></label>
            <span v-if="pausing === 'pause'">
              <button v-for="p in pauses" :key="p" type="button" class="bare" @click="why = p">{{ p }}</button>
            </span>
            <button type="submit" class="plain">write it down</button>
            <button type="button" class="bare" @click="pausing = ''">back</button>
          </form>
        </div>
      </article>
      <p v-else class="soft">All steps are done.</p>
      <button
        v-if="step"
        type="button"
        class="go"
        :class="{ holds, pressing }"
        data-go
        :disabled="step.state === 'open' && step.waitsFor.length > 0"
        v-on="holds ? held : { click: go }"
      >
        {{ holds ? `Hold: ${act}` : act
        }}<template v-if="open.length && step.state !== 'done' && !(step.state === 'running' && step.waitMin)"
          >: {{ open.length }} open</template
        >
      </button>
    </template>
  </LeafLayout>
</template>

<style scoped>
.who input,
.side input,
.who {
  display: flex;
  align-items: center;
  gap: 10px;
  max-width: 26rem;
  white-space: nowrap;
}
.who input,
.side form input {
  font: inherit;
  font-size: 1.15rem;
  min-height: 48px;
  padding: 0 12px;
  color: var(--ink);
  background: var(--raised);
  border: 2px solid var(--rule);
  border-radius: 4px;
  min-width: 0;
  width: 100%;
}
.whole {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 44px;
}
.whole input {
  width: 22px;
  height: 22px;
}
.next {
  margin: 10px 0;
}
.me {
  min-height: 44px;
  font-weight: 640;
  text-decoration: underline;
}
.unsent {
  font-weight: 640;
  color: var(--caution);
}
.block {
  display: block;
  width: 100%;
  min-height: 56px;
  text-align: left;
  margin-bottom: 8px;
}
.waits {
  border-left: 4px solid var(--cold);
  padding: 4px 0 4px 12px;
}
.waits p {
  margin: 2px 0;
}
.waits b {
  font-size: 1.3rem;
  font-variant-numeric: tabular-nums;
}
.waits .over b {
  color: var(--stop);
}
.step h2 {
  color: var(--ink);
  font-size: 1.7rem;
  line-height: 1.15;
  margin: 0 0 0.3rem;
}
.stage {
  margin: 0.4rem 0 0;
}
.does {
  font-size: 1.25rem;
  line-height: 1.35;
  max-width: 46rem;
}
.facts {
  margin: 12px 0;
  display: flex;
  flex-wrap: wrap;
  gap: 12px 28px;
}
.facts p {
  display: grid;
  margin: 0;
}
.facts b {
  font-size: 2rem;
  line-height: 1.1;
  font-variant-numeric: tabular-nums;
}
.facts small {
  color: var(--soft);
  max-width: 22rem;
}
.aside {
  border-left: 4px solid var(--rule);
  padding-left: 12px;
  max-width: 46rem;
}
.gate {
  list-style: none;
  padding: 0;
  margin: 10px 0;
  max-width: 46rem;
}
.pick input {
  position: absolute;
  opacity: 0;
  width: 1px;
  height: 1px;
}
.pick {
  display: inline-flex;
  align-items: center;
  cursor: pointer;
}
.pick:focus-within {
  outline: 2px solid var(--ink);
}
.photos {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.photos img {
  display: block;
  width: 120px;
  height: 90px;
  object-fit: cover;
  border: 1px solid var(--rule);
}
.typed input {
  width: 7rem;
  min-height: 56px;
  font-size: 2rem;
  font-weight: 700;
  text-align: right;
}
.side {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 22px;
}
.side form {
  display: grid;
  gap: 8px;
  width: 100%;
  max-width: 30rem;
}
.side .bare {
  min-height: 44px;
}
.go {
  position: sticky;
  bottom: 0;
  width: 100%;
  min-height: 76px;
  margin-top: 12px;
  font-family: inherit;
  font-size: 1.35rem;
  font-weight: 720;
  background: var(--ink);
  color: var(--sheet);
  border: 0;
  border-radius: 4px;
  cursor: pointer;
}
.go:disabled {
  background: var(--rule);
  color: var(--soft);
}
@media (max-width: 700px) {
  .go {
    bottom: 62px;
    z-index: 3;
  }
}
</style>
