<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { ask, whyNot } from '../api/client';
import type { Remedy, ShelfRow, ShelfView } from '../api/generated/schema';
import { useRig } from '../stores/rig';
import { say } from './show';
import { useBy } from '../crew/me';

/** What the shop keeps of one list: a rig takes a copy of it, and gives its own rows to it. */
const props = defineProps<{ list: 'units' | 'sheets' | 'prices' | 'tools' | 'crew'; only?: string }>();
const rig = useRig();
const by = useBy();
const view = ref<ShelfView | null>(null);
const wanted = ref('');
const refused = ref('');
const many = 8;
const mine = (key: string) => !props.only || key === props.only;
const all = computed(() => (view.value?.rows ?? []).filter((r) => mine(r.key)));
/** Those that are the same here are counted only. */
const other = computed(() => all.value.filter((r) => r.state !== 'same'));
const toKeep = computed(() => (view.value?.toKeep ?? []).filter((k) => mine(k.key)));
const rows = computed(() => {
  const words = wanted.value.trim().toLowerCase();
  return other.value.filter((r) => !words || r.name.toLowerCase().includes(words));
});

async function look(): Promise<void> {
  try {
    view.value = await ask<ShelfView>('GET', `/rigs/${rig.id}/shelf/${props.list}`);
  } catch (error) {
    refused.value = whyNot(error);
  }
}
watch(() => rig.revision, look, { immediate: true });

async function keep(keys: string[]): Promise<void> {
  refused.value = '';
  try {
    await ask<ShelfRow[]>('POST', `/shop/shelf/${props.list}`, { keys, by: by.value, rig: rig.id });
    await look();
  } catch (error) {
    refused.value = whyNot(error);
  }
}

function take(remedy: Remedy): void {
  void rig.apply(remedy.changes);
}
</script>

<template>
  <div v-if="view" class="shelf" :data-shelf="list">
    <h3>Kept in the shop</h3>
    <p v-if="!all.length" class="soft">Nothing yet. What is kept there can be taken into every rig.</p>
    <input
      v-if="other.length > many"
      v-model="wanted"
      class="find"
      type="search"
      placeholder="find"
      aria-label="Find in the shop"
      data-shelf-find
    />
    <ul v-if="rows.length" class="kept">
      <li v-for="r in rows" :key="r.key" :data-kept="r.key">
        <span
          ><b>{{ r.name }}</b> <span class="soft">{{ say(r.words) }}</span></span
        >
        <button v-if="r.take" type="button" class="plain" :title="`kept by ${r.by} on ${r.kept}`" @click="take(r.take)">
          {{ say(r.take.words) }}
        </button>
        <em v-else class="soft">{{ r.stands }}</em>
      </li>
    </ul>
    <p v-if="all.length > other.length" class="soft" data-same>{{ all.length - other.length }} of the shop are the same here.</p>
    <p v-if="view.takeAll && !only" class="acts">
      <button type="button" class="plain" data-take-all @click="take(view.takeAll)">
        {{ say(view.takeAll.words) }} <em>{{ say(view.takeAll.effect) }}</em>
      </button>
    </p>
    <template v-if="toKeep.length">
      <label v-if="!by" class="by">Kept by <input v-model.lazy="by" autocomplete="name" data-shelf-by /></label>
      <p class="acts">
        <button v-for="k in toKeep.slice(0, many)" :key="k.key" type="button" class="plain" :data-keep="k.key" @click="keep([k.key])">
          keep {{ k.name }}
        </button>
        <button v-if="toKeep.length > 1" type="button" class="plain" data-keep-all @click="keep(toKeep.map((k) => k.key))">
          keep all {{ toKeep.length }}
        </button>
      </p>
    </template>
    <p v-if="refused" class="severity-stop" role="alert">{{ refused }}</p>
  </div>
</template>

<style scoped>
.shelf {
  border-top: 1px solid var(--hair);
  margin-top: 10px;
  padding-top: 6px;
}
h3 {
  font-size: 13.5px;
  margin: 4px 0;
}
.kept {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 320px;
  overflow-y: auto;
}
.kept li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
}
.kept li > :last-child {
  flex: none;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 8px 0 0;
}
.acts .plain {
  max-width: 100%;
  white-space: normal;
  text-align: left;
  padding-block: 6px;
}
.find,
.by input {
  font: inherit;
  width: 100%;
  min-height: 32px;
  padding: 0 8px;
  border: 1px solid var(--rule);
  border-radius: 4px;
  background: var(--sheet);
  color: inherit;
}
@media (max-width: 700px), (pointer: coarse) {
  .plain,
  .find,
  .by input {
    min-height: 44px;
  }
}
</style>
