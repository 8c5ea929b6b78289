<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core';
import { computed, ref } from 'vue';
import { ask, largestWeather, whyNot } from '../../api/client';
import type { ImportView } from '../../api/generated/schema';
import FilePick from '../../parts/FilePick.vue';
import { useRig } from '../../stores/rig';

/** A logger's table: it is looked at, what each column means is confirmed once, then it is kept. */
const rig = useRig();
const emit = defineEmits<{ kept: [] }>();
const content = ref('');
const name = ref('');
const looked = ref<ImportView | null>(null);
const done = ref<ImportView['read']>(null);
const refused = ref('');
const zoneMin = ref(String(-new Date().getTimezoneOffset()));
const start = ref('');
const clockS = ref('0');
/** What was confirmed before for a heading, on this device. */
const known = useLocalStorage<Record<string, { unit: string; instrument: string }>>('vanto.logger', {});
interface Column {
  index: number;
  heading: string;
  units: string[];
  unit: string;
  instrument: string;
}
const columns = ref<Column[]>([]);
const idOf = (heading: string) =>
  heading
    .toLowerCase()
    .replaceAll(/[([].*$/g, '')
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-|-$/g, '')
    .slice(0, 32) || 'logger';

async function base64(file: File): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  let text = '';
  for (let i = 0; i < bytes.length; i += 0x8000) text += String.fromCharCode(...bytes.subarray(i, i + 0x8000));
  return btoa(text);
}

async function pick(file: File): Promise<void> {
  [refused.value, looked.value, done.value] = ['', null, null];
  if (file.size > largestWeather * 0.7) {
    refused.value = `${file.name} is larger than ${Math.floor((largestWeather * 0.7) / 1e6)} MB: cut it in parts.`;
    return;
  }
  try {
    [content.value, name.value] = [await base64(file), file.name];
    looked.value = await ask<ImportView>('POST', `/rigs/${rig.id}/instruments/import`, { content: content.value, mapping: null });
    columns.value = looked.value.guess.columns
      .filter((c) => !c.times)
      .map((c) => ({
        index: c.index,
        heading: c.heading,
        units: c.units,
        unit: known.value[c.heading]?.unit ?? (c.units.length === 1 ? c.units[0]! : ''),
        instrument: known.value[c.heading]?.instrument ?? idOf(c.heading),
      }));
  } catch (error) {
    refused.value = whyNot(error, file.name);
  }
}
const wanted = computed(() => columns.value.filter((c) => c.unit));
async function keep(): Promise<void> {
  refused.value = '';
  try {
    const guess = looked.value!.guess;
    const mapping = {
      columns: wanted.value.map((c) => ({ index: c.index, unit: c.unit, instrument: c.instrument })),
      zoneMin: guess.asksZone ? Number(zoneMin.value) : 0,
      start: guess.asksStart && start.value ? new Date(start.value).toISOString() : null,
      clockS: Number(clockS.value.replace(',', '.')) || 0,
    };
    const kept = await ask<ImportView>('POST', `/rigs/${rig.id}/instruments/import`, { content: content.value, mapping });
    for (const c of wanted.value) known.value[c.heading] = { unit: c.unit, instrument: c.instrument };
    [done.value, looked.value] = [kept.read, null];
    emit('kept');
  } catch (error) {
    refused.value = whyNot(error, name.value);
  }
}
</script>

<template>
  <div class="import">
    <FilePick words="a logger’s file" accept=".csv,.txt,.tsv" @pick="pick" />
    <p v-if="refused" class="severity-stop" role="alert">{{ refused }}</p>
    <template v-if="looked">
      <p class="soft">{{ name }}: {{ looked.guess.rows }} rows. What cannot be read off the heading is asked.</p>
      <div v-for="c in columns" :key="c.index" class="column" :data-column="c.heading">
        <b>{{ c.heading || `column ${c.index + 1}` }}</b>
        <el-select v-model="c.unit" clearable placeholder="leave it out" :aria-label="`unit of ${c.heading}`">
          <el-option v-for="u in c.units.length > 1 ? c.units : looked.units" :key="u" :value="u" :label="u" />
        </el-select>
        <input v-model="c.instrument" :aria-label="`instrument of ${c.heading}`" maxlength="32" />
      </div>
      <label v-if="looked.guess.asksZone"
        >Its clock is ahead of UTC by, min <input v-model="zoneMin" inputmode="numeric" data-zone
      /></label>
      <label v-if="looked.guess.asksStart">It began at <input v-model="start" type="datetime-local" data-start /></label>
      <label>Its clock is behind by, s <input v-model="clockS" inputmode="decimal" /></label>
      <button type="button" class="plain" :disabled="!wanted.length" data-keep @click="keep">keep these readings</button>
    </template>
    <p v-if="done" role="status" data-kept>
      {{ done.readings }} readings of {{ done.rows }} rows are kept.
      <template v-if="done.rejectedRows"
        >{{ done.rejectedRows }} rows were not: line {{ done.rejected[0]!.line }}, {{ done.rejected[0]!.reason }}.</template
      >
      <template v-if="done.clockSteps"> Its clock went back {{ done.clockSteps }} times.</template>
      <template v-if="done.doubtful"> {{ done.doubtful }} values cannot be, and are marked so.</template>
    </p>
  </div>
</template>

<style scoped>
.import,
.import label {
  display: grid;
  gap: 6px;
}
.column {
  display: grid;
  grid-template-columns: 1fr;
  gap: 4px;
  border-top: 1px solid var(--hair);
  padding-top: 6px;
}
input {
  font: inherit;
  min-height: 34px;
  min-width: 0;
  color: var(--ink);
  background: transparent;
  border: 0;
  border-bottom: 1.5px solid var(--rule);
}
@media (pointer: coarse), (max-width: 700px) {
  input {
    min-height: 44px;
  }
}
</style>
