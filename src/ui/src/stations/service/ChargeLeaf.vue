<script setup lang="ts">
import { computed } from 'vue';
import { recordFieldsOf } from '../../api/description';
import type { ChargeLine } from '../../api/generated/schema';
import RecordForm from '../../parts/RecordForm.vue';
import { useRecords } from '../../parts/records';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { say, shown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { useLeafSays } from '../said';

/** The book of the refrigerant: what came, what went, what it loses in a year. */
const rig = useRig();
const book = computed(() => rig.assessment!.service!.refrigerant!);
const records = useRecords('charge');
const verdict = useLeafSays();
const asks = ['day', 'kind', 'kg', 'refrigerant', 'cylinder', 'beforeKg', 'afterKg', 'licence', 'repaired'];
const kinds = computed(() =>
  Object.fromEntries(
    recordFieldsOf('charge')
      .find((f) => f.path === '/kind')!
      .choices.map((c) => [c.value, c.label]),
  ),
);
const columns: SheetColumn<ChargeLine>[] = [
  { key: 'day', label: 'day', text: (r) => r.day, width: 110 },
  { key: 'kind', label: '', text: (r) => kinds.value[r.kind] ?? r.kind },
  { key: 'words', label: 'how much', text: (r) => say(r.words), wide: true },
  { key: 'cylinder', label: 'cylinder', text: (r) => r.cylinder },
  { key: 'by', label: 'by', text: (r) => `${r.by}${r.licence ? `, ${r.licence}` : ''}`, wide: true },
];
</script>

<template>
  <LeafLayout :verdict="verdict">
    <template #say>
      <p class="danger">
        Handling refrigerant is for certified people in many places; letting fluorinated ones off is forbidden there. Nothing is vented:
        what is lost is added later.
      </p>
      <RecordForm :of="records" :asks="asks" title="Write refrigerant down" />
    </template>
    <template #act>
      <dl class="now">
        <div v-if="book.refrigerant">
          <dt>refrigerant</dt>
          <dd>{{ book.refrigerant }}</dd>
        </div>
        <div v-if="book.kg !== null">
          <dt>in it, by the book</dt>
          <dd>{{ shown(book.kg!, 'mass') }}</dd>
        </div>
        <div v-if="book.yearlyShare !== null">
          <dt>lost in a year</dt>
          <dd>{{ shown(book.yearlyShare!, 'fraction') }}</dd>
        </div>
        <div v-if="book.tonnes !== null">
          <dt>worth, CO₂ (IPCC AR4)</dt>
          <dd>{{ Math.round(book.tonnes! * 100) / 100 }} t</dd>
        </div>
      </dl>
    </template>
    <template #picture>
      <SheetTable v-if="book.lines.length" name="Refrigerant" :rows="book.lines" :columns="columns" copies data-charge />
    </template>
  </LeafLayout>
</template>

<style scoped src="../../parts/reading.css"></style>
