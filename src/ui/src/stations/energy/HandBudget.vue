<script setup lang="ts">
import { computed } from 'vue';
import type { BudgetComparison } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import { shown } from '../../parts/show';

/** The budget as a fitter does it by hand, beside what the simulation finds: two bars to one scale. */
const props = defineProps<{ budget: BudgetComparison }>();
const most = computed(() => Math.max(props.budget.handWh, props.budget.simulatedWh));
const width = (wh: number) => `${(100 * Math.max(0, wh)) / most.value}%`;
</script>

<template>
  <section class="budget" data-budget>
    <h2>By hand, beside the simulation</h2>
    <div class="bars">
      <span>by hand</span>
      <div class="bar">
        <i v-for="line in budget.lines" :key="line.words" :style="{ width: width(line.wh) }" :title="`${line.words}: ${line.numbers}`" />
      </div>
      <b>{{ shown(budget.handWh, 'energy') }}</b>
      <span>simulated</span>
      <div class="bar simulated"><i :style="{ width: width(budget.simulatedWh) }" /></div>
      <b>{{ shown(budget.simulatedWh, 'energy') }}</b>
    </div>
    <div class="pair">
      <table class="sheet">
        <tbody>
          <tr v-for="line in budget.lines" :key="line.words">
            <td>{{ line.words }}</td>
            <td class="soft">{{ line.numbers }}</td>
            <td class="number">{{ shown(line.wh, 'energy') }}</td>
          </tr>
        </tbody>
      </table>
      <div>
        <AskField path="/energy/handDuty" />
        <p class="soft">
          The simulation finds a duty of {{ shown(budget.foundDuty, 'fraction') }} over the day. By hand the bank should have
          {{ shown(budget.handBankAh, 'charge') }}.
        </p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.budget {
  margin-top: 10px;
}
.bars {
  display: grid;
  grid-template-columns: auto 1fr auto;
  gap: 4px 12px;
  align-items: center;
  margin: 4px 0 10px;
}
.bars b {
  text-align: right;
}
.bar {
  display: flex;
  gap: 2px;
  height: 16px;
}
.bar i {
  background: var(--rule);
  border: 1.5px solid var(--ink);
}
.bar.simulated i {
  background: var(--ink);
}
.pair {
  display: grid;
  grid-template-columns: 1fr 280px;
  gap: 26px;
  align-items: start;
}
.pair p {
  margin-top: 6px;
}
@media (max-width: 700px) {
  .pair {
    grid-template-columns: 1fr;
  }
}
</style>
