<script setup lang="ts">
import { computed } from 'vue';
import AskGroup from '../../parts/AskGroup.vue';
import PaperLink from '../../parts/PaperLink.vue';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { under } from './asked';

/** What it costs, line by line; margin is said as margin, with the mark-up beside it. */
const rig = useRig();
const plan = computed(() => rig.assessment?.plan ?? null);
const unpriced = computed(() => plan.value!.buy.filter((b) => b.need > 0 && b.cost === null));
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskGroup title="Price" :paths="under('quote', 'currency', 'margin', 'contingency', 'discount', 'tax', 'deposit', 'validDays')" />
      <AskGroup title="Way and the rest" :paths="under('quote', 'travelH', 'travelRateH', 'travel', 'other')" />
      <PaperLink :href="`/api/rigs/${rig.id}/plan/quote.pdf`" kind="PDF" paper="pdf">Quote</PaperLink>
    </template>
    <template v-if="plan" #picture>
      <table class="sum" data-quote>
        <tbody>
          <tr v-for="l in plan.quote" :key="l.words" :class="{ total: l.sum }">
            <td>{{ l.words }}</td>
            <td class="number">{{ l.amount }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="unpriced.length" class="soft">
        Not in this price:
        {{
          unpriced
            .slice(0, 8)
            .map((b) => b.name.toLowerCase())
            .join(', ')
        }}{{ unpriced.length > 8 ? ' and more' : '' }}. Prices are typed at <i>to buy</i>.
      </p>
    </template>
  </LeafLayout>
</template>

<style scoped>
.sum {
  border-collapse: collapse;
  width: min(100%, 46rem);
}
td {
  padding: 5px 8px 5px 0;
  border-bottom: 1px solid var(--hair);
}
.number {
  text-align: right;
  font-variant-numeric: tabular-nums;
  white-space: nowrap;
}
.total td {
  font-weight: 720;
  border-bottom: 2px solid var(--ink);
}
</style>
