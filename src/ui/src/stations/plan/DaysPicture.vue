<script setup lang="ts">
import { computed } from 'vue';
import type { PlanAssessment, PlanBlock, PlanDay } from '../../api/generated/schema';
import { say } from '../../parts/show';
import { dayMinutes, minuteClock } from './asked';

/** The days with a lane for each of the crew; what runs by itself is hatched below them, the hours barred on the roof are shaded. */
const props = defineProps<{ plan: PlanAssessment }>();
const hours = (d: PlanDay) => {
  const first = Math.floor(d.from / 60);
  const last = Math.ceil(d.to / 60);
  return Array.from({ length: last - first + 1 }, (_, i) => (first + i) * 60);
};
const place = (d: PlanDay, from: number, to: number) => {
  const span = d.to - d.from;
  const a = Math.max(from, d.from);
  const b = Math.min(to, d.to);
  return { left: `${((a - d.from) / span) * 100}%`, width: `${(Math.max(0, b - a) / span) * 100}%` };
};
const wide = (d: PlanDay, b: PlanBlock) => (b.to - b.from) / (d.to - d.from) > 0.06;
const crew = computed(() => props.plan.people.map((p, i) => ({ ...p, i })));
const lanes = (d: PlanDay) => crew.value.filter((p) => props.plan.blocks.some((b) => b.person === p.i && b.day === d.number));
const roof = computed(() => props.plan.steps.some((s) => s.place === 'roof' && s.start !== null));

/** Waits of a day, each in the first row that is free. */
function waitRows(d: PlanDay) {
  const rows: { what: string; step: string; from: number; to: number }[][] = [];
  for (const w of props.plan.waits) {
    const from = w.from - d.number * dayMinutes;
    const to = w.to - d.number * dayMinutes;
    if (to <= d.from || from >= d.to) continue;
    const row = rows.find((r) => r[r.length - 1]!.to <= from);
    const entry = { what: w.what, step: w.step, from, to };
    if (row) row.push(entry);
    else rows.push([entry]);
  }
  return rows;
}
</script>

<template>
  <div class="days" role="img" :aria-label="say(plan.verdict.headline)">
    <section v-for="d in plan.days" :key="d.number" class="day" data-day>
      <h3>{{ d.words }}</h3>
      <div class="grid">
        <span></span>
        <div class="scale">
          <span v-for="h in hours(d)" :key="h" :style="{ left: place(d, h, h).left }">{{ minuteClock(h) }}</span>
        </div>
        <template v-if="roof && d.hotTo > d.hotFrom">
          <span class="who soft">roof</span>
          <div class="lane thin"><i class="hot" :style="place(d, d.hotFrom, d.hotTo)">too hot</i></div>
        </template>
        <template v-for="p in lanes(d)" :key="p.i">
          <b class="who">{{ p.name }}</b>
          <div class="lane">
            <i v-for="h in hours(d)" :key="h" class="hour" :style="{ left: place(d, h, h).left }"></i>
            <i v-if="d.breakTo > d.breakFrom" class="pause" :style="place(d, d.breakFrom, d.breakTo)"></i>
            <span
              v-for="b in plan.blocks.filter((x) => x.day === d.number && x.person === p.i)"
              :key="b.from"
              class="block"
              :class="b.skill"
              :style="place(d, b.from, b.to)"
              :title="`${minuteClock(b.from)}–${minuteClock(b.to)} ${b.steps.join(', ')}`"
              ><template v-if="wide(d, b)">{{ b.words }}</template></span
            >
          </div>
        </template>
        <template v-for="(row, i) in waitRows(d)" :key="`w${i}`">
          <span class="who soft">{{ i === 0 ? 'runs by itself' : '' }}</span>
          <div class="lane low">
            <span
              v-for="w in row"
              :key="w.from"
              class="wait"
              :style="place(d, w.from, w.to)"
              :title="`${minuteClock(w.from)}–${minuteClock(w.to)} ${w.step}: ${w.what}`"
              ><em v-if="(w.to - w.from) / (d.to - d.from) > 0.09">{{ w.what }}</em></span
            >
          </div>
        </template>
      </div>
    </section>
    <p class="soft small key">
      <span class="block handler"></span> refrigerant <span class="block electrician"></span> electrical <span class="block"></span> anyone
      <span class="wait"></span> runs by itself
    </p>
  </div>
</template>

<style scoped>
.days {
  display: grid;
  gap: 0.7rem;
}
h3 {
  font-size: 0.95rem;
  margin: 0 0 0.2rem;
}
.grid {
  display: grid;
  grid-template-columns: 6.6rem minmax(0, 1fr);
  row-gap: 3px;
}
.scale {
  position: relative;
  height: 1.1rem;
  font-size: 0.75rem;
  color: var(--soft);
  font-variant-numeric: tabular-nums;
}
.scale span {
  position: absolute;
  transform: translateX(-50%);
}
.scale span:first-child {
  transform: none;
}
.scale span:last-child {
  transform: translateX(-100%);
}
.who {
  font-size: 0.85rem;
  align-self: center;
  overflow-wrap: anywhere;
  padding-right: 6px;
}
.lane {
  position: relative;
  height: 46px;
  background: var(--ground);
}
.low {
  height: 20px;
}
.lane > * {
  position: absolute;
  top: 0;
  bottom: 0;
}
.hour {
  border-left: 1px solid var(--hair);
}
.pause {
  background: var(--sheet);
}
.thin {
  height: 14px;
}
.hot {
  background: color-mix(in srgb, var(--heat) 22%, transparent);
  border-left: 2px solid var(--heat);
  border-right: 2px solid var(--heat);
  font-size: 0.68rem;
  line-height: 14px;
  font-style: normal;
  text-align: center;
  overflow: hidden;
}
.block {
  background: var(--raised);
  border: 1px solid var(--ink);
  border-top: 6px solid var(--ink);
  font-size: 0.75rem;
  line-height: 1.15;
  padding: 2px 3px;
  overflow: hidden;
  overflow-wrap: anywhere;
}
.block.handler {
  border-top: 6px double var(--cold);
  background: color-mix(in srgb, var(--cold) 10%, var(--raised));
}
.block.electrician {
  border-top: 6px dotted var(--stored);
}
.wait {
  border: 1px solid var(--ink);
  background: repeating-linear-gradient(-45deg, transparent 0 4px, color-mix(in srgb, var(--ink) 45%, transparent) 4px 5px);
  overflow: hidden;
}
.wait em {
  font-style: normal;
  font-size: 0.7rem;
  background: var(--sheet);
  padding: 0 3px;
  white-space: nowrap;
}
.key {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
  margin: 0;
}
.key > span {
  display: inline-block;
  width: 26px;
  height: 14px;
  padding: 0;
}
@media (max-width: 700px) {
  .grid {
    grid-template-columns: 4.6rem minmax(0, 1fr);
  }
  .scale span:nth-child(even):not(:last-child),
  .scale span:nth-last-child(2) {
    display: none;
  }
  .block {
    font-size: 0;
  }
}
</style>
