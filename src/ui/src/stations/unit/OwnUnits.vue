<script setup lang="ts">
import { computed, ref } from 'vue';
import { ask, Refused, textOf, whyNot } from '../../api/client';
import type { AcUnit, RigView } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import FilePick from '../../parts/FilePick.vue';
import FromShop from '../../parts/FromShop.vue';
import { useRig } from '../../stores/rig';

/** Units of one's own, typed from their plates or read from a table. */
const rig = useRig();
const own = computed(() => rig.design!.unit.own as AcUnit[]);
const plate = [
  'id',
  'kind',
  'supplyVoltageV',
  'frequencyHz',
  'ratedCapacityW',
  'ratedPowerW',
  'minCapacityW',
  'maxCapacityW',
  'rlaA',
  'lraA',
];
const fields = [...plate, 'fanPowerW', 'massKg', 'heatingW', 'heatingLowestC', 'noiseInDb', 'noiseOutDb'];
const fresh = computed(() => ({ id: `OWN-${own.value.length + 1}`, minCapacityW: 2700, maxCapacityW: 2700, rlaA: 7.6, lraA: 40 }));
const errors = ref<string[]>([]);

async function read(file: File): Promise<void> {
  errors.value = [];
  try {
    rig.take(await ask<RigView>('POST', `/rigs/${rig.id}/units.csv`, await textOf(file)));
  } catch (e) {
    errors.value = e instanceof Refused && e.errors.length ? e.errors.map((x) => x.reason) : [whyNot(e)];
  }
}
</script>

<template>
  <AskGroup title="Own units" :open="own.length > 0">
    <AskRows path="/unit/own" one="own unit" :add="fresh">
      <template #default="{ path }">
        <AskField v-for="f in fields" :key="f" :path="`${path}/${f}`" />
      </template>
    </AskRows>
    <p class="acts files">
      <a class="plain" :href="`/api/rigs/${rig.id}/units.csv`" download>save own as CSV</a>
      <a class="plain" :href="`/api/rigs/${rig.id}/units.csv?catalogue=true`" download>save the catalogue</a>
      <FilePick words="read CSV" accept=".csv" data-csv @pick="read" />
    </p>
    <FromShop list="units" />
    <ul v-if="errors.length" class="severity-stop" role="alert">
      <li v-for="e in errors" :key="e">{{ e }}</li>
    </ul>
  </AskGroup>
</template>

<style scoped>
.files {
  margin-top: 8px;
}
</style>
