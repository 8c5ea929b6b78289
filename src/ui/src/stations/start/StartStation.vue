<script setup lang="ts">
import { computed, ref } from 'vue';
import { ask, textOf, whyNot } from '../../api/client';
import type { RigView, StartTrial } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import DrawnChart from '../../parts/DrawnChart.vue';
import FigureRow from '../../parts/FigureRow.vue';
import VerdictBox from '../../parts/VerdictBox.vue';
import { axis, inks, lettering, tip, tipText } from '../../parts/chart';
import { say, shown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import StationLayout from '../StationLayout.vue';
import SoftWindow from './SoftWindow.vue';
import StudyBox from './StudyBox.vue';

const rig = useRig();
const start = computed(() => rig.assessment!.start!);
const single = computed(() => !start.value.inverterDriven);
const direct = computed(() => rig.assessment!.unit?.unit.isDc === true);
const soft = computed(() => rig.design!.start.remedy === 'softStarter');

const measured = computed(() => rig.design!.start.measured);
const volts = ['volts at the compressor', 'battery volts'];

const names = (top: number, data: string[]) => ({ top, right: 54, textStyle: lettering(12.5), itemHeight: 8, data });

/** A line of the lower part, volts on the left or amperes of the battery on the right. */
function below(name: string, data: number[], color: string, type: string, yAxisIndex = 1) {
  return {
    name,
    type: 'line',
    xAxisIndex: 1,
    yAxisIndex,
    data: start.value.trace.seconds.map((t, k) => [t, data[k]]),
    showSymbol: false,
    lineStyle: { color, width: 2, type },
    itemStyle: { color },
  };
}

const trace = computed(() => {
  const battery = start.value.trace.batteryV.length > 0;
  const end = Math.max(0.3, start.value.trace.seconds.at(-1) ?? 1);
  const limit = start.value.bearing.map((b) => [b.seconds, b.currentA]);
  const beside = start.value.neighboursA;
  const neighbours =
    beside > 0
      ? [{ yAxis: beside, label: { formatter: 'on beside it', position: 'insideStartTop', ...lettering(12), color: inks.value.soft } }]
      : [];
  return {
    animation: false,
    grid: [
      { left: 50, right: 54, top: 28, height: 186 },
      { left: 50, right: 54, top: 252, height: 62 },
    ],
    axisPointer: { link: [{ xAxisIndex: 'all' }] },
    tooltip: tip({
      formatter: (ps: { seriesName: string; value: number[]; axisIndex: number }[]) =>
        tipText(
          `${((ps[0]?.value[0] ?? 0) * 1000).toFixed(0)} ms`,
          ps.map((p) => `${p.seriesName} ${p.value[1]!.toFixed(1)} ${volts.includes(p.seriesName) ? 'V' : 'A'}`),
        ),
    }),
    xAxis: [
      axis({ type: 'value', min: 0, max: Number(end.toFixed(2)), axisLabel: { show: false } }),
      axis({ type: 'value', gridIndex: 1, min: 0, max: Number(end.toFixed(2)), name: 'seconds', nameLocation: 'middle', nameGap: 24 }),
    ],
    yAxis: [
      axis({ type: 'value', name: 'A', min: 0 }),
      axis({ type: 'value', gridIndex: 1, name: 'V', min: 0, splitNumber: 2, nameGap: 4 }),
      axis({
        type: 'value',
        gridIndex: 1,
        show: battery,
        position: 'right',
        name: 'A',
        min: 0,
        splitNumber: 2,
        nameGap: 4,
        splitLine: { show: false },
      }),
    ],
    series: [
      {
        name: 'the source bears',
        type: 'line',
        data: limit,
        showSymbol: false,
        lineStyle: { color: inks.value.stop, width: 2.5, type: [8, 4] },
        itemStyle: { color: inks.value.stop },
        markLine: { silent: true, symbol: 'none', lineStyle: { color: inks.value.rule, width: 1, type: 'solid' }, data: neighbours },
      },
      {
        name: 'all on this source',
        type: 'line',
        data: start.value.trace.seconds.map((t, k) => [t, start.value.trace.sourceA[k]]),
        showSymbol: false,
        lineStyle: { color: inks.value.ink, width: 3 },
        itemStyle: { color: inks.value.ink },
        areaStyle: { color: inks.value.ink, opacity: 0.07 },
      },
      {
        name: 'the compressor',
        type: 'line',
        data: start.value.trace.seconds.map((t, k) => [t, start.value.trace.compressorA[k]]),
        showSymbol: false,
        lineStyle: { color: inks.value.cold, width: 2, type: 'dotted' },
        itemStyle: { color: inks.value.cold },
      },
      ...(measured.value.length
        ? [
            {
              name: 'measured',
              type: 'line',
              data: measured.value.map((m) => [m.afterMs / 1000, m.currentA]),
              showSymbol: false,
              lineStyle: { color: inks.value.heat, width: 2, type: [10, 3, 2, 3] },
              itemStyle: { color: inks.value.heat },
            },
          ]
        : []),
      below('volts at the compressor', start.value.trace.volts, inks.value.ink, 'solid'),
      ...(battery
        ? [
            below('battery volts', start.value.trace.batteryV, inks.value.stored, 'dashed'),
            below('battery amperes', start.value.trace.batteryA, inks.value.heat, 'dotted', 2),
          ]
        : []),
    ],
    legend: [
      names(0, ['all on this source', 'the compressor', 'the source bears', ...(measured.value.length ? ['measured'] : [])]),
      names(224, ['volts at the compressor', ...(battery ? ['battery volts', 'battery amperes'] : [])]),
    ],
  };
});

const csvError = ref('');

async function readMeasured(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  if (!file) return;
  csvError.value = '';
  try {
    rig.take(await ask<RigView>('POST', `/rigs/${rig.id}/measured-start`, await textOf(file)));
  } catch (e) {
    csvError.value = whyNot(e, file.name);
  }
  input.value = '';
}

function take(trial: StartTrial): void {
  if (trial.changes.length) void rig.apply(trial.changes);
}

function reduce(event: Event): void {
  void rig.set('/start/reduction', Number((event.target as HTMLInputElement).value));
}
</script>

<template>
  <StationLayout title="Start" question="Will the compressor start on this source?">
    <template #say>
      <AskGroup title="The start" :paths="['/start/on', ...(single ? ['/start/remedy'] : direct ? ['/start/noPrecharge'] : [])]">
        <template v-if="single && soft">
          <AskGroup title="Soft starter" :paths="['/start/reduction']">
            <input
              type="range"
              min="0.4"
              max="0.8"
              step="0.01"
              :value="rig.design!.start.reduction"
              aria-label="Soft starter takes away"
              class="slider"
              @input="reduce"
            />
          </AskGroup>
        </template>
      </AskGroup>
      <AskGroup title="Battery at that moment" :paths="['/start/soc', '/start/reserveSoc']" />
      <AskGroup title="Cable and pause" :paths="['/start/cableM', '/start/cableMm2', ...(single ? ['/start/restedS'] : [])]" />
      <AskGroup
        v-if="single"
        title="Measured"
        :paths="['/start/measuredA']"
        :open="measured.length > 0 || rig.design!.start.measuredA !== null"
      >
        <p class="row">
          <label class="plain file">read a logger's CSV <input type="file" accept=".csv" data-measured @change="readMeasured" /></label>
          <button v-if="measured.length" type="button" class="plain" @click="rig.set('/start/measured', [])">leave out</button>
        </p>
        <p v-if="csvError" class="severity-stop" role="alert">{{ csvError }}</p>
        <p class="soft small">Time and current, the header says ms or s. The model is fitted to it and drawn beside it.</p>
      </AskGroup>
      <AskGroup v-if="single" title="Other compressors" :open="rig.design!.start.further.length > 0">
        <AskRows path="/start/further" one="compressor">
          <template #default="{ path }">
            <AskField v-for="f in ['name', 'rlaA', 'lraA', 'fanW', 'soft']" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup title="On beside it" class="follows">
        <ul class="beside">
          <li v-for="n in start.neighbours" :key="n.name">
            <span>{{ n.name }}</span><b>{{ shown(n.powerW, 'electricPower') }}</b
            ><small class="soft">{{ shown(n.currentA, 'current') }}</small>
          </li>
        </ul>
        <p class="soft small">Devices marked “may be on when the unit starts” in Survey.</p>
      </AskGroup>
    </template>
    <template #see>
      <VerdictBox :verdict="start.verdict" :findings="start.findings" />
      <FigureRow :figures="start.figures" />
      <DrawnChart
        v-if="start.trace.seconds.length"
        :option="trace"
        :height="352"
        label="Current in the first second of the start against what the source bears"
      />
      <p v-if="start.corners" class="corners" data-corners>
        <span class="dots" aria-hidden="true"
          ><i v-for="n in start.corners.cases" :key="n" :class="n <= start.corners.starts ? 'yes' : 'no'"
        /></span>
        Over what is not known of this unit and source it starts <b>{{ say(start.corners.words) }}</b>. {{ say(start.corners.settles) }}
      </p>
      <SoftWindow v-if="start.window" :window="start.window" :chosen="soft ? rig.design!.start.reduction : null" />
      <div v-if="start.remedies.length" class="pair">
        <section>
          <h2>Helped by</h2>
          <table class="sheet">
            <tbody>
              <tr v-for="trial in start.remedies" :key="trial.id" :data-remedy="trial.id">
                <td>{{ say(trial.words) }}</td>
                <td :class="`severity-${trial.level ?? 'pass'}`">{{ say(trial.result) }}</td>
                <td><button type="button" class="plain" @click="take(trial)">take it</button></td>
              </tr>
            </tbody>
          </table>
        </section>
        <section>
          <h2>With what is on beside it</h2>
          <table class="sheet" data-stacking>
            <tbody>
              <tr v-for="trial in start.stacking" :key="trial.id">
                <td>{{ say(trial.words) }}</td>
                <td :class="`severity-${trial.level ?? 'pass'}`">{{ say(trial.result) }}</td>
              </tr>
            </tbody>
          </table>
        </section>
      </div>
      <StudyBox v-if="single" />
      <p class="soft small">
        The model is typical, not a measurement: prove it with a clamp meter that catches the inrush, and write the reading down in
        Commission.
      </p>
    </template>
  </StationLayout>
</template>

<style scoped>
.corners {
  margin: 8px 0 12px;
}
.dots {
  display: inline-flex;
  gap: 4px;
  margin-right: 8px;
  vertical-align: -1px;
}
.dots i {
  width: 12px;
  height: 12px;
  border-radius: 50%;
  border: 2px solid var(--ink);
}
.dots .yes {
  background: var(--pass);
  border-color: var(--pass);
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 22px;
}
.beside {
  list-style: none;
  padding: 0;
  margin: 0;
}
.beside li {
  display: grid;
  grid-template-columns: 1fr auto 52px;
  gap: 8px;
  border-bottom: 1px solid var(--hair);
  padding: 4px 0;
}
.beside small {
  text-align: right;
}
.small {
  font-size: 13px;
  margin-top: 6px;
}
.row {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  margin: 8px 0;
}
.row .plain {
  text-decoration: none;
}
.slider {
  width: 100%;
  accent-color: var(--ink);
}
.severity-pass {
  color: var(--pass);
}
</style>
