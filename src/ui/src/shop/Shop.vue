<script setup lang="ts">
import { computed, onMounted, reactive, ref, watch } from 'vue';
import { ask, Refused, whyNot } from '../api/client';
import type {
  DueItem,
  FieldInfo,
  FoundRig,
  InstrumentRow,
  LicenceRow,
  ShelfRow,
  ShopPage,
  StockRow,
  TracedPaper,
} from '../api/generated/schema';
import SheetTable, { type SheetColumn } from '../parts/SheetTable.vue';
import { decimalComma, settings } from '../parts/settings';
import { say } from '../parts/show';
import TopKeys from '../parts/TopKeys.vue';
import AnotherLaptop from './AnotherLaptop.vue';
import CrewDays from './CrewDays.vue';
import KeptRows from './KeptRows.vue';
import { nameStands, useBy } from '../crew/me';

/** The shop: what is due over all rigs, instruments with their calibration, licences, stock; one log behind all of it. */
const page = ref<ShopPage | null>(null);
const refused = ref('');
const errors = reactive<Record<string, string>>({});
const by = useBy();
const kind = ref('instrument');
const typed = reactive<Record<string, string>>({});
const words: Record<string, string> = { instrument: 'instrument', licence: 'licence', stock: 'stock' };
const later = ref(false);
const view = computed(() => page.value?.view ?? null);
const due = computed(() => view.value?.due.filter((d) => later.value || d.state !== 'later') ?? []);
const fields = computed(() => page.value?.asks.find((a) => a.kind === kind.value)?.fields ?? []);
const name = (f: FieldInfo) => f.path.slice(1);
async function look(): Promise<void> {
  try {
    page.value = await ask<ShopPage>('GET', '/shop');
  } catch {
    refused.value = 'The server does not answer.';
  }
}
onMounted(look);
watch(kind, () => {
  for (const k of Object.keys(typed)) delete typed[k];
  for (const k of Object.keys(errors)) delete errors[k];
});
async function record(): Promise<void> {
  refused.value = '';
  for (const k of Object.keys(errors)) delete errors[k];
  try {
    const wanted = { kind: kind.value, by: by.value, units: settings.units, decimalComma, values: { ...typed }, corrects: null };
    page.value = await ask<ShopPage>('POST', '/shop/records', wanted);
    for (const k of Object.keys(typed)) delete typed[k];
  } catch (error) {
    if (error instanceof Refused) for (const e of error.errors) errors[e.field] = e.reason;
    refused.value = error instanceof Refused ? error.message : 'The server does not answer; nothing was lost, press again.';
  }
}
async function takeOff(row: ShelfRow): Promise<void> {
  refused.value = '';
  try {
    page.value!.shelf = await ask<ShelfRow[]>('POST', `/shop/shelf/${row.list}`, { keys: [row.key], by: by.value, rig: null });
  } catch (error) {
    refused.value = whyNot(error);
  }
}
const search = ref('');
const found = ref<FoundRig[]>([]);
let asked = 0;
watch(search, async (q) => {
  const mine = ++asked;
  const hits = q.trim() ? await ask<FoundRig[]>('GET', `/shop/search?q=${encodeURIComponent(q)}`) : [];
  if (mine === asked) found.value = hits;
});
const when = (d: DueItem) => (d.days < 0 ? `${-d.days} days late` : d.days === 0 ? 'today' : `in ${d.days} days`);
const board: SheetColumn<DueItem>[] = [
  { key: 'when', label: 'due', text: when, width: 84 },
  { key: 'subject', label: 'of', text: (d) => d.subject, width: 90 },
  { key: 'what', label: 'what', text: (d) => d.what, wide: true },
  { key: 'day', label: 'day', text: (d) => d.day, width: 104, whole: true, desk: true },
];
const instruments: SheetColumn<InstrumentRow>[] = [
  { key: 'name', label: 'instrument', text: (i) => i.name, wide: true },
  { key: 'type', label: 'kind', text: (i) => i.type },
  { key: 'serial', label: 'number', text: (i) => i.serial },
  { key: 'due', label: 'calibration', text: (i) => i.stands, width: 170 },
  { key: 'trace', label: '', width: 150 },
];
const traced = ref<{ name: string; off: number; papers: TracedPaper[] } | null>(null);
async function trace(i: InstrumentRow): Promise<void> {
  traced.value = { name: i.name, off: i.offShare!, papers: await ask<TracedPaper[]>('GET', `/shop/instruments/${i.id}/trace`) };
}
const licences: SheetColumn<LicenceRow>[] = [
  { key: 'person', label: 'person', text: (l) => l.person, wide: true },
  { key: 'scope', label: 'for', text: (l) => scopeWords.value[l.scope] ?? l.scope },
  { key: 'number', label: 'number', text: (l) => l.number },
  { key: 'expires', label: 'ends', text: (l) => l.expires ?? 'no end', width: 110 },
];
const scopeWords = computed(() =>
  Object.fromEntries(
    (page.value?.asks.find((a) => a.kind === 'licence')?.fields.find((f) => f.path === '/scope')?.choices ?? []).map((c) => [
      c.value,
      c.label,
    ]),
  ),
);
const stock: SheetColumn<StockRow>[] = [
  { key: 'part', label: 'part', text: (s) => s.part, wide: true },
  { key: 'onHand', label: 'there', number: true, text: (s) => String(s.onHand), width: 80 },
  { key: 'used', label: 'used in 180 days', number: true, text: (s) => String(s.used), width: 130 },
  {
    key: 'order',
    label: '',
    text: (s) => (s.odd ? 'count it: less than nothing by the book' : s.order ? `order: ${s.orderAt} or fewer` : ''),
    wide: true,
  },
];
</script>

