<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core';
import type { EChartsCoreOption } from 'echarts/core';
import { computed, nextTick, ref, shallowRef, watch } from 'vue';
import { ask, whyNot } from '../../api/client';
import type { HiddenFault, Measure, PracticeCase, PracticeVerdict } from '../../api/generated/schema';
import { axis, inks, lettering } from '../../parts/chart';
import DrawnChart from '../../parts/DrawnChart.vue';
import { shown, symbolOf, toShown } from '../../parts/show';
import LeafLayout from '../LeafLayout.vue';
import { minutesAxis, vacuumTip } from './minutes';

/** Ten vacuums that stand and ten units that run; what is hidden is told after the answer. The score is of this device. */
const number = ref(1);
const given = shallowRef<PracticeCase | null>(null);
const verdict = shallowRef<PracticeVerdict | null>(null);
const refused = ref('');
const log = ref(false);
const score = useLocalStorage<Record<number, boolean>>('vanto.practice.proof', {});
const right = computed(() => Object.values(score.value).filter(Boolean).length);
const tried = computed(() => Object.keys(score.value).length);

async function open(): Promise<void> {
  [verdict.value, refused.value] = [null, ''];
  try {
    given.value = await ask<PracticeCase>('GET', `/calc/practice/${number.value}`);
  } catch (error) {
    refused.value = whyNot(error);
  }
}
watch(number, () => void open(), { immediate: true });

async function answer(fault: HiddenFault): Promise<void> {
  if (verdict.value) return;
  try {
    verdict.value = await ask<PracticeVerdict>('POST', `/calc/practice/${number.value}`, { fault });
    // The first answer counts.
    if (!(number.value in score.value)) score.value = { ...score.value, [number.value]: verdict.value.right };
    await nextTick();
    document.querySelector('[data-why]')?.scrollIntoView({ block: 'center' });
  } catch (error) {
    refused.value = whyNot(error);
  }
}
const say = (m: Measure) => shown(m.value, m.quantity);
const picture = computed<EChartsCoreOption>(() => {
  const i = inks.value;
  const data = given.value!.curve.map((p) => [p.minute, toShown(p.pa, 'vacuum')]);
  return {
    animation: false,
    grid: { left: 60, right: 18, top: 34, bottom: 42 },
    tooltip: vacuumTip(),
    xAxis: minutesAxis(),
    yAxis: axis({
      type: log.value ? 'log' : 'value',
      min: log.value ? undefined : 0,
      name: symbolOf('vacuum'),
      nameGap: 14,
      nameTextStyle: { align: 'right', ...lettering(12.5) },
    }),
    series: [
      {
        type: 'line',
        data,
        symbolSize: 7,
        symbol: 'circle',
        lineStyle: { color: i.cold, width: 1.5 },
        itemStyle: { color: i.ground, borderColor: i.cold, borderWidth: 2 },
      },
    ],
  };
});
</script>

<template>
  <LeafLayout>
    <template #say>
      <p v-if="tried" class="soft">{{ right }} of {{ tried }} right; the first answer counts.</p>
      <div class="cases" role="group" aria-label="Cases">
        <button
          v-for="n in given?.cases ?? 0"
          :key="n"
          type="button"
          class="unit"
          :aria-pressed="n === number"
          :data-case="n"
          :aria-label="`case ${n}, ${n <= given!.curves ? 'a vacuum' : 'a unit'}${n in score ? (score[n] ? ', right' : ', wrong') : ''}`"
          @click="number = n"
        >
          {{ n }}<span v-if="n in score" aria-hidden="true">{{ score[n] ? ' ●' : ' ○' }}</span>
        </button>
      </div>
      <p v-if="given" class="soft">
        1 to {{ given.curves }} are vacuums that stand, the others units that run. All simulated, always the same.
      </p>
      <button v-if="tried" type="button" class="bare" data-forget @click="score = {}">begin the score anew</button>
    </template>
    <template #picture>
      <p v-if="refused" class="severity-stop" role="alert">{{ refused }}</p>
      <template v-if="given">
        <h2>{{ given.question }}</h2>
        <template v-if="given.curve.length">
          <span class="units" role="group" aria-label="Scale">
            <button type="button" class="unit" :aria-pressed="!log" @click="log = false">even scale</button>
            <button type="button" class="unit" :aria-pressed="log" @click="log = true">logarithmic</button>
          </span>
          <DrawnChart fill :option="picture" :height="220" label="Pressure since the pump was shut off" />
        </template>
        <table v-else>
          <thead>
            <tr>
              <th></th>
              <th>after 10 min</th>
              <th>after 30 min</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="r in given.readings" :key="r.label">
              <td>{{ r.label }}</td>
              <td>{{ say(r.atTen) }}</td>
              <td>{{ say(r.atThirty) }}</td>
            </tr>
          </tbody>
        </table>
        <div class="acts" role="group" aria-label="Your answer">
          <button
            v-for="c in given.choices"
            :key="c.fault"
            type="button"
            class="plain"
            :disabled="!!verdict"
            :data-answer="c.fault"
            @click="answer(c.fault)"
          >
            {{ c.words }}
          </button>
        </div>
        <div v-if="verdict" class="why" :class="{ right: verdict.right }" role="status" data-why>
          <b>{{ verdict.right ? 'Right' : 'No' }}: {{ verdict.was }}.</b>
          <p>{{ verdict.why }}</p>
          <p v-if="verdict.machine" class="soft">Vanto’s own judgement of these readings: {{ verdict.machine }}.</p>
          <button v-if="number < given.cases" type="button" class="plain" data-next @click="number += 1">next case</button>
        </div>
      </template>
    </template>
  </LeafLayout>
</template>

<style scoped src="../../parts/reading.css"></style>
<style scoped>
.cases {
  display: grid;
  grid-template-columns: repeat(5, 1fr);
  gap: 6px;
  margin: 8px 0;
}
.cases .unit {
  padding: 2px 0;
  white-space: nowrap;
}
h2 {
  color: var(--ink);
  font-size: 1.15rem;
  margin: 0 0 6px;
}
table {
  border-collapse: collapse;
  width: min(100%, 40rem);
}
th,
td {
  text-align: right;
  padding: 5px 8px 5px 0;
  border-bottom: 1px solid var(--hair);
  font-variant-numeric: tabular-nums;
}
td:first-child {
  text-align: left;
}
.why {
  border-left: 5px solid var(--stop);
  padding: 4px 0 4px 12px;
  max-width: 46rem;
}
.why.right {
  border-left-color: var(--pass);
}
.why p {
  margin: 4px 0;
}
</style>
