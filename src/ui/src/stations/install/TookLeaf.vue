<script setup lang="ts">
import { computed, ref } from 'vue';
import type { TookRow } from '../../api/generated/schema';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { useSiteLog } from './siteLog';
import { nameStands } from '../../crew/me';

/** Hours and parts against the quote; a part that is used is written down here, on the device first. */
const rig = useRig();
const log = useSiteLog();
const took = computed(() => rig.assessment?.install?.took ?? null);
const part = ref('');
const amount = ref('');
const each = ref('');
const chosen = computed(() => took.value?.parts.find((p) => p.id === part.value) ?? null);
const number = (text: string) => (text.trim() === '' ? null : Number(text.trim().replace(',', '.')));
const fits = computed(() => {
  const [n, p] = [number(amount.value), number(each.value)];
  return !!chosen.value && n !== null && n > 0 && Number.isFinite(n) && (p === null || (Number.isFinite(p) && p >= 0));
});
async function use(): Promise<void> {
  if (!fits.value || !log.by.value.trim()) return;
  if (
    await log.write([{ type: 'partUsed', text: part.value, value: number(amount.value), each: number(each.value), asTyped: amount.value }])
  ) {
    amount.value = '';
    each.value = '';
  }
}
const money = (n: number) => (n === 0 ? '–' : `${n > 0 ? '+' : '−'}${Math.abs(n).toFixed(2)}`);
const columns: SheetColumn<TookRow>[] = [
  { key: 'words', label: 'stage or part', text: (r) => r.words, wide: true },
  { key: 'planned', label: 'quoted', number: true, text: (r) => `${r.planned.toFixed(1)} ${r.unit}`, width: 70 },
  { key: 'taken', label: 'took', number: true, text: (r) => `${r.taken.toFixed(1)} ${r.unit}`, width: 70 },
  { key: 'byPrice', label: 'by price', number: true, text: (r) => money(r.byPrice), width: 100, desk: true },
  { key: 'byQuantity', label: 'by quantity', number: true, text: (r) => money(r.byQuantity), width: 110, desk: true },
  { key: 'total', label: 'more or less', number: true, text: (r) => money(r.total), width: 96 },
];
</script>

<template>
  <LeafLayout>
    <template #say>
      <p v-if="log.waiting.value.length" class="soft">{{ log.waiting.value.length }} not sent; kept here.</p>
      <form v-if="took" class="used" @submit.prevent="use">
        <label>Written by <input v-model="log.by.value" required maxlength="60" placeholder="your name" :readonly="nameStands" /></label>
        <label
          >A part that was used
          <el-select v-model="part" filterable placeholder="which" data-part>
            <el-option v-for="p in took.parts" :key="p.id" :value="p.id" :label="p.name" />
          </el-select>
        </label>
        <label
          >How much{{ chosen ? `, ${chosen.unit}` : '' }} <input v-model="amount" inputmode="decimal" required maxlength="12" data-amount
        /></label>
        <label
          >Paid for each{{ chosen?.each != null ? `; quoted ${chosen.each.toFixed(2)}` : '' }}
          <input v-model="each" inputmode="decimal" maxlength="12" placeholder="as quoted" data-each
        /></label>
        <button type="submit" class="plain" :disabled="!fits" data-used>write it down</button>
      </form>
      <p v-for="r in log.refused.value" :key="r" role="alert" class="severity-stop">{{ r }}</p>
      <p class="soft">
        Hours of steps that are done against what the quote counts on; parts against what it buys. By price: each cost more or less. By
        quantity: more or less was taken.
      </p>
    </template>
    <template v-if="took" #picture>
      <div class="sums">
        <p>
          <span>cost as quoted</span><b>{{ took.quoted.toFixed(2) }}</b>
        </p>
        <p>
          <span>with what it took</span><b>{{ took.cost.toFixed(2) }}</b>
        </p>
        <p>
          <span>margin, of {{ (took.quotedMargin * 100).toFixed(1) }} %</span><b>{{ (took.margin * 100).toFixed(1) }} %</b>
        </p>
      </div>
      <SheetTable
        v-if="took.rows.length"
        name="Against the quote"
        :rows="took.rows"
        :columns="columns"
        :row-class="(r) => (r.off ? 'off' : '')"
        copies
      />
      <p v-else class="soft">Lines come with the first step that is done, or the first part that is written down.</p>
    </template>
  </LeafLayout>
</template>

<style scoped>
.used {
  display: grid;
  gap: 12px;
  max-width: 26rem;
}
.used label {
  display: grid;
  gap: 4px;
}
.used input {
  font: inherit;
  min-height: 44px;
  min-width: 0;
  padding: 0 10px;
  color: var(--ink);
  background: var(--raised);
  border: 1px solid var(--rule);
  border-radius: 4px;
}
.used button {
  min-height: 48px;
}
.sums {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 32px;
  margin-bottom: 14px;
}
.sums p {
  display: grid;
  margin: 0;
}
.sums b {
  font-size: 1.5rem;
  font-variant-numeric: tabular-nums;
}
:deep(.off td:first-child) {
  font-weight: 640;
  box-shadow: inset 4px 0 0 var(--caution);
}
</style>