<template>
  <div class="shop">
    <header class="top">
      <RouterLink to="/" class="key">Yard</RouterLink>
      <h1>Shop</h1>
      <span class="soft">what is due over all rigs, and what the shop owns</span>
      <span class="space" />
      <TopKeys />
    </header>
    <main v-if="view" class="body">
      <section class="find">
        <el-input v-model="search" type="search" placeholder="find a rig" aria-label="Find a rig" clearable data-search />
        <ul v-if="search.trim()" class="found" data-found>
          <li v-for="f in found" :key="f.id">
            <RouterLink :to="`/rig/${f.id}`">{{ f.name }}</RouterLink> <small class="soft">{{ f.where }}</small>
          </li>
          <li v-if="!found.length" class="soft">Nothing has these words.</li>
        </ul>
      </section>
      <section class="write">
        <h2>Write down</h2>
        <p class="units" role="group" aria-label="What">
          <button
            v-for="(w, k) in words"
            :key="k"
            type="button"
            class="unit"
            :aria-pressed="kind === k"
            :data-kind="k"
            @click="kind = String(k)"
          >
            {{ w }}
          </button>
        </p>
        <form @submit.prevent="record">
          <label class="row">Written by <input v-model="by" data-by autocomplete="name" :readonly="nameStands" /></label>
          <label v-for="f in fields" :key="f.path" class="row" :class="{ wrong: errors[name(f)] }">
            <span
              >{{ f.label }} <small v-if="say(f.help)" class="hint">{{ say(f.help) }}</small></span
            >
            <select v-if="f.choices.length" v-model="typed[name(f)]" :data-shop="name(f)">
              <option v-for="c in f.choices" :key="c.value" :value="c.value">{{ c.label }}</option>
            </select>
            <input
              v-else-if="f.input === 'switch'"
              type="checkbox"
              :checked="typed[name(f)] === 'true'"
              :data-shop="name(f)"
              @change="typed[name(f)] = String(($event.target as HTMLInputElement).checked)"
            />
            <input
              v-else
              v-model="typed[name(f)]"
              :data-shop="name(f)"
              autocomplete="off"
              :placeholder="f.input === 'date' ? 'yyyy-mm-dd' : ''"
            />
            <em v-if="errors[name(f)]" role="alert">{{ errors[name(f)] }}</em>
          </label>
          <p v-if="refused" class="severity-stop" role="alert">{{ refused }}</p>
          <button type="submit" class="plain" data-shop-write>write it down</button>
        </form>
      </section>
      <section class="see" data-shop-view>
        <h2>
          Due <button type="button" class="bare" @click="later = !later">{{ later ? 'only what is near' : 'later too' }}</button>
        </h2>
        <SheetTable v-if="due.length" name="Due" :rows="due" :columns="board" :row-class="(d) => d.state" copies data-due>
          <template #subject="{ row }">
            <RouterLink v-if="row.rig" :to="`/rig/${row.rig}/${row.leaf}`">{{ row.subject }}</RouterLink>
            <template v-else>{{ row.subject }}</template>
          </template>
        </SheetTable>
        <p v-else class="soft">Nothing is due.</p>
        <h2>Instruments</h2>
        <SheetTable
          v-if="view.instruments.length"
          name="Instruments"
          :rows="view.instruments"
          :columns="instruments"
          copies
          data-instruments
        >
          <template #trace="{ row }">
            <button v-if="row.offShare" type="button" class="bare" :data-trace="row.name" @click="trace(row)">what stands on it</button>
          </template>
        </SheetTable>
        <p v-else class="soft">None are written down. Papers then say that none were.</p>
        <div v-if="traced" data-traced>
          <p>
            <b>{{ traced.name }}</b> was found off by {{ Math.round(1000 * traced.off) / 10 }} %. Nothing is rewritten; with that taken out:
          </p>
          <ul>
            <li v-for="p in traced.papers" :key="p.number">
              <RouterLink :to="`/rig/${p.rig}/handover/papers`">{{ p.name }}</RouterLink> {{ p.number }}, {{ p.day }}:
              <b v-if="p.moved.length" class="severity-caution">{{
                p.moved.map((m) => `${m.what}: ${m.was}, then ${m.becomes}`).join('; ')
              }}</b>
              <template v-else>every verdict stands.</template>
            </li>
            <li v-if="!traced.papers.length">No paper stands on it.</li>
          </ul>
        </div>
        <h2>Licences</h2>
        <SheetTable v-if="view.licences.length" name="Licences" :rows="view.licences" :columns="licences" copies />
        <p v-else class="soft">None are written down. Vanto holds what is entered; it does not know the law.</p>
        <h2>Stock</h2>
        <SheetTable v-if="view.stock.length" name="Stock" :rows="view.stock" :columns="stock" copies data-stock />
        <p v-else class="soft">Nothing was counted yet.</p>
        <CrewDays />
        <KeptRows v-if="page" :shelf="page.shelf" @off="takeOff" />
        <AnotherLaptop v-if="page" :backups="page.backups" @read="look" />
      </section>
    </main>
    <p v-else class="body soft">{{ refused }}</p>
  </div>
