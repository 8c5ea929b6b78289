<script setup lang="ts">
import { useDebounceFn, useMediaQuery } from '@vueuse/core';
import { computed, reactive, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { ask, Refused, textOf, whyNot } from '../api/client';
import { choicesOf, fieldAt } from '../api/description';
import type { CalculationFigure, CalculationResult, QuickAnswers, RigKind, RigView, YardRig } from '../api/generated/schema';
import FilePick from '../parts/FilePick.vue';
import { decimalComma, settings } from '../parts/settings';
import { editable, parted, shown, symbolOf } from '../parts/show';

/** Three questions, a band at once, and a rig to go on measuring with those answers kept. */
const props = defineProps<{ rigs: YardRig[]; empty: boolean }>();
const router = useRouter();
const kinds = choicesOf(fieldAt('/survey/kind'));
const narrow = useMediaQuery('(max-width: 700px)');
/** On a narrow screen the questions stand behind a button, so that the rigs come into sight. */
const open = ref(false);
const name = ref('');
const kind = ref<RigKind>('van');
const place = ref('');
const copyOf = ref('');
const error = ref('');
const errors = reactive<Record<string, string>>({});
const band = ref<CalculationResult | null>(null);

type Amount = Exclude<keyof QuickAnswers, 'kind' | 'place'>;
const amounts: {
  key: Amount;
  label: string;
  quantity: 'length' | 'temperature' | 'energy' | 'electricPower';
  first: number;
  group: number;
}[] = [
  { key: 'lengthM', label: 'length inside', quantity: 'length', first: 5.4, group: 0 },
  { key: 'hottestC', label: 'hottest hour there', quantity: 'temperature', first: 36, group: 1 },
  { key: 'batteryWh', label: 'battery', quantity: 'energy', first: 5000, group: 2 },
  { key: 'inverterW', label: 'inverter', quantity: 'electricPower', first: 2000, group: 2 },
  { key: 'solarW', label: 'solar', quantity: 'electricPower', first: 400, group: 2 },
];
const typed = reactive<Record<string, string>>({});
const fill = () => amounts.forEach((a) => (typed[a.key] = editable(a.first, a.quantity)));
fill();
watch(() => settings.units, fill);

const questions = ['What is it?', 'Where, on its hottest day?', 'What is on board?'];
const request = computed(() => ({
  inputs: { kind: kind.value, place: place.value },
  typed: { ...typed },
  units: settings.units,
  decimalComma,
}));

/** Answers may overtake one another: only that to the newest question is shown. */
let newest = 0;
async function asked(): Promise<void> {
  const mine = ++newest;
  try {
    const answer = await ask<CalculationResult>('POST', '/calc/first-band', request.value);
    if (mine !== newest) return;
    band.value = answer;
    for (const key of Object.keys(errors)) delete errors[key];
  } catch (e) {
    if (mine !== newest) return;
    for (const key of Object.keys(errors)) delete errors[key];
    if (e instanceof Refused) for (const fault of e.errors) errors[fault.field] = fault.reason;
  }
}
const soon = useDebounceFn(asked, 250);
watch([kind, typed], () => void soon(), { deep: true });
if (props.empty) void asked();

const figure = (label: string) => band.value?.figures.find((f) => f.label === label);
const range = (least?: CalculationFigure, most?: CalculationFigure) => {
  if (!least || !most || least.value === null || most.value === null) return '';
  const [a, b] = [parted(least.value, least.quantity), parted(most.value, most.quantity)];
  if (a.number === b.number && a.symbol === b.symbol) return `${a.number} ${a.symbol}`;
  return a.symbol === b.symbol
    ? `${a.number} to ${b.number} ${b.symbol}`
    : `${shown(least.value, least.quantity)} to ${shown(most.value, most.quantity)}`;
};
const capacity = computed(() => range(figure('Capacity, at least'), figure('Capacity, at most')));
const night = computed(() => range(figure('Night held, at least'), figure('Night held, at most')));
const words = computed(() => (band.value?.figures ?? []).filter((f) => f.value === null));

async function begin(): Promise<void> {
  error.value = '';
  try {
    const wanted = copyOf.value ? { copyOf: copyOf.value } : { kind: kind.value, quick: request.value };
    const view = await ask<RigView>('POST', '/rigs', { name: name.value, ...wanted });
    await router.push(`/rig/${view.id}/survey`);
  } catch (e) {
    error.value = whyNot(e);
  }
}

async function read(file: File): Promise<void> {
  error.value = '';
  try {
    const view = await ask<RigView>('POST', '/rigs/import', await textOf(file));
    await router.push(`/rig/${view.id}/survey`);
  } catch (e) {
    error.value = whyNot(e, file.name);
  }
}
</script>

<template>
  <section class="begin" data-begin>
    <h2 class="title">
      Begin a rig
      <button v-if="narrow && !empty" type="button" class="plain" :aria-expanded="open" data-begin-open @click="open = !open">
        {{ open ? 'not now' : 'three questions' }}
      </button>
    </h2>
    <form v-if="!narrow || empty || open" class="questions" @submit.prevent="begin">
      <fieldset v-for="(question, i) in questions" :key="question">
        <legend>{{ question }}</legend>
        <div v-if="i === 0" class="field one">
          <span>kind</span>
          <el-select v-model="kind" aria-label="kind of rig" data-new="kind" class="wide" :fit-input-width="false">
            <el-option v-for="k in kinds" :key="k.value" :value="k.value" :label="k.label" />
          </el-select>
        </div>
        <div v-if="i === 1" class="field one">
          <label for="quick-place">place</label>
          <el-input id="quick-place" v-model="place" class="wide" maxlength="80" autocomplete="off" data-quick="place" />
        </div>
        <div v-for="a in amounts.filter((x) => x.group === i)" :key="a.key" class="field one" :class="{ wrong: errors[a.key] }">
          <label :for="`quick-${a.key}`">{{ a.label }}</label>
          <el-input :id="`quick-${a.key}`" v-model="typed[a.key]" class="amount" autocomplete="off" :data-quick="a.key">
            <template v-if="symbolOf(a.quantity)" #suffix>{{ symbolOf(a.quantity) }}</template>
          </el-input>
          <em v-if="errors[a.key]" role="alert">{{ errors[a.key] }}</em>
        </div>
      </fieldset>
      <div class="answer" aria-live="polite" data-band>
        <template v-if="band">
          <p class="mark">a first band: nothing of skin and glass is known yet</p>
          <p v-if="capacity">
            <b>{{ capacity }}</b> nominal
          </p>
          <p v-if="night">
            <b>{{ night }}</b> of the night held
          </p>
          <p v-for="w in words" :key="w.label" class="small">
            {{ w.label.toLowerCase() }}: <b>{{ w.words }}</b>
          </p>
        </template>
        <p v-else class="soft">Answer what you know; capacity, start and night stand here at once.</p>
      </div>
      <div class="go">
        <label class="field one"
          ><span>its name</span
          ><el-input v-model="name" class="wide" maxlength="80" autocomplete="off" data-new="name" aria-label="its name"
        /></label>
        <div v-if="rigs.length" class="field one">
          <span>or copied from</span>
          <el-select
            v-model="copyOf"
            aria-label="copied from"
            data-new="copy"
            class="wide"
            clearable
            placeholder="nothing"
            :fit-input-width="false"
          >
            <el-option v-for="r in rigs" :key="r.id" :value="r.id" :label="r.name" />
          </el-select>
        </div>
        <p class="acts">
          <button type="submit" class="plain main" data-new="go">begin, go on measuring</button>
          <FilePick words="read a job file" accept=".json" data-import @pick="read" />
        </p>
        <p v-if="error" class="severity-stop" role="alert">{{ error }}</p>
      </div>
    </form>
  </section>
</template>

<style scoped>
.begin {
  border: 2px solid var(--ink);
  border-radius: 3px;
  background: var(--raised);
  padding: 10px 16px 14px;
  margin-bottom: 24px;
}
.title {
  font-size: 17px;
  color: var(--ink);
  display: flex;
  justify-content: space-between;
  align-items: center;
}
.questions {
  display: grid;
  grid-template-columns: 200px 220px 190px minmax(190px, 1fr) 256px;
  gap: 8px 24px;
  align-items: start;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  min-width: 0;
}
legend {
  color: var(--soft);
  font-weight: 650;
  padding: 0;
}
.one {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 10px;
  align-items: baseline;
  padding: 3px 0;
  border-bottom: 1px solid var(--hair);
}
.wide {
  width: 124px;
  min-width: 0;
}
.amount {
  width: 96px;
}
em {
  grid-column: 1 / -1;
  font-style: normal;
  color: var(--stop);
  font-size: 13.5px;
}
.answer {
  border-left: 6px double var(--caution);
  padding-left: 12px;
  min-height: 96px;
}
.answer b {
  font-size: 17px;
}
.answer .small b {
  font-size: 13.5px;
}
.mark {
  font-size: 13px;
  color: var(--caution);
  font-weight: 650;
}
.main {
  font-weight: 650;
}
.acts {
  margin-top: 8px;
}
@media (max-width: 1180px) {
  .questions {
    grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  }
}
@media (max-width: 700px) {
  .questions {
    grid-template-columns: minmax(0, 1fr);
  }
  .wide,
  .amount {
    width: 150px;
  }
}
</style>
