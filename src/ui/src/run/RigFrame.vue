<script setup lang="ts">
import { useEventListener, useMediaQuery } from '@vueuse/core';
import { computed, defineAsyncComponent, provide, ref, watch, type Component } from 'vue';
import { useRouter } from 'vue-router';
import { Refused, whyNot } from '../api/client';
import { kindOf, labelOf, leavesOf, stations, titled } from '../api/description';
import { useClock } from '../crew/clock';
import Ledger from '../ledger/Ledger.vue';
import { isTyping } from '../parts/keys';
import KeyHelp from '../parts/KeyHelp.vue';
import TopKeys from '../parts/TopKeys.vue';
import VerdictBox from '../parts/VerdictBox.vue';
import { clock, say } from '../parts/show';
import WorkingDrawer from '../parts/WorkingDrawer.vue';
import { useRig } from '../stores/rig';
import ConflictBox from './ConflictBox.vue';
import HistoryBox from './HistoryBox.vue';
import LeafRow from './LeafRow.vue';
import RigMenu from './RigMenu.vue';
import RunDrawer from './RunDrawer.vue';
import RunLine from './RunLine.vue';
import { pathOf, placeKey, type Place } from './place';

const props = defineProps<{ id: string; station?: string; leaf?: string }>();
const rig = useRig();
const router = useRouter();
const narrow = useMediaQuery('(max-width: 700px)');
const history = ref(false);
const deviceClock = useClock();
const keys = ref(false);

const place = computed<Place>(() => {
  const station = props.station && stations.includes(props.station) ? props.station : stations[0]!;
  const leaves = leavesOf(station);
  const leaf = leaves.find((l) => l.name === props.leaf) ?? leaves[0]!;
  return { station, leaf, fault: rig.assessment?.faults.find((f) => f.station === station) };
});
provide(placeKey, place);

/** The view of a leaf is the file of its station's folder that has its name, as in energy/NightLeaf.vue. */
const files = import.meta.glob<{ default: Component }>('../stations/*/*Leaf.vue');
const views = Object.fromEntries(
  Object.entries(files).map(([file, load]) => [file.replace('../stations/', '').replace('Leaf.vue', ''), defineAsyncComponent(load)]),
);
const camel = (name: string) => name.split('-').map(titled).join('');
const view = computed(() => views[`${place.value.station}/${camel(place.value.leaf.name)}`]);

const known = computed(() => !!(rig.assessment as Record<string, unknown> | null)?.[place.value.station]);
const saved = computed(() => {
  const at = new Date(rig.savedAt);
  return rig.savedAt ? clock(at.getHours() + at.getMinutes() / 60) : '';
});

const unsaved = computed(() => {
  const names = [...new Set(rig.unsent.map((path) => labelOf(path)))];
  return names.slice(0, 4).join(', ') + (names.length > 4 ? ` and ${names.length - 4} more` : '');
});
const missing = ref('');

async function open(id: string): Promise<void> {
  missing.value = '';
  try {
    await rig.open(id);
  } catch (e) {
    if (rig.id === id) missing.value = e instanceof Refused && e.status === 404 ? 'There is no such rig in this yard.' : whyNot(e);
  }
}

watch(
  () => props.id,
  (id) => void open(id),
  { immediate: true },
);

/** The leaf before or after in the station, the station before or after on the run. */
function walk(key: string): void {
  const { station, leaf } = place.value;
  const by = key === ']' || key === '.' ? 1 : -1;
  if (key === '[' || key === ']') {
    const to = stations[stations.indexOf(station) + by];
    if (to) void router.push(pathOf(props.id, to));
  } else {
    const to = leavesOf(station)[leavesOf(station).findIndex((l) => l.name === leaf.name) + by];
    if (to) void router.push(pathOf(props.id, station, to.name));
  }
}

function onKey(event: KeyboardEvent): void {
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
    event.preventDefault();
    if (isTyping(event)) (event.target as HTMLElement).blur();
    void (event.shiftKey ? rig.redo() : rig.undo());
    return;
  }
  if (event.key === 'Escape' && isTyping(event)) (event.target as HTMLElement).blur();
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
  if (['[', ']', ',', '.'].includes(event.key)) walk(event.key);
  else if (event.key === 'w') rig.figure = rig.figure ? null : rig.focused;
}

useEventListener('keydown', onKey, true);
</script>

