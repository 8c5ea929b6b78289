<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { ask } from '../api/client';
import type { CrewDay, CrewView } from '../api/generated/schema';
import SheetTable, { type SheetColumn } from '../parts/SheetTable.vue';
import { say } from '../parts/show';

/** Who is where on which day, over the plans of all rigs; what does not go together stands first. */
const view = ref<CrewView | null>(null);
onMounted(async () => {
  view.value = await ask<CrewView>('GET', '/shop/crew').catch(() => null);
});
const clashing = computed(() => new Set((view.value?.clashes ?? []).map((c) => `${c.person} ${c.day}`)));
const weekday = (day: string) => new Date(`${day}T12:00:00Z`).toLocaleDateString('en', { weekday: 'short', timeZone: 'UTC' });
const free = computed(() => {
  const of = new Map<string, string[]>();
  for (const f of view.value?.free ?? []) of.set(f.person, [...(of.get(f.person) ?? []), `${weekday(f.day)} ${f.day}, ${f.span}`]);
  return [...of];
});
const columns: SheetColumn<CrewDay>[] = [
  { key: 'day', label: 'day', text: (d) => `${weekday(d.day)} ${d.day}`, width: 132, whole: true },
  { key: 'person', label: 'who', text: (d) => d.person, width: 110 },
  { key: 'rig', label: 'where', text: (d) => d.name, wide: true },
  { key: 'span', label: 'from, to', text: (d) => d.span, width: 130, desk: true },
  { key: 'hours', label: 'hands', number: true, text: (d) => `${d.hours.toFixed(1)} h`, width: 64 },
];
</script>

<template>
  <h2>Who is where</h2>
  <ul v-if="view?.clashes.length" class="clashes" data-clashes>
    <li v-for="c in view.clashes" :key="say(c.words) + c.day" :class="`severity-${c.level}`">{{ c.day }}: {{ say(c.words) }}</li>
  </ul>
  <SheetTable
    v-if="view?.days.length"
    name="Who is where"
    :rows="view.days"
    :columns="columns"
    :row-class="(d) => (clashing.has(`${d.person} ${d.day}`) ? 'overdue' : '')"
    copies
    data-crew-days
  >
    <template #rig="{ row }">
      <RouterLink :to="`/rig/${row.rig}/plan/days`">{{ row.name }}</RouterLink>
    </template>
  </SheetTable>
  <dl v-if="free.length" class="free" data-free>
    <template v-for="[person, stretches] in free" :key="person">
      <dt>{{ person }} is free</dt>
      <dd>{{ stretches.join('; ') }}</dd>
    </template>
  </dl>
  <p v-if="view && !view.days.length" class="soft">No plan has a first day that is still to come.</p>
</template>

<style scoped>
.clashes {
  list-style: none;
  margin: 4px 0;
  padding: 0;
}
.free {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2px 14px;
  margin: 8px 0;
  color: var(--soft);
}
.free dd {
  margin: 0;
}
</style>
