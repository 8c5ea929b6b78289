<script setup lang="ts">
import { shown } from './show';

/** Things as bars of what they may be; the mark is where it ends. */
export interface UsedRow {
  key: string;
  name: string;
  words: string;
  used: number;
  near?: boolean;
}
defineProps<{ title: string; rows: UsedRow[] }>();
const full = 86;
</script>

<template>
  <section class="used" data-used :aria-label="title">
    <h2>{{ title }}</h2>
    <ol>
      <li v-for="r in rows" :key="r.key" :class="{ over: r.used > 1.0001, near: r.near }">
        <span class="name">{{ r.name }}</span>
        <span class="bar" aria-hidden="true">
          <i :style="{ width: `${Math.min(100, r.used * full)}%` }"></i>
          <em :style="{ left: `${full}%` }"></em>
        </span>
        <b>{{ shown(r.used, 'fraction') }}</b>
        <span class="soft small">{{ r.words }}</span>
      </li>
    </ol>
    <p v-if="!rows.length" class="soft">Nothing is judged.</p>
  </section>
</template>

<style scoped>
h2 {
  font-size: 0.95rem;
  margin: 0 0 0.3rem;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 1fr 3.4rem;
  column-gap: 0.7rem;
  padding: 0.28rem 0;
  border-bottom: 1px solid var(--hair);
}
.name {
  grid-column: 1 / -1;
  font-weight: 560;
}
.bar {
  position: relative;
  height: 0.8rem;
  background: var(--ground);
  align-self: center;
}
.bar i {
  position: absolute;
  inset: 0 auto 0 0;
  background: var(--ink);
}
.bar em {
  position: absolute;
  top: -0.2rem;
  bottom: -0.2rem;
  width: 2px;
  background: var(--stop);
}
.near .bar i {
  background: var(--caution);
}
.over .bar i {
  background: var(--stop);
}
.over b {
  color: var(--stop);
}
b {
  text-align: right;
  font-variant-numeric: tabular-nums;
}
li > .small {
  grid-column: 1 / -1;
}
</style>
