<script setup lang="ts">
import type { LedgerEntry } from '../api/generated/schema';
import { parted, say, shown } from '../parts/show';
import { useRig } from '../stores/rig';

const props = defineProps<{ id: string; entries: LedgerEntry[] }>();
const rig = useRig();

const smallest: Record<string, number> = { power: 1, energy: 5, current: 0.05, hours: 0.02, mass: 0.05 };

function moved(entry: LedgerEntry): { text: string; good: boolean | null } | null {
  const before = rig.before[entry.id];
  if (before === undefined) return null;
  const change = entry.value.value - before;
  if (Math.abs(change) < (smallest[entry.value.quantity] ?? 1e-9)) return null;
  const good = entry.moreIsBetter === null ? null : change > 0 === entry.moreIsBetter;
  return { text: `${change > 0 ? '+' : '−'} ${shown(Math.abs(change), entry.value.quantity)} just now`, good };
}
</script>

<template>
  <footer class="ledger" aria-label="Ledger" :style="{ gridTemplateColumns: `repeat(${props.entries.length}, 1fr)` }">
    <RouterLink
      v-for="entry in entries"
      :key="entry.id"
      :to="`/rig/${id}/${entry.station}`"
      class="entry"
      :class="entry.state"
      :data-ledger="entry.id"
    >
      <span class="name">{{ entry.id }}</span>
      <span class="figure" :title="say(entry.note)"
        ><b>{{ parted(entry.value.value, entry.value.quantity).number }}</b>
        <small>{{ parted(entry.value.value, entry.value.quantity).symbol }} {{ say(entry.note) }}</small></span
      >
      <span class="gauge" :class="{ none: entry.share === null }" aria-hidden="true"
        ><i :style="{ transform: `scaleX(${entry.share ?? 0})` }" /><u v-if="entry.mark !== null" :style="{ left: `${entry.mark * 100}%` }"
      /></span>
      <span v-if="moved(entry)" class="moved" :class="{ good: moved(entry)!.good === true, bad: moved(entry)!.good === false }">{{
        moved(entry)!.text
      }}</span>
      <span v-else class="limit">{{ say(entry.limit) }}</span>
    </RouterLink>
  </footer>
</template>

<style scoped>
.ledger {
  display: grid;
  border-top: 2px solid var(--ink);
  background: var(--ground);
  overflow-x: auto;
}
.entry {
  padding: 7px 12px 6px 14px;
  border-right: 1px solid var(--rule);
  text-decoration: none;
  display: grid;
  align-content: start;
  grid-template-columns: minmax(0, 1fr);
  min-width: 150px;
}
.entry:hover .name {
  text-decoration: underline;
}
.name {
  color: var(--soft);
  font-size: 13px;
}
.entry.stop .name::after {
  content: ' ◆';
  color: var(--stop);
}
.entry.caution .name::after {
  content: ' ▲';
  color: var(--caution);
}
.figure {
  white-space: nowrap;
  line-height: 1.2;
  overflow: hidden;
  text-overflow: ellipsis;
}
b {
  font-size: 20px;
  font-weight: 650;
}
small {
  margin-left: 4px;
  color: var(--soft);
  font-size: 13px;
}
.gauge {
  display: block;
  height: 5px;
  background: var(--hair);
  margin: 3px 0 4px;
  position: relative;
}
.gauge.none {
  background: none;
}
.gauge i {
  position: absolute;
  inset: 0;
  background: var(--ink);
  transform-origin: left;
  transition: transform 0.25s;
  will-change: transform;
}
.gauge u {
  position: absolute;
  top: -3px;
  bottom: -3px;
  width: 2px;
  background: var(--stop);
}
.limit,
.moved {
  font-size: 13px;
  color: var(--soft);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.moved {
  font-weight: 650;
  color: var(--ink);
}
.moved.good {
  color: var(--pass);
}
.moved.bad {
  color: var(--stop);
}
</style>
