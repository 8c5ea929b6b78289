<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue';
import { ask } from '../api/client';
import { stations, titled } from '../api/description';
import type { CalculatorView } from '../api/generated/schema';
import TopKeys from '../parts/TopKeys.vue';
import CalculatorForm from './CalculatorForm.vue';

const props = defineProps<{ name?: string }>();
const all = ref<CalculatorView[]>([]);
const search = ref('');
/** What was searched when the calculation was chosen: a narrow screen lists calculations again once something else is typed. */
const chosenWith = ref('');
watch(
  () => props.name,
  () => (chosenWith.value = search.value),
);
const shown = computed(() => {
  const words = search.value.toLowerCase().split(/\s+/).filter(Boolean);
  return all.value.filter((c) => words.every((w) => `${c.title} ${c.purpose} ${c.name} ${c.station}`.toLowerCase().includes(w)));
});
const groups = computed(() => {
  const map = new Map<string, CalculatorView[]>();
  for (const c of shown.value) map.set(c.station, [...(map.get(c.station) ?? []), c]);
  return [...map].sort(([a], [b]) => order.indexOf(a) - order.indexOf(b));
});
const open = computed(() => all.value.find((c) => c.name === props.name) ?? null);
const order = ['Physics', 'Supply', ...stations.map(titled)];
const called: Record<string, string> = { Physics: 'Air, sun, skin', Supply: 'Battery, inverter, modules' };

onMounted(async () => {
  all.value = await ask<CalculatorView[]>('GET', '/calc');
});
</script>

<template>
  <div class="bench" :class="{ asked: open && search === chosenWith }">
    <header class="top">
      <RouterLink to="/" class="key">Yard</RouterLink>
      <h1>Bench</h1>
      <span class="soft">every calculation on its own, without a job</span>
      <span class="space" />
      <TopKeys />
    </header>
    <nav class="list" aria-label="Calculations">
      <el-input v-model="search" type="search" placeholder="search" aria-label="Search calculations" clearable />
      <section v-for="[station, calculators] in groups" :key="station">
        <h2>{{ called[station] ?? station }}</h2>
        <RouterLink
          v-for="c in calculators"
          :key="c.name"
          :to="`/bench/${c.name}`"
          class="one"
          :class="{ here: c.name === name }"
          :data-calc="c.name"
          >{{ c.title }}</RouterLink
        >
      </section>
      <p v-if="all.length && !shown.length" class="soft">Nothing by that name.</p>
    </nav>
    <main>
      <CalculatorForm v-if="open" :key="open.name" :calculator="open" />
      <template v-else>
        <p class="soft empty">What do you want to know? Each answer shows its working and where its formula stands.</p>
        <section v-for="[station, calculators] in groups" :key="station">
          <h2>{{ called[station] ?? station }}</h2>
          <div class="asks">
            <RouterLink v-for="c in calculators" :key="c.name" :to="`/bench/${c.name}`" class="ask">
              <b>{{ c.title }}</b> <span class="soft">{{ c.purpose }}</span>
            </RouterLink>
          </div>
        </section>
      </template>
    </main>
  </div>
</template>

<style scoped>
.bench {
  height: 100%;
  display: grid;
  grid-template: 'top top' 56px 'list main' 1fr / 262px 1fr;
}
.top {
  grid-area: top;
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 0 22px;
  border-bottom: 2px solid var(--ink);
}
.space {
  flex: 1;
}
.list {
  overflow-y: auto;
  padding: 12px 0 20px 18px;
}
.list h2 {
  margin: 14px 0 2px;
}
.one {
  display: block;
  text-decoration: none;
  padding: 5px 8px;
  border-radius: 3px 0 0 3px;
}
.list .el-input {
  width: calc(100% - 18px);
}
.one.here {
  background: var(--sheet);
  font-weight: 680;
  border: 1.5px solid var(--ink);
  border-right: 0;
}
.one:hover:not(.here) {
  text-decoration: underline;
}
main {
  background: var(--sheet);
  border-left: 1.5px solid var(--ink);
  overflow-y: auto;
  padding: 18px 26px 30px;
}
.empty {
  font-size: 18px;
}
main h2 {
  margin: 16px 0 4px;
}
.asks {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(290px, 1fr));
  gap: 0 24px;
}
.ask {
  display: flex;
  flex-direction: column;
  min-height: 46px;
  padding: 5px 0;
  border-bottom: 1px solid var(--hair);
  text-decoration: none;
}
.ask:hover b {
  text-decoration: underline;
}
@media (max-width: 700px) {
  .bench {
    grid-template: 'top' auto 'list' auto 'main' 1fr / minmax(0, 1fr);
    height: auto;
    min-height: 100%;
  }
  .top {
    flex-wrap: wrap;
    padding: 8px 12px;
  }
  .list {
    padding: 8px 12px;
  }
  /* With a calculation open only the search is left of the list. */
  .asked .list section {
    display: none;
  }
  main {
    border-left: 0;
    padding: 14px 12px 24px;
  }
  .one,
  .ask {
    min-height: 44px;
  }
}
</style>
