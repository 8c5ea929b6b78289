<script setup lang="ts">
import { useMediaQuery, useTimeoutFn, useWindowSize } from '@vueuse/core';
import { computed, defineAsyncComponent, onMounted, onUnmounted, ref } from 'vue';
import { ask, whyNot } from '../api/client';
import { kindOf } from '../api/description';
import type { SurveyDesign, YardRig } from '../api/generated/schema';
import { useMe } from '../crew/me';
import RigElevation from '../parts/RigElevation.vue';
import { shapeOf } from '../parts/rigShape';
import TopKeys from '../parts/TopKeys.vue';
import { say } from '../parts/show';
import { findingPlace } from '../run/place';
import BeginRig from './BeginRig.vue';

const CrewNetwork = defineAsyncComponent(() => import('../crew/CrewNetwork.vue'));

const rigs = ref<YardRig[] | null>(null);
/** Why the yard cannot be shown, or not as it is now. */
const unread = ref('');
const readable = computed(() => (rigs.value ?? []).filter((r) => r.survey) as (YardRig & { survey: SurveyDesign })[]);
const broken = computed(() => (rigs.value ?? []).filter((r) => !r.survey));

const besideRigs = 24;
const { width: screenWidth } = useWindowSize({ includeScrollbar: false });
const narrow = useMediaQuery('(max-width: 700px)');

const told = computed(() => {
  const count = `${readable.value.length} ${readable.value.length === 1 ? 'rig' : 'rigs'}`;
  const unread = broken.value.length ? `; ${broken.value.length} cannot be read` : '';
  return `${count}, ${narrow.value ? 'not to one scale here' : 'drawn to one scale'}${unread}`;
});

/** One scale for all, metres to pixels: few rigs are drawn large, many small. On a narrow screen each fills the width. */
function scaleOf(rig: { survey: SurveyDesign }): number {
  if (narrow.value) return Math.min(70, (screenWidth.value - besideRigs) / width(rig));
  const count = rigs.value?.length ?? 0;
  const longest = Math.max(1, ...readable.value.map(width));
  return Math.min(count <= 2 ? 62 : count <= 6 ? 42 : 28, (screenWidth.value - besideRigs) / longest);
}

function width(rig: { survey: SurveyDesign }): number {
  const shape = shapeOf(rig.survey);
  return shape.length + shape.nose + 1.4;
}

const crew = ref(false);
/** Who shares is who sits at this machine; on a phone of the crew there is nothing to switch. */
const me = useMe();
const owner = computed(() => me.value?.may?.includes('share') ?? false);

let here = true;
const wait = ref(0);
const again = useTimeoutFn(load, wait, { immediate: false });
onMounted(load);
onUnmounted(() => (here = false));

function askAgain(milliseconds: number): void {
  if (!here) return;
  wait.value = milliseconds;
  again.start();
}

/** Rigs that the server has not worked out yet are asked for again until they are; while it does not answer, it is asked again. */
async function load(): Promise<void> {
  again.stop();
  try {
    rigs.value = await ask<YardRig[]>('GET', '/rigs');
    unread.value = '';
    if (rigs.value.some((r) => r.pending)) askAgain(60);
  } catch (e) {
    unread.value = whyNot(e);
    askAgain(2000);
  }
}

async function remove(rig: YardRig): Promise<void> {
  try {
    await ask('DELETE', `/rigs/${rig.id}`);
    await load();
  } catch (e) {
    unread.value = whyNot(e, rig.name);
  }
}

const stageWords: Record<string, string> = {
  survey: 'surveyed',
  load: 'load found',
  unit: 'unit chosen',
  start: 'start settled',
  energy: 'night settled',
  commission: 'proved',
  handover: 'handed over',
};
</script>

