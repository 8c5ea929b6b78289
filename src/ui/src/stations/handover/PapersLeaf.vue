<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { ask, Refused } from '../../api/client';
import { recordFieldsOf } from '../../api/description';
import type { IssuedPaper, PaperRow, ShopPage } from '../../api/generated/schema';
import PaperLink from '../../parts/PaperLink.vue';
import WhoReads from '../../parts/WhoReads.vue';
import { moment } from '../../parts/show';
import { useWriting } from '../../parts/writing';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { useLeafSays } from '../said';

/** Papers with numbers: what each was made of is frozen; a new reading makes it stale, never other. */
const rig = useRig();
const sheet = computed(() => rig.assessment!.handover!);
const verdict = useLeafSays();
const { by, refused, busy } = useWriting();
const licence = ref('');
const instruments = ref<string[]>([]);
const shop = ref<ShopPage | null>(null);
const key = ref('');
/** It came by a file and is not what was issued. */
const doubtful = (p: PaperRow) => p.origin === 'altered' || p.origin === 'twice';
const kinds = recordFieldsOf('paper').find((f) => f.path === '/kind')!.choices;
onMounted(async () => {
  try {
    shop.value = await ask<ShopPage>('GET', '/shop');
  } catch {
    shop.value = null;
  }
});
async function issue(kind: string): Promise<void> {
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
          <small :class="i.inDate ? 'soft' : 'severity-caution'">{{ i.stands }}</small>
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
        <button
          v-for="k in kinds"
          :key="k.value"
          type="button"
          class="plain"
          :disabled="busy"
          :data-issue="k.value"
          @click="issue(k.value)"
        >
          issue: {{ k.label }}
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
            ><strong v-if="doubtful(p)" class="severity-stop" data-doubtful> · {{ p.says }}</strong
            ><strong v-else-if="p.says" class="severity-caution" data-foreign> · {{ p.says }}</strong
            ><strong v-if="!p.standing && !doubtful(p)"> · replaced</strong
            ><strong v-else-if="p.standing && p.stale" class="severity-caution"> · older than what was read since</strong></span
          >
          <PaperLink :href="`/api/rigs/${rig.id}/papers/${p.id}.pdf`" kind="PDF">{{ p.number }}</PaperLink>
        </li>
      </ul>
      <p class="soft">Everything of this rig in open files, with their sums:</p>
      <PaperLink class="bundle" :href="`/api/rigs/${rig.id}/bundle.zip`" kind="ZIP" paper="bundle">Open bundle</PaperLink>
    </template>
  </LeafLayout>
</template>

<style scoped src="../../parts/reading.css"></style>
<style scoped src="../../parts/rows.css"></style>
<style scoped>
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
.tick small {
  white-space: nowrap;
}
.tick {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: 8px;
  align-items: center;
  min-height: 44px;
}
.tick input {
  width: 22px;
  height: 22px;
  margin: 0;
  accent-color: var(--ink);
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
@media (min-width: 701px) {
  li {
    grid-template-columns: minmax(9rem, auto) minmax(0, 1fr) minmax(16rem, auto);
  }
}
</style>
