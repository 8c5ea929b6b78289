<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import type { OptionRow, OptionsView, QuantityKind, Verdict } from '../../api/generated/schema';
import RunBar from '../../parts/RunBar.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { useLongRun } from '../../parts/longRun';
import { useProposal } from '../../parts/proposal';
import { say, shown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';

/** Several named designs of the rig beside one another; one is pinned and the others are told against it. */
const rig = useRig();
const { result: view, error: fault, place, busy, stale, run, cancel } = useLongRun<OptionsView>('options');
const name = ref('');
const { refused, propose } = useProposal();
const error = computed(() => refused.value || fault.value);
const options = computed(() => rig.design!.options);
const baseline = computed(() => view.value?.rows.find((r) => r.name === view.value!.baseline) ?? view.value?.rows[0]);
const verdict = computed<Verdict>(() => ({
  state: 'open',
  headline: view.value?.answer ?? {
    template: options.value.length
      ? 'Compare the designs to see which does it.'
      : 'One design so far: keep it under a name, change it, compare.',
    measures: [],
  },
  detail: { template: '', measures: [] },
}));

interface Line {
  words: string;
  value: (r: OptionRow) => number | null;
  kind: QuantityKind;
  more: boolean | null;
}
const lines: Line[] = [
  { words: 'heat at the peak', value: (r) => r.peakW, kind: 'power', more: null },
  { words: 'the unit gives', value: (r) => r.givesW, kind: 'power', more: true },
  { words: 'the start uses', value: (r) => r.startUsed, kind: 'fraction', more: false },
  { words: 'hours held', value: (r) => r.heldHours, kind: 'hours', more: true },
  { words: 'lowest charge, design day', value: (r) => r.minSoc, kind: 'fraction', more: true },
  { words: 'lowest charge, worst week', value: (r) => r.worstWeekSoc, kind: 'fraction', more: true },
  { words: 'the unit takes in a year', value: (r) => (r.yearKWh === null ? null : 1000 * r.yearKWh), kind: 'energy', more: false },
  { words: 'too warm in the year', value: (r) => r.warmHours, kind: 'hours', more: false },
  { words: 'weighs', value: (r) => r.massKg, kind: 'mass', more: false },
];

/** The change against the baseline, with its sign and whether it is for the better. */
function against(line: Line, row: OptionRow): { text: string; good: boolean | null } | null {
  const [mine, base] = [line.value(row), baseline.value ? line.value(baseline.value) : null];
  if (mine === null || base === null || row === baseline.value || Math.abs(mine - base) < 1e-6 * Math.max(1, Math.abs(base))) return null;
  return {
    text: `${mine > base ? '+' : '−'}${shown(Math.abs(mine - base), line.kind)}`,
    good: line.more === null ? null : mine > base === line.more,
  };
}

/** Everything told of the designs, a line each; the acts last. */
interface Told {
  words: string;
  cell?: (r: OptionRow) => string;
  line?: Line;
  worst?: boolean;
  acts?: boolean;
}
const rows = computed<Told[]>(() => [
  ...lines.map((line) => ({
    words: line.words,
    line,
    cell: (r: OptionRow) => (line.value(r) === null ? '–' : shown(line.value(r)!, line.kind)),
  })),
  { words: 'equipment costs', cell: (r) => (r.cost === null ? '–' : r.cost.toFixed(0) + ' €') },
  { words: 'worst of it', cell: (r) => (r.worst ? say(r.worst.words) : 'nothing'), worst: true },
  { words: '', acts: true },
]);
const columns = computed<SheetColumn<Told>[]>(() => [
  { key: 'words', label: '', text: (t) => t.words, width: 150 },
  ...(view.value?.rows ?? []).map((r, i) => ({
    key: `option-${i}`,
    label: `${r.name || 'as it stands'} · ${r.unit}`,
    text: (t: Told) => t.cell?.(r) ?? '',
    width: 180,
    wide: true,
  })),
]);

async function keep(): Promise<void> {
  if (!(await propose('keep-option', { name: name.value }))) return;
  name.value = '';
  await run();
}

async function adopt(called: string): Promise<void> {
  if (await propose('adopt-option', { name: called })) await run();
}

async function remove(called: string): Promise<void> {
  if (await propose('drop-option', { name: called })) await run();
}

async function pin(called: string): Promise<void> {
  await rig.set('/baseline', called);
  await run();
}

onMounted(() => {
  if (!view.value && options.value.length) void run();
});
</script>

<template>
  <LeafLayout :verdict="verdict">
    <template #say>
      <label for="option-name" class="soft">Keep this design as</label>
      <el-input id="option-name" v-model="name" maxlength="40" placeholder="two blocks more" @keydown.enter="keep" />
      <p class="acts keep"><button type="button" class="plain" @click="keep">keep</button></p>
      <p class="soft small">
        A design is kept whole: adopt it later, or hold the others against it. An option that is removed can be had back by undo.
      </p>
    </template>
    <template #act>
      <RunBar
        v-if="options.length || view"
        :words="`compare ${options.length + 1}`"
        :busy="busy"
        :place="place"
        :error="error"
        :stale="stale"
        @run="run"
        @stop="cancel"
      />
      <p v-else-if="error" class="severity-stop" role="alert">{{ error }}</p>
    </template>
    <template #picture>
      <div data-options>
        <SheetTable v-if="view" name="Options side by side" :rows="rows" :columns="columns" copies>
          <template v-for="(r, i) in view.rows" :key="r.name" #[`option-${i}`]="{ row }">
            <span v-if="row.acts" class="acts">
              <button
                type="button"
                class="plain"
                :disabled="r.name === view.baseline"
                :aria-label="`${r.name === view.baseline ? 'compared with' : 'compare with'} ${r.name || 'the design as it stands'}`"
                @click="pin(r.name)"
              >
                {{ r.name === view.baseline ? 'compared with' : 'compare with' }}
              </button>
              <template v-if="r.name">
                <button type="button" class="plain" :aria-label="`adopt ${r.name}`" @click="adopt(r.name)">adopt</button>
                <button type="button" class="plain" :aria-label="`remove ${r.name}`" @click="remove(r.name)">remove</button>
              </template>
            </span>
            <small v-else-if="row.worst" :class="r.worst ? 'severity-' + r.worst.level : ''">{{ row.cell?.(r) }}</small>
            <template v-else>
              <b>{{ row.cell?.(r) }}</b>
              <small
                v-if="row.line && against(row.line, r)"
                :class="{ good: against(row.line, r)!.good === true, bad: against(row.line, r)!.good === false }"
              >
                {{ against(row.line, r)!.text }}</small
              >
            </template>
          </template>
        </SheetTable>
        <el-skeleton v-else-if="busy" :rows="6" />
        <el-empty v-else :image-size="0" description="Each kept design becomes a column here, told against the one you pin." />
      </div>
    </template>
  </LeafLayout>
</template>

<style scoped>
.keep {
  margin: 8px 0 12px;
}
.good {
  color: var(--pass);
}
.bad {
  color: var(--stop);
}
</style>
