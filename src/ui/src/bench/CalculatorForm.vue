<script setup lang="ts">
import { useClipboard } from '@vueuse/core';
import { onMounted, reactive, ref, watch } from 'vue';
import { ask, Refused, whyNot } from '../api/client';
import { choicesOf } from '../api/description';
import type { CalculationResult, CalculatorView, FieldInfo } from '../api/generated/schema';
import WorkingSteps from '../parts/WorkingSteps.vue';
import { decimalComma, settings } from '../parts/settings';
import { editable, parted, say, shown, symbolOf } from '../parts/show';

const props = defineProps<{ calculator: CalculatorView }>();
const typed = reactive<Record<string, string>>({});
const values = reactive<Record<string, unknown>>({});
const result = ref<CalculationResult | null>(null);
const errors = ref<Record<string, string>>({});
const general = ref('');
const { copy: put, copied } = useClipboard();
const kinds: Record<string, string> = {
  published: 'published',
  fromMemory: 'from memory',
  commonPractice: 'common practice',
  definition: 'definition of this model',
};
const defaults = props.calculator.defaults as Record<string, unknown>;
const top = props.calculator.fields.filter((f) => f.path.split('/').length === 2);
const itemFields = (list: FieldInfo) => props.calculator.fields.filter((f) => f.path.startsWith(list.path + '/*/'));
const key = (field: FieldInfo) => field.path.slice(1);
const last = (field: FieldInfo) => field.path.split('/').at(-1)!;

function fill(): void {
  for (const field of top) {
    const value = defaults[key(field)];
    if (field.input === 'quantity')
      typed[key(field)] = value === null || value === undefined ? '' : editable(value as number, field.quantity!);
    else if (field.input === 'list') {
      values[key(field)] = structuredClone(value);
      (value as Record<string, unknown>[]).forEach((item, i) =>
        itemFields(field).forEach(
          (f) => f.input === 'quantity' && (typed[`${key(field)}/${i}/${last(f)}`] = editable(item[last(f)] as number, f.quantity!)),
        ),
      );
    } else values[key(field)] = value;
  }
}

/** Answers may overtake one another: only that to the newest question is shown. */
let newest = 0;

async function run(): Promise<void> {
  const mine = ++newest;
  try {
    const request = { inputs: values, typed: { ...typed }, units: settings.units, decimalComma };
    const answer = await ask<CalculationResult>('POST', `/calc/${props.calculator.name}`, request);
    if (mine !== newest) return;
    result.value = answer;
    errors.value = {};
    general.value = '';
  } catch (error) {
    if (mine !== newest) return;
    errors.value = error instanceof Refused ? Object.fromEntries(error.errors.map((e) => [e.field, e.reason])) : {};
    general.value = Object.keys(errors.value).length ? '' : whyNot(error);
  }
}

function addItem(field: FieldInfo): void {
  const list = values[key(field)] as unknown[];
  list.push(structuredClone(field.default));
  itemFields(field).forEach(
    (f) =>
      f.input === 'quantity' &&
      (typed[`${key(field)}/${list.length - 1}/${last(f)}`] = editable((field.default as Record<string, number>)[last(f)]!, f.quantity!)),
  );
}

async function copy(): Promise<void> {
  const lines = result.value!.figures.map((f) => `${f.label}\t${f.value === null ? f.words : shown(f.value, f.quantity)}`);
  await put([props.calculator.title, ...lines].join('\n'));
}

onMounted(fill);
watch([typed, values], run, { deep: true });
watch(() => settings.units, fill);
</script>

