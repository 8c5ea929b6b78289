<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import type { LedgerEntry } from '../api/generated/schema';
import { parted, say, shown } from '../parts/show';
import { findingPlace, pathOf, worstFinding } from '../run/place';
import { useRig } from '../stores/rig';

const props = defineProps<{ id: string; entries: LedgerEntry[] }>();
const rig = useRig();
const route = useRoute();
const narrow = useMediaQuery('(max-width: 700px)');
const open = ref(false);
watch(
  () => route.path,
  () => (open.value = false),
);

/** On a narrow screen one entry stands for all: the worst, else the one that moved, else the first. */
const told = computed(
  () =>
    props.entries.find((e) => e.state === 'stop') ??
    props.entries.find((e) => moved(e)) ??
    props.entries.find((e) => e.state === 'caution') ??
    props.entries[0],
);

/** An entry that stops or warns leads to its finding, any other to the leaf that made it. */
function placeOf(entry: LedgerEntry) {
  const worst = entry.state === 'stop' || entry.state === 'caution' ? worstFinding(entry.station) : undefined;
  return worst ? findingPlace(props.id, worst) : pathOf(props.id, entry.station, entry.leaf);
}

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
  <footer v-if="narrow" class="ledger one">
    <button type="button" data-ledger-open @click="open = true">
      <template v-if="told">
        <span class="entry" :class="told.state">
          <span class="name">{{ told.id }}</span>
        </span>
        <b>{{ shown(told.value.value, told.value.quantity) }}</b>
        <span class="limit">{{ moved(told)?.text ?? say(told.limit) }}</span>
      </template>
      <span class="space" />
      <span aria-hidden="true">▴</span><span class="shown-to-readers">all figures of the ledger</span>
    </button>
    <el-drawer v-model="open" direction="btt" size="auto" title="Ledger">
      <RouterLink v-for="entry in entries" :key="entry.id" :to="placeOf(entry)" class="line" :class="entry.state" :data-ledger="entry.id">
        <span class="name">{{ entry.id }}</span>
        <b>{{ shown(entry.value.value, entry.value.quantity) }}</b>
        <small>{{ say(entry.note) }}</small>
        <span class="limit">{{ moved(entry)?.text ?? say(entry.limit) }}</span>
      </RouterLink>
    </el-drawer>
  </footer>
  <footer v-else class="ledger" aria-label="Ledger" :style="{ gridTemplateColumns: `repeat(${props.entries.length}, 1fr)` }">
    <RouterLink v-for="entry in entries" :key="entry.id" :to="placeOf(entry)" class="entry" :class="entry.state" :data-ledger="entry.id">
      <span class="name">{{ entry.id }}</span>
      <el-tooltip :content="say(entry.note)" :disabled="!say(entry.note)" placement="top">
        <span class="figure"
          ><b>{{ parted(entry.value.value, entry.value.quantity).number }}</b>
          <small>{{ parted(entry.value.value, entry.value.quantity).symbol }} {{ say(entry.note) }}</small></span
        >
      </el-tooltip>
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
.one {
  position: fixed;
  inset: auto 0 0 0;
  z-index: 3;
  display: block;
  overflow: visible;
}
.one > button {
  display: flex;
  align-items: center;
  gap: 8px;
  width: 100%;
  min-height: 52px;
  padding: 4px 14px;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
}
.one .entry {
  display: block;
  min-width: 0;
  padding: 0;
  border: 0;
}
.one .limit {
  min-width: 0;
}
.space {
  flex: 1;
}
.line {
  display: grid;
  grid-template-columns: 78px auto 1fr;
  gap: 0 8px;
  align-items: baseline;
  min-height: 52px;
  padding: 4px 0;
  text-decoration: none;
  border-bottom: 1px solid var(--hair);
}
.line .limit {
  grid-column: 2 / -1;
}
.line.stop .name::after,
.entry.stop .name::after {
  content: ' ◆';
  color: var(--stop);
}
.line.caution .name::after,
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
