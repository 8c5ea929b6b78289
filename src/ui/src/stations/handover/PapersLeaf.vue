<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { ask, Refused } from '../../api/client';
import type { IssuedPaper, PaperKind, ShopPage, Verdict } from '../../api/generated/schema';
import PaperLink from '../../parts/PaperLink.vue';
import WhoReads from '../../parts/WhoReads.vue';
import { moment } from '../../parts/show';
import { useWriting } from '../../parts/writing';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';

/** Papers with numbers: what each was made of is frozen; a new reading makes it stale, never other. */
const rig = useRig();
const sheet = computed(() => rig.assessment!.handover!);
const verdict = computed<Verdict>(() => ({
  state: sheet.value.papers.some((p) => p.standing && p.stale) ? 'caution' : sheet.value.papers.length ? 'passed' : 'open',
  headline: sheet.value.answers.papers!,
  detail: { template: '', measures: [] },
}));
const { by, refused, busy } = useWriting();
const licence = ref('');
const instruments = ref<string[]>([]);
const shop = ref<ShopPage | null>(null);
const key = ref('');
const kinds: { kind: PaperKind; words: string }[] = [
  { kind: 'circuit', words: 'proof of the circuit' },
  { kind: 'electrical', words: 'tests before power' },
  { kind: 'startUp', words: 'start-up' },
  { kind: 'guide', words: "owner's guide, with a label" },
];
onMounted(async () => {
  try {
    shop.value = await ask<ShopPage>('GET', '/shop');
  } catch {
    shop.value = null;
  }
});
async function issue(kind: PaperKind): Promise<void> {
  refused.value = '';
  if (!by.value.trim()) {
    refused.value = 'Who issues it? Write your name first.';
    return;
  }
  busy.value = true;
  try {
    const wanted = { kind, by: by.value, licence: licence.value, instruments: instruments.value };
    const issued = await ask<IssuedPaper>('POST', `/rigs/${rig.id}/papers`, wanted);
    rig.take(issued.view);
    if (issued.key) key.value = issued.key;
  } catch (error) {
    refused.value = error instanceof Refused ? error.message : 'The server does not answer; press again.';
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <LeafLayout :verdict="verdict">
    <template #say>
      <p class="soft">
        A paper is never changed: a new one takes its place and says so. It certifies what was read; local codes and licensed practice come
        first.
      </p>
      <label class="field"
        >Your licence <input v-model="licence" data-licence autocomplete="off" placeholder="number, where one is asked" />
      </label>
      <fieldset v-if="shop?.view.instruments.length">
        <legend>Read with</legend>
        <label v-for="i in shop.view.instruments.filter((x) => !x.retired)" :key="i.id" class="tick">
          <input v-model="instruments" type="checkbox" :value="i.name" /> {{ i.name }}
          <small class="soft">{{ i.due ? `good until ${i.due}` : 'never calibrated' }}</small>
        </label>
      </fieldset>
      <p v-else class="soft">
        Instruments with their calibration are kept in the shop; without them the paper says that none were written.
      </p>
      <RouterLink to="/shop" class="plain">the shop</RouterLink>
    </template>
    <template #act>
      <WhoReads v-model="by" label="Issued by" class="who-here" />
      <p class="acts">
        <button v-for="k in kinds" :key="k.kind" type="button" class="plain" :disabled="busy" :data-issue="k.kind" @click="issue(k.kind)">
          issue: {{ k.words }}
        </button>
      </p>
      <p v-if="refused" class="severity-stop" role="alert">{{ refused }}</p>
      <p v-if="key" class="key" data-key>
        The guide's page is open to whoever holds its key. The key stands on the label only: print it now.
        <a class="plain" :href="`/api/rigs/${rig.id}/label.pdf?key=${key}`" target="_blank" data-label>print the labels</a>
        <a class="plain" :href="`/h/${rig.design!.handover.code}?k=${key}`" target="_blank" data-public>look at the page</a>
      </p>
    </template>
    <template #picture>
      <ul class="rows" data-papers>
        <li v-for="p in sheet.papers" :key="p.id" :class="{ old: !p.standing }" :data-paper-number="p.number">
          <b>{{ p.name }}</b>
          <span
            >{{ moment(p.at) }}, {{ p.by }}<template v-if="p.supersedes">, in place of {{ p.supersedes }}</template
            ><strong v-if="!p.standing"> · replaced</strong
            ><strong v-else-if="p.stale" class="severity-caution"> · older than what was read since</strong></span
          >
          <PaperLink :href="`/api/rigs/${rig.id}/papers/${p.number}.pdf`" kind="PDF">{{ p.number }}</PaperLink>
        </li>
      </ul>
      <p class="soft">Everything of this rig in open files, with their sums:</p>
      <PaperLink class="bundle" :href="`/api/rigs/${rig.id}/bundle.zip`" kind="ZIP" paper="bundle">Open bundle</PaperLink>
    </template>
  </LeafLayout>
</template>

<style scoped src="../../parts/reading.css"></style>
<style scoped>
.rows {
  list-style: none;
  margin: 0 0 14px;
  padding: 0;
  max-width: 52rem;
}
li {
  display: grid;
  grid-template-columns: minmax(9rem, auto) minmax(0, 1fr) minmax(16rem, auto);
  gap: 4px 14px;
  align-items: center;
  border-top: 1px solid var(--hair);
  padding: 6px 0;
}
.old {
  color: var(--soft);
}
.key {
  border: 2px solid var(--ink);
  padding: 8px 10px;
  max-width: 46rem;
}
.bundle {
  max-width: 20rem;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 12px 0;
}
.tick {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 44px;
}
.field {
  display: grid;
  color: var(--soft);
}
.field input {
  font: inherit;
  min-height: 44px;
  border: 0;
  border-bottom: 1.5px solid var(--rule);
  background: transparent;
  color: var(--ink);
}
@media (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
