<script setup lang="ts">
import { computed } from 'vue';
import type { BudgetLine } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { shown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';

/** The budget as a fitter does it by hand, beside what the simulation finds: two bars to one scale. */
const rig = useRig();
const budget = computed(() => rig.assessment!.energy!.budget);
const most = computed(() => Math.max(budget.value.handWh, budget.value.simulatedWh));
const width = (wh: number) => `${(100 * Math.max(0, wh)) / most.value}%`;
const columns: SheetColumn<BudgetLine>[] = [
  { key: 'words', label: 'for', text: (l) => l.words, wide: true },
  { key: 'numbers', label: 'sum', text: (l) => l.numbers, wide: true },
  { key: 'wh', label: 'a day', number: true, text: (l) => shown(l.wh, 'energy'), sort: (l) => l.wh },
];
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskField path="/energy/handDuty" />
      <p class="soft small">
        The simulation finds a duty of {{ shown(budget.foundDuty, 'fraction') }} over the day. By hand the bank should have
        {{ shown(budget.handBankAh, 'charge') }}.
      </p>
    </template>
    <template #picture>
      <div data-budget>
        <div class="bars">
          <span>by hand</span>
          <div class="bar">
            <i
              v-for="line in budget.lines"
              :key="line.words"
              :style="{ width: width(line.wh) }"
              :title="`${line.words}: ${line.numbers}`"
            />
          </div>
          <b>{{ shown(budget.handWh, 'energy') }}</b>
          <span>simulated</span>
          <div class="bar simulated"><i :style="{ width: width(budget.simulatedWh) }" /></div>
          <b>{{ shown(budget.simulatedWh, 'energy') }}</b>
        </div>
        <SheetTable name="The budget by hand" :rows="budget.lines" :columns="columns" copies />
      </div>
    </template>
  </LeafLayout>
</template>

<style scoped>
.bars {
  display: grid;
  grid-template-columns: auto 1fr auto;
  gap: 4px 12px;
  align-items: center;
  margin: 4px 0 16px;
}
.bars b {
  text-align: right;
}
.bar {
  display: flex;
  gap: 2px;
  height: 26px;
}
.bar i {
  background: var(--rule);
  border: 1.5px solid var(--ink);
}
.bar.simulated i {
  background: var(--ink);
}
</style>