<template>
  <div v-if="rig.design && rig.assessment" class="frame">
    <header class="top">
      <RouterLink to="/" class="key home"><span aria-hidden="true">‹&nbsp;</span>Yard</RouterLink>
      <b class="name">{{ rig.design.name }}</b>
      <span class="soft where"
        >{{ kindOf(rig.design.survey.kind) }}{{ rig.design.survey.place.name ? ' · ' + rig.design.survey.place.name : '' }}</span
      >
      <span class="space" />
      <span class="soft saved" role="status" data-saved>{{
        rig.failure ? 'not saved' : rig.unsent.length > 0 ? 'saving' : 'saved ' + saved
      }}</span>
      <template v-if="!narrow">
        <button type="button" class="key" :disabled="rig.undoable.length === 0" @click="rig.undo()">undo</button>
        <button type="button" class="key" :disabled="rig.redoable.length === 0" @click="rig.redo()">redo</button>
        <button type="button" class="key" @click="history = true">history</button>
        <RouterLink to="/bench" class="key">Bench</RouterLink>
        <TopKeys />
      </template>
      <RigMenu v-else @history="history = true" @keys="keys = true" />
    </header>
    <RunDrawer v-if="narrow" :id="id" :place="place" />
    <RunLine v-else :id="id" :here="place.station" :states="rig.assessment.states" />
    <main class="station">
      <p v-if="rig.failure" class="failure" role="alert" data-unsent>
        {{ rig.failure }} Not saved yet: {{ unsaved }}. It is sent again in a moment, and with the next change.
      </p>
      <div class="head">
        <p v-if="deviceClock?.words" :class="`severity-${deviceClock.severity} clock`" role="status" data-clock>
          {{ say(deviceClock.words) }}
        </p>
        <div class="strip">
          <h1>{{ titled(place.station) }}</h1>
          <LeafRow :id="id" :place="place" />
        </div>
      </div>
      <Suspense v-if="!place.fault || known || place.station === 'survey'">
        <component :is="view" :key="place.station + place.leaf.name" />
        <template #fallback
          ><div class="loading"><el-skeleton :rows="7" /></div
        ></template>
      </Suspense>
      <div v-else class="fault"><VerdictBox :verdict="place.fault.verdict" /></div>
    </main>
    <Ledger :id="id" :entries="rig.assessment.ledger" />
    <WorkingDrawer />
    <HistoryBox :id="id" v-model="history" />
    <KeyHelp v-model="keys" />
    <ConflictBox />
  </div>
  <main v-else-if="missing" class="missing">
    <p role="alert">{{ missing }}</p>
    <p class="acts">
      <button type="button" class="plain" @click="open(id)">try again</button>
      <RouterLink to="/" class="key home">back to the yard</RouterLink>
    </p>
  </main>
</template>

<style scoped>
.frame {
  height: 100%;
  display: grid;
  grid-template: 'top top' 48px 'run main' minmax(0, 1fr) 'led led' auto / 152px minmax(0, 1fr);
}
.top {
  grid-area: top;
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 0 16px;
  border-bottom: 2px solid var(--ink);
  min-width: 0;
}
.name {
  font-size: 20px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.where {
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.saved {
  white-space: nowrap;
}
.space {
  flex: 1;
}
.home {
  border-color: var(--ink);
}
.run {
  grid-area: run;
}
.station {
  grid-area: main;
  background: var(--sheet);
  border-left: 1.5px solid var(--ink);
  overflow: hidden;
  min-height: 0;
  position: relative;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
}
.head {
  min-width: 0;
}
.strip {
  display: flex;
  align-items: stretch;
  gap: 12px;
  padding: 0 12px 0 16px;
  min-height: 44px;
  border-bottom: 1.5px solid var(--rule);
  min-width: 0;
}
.strip h1 {
  font-size: 23px;
  align-self: center;
}
.ledger {
  grid-area: led;
}
.fault,
.loading {
  padding: 20px;
}
.missing {
  padding: 40px 24px;
  display: grid;
  gap: 14px;
}
.failure {
  position: absolute;
  z-index: 3;
  inset: 0 0 auto 0;
  background: var(--stop);
  color: var(--sheet);
  padding: 6px 16px;
}
.clock {
  margin: 0;
  padding: 8px 16px 2px;
}
@media (max-width: 700px) {
  .frame {
    display: flex;
    flex-direction: column;
    height: auto;
    min-height: 100%;
  }
  .top {
    gap: 8px;
    padding: 6px 8px;
    position: sticky;
    top: 0;
    z-index: 4;
    background: var(--ground);
  }
  .top .where {
    display: none;
  }
  .top .name {
    font-size: 17px;
  }
  .saved {
    font-size: 13px;
  }
  .station {
    border-left: 0;
    overflow: visible;
    flex: 1;
    display: block;
    padding-bottom: 56px;
  }
  .strip {
    padding: 0;
    border: 0;
    min-height: 0;
  }
  .strip h1 {
    position: absolute;
    clip-path: inset(50%);
    width: 1px;
    height: 1px;
    overflow: hidden;
  }
  .failure {
    position: sticky;
    top: 102px;
    z-index: 3;
  }
}
</style>
