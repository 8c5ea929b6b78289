<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { ask } from '../../api/client';
import type { DueItem } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import PaperLink from '../../parts/PaperLink.vue';
import WhoReads from '../../parts/WhoReads.vue';
import { useWriting } from '../../parts/writing';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';

/** What is due next and how it is done; done is one tap. Water on the wall is answered in two. */
const rig = useRig();
const service = computed(() => rig.assessment!.service!);
const { by, refused, busy, write } = useWriting();
const open = ref('');
const wet = ref(false);
/** How near each date is, said by whoever knows the day. */
const near = ref<Record<string, DueItem>>({});
watch(
  () => service.value.care,
  async () => {
    try {
      const due = await ask<DueItem[]>('GET', `/rigs/${rig.id}/service/due`);
      near.value = Object.fromEntries(due.filter((d) => d.of).map((d) => [d.of, d]));
    } catch {
      near.value = {};
    }
  },
  { immediate: true },
);
const states: Record<string, string> = { overdue: 'overdue', due: 'due', later: '' };
const stateOf = (id: string) => near.value[id]?.state ?? 'later';
async function done(id: string): Promise<void> {
  if (await write('visit', { done: id, reason: 'due' })) open.value = '';
}
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskGroup title="How it lives" :paths="[]">
        <AskField
          v-for="f in ['handedOver', 'dust', 'salt', 'hoursADay', 'firstMonth', 'lastMonth', 'otherwise', 'kmADay']"
          :key="f"
          :path="`/service/${f}`"
        />
      </AskGroup>
      <PaperLink :href="`/api/rigs/${rig.id}/service.ics`" kind="ICS" paper="ics">Care into a calendar</PaperLink>
    </template>
    <template #act>
      <p class="acts">
        <button type="button" class="plain" :aria-expanded="wet" data-wet @click="wet = !wet">water on the wall</button>
      </p>
      <ol v-if="wet" class="wet" data-wet-steps>
        <li v-for="s in service.waterOnWall" :key="s">{{ s }}</li>
      </ol>
      <WhoReads v-model="by" label="Done by" class="who-here" />
      <p v-if="refused" class="severity-stop" role="alert">{{ refused }}</p>
    </template>
    <template #picture>
      <ul class="care" data-care>
        <li v-for="c in service.care" :key="c.id" :class="stateOf(c.id)" :data-task="c.id">
          <button type="button" class="line" :aria-expanded="open === c.id" @click="open = open === c.id ? '' : c.id">
            <b>{{ c.words }}</b>
            <span class="date">{{ c.due ?? 'no date' }}</span>
            <small>{{ states[stateOf(c.id)] || (c.due ? `by ${c.because}` : '') }}</small>
          </button>
          <div v-if="open === c.id" class="how">
            <p>{{ c.how }}</p>
            <p v-if="c.last" class="soft">Last on {{ c.last }}{{ c.byOwner ? ', told by the owner' : '' }}.</p>
            <button type="button" class="plain" :disabled="busy" :data-done="c.id" @click="done(c.id)">done today</button>
          </div>
        </li>
      </ul>
    </template>
  </LeafLayout>
</template>

<style scoped src="../../parts/reading.css"></style>
<style scoped>
.care {
  list-style: none;
  margin: 0;
  padding: 0;
  max-width: 46rem;
}
.care li {
  border-top: 1px solid var(--hair);
}
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 90px;
  gap: 12px;
  align-items: center;
  width: 100%;
  min-height: 50px;
  font: inherit;
  text-align: left;
  background: transparent;
  border: 0;
  color: var(--ink);
  padding: 0;
}
.date {
  font-variant-numeric: tabular-nums;
  font-weight: 640;
}
small {
  color: var(--soft);
}
.overdue .date,
.overdue small {
  color: var(--caution);
}
.how {
  padding: 0 0 12px;
  max-width: 40rem;
}
.wet {
  border: 2px solid var(--caution);
  padding: 8px 10px 8px 30px;
  max-width: 42rem;
}
.wet li {
  padding: 3px 0;
}
@media (max-width: 700px) {
  .line {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  small {
    grid-column: 2;
  }
}
</style>
