<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { computed, defineAsyncComponent, provide, ref, watch, type Component } from 'vue';
import { useRouter } from 'vue-router';
import { Refused, whyNot } from '../api/client';
import { kindOf, labelOf, stations } from '../api/description';
import Ledger from '../ledger/Ledger.vue';
import { isTyping } from '../parts/keys';
import TopKeys from '../parts/TopKeys.vue';
import VerdictBox from '../parts/VerdictBox.vue';
import { clock } from '../parts/show';
import WorkingDrawer from '../parts/WorkingDrawer.vue';
import { useRig } from '../stores/rig';
import ConflictBox from './ConflictBox.vue';
import HistoryBox from './HistoryBox.vue';
import RunLine from './RunLine.vue';

const props = defineProps<{ id: string; station?: string }>();
const rig = useRig();
const router = useRouter();
const here = computed(() => (props.station && stations.includes(props.station) ? props.station : 'survey'));

/** The view of a station is the one file of its folder that ends in Station.vue. */
const files = import.meta.glob<{ default: Component }>('../stations/*/*Station.vue');
const views = Object.fromEntries(Object.entries(files).map(([file, load]) => [file.split('/')[2]!, defineAsyncComponent(load)]));

const fault = computed(() => rig.assessment?.faults.find((f) => f.station === here.value));
provide('fault', fault);
const known = computed(() => !!(rig.assessment as Record<string, unknown> | null)?.[here.value]);
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

function onKey(event: KeyboardEvent): void {
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
    event.preventDefault();
    if (isTyping(event)) (event.target as HTMLElement).blur();
    void (event.shiftKey ? rig.redo() : rig.undo());
    return;
  }
  if (event.key === 'Escape' && isTyping(event)) (event.target as HTMLElement).blur();
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
  const at = stations.indexOf(here.value);
  if (event.key === ']' && at < stations.length - 1) void router.push(`/rig/${props.id}/${stations[at + 1]}`);
  else if (event.key === '[' && at > 0) void router.push(`/rig/${props.id}/${stations[at - 1]}`);
  else if (event.key === 'w') rig.figure = rig.figure ? null : rig.focused;
}

useEventListener('keydown', onKey, true);
</script>

<template>
  <div v-if="rig.design && rig.assessment" class="frame">
    <header class="top">
      <RouterLink to="/" class="home">Yard</RouterLink>
      <b class="name">{{ rig.design.name }}</b>
      <span class="soft where"
        >{{ kindOf(rig.design.survey.kind) }}{{ rig.design.survey.place.name ? ' · ' + rig.design.survey.place.name : '' }}</span
      >
      <span class="space" />
      <span class="soft" role="status" data-saved>{{
        rig.failure ? 'not saved' : rig.unsent.length > 0 ? 'saving' : 'saved ' + saved
      }}</span>
      <button type="button" class="key" :disabled="rig.undoable.length === 0" @click="rig.undo()">undo</button>
      <button type="button" class="key" :disabled="rig.redoable.length === 0" @click="rig.redo()">redo</button>
      <HistoryBox :id="id" />
      <RouterLink to="/bench" class="key">Bench</RouterLink>
      <TopKeys />
    </header>
    <RunLine :id="id" :here="here" :states="rig.assessment.states" />
    <main class="station">
      <p v-if="rig.failure" class="failure" role="alert" data-unsent>
        {{ rig.failure }} Not saved yet: {{ unsaved }}. It is sent again in a moment, and with the next change.
      </p>
      <component :is="views[here]" v-if="!fault || known || here === 'survey'" :key="here">
        <template v-if="fault" #fault><VerdictBox :verdict="fault.verdict" /></template>
      </component>
      <div v-else class="fault"><VerdictBox :verdict="fault.verdict" /></div>
    </main>
    <Ledger :id="id" :entries="rig.assessment.ledger" />
    <WorkingDrawer />
    <ConflictBox />
  </div>
  <main v-else-if="missing" class="missing">
    <p role="alert">{{ missing }}</p>
    <p>
      <button type="button" class="plain" @click="open(id)">try again</button> <RouterLink to="/" class="home">back to the yard</RouterLink>
    </p>
  </main>
</template>

<style scoped>
.frame {
  height: 100%;
  display: grid;
  grid-template: 'top top' 50px 'run main' 1fr 'led led' auto / 158px 1fr;
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
}
.space {
  flex: 1;
}
.home,
.key {
  border: 1.5px solid var(--rule);
  border-radius: 3px;
  padding: 4px 10px;
  min-height: 34px;
  background: var(--sheet);
  color: var(--ink);
  text-decoration: none;
  cursor: pointer;
  display: inline-flex;
  align-items: center;
}
.home {
  border-color: var(--ink);
}
.key:disabled {
  color: var(--soft);
  cursor: default;
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
}
.ledger {
  grid-area: led;
}
.fault {
  padding: 20px;
}
.missing {
  padding: 40px 24px;
  display: grid;
  gap: 14px;
}
.failure {
  position: absolute;
  z-index: 2;
  inset: 0 0 auto 0;
  background: var(--stop);
  color: var(--sheet);
  padding: 6px 16px;
}
@media (max-width: 700px) {
  .frame {
    grid-template: 'top' auto 'run' auto 'main' 1fr 'led' auto / minmax(0, 1fr);
    height: auto;
    min-height: 100%;
  }
  .top {
    flex-wrap: wrap;
    gap: 6px;
    padding: 6px 8px;
  }
  .top .where {
    display: none;
  }
  .top .name {
    max-width: 52vw;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .top .key,
  .top :deep(.key) {
    padding-inline: 7px;
  }
  .station {
    border-left: 0;
    overflow: visible;
  }
  .ledger {
    position: sticky;
    bottom: 0;
    z-index: 1;
    min-width: 0;
  }
  .run {
    min-width: 0;
  }
}
</style>
