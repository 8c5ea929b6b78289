<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { OptionRow, OptionsView, QuantityKind } from '../../api/generated/schema';
import { useLongRun, waits } from '../../parts/longRun';
import { useProposal } from '../../parts/proposal';
import { say, shown } from '../../parts/show';
import { useRig } from '../../stores/rig';

/** Several named designs of the rig beside one another; one is pinned and the others are told against it. */
const rig = useRig();
const { result: view, error: fault, place, busy, run } = useLongRun<OptionsView>();
const name = ref('');
const { refused, propose } = useProposal();
const error = computed(() => refused.value || fault.value);
const options = computed(() => rig.design!.options);
const baseline = computed(() => view.value?.rows.find((r) => r.name === view.value!.baseline) ?? view.value?.rows[0]);

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

async function compare(): Promise<void> {
  refused.value = '';
  await run(`/rigs/${rig.id}/options`);
}

async function keep(): Promise<void> {
  if (!(await propose('keep-option', { name: name.value }))) return;
  name.value = '';
  await compare();
}

function adopt(called: string): void {
  void propose('adopt-option', { name: called });
}

async function remove(called: string): Promise<void> {
  if (await propose('drop-option', { name: called })) await compare();
}

async function pin(called: string): Promise<void> {
  await rig.set('/baseline', called);
  await compare();
}

/** The change against the baseline, with its sign and whether it is for the better. */
function against(line: Line, row: OptionRow): { text: string; good: boolean | null } | null {
  const [mine, base] = [line.value(row), baseline.value ? line.value(baseline.value) : null];
  if (mine === null || base === null || row === baseline.value || Math.abs(mine - base) < 1e-6 * Math.max(1, Math.abs(base))) return null;
  return {
    text: `${mine > base ? '+' : '−'}${shown(Math.abs(mine - base), line.kind)}`,
    good: line.more === null ? null : mine > base === line.more,
  };
}

watch(
  () => rig.revision,
  () => {
    if (view.value) void compare();
  },
);
</script>

<template>
  <section class="options" data-options>
    <h2>Options side by side</h2>
    <p class="row">
      <label for="option-name">Keep this design as</label>
      <input id="option-name" v-model="name" maxlength="40" @keydown.enter="keep" />
      <button type="button" class="plain" @click="keep">keep</button>
      <button v-if="options.length && !view" type="button" class="plain" :disabled="busy" @click="compare">
        compare {{ options.length + 1 }}
      </button>
      <span v-if="place" class="soft" role="status">{{ waits(place) }}</span>
    </p>
    <p v-if="error" class="severity-stop" role="alert">{{ error }}</p>
    <div v-if="view" class="wide">
      <table class="sheet">
        <thead>
          <tr>
            <th><span class="shown-to-readers">what</span></th>
            <th v-for="r in view.rows" :key="r.name">
              {{ r.name || 'as it stands' }} <small class="soft">{{ r.unit }}</small>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in lines" :key="line.words">
            <td>{{ line.words }}</td>
            <td v-for="r in view.rows" :key="r.name">
              <b>{{ line.value(r) === null ? '–' : shown(line.value(r)!, line.kind) }}</b>
              <small v-if="against(line, r)" :class="{ good: against(line, r)!.good === true, bad: against(line, r)!.good === false }">
                {{ against(line, r)!.text }}</small
              >
            </td>
          </tr>
          <tr>
            <td>equipment costs</td>
            <td v-for="r in view.rows" :key="r.name">
              <b>{{ r.cost === null ? '–' : r.cost.toFixed(0) + ' €' }}</b>
            </td>
          </tr>
          <tr>
            <td>worst of it</td>
            <td v-for="r in view.rows" :key="r.name" class="worst" :class="r.worst ? 'severity-' + r.worst.level : ''">
              {{ r.worst ? say(r.worst.words) : 'nothing' }}
            </td>
          </tr>
          <tr>
            <td><span class="shown-to-readers">choose</span></td>
            <td v-for="r in view.rows" :key="r.name">
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
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.options {
  margin-top: 16px;
}
.row {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
  margin: 4px 0 8px;
}
.row input {
  border: 0;
  border-bottom: 2px solid var(--ink);
  background: none;
  min-height: 34px;
  width: 180px;
}
.wide {
  overflow-x: auto;
}
.worst {
  font-size: 13.5px;
  max-width: 260px;
}
.good {
  color: var(--pass);
}
.bad {
  color: var(--stop);
}
td .plain {
  padding: 3px 8px;
  margin: 0 4px 4px 0;
}
</style>
