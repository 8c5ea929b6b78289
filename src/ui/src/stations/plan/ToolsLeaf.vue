<script setup lang="ts">
import { computed } from 'vue';
import type { ToolCostRow, ToolRow } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import FromShop from '../../parts/FromShop.vue';
import PaperLink from '../../parts/PaperLink.vue';
import { shown } from '../../parts/show';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { under } from './asked';

/** What goes into the van: what is needed last is loaded first. */
const rig = useRig();
const plan = computed(() => rig.assessment?.plan ?? null);
const sized = computed(() => plan.value!.tools.filter((t) => t.size));
const hired = computed(() => plan.value!.tools.filter((t) => t.kind === 'hired'));
const columns: SheetColumn<ToolRow>[] = [
  { key: 'name', label: 'tool, loaded in this order', text: (t) => t.name, wide: true },
  { key: 'size', label: 'size', text: (t) => t.size, width: 130 },
  { key: 'kind', label: 'kind', text: (t) => t.kind, width: 100 },
  { key: 'mass', label: 'weighs', number: true, text: (t) => shown(t.massKg, 'mass'), width: 84 },
  { key: 'for', label: 'first for', text: (t) => t.for, wide: true },
];
const sum = (n: number | null) => (n === null ? '–' : n.toFixed(2));
const costs: SheetColumn<ToolCostRow>[] = [
  { key: 'tool', label: 'hired or bought', text: (t) => t.tool, wide: true },
  { key: 'days', label: 'days', number: true, text: (t) => String(t.days), width: 56 },
  { key: 'hire', label: 'hire', number: true, text: (t) => sum(t.hire), width: 80 },
  { key: 'bought', label: "this job's share", number: true, text: (t) => sum(t.bought), width: 110 },
  { key: 'words', label: 'so it is', text: (t) => t.words, wide: true },
];
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskGroup title="How" :paths="under('method', 'flare', 'tighten', 'prove', 'gauge', 'leak')" />
      <AskGroup title="Hire or buy">
        <AskRows v-slot="{ path }" path="/plan/toolCosts" one="tool">
          <AskField v-for="f in ['tool', 'dayPrice', 'price', 'jobs', 'way']" :key="f" :path="`${path}/${f}`" />
        </AskRows>
        <FromShop list="tools" />
      </AskGroup>
      <PaperLink :href="`/api/rigs/${rig.id}/plan/days.pdf`" kind="PDF" paper="pdf">Pick list</PaperLink>
    </template>
    <template v-if="plan" #picture>
      <dl v-if="sized.length" class="sizes" data-sizes>
        <template v-for="t in sized" :key="t.id">
          <dt>{{ t.name }}</dt>
          <dd>{{ t.size }}</dd>
        </template>
        <template v-if="hired.length">
          <dt>To hire or borrow</dt>
          <dd>{{ hired.map((t) => t.name.toLowerCase()).join(', ') }}</dd>
        </template>
      </dl>
      <SheetTable v-if="plan.toolCosts.length" name="Hire or buy" :rows="plan.toolCosts" :columns="costs" copies data-tool-costs />
      <SheetTable name="Pick list" :rows="plan.tools" :columns="columns" copies />
    </template>
  </LeafLayout>
</template>

<style scoped>
.sizes {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0.2rem 1rem;
  margin: 0 0 0.6rem;
}
dt {
  color: var(--soft);
}
dd {
  margin: 0;
  font-weight: 640;
}
</style>