<template>
  <div class="yard">
    <header class="top">
      <h1>Yard</h1>
      <span class="soft">{{ rigs ? told : '' }}</span>
      <span class="space" />
      <RouterLink to="/shop" class="key" data-shop>Shop</RouterLink>
      <RouterLink to="/bench" class="key">Bench</RouterLink>
      <button v-if="owner" type="button" class="key" :aria-expanded="crew" data-crew-open @click="crew = !crew">Crew</button>
      <TopKeys />
    </header>
    <main>
      <CrewNetwork v-if="crew" />
      <p v-if="unread" class="severity-stop" role="alert" data-yard-error>
        {{ unread }}
        {{ rigs ? 'What stands here may not be the newest.' : 'The rigs are in the store; they are asked for again in a moment.' }}
        <button type="button" class="plain" @click="load">ask again</button>
      </p>
      <BeginRig v-if="rigs" :rigs="readable" :empty="readable.length === 0" />
      <ul v-if="broken.length" class="broken" data-broken>
        <li v-for="rig in broken" :key="rig.id" :data-broken-rig="rig.name">
          <span
            ><b class="severity-stop">◆ {{ rig.name }}</b> cannot be read: {{ rig.fault }}</span
          >
          <a class="plain" :href="`/api/rigs/${rig.id}/job-file`" download>save it as it lies</a>
          <el-popconfirm
            title="Remove this rig with all its history?"
            confirm-button-text="remove it"
            cancel-button-text="keep it"
            width="260"
            @confirm="remove(rig)"
          >
            <template #reference><button type="button" class="plain" :aria-label="`remove ${rig.name}`">remove</button></template>
          </el-popconfirm>
        </li>
      </ul>
      <ul v-if="readable.length" class="row">
        <li v-for="rig in readable" :key="rig.id" :style="{ width: width(rig) * scaleOf(rig) + 'px' }">
          <RouterLink :to="rig.worst ? findingPlace(rig.id, rig.worst) : `/rig/${rig.id}/survey`" class="rig" :data-rig="rig.name">
            <svg
              :viewBox="`${-shapeOf(rig.survey).nose - 0.7} -3.5 ${width(rig)} 4.15`"
              :width="width(rig) * scaleOf(rig)"
              :height="4.15 * scaleOf(rig)"
              aria-hidden="true"
            >
              <RigElevation :survey="rig.survey" :split="rig.split" :has-unit="true" />
            </svg>
            <span class="words">
              <b class="name">{{ rig.name }}</b>
              <span class="soft">{{ kindOf(rig.survey.kind) }}{{ rig.survey.place.name ? ', ' + rig.survey.place.name : '' }}</span>
              <span
                >{{ stageWords[rig.stage] ?? rig.stage }}
                <span v-if="rig.nextDate" class="date">{{ rig.pending ? '' : '· ' }}next {{ rig.nextDate }}</span></span
              >
              <span v-if="rig.worst" class="worst" :class="'severity-' + rig.worst.level"
                >{{ rig.worst.level === 'stop' ? '◆' : '▲' }} {{ say(rig.worst.words) }}</span
              >
              <span v-else-if="rig.pending" class="soft">being worked out</span>
              <span v-else class="fine">● nothing against it</span>
            </span>
          </RouterLink>
        </li>
      </ul>
      <p v-else-if="rigs && !broken.length" class="empty">
        The yard is empty. Begin with the rig that stands in front of you: three answers give a first band; the rest is measured in Survey.
      </p>
      <el-skeleton v-else-if="!unread" :rows="4" />
      <p class="soft law">
        Local codes, the unit's manual and licensed practice come first. Vanto shows its working and its sources; it does not certify.
      </p>
    </main>
  </div>
</template>

<style scoped>
.yard {
  min-height: 100%;
  display: flex;
  flex-direction: column;
}
.top {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 0 22px;
  height: 56px;
  border-bottom: 2px solid var(--ink);
}
.space {
  flex: 1;
}
main {
  padding: 18px 22px 28px;
  flex: 1;
  background: var(--sheet);
}
.row {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 26px 0;
  margin: 0;
  padding: 0;
}
.broken {
  list-style: none;
  margin: 0 0 18px;
  padding: 0;
  display: grid;
  gap: 8px;
}
.broken li {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
}
.rig {
  display: block;
  text-decoration: none;
}
.rig svg {
  display: block;
  border-bottom: 3px solid var(--ink);
}
.words {
  display: grid;
  gap: 1px;
  padding: 8px 14px 0 4px;
  min-width: 150px;
}
.name {
  font-size: 19px;
  font-weight: 680;
}
.rig:hover .name {
  text-decoration: underline;
}
.date {
  white-space: nowrap;
}
.worst,
.fine {
  font-size: 14px;
  margin-top: 3px;
  display: -webkit-box;
  -webkit-line-clamp: 4;
  line-clamp: 4;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
.fine {
  color: var(--pass);
}
.empty {
  font-size: 18px;
  max-width: 620px;
  margin: 10px 0 30px;
}
.law {
  margin-top: 18px;
  font-size: 13.5px;
}
@media (max-width: 700px) {
  .top {
    flex-wrap: wrap;
    height: auto;
    padding: 8px 12px;
  }
  main {
    padding: 14px 12px 24px;
  }
  .row > li {
    width: 100% !important;
  }
}
</style>