</template>

<style scoped src="../parts/reading.css"></style>
<style scoped>
.see :deep(td:last-child) {
  white-space: nowrap;
}
.shop {
  min-height: 100vh;
  background: var(--sheet);
  display: flex;
  flex-direction: column;
}
.top {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 6px 16px;
  border-bottom: 2px solid var(--ink);
  background: var(--sheet);
  flex-wrap: wrap;
}
.space {
  flex: 1;
}
.body {
  display: grid;
  grid-template-columns: 320px minmax(0, 1fr);
  grid-template-rows: auto 1fr;
  gap: 0 26px;
  padding: 14px 16px 40px;
}
.find {
  padding-right: 18px;
}
.see {
  grid-column: 2;
  grid-row: 1 / span 2;
}
.write {
  border-right: 1px solid var(--rule);
  padding-right: 18px;
}
.row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 150px;
  gap: 2px 10px;
  align-items: center;
  border-bottom: 1px solid var(--hair);
  color: var(--soft);
  padding: 2px 0;
}
.hint {
  display: block;
  font-size: 12.5px;
}
.row input:not([type='checkbox']),
.row select {
  font: inherit;
  color: var(--ink);
  background: transparent;
  min-height: 38px;
  min-width: 0;
  border: 0;
  border-bottom: 1.5px solid var(--rule);
}
.row em {
  grid-column: 1 / -1;
  color: var(--stop);
  font-style: normal;
}
form button {
  margin-top: 12px;
}
.found {
  list-style: none;
  padding: 0;
}
.found li {
  padding: 8px 0;
}
.see h2 {
  margin-top: 16px;
}
.see h2 button {
  margin-left: 14px;
  font-weight: 400;
  text-decoration: underline;
}
:deep(td:first-child) {
  white-space: nowrap;
}
:deep(.overdue) {
  color: var(--caution);
}
@media (max-width: 700px) {
  .body {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: none;
  }
  .find {
    padding: 0;
  }
  .see {
    grid-column: 1;
    grid-row: auto;
  }
  .write {
    border: 0;
    padding: 0;
    order: 2;
  }
  .row input:not([type='checkbox']),
  .row select {
    min-height: 44px;
  }
}
</style>