<template>
  <h1>{{ calculator.title }}</h1>
  <p class="soft">
    {{ calculator.purpose }}. <code>POST /api/calc/{{ calculator.name }}</code>
  </p>
  <div class="pair">
    <form @submit.prevent="run">
      <template v-for="field in top" :key="field.path">
        <div v-if="field.input === 'quantity'" class="field ask" :class="{ wrong: errors[key(field)] }">
          <label :for="`in-${key(field)}`">{{ field.label }}</label>
          <el-input :id="`in-${key(field)}`" v-model="typed[key(field)]" class="typed" :data-input="key(field)" autocomplete="off">
            <template v-if="symbolOf(field.quantity!)" #suffix>{{ symbolOf(field.quantity!) }}</template>
          </el-input>
          <em v-if="errors[key(field)]" role="alert">{{ errors[key(field)] }}</em>
        </div>
        <div v-else-if="field.input === 'choice'" class="field ask">
          <span>{{ field.label }}</span>
          <el-select
            v-model="values[key(field)]"
            :aria-label="field.label"
            :data-input="key(field)"
            :filterable="choicesOf(field).length > 7"
            :fit-input-width="false"
            class="chosen"
          >
            <el-option v-for="choice in choicesOf(field)" :key="choice.value" :value="choice.value" :label="choice.label" />
          </el-select>
        </div>
        <div v-else-if="field.input === 'switch'" class="field ask">
          <label :for="`in-${key(field)}`">{{ field.label }}</label>
          <el-switch :id="`in-${key(field)}`" v-model="values[key(field)] as boolean" />
        </div>
        <fieldset v-else-if="field.input === 'list' && values[key(field)]">
          <legend>{{ field.label }}</legend>
          <div v-for="(item, i) in values[key(field)] as Record<string, string>[]" :key="i" class="item">
            <div v-for="f in itemFields(field)" :key="f.path" class="field ask">
              <label :for="`in-${key(field)}-${i}-${last(f)}`">{{ f.label }}</label>
              <el-input
                v-if="f.input === 'quantity'"
                :id="`in-${key(field)}-${i}-${last(f)}`"
                v-model="typed[`${key(field)}/${i}/${last(f)}`]"
                class="typed"
                autocomplete="off"
              >
                <template v-if="symbolOf(f.quantity!)" #suffix>{{ symbolOf(f.quantity!) }}</template>
              </el-input>
              <el-input v-else :id="`in-${key(field)}-${i}-${last(f)}`" v-model="item[last(f)]" class="typed" autocomplete="off" />
            </div>
          </div>
          <button type="button" class="plain" @click="addItem(field)">one more</button>
        </fieldset>
      </template>
      <p v-if="general" class="severity-stop" role="alert">{{ general }}</p>
      <p v-for="(reason, field) in errors" v-show="!top.some((f) => key(f) === field)" :key="field" class="severity-stop" role="alert">
        {{ reason }}
      </p>
    </form>
    <section v-if="result" aria-live="polite">
      <dl>
        <div v-for="(f, i) in result.figures" :key="i" :data-figure="f.symbol">
          <dt>{{ f.label }}</dt>
          <dd v-if="f.value !== null">
            <b>{{ parted(f.value, f.quantity).number }}</b> <small>{{ parted(f.value, f.quantity).symbol }}</small>
          </dd>
          <dd v-else>
            <b class="text">{{ f.words }}</b>
          </dd>
        </div>
      </dl>
      <p v-for="finding in result.findings" :key="finding.code" :class="'severity-' + finding.level">
        <b>{{ finding.level }}</b> {{ say(finding.words) }}
      </p>
      <button type="button" class="plain" @click="copy">{{ copied ? 'copied' : 'copy the result' }}</button>
      <h2>Working</h2>
      <WorkingSteps :working="result.working" />
      <h2>Sources</h2>
      <p v-for="citation in calculator.citations" :key="citation.id" class="citation">
        <b>{{ kinds[citation.kind] }}</b> · {{ citation.title }}
      </p>
    </section>
  </div>
</template>

<style scoped>
.pair {
  grid-template-columns: minmax(300px, 420px) minmax(300px, 520px);
  gap: 44px;
  margin-top: 12px;
}
@media (max-width: 700px) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
    gap: 16px;
  }
}
.ask {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 12px;
  align-items: baseline;
  border-bottom: 1px solid var(--hair);
  padding: 5px 0;
}
.typed {
  width: 132px;
}
.chosen {
  min-width: 150px;
}
small {
  margin-left: 3px;
  color: var(--soft);
}
em {
  grid-column: 1 / -1;
  font-style: normal;
  color: var(--stop);
  font-size: 13.5px;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 10px 0;
}
.item {
  border-left: 3px solid var(--rule);
  padding-left: 10px;
  margin: 6px 0;
}
dl {
  margin: 0 0 10px;
}
dl div {
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: baseline;
  border-bottom: 1px solid var(--hair);
  padding: 4px 0;
}
dd {
  margin: 0;
}
dd b {
  font-size: 20px;
  font-weight: 650;
}
dd b.text {
  display: block;
  padding-left: 20px;
  font-size: 16px;
}
h2 {
  margin-top: 16px;
}
.citation {
  font-size: 13.5px;
}
</style>
