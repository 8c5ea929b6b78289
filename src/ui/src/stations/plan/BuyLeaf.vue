<script setup lang="ts">
import { computed, ref } from 'vue';
import type { BoxRow, BuyRow, RigView } from '../../api/generated/schema';
import { ask, whyNot } from '../../api/client';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import FilePick from '../../parts/FilePick.vue';
import FromShop from '../../parts/FromShop.vue';
import PaperLink from '../../parts/PaperLink.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { under } from './asked';

/** What is bought, what the box gives, what of it is of no use. */
const rig = useRig();
const plan = computed(() => rig.assessment?.plan ?? null);
const amount = (n: number, unit: string) => `${Math.round(n * 100) / 100}${unit ? ` ${unit}` : ''}`;
const buying = computed(() => plan.value!.buy.filter((b) => b.need > 0));
const covered = computed(() => plan.value!.buy.filter((b) => b.need <= 0));
const columns: SheetColumn<BuyRow>[] = [
  { key: 'name', label: 'to buy', text: (b) => b.name, wide: true },
  { key: 'need', label: 'needed', number: true, text: (b) => amount(b.need, b.unit), width: 76 },
  { key: 'packs', label: 'in packs', text: (b) => b.packs, width: 88 },
  { key: 'cost', label: 'costs', number: true, text: (b) => (b.cost === null ? '–' : b.cost.toFixed(2)), width: 62 },
  { key: 'order', label: 'order by', text: (b) => b.orderBy || `${b.leadDays} d before`, width: 104, whole: true },
  { key: 'for', label: 'first for', text: (b) => b.neededBy, width: 120 },
  { key: 'why', label: 'asked by', text: (b) => b.changed || b.because, width: 120 },
];
const box: SheetColumn<BoxRow>[] = [
  { key: 'name', label: 'in the box', text: (b) => b.name, wide: true },
  { key: 'count', label: 'of it', number: true, text: (b) => String(b.count), width: 60 },
  { key: 'fits', label: 'for this job', text: (b) => (b.fits ? b.words : `of no use: ${b.words}`), wide: true },
];
const file = (name: string) => `/api/rigs/${rig.id}/plan/${name}`;
const refused = ref('');
const xlsx = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

async function read(picked: File): Promise<void> {
  refused.value = '';
  try {
    const type = picked.name.toLowerCase().endsWith('.xlsx') ? xlsx : 'text/csv';
    rig.take(await ask<RigView>('POST', `/rigs/${rig.id}/plan/prices`, new Blob([picked], { type })));
  } catch (error) {
    refused.value = whyNot(error);
  }
}
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskField v-for="f in under('when', 'firstDay', 'orderedOn')" :key="f" :path="f" />
      <AskGroup title="Prices of our own book">
        <p v-if="refused" role="alert" class="severity-stop">{{ refused }}</p>
        <p class="row">
          <FilePick words="Read CSV or XLSX" accept=".csv,.xlsx" @pick="read" />
        </p>
        <PaperLink :href="file('prices.csv')" kind="CSV" paper="prices">Price book</PaperLink>
        <FromShop list="prices" />
        <AskRows v-slot="{ path }" path="/plan/prices" one="price">
          <AskField v-for="f in ['item', 'supplier', 'pack', 'price', 'leadDays', 'date']" :key="f" :path="`${path}/${f}`" />
        </AskRows>
      </AskGroup>
      <AskGroup title="Changed by hand" :open="false">
        <AskRows v-slot="{ path }" path="/plan/changes" one="change">
          <AskField v-for="f in ['item', 'struck', 'quantity', 'why']" :key="f" :path="`${path}/${f}`" />
        </AskRows>
      </AskGroup>
      <PaperLink :href="file('buy.xlsx')" kind="XLSX" paper="xlsx">What is bought</PaperLink>
    </template>
    <template v-if="plan" #picture>
      <SheetTable name="To buy" :rows="buying" :columns="columns" copies />
    </template>
    <template v-if="plan" #below>
      <SheetTable
        v-if="plan.box.length"
        name="In the box"
        :rows="plan.box"
        :columns="box"
        :row-class="(b) => (b.fits ? '' : 'unfit')"
        copies
      />
      <p v-else class="soft">The box is not typed yet: at Unit, manual.</p>
      <p v-if="covered.length" class="soft">Not bought: {{ covered.map((b) => b.name.toLowerCase()).join(', ') }}.</p>
    </template>
  </LeafLayout>
</template>

<style scoped>
.row {
  margin: 6px 0;
}
:deep(.unfit) {
  color: var(--caution);
  font-weight: 640;
}
</style>
