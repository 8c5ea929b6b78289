<script setup lang="ts">
import type { EChartsCoreOption } from 'echarts/core';
import { computed, ref } from 'vue';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import { axis, inks, lettering } from '../../parts/chart';
import DrawnChart from '../../parts/DrawnChart.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { say, shown, toShown } from '../../parts/show';
import type { CurvePoint, SchoolRow, VacuumRow } from '../../api/generated/schema';
import { recordFieldsOf } from '../../api/description';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { minutesAxis, vacuumTip } from './minutes';
import { useWriting } from '../../parts/writing';
import { useNextReading, useSaid } from './proof';
import ReadingField from '../../parts/ReadingField.vue';
import WhoReads from '../../parts/WhoReads.vue';

/** Dry, leaking or wet: the readings against three stories, and what comes next. */
const rig = useRig();
const proof = computed(() => rig.assessment?.commission ?? null);
const dry = computed(() => proof.value?.dry ?? null);
const { verdict, findings } = useSaid(() => dry.value);
const { by, errors, refused, busy, write, toRead } = useWriting();
const kit = computed(() => rig.design!.commission.vacuum);
const begun = computed(() => dry.value?.heldMin !== null && dry.value?.heldMin !== undefined);
const next = useNextReading(
  'vacuum',
  () => dry.value!.readEveryMin,
  () => begun.value && ['open', 'caution'].includes(dry.value!.state),
);
const value = ref('');
const minute = ref('');
const chosen = ref('');
const units = computed(() => recordFieldsOf('vacuum').find((f) => f.path === '/unit')!.choices);
const unit = computed(() => chosen.value || (kit.value.unit as string));
const unitWords = computed(() => units.value.find((u) => u.value === unit.value)?.label ?? '');
async function record(shutOff: boolean): Promise<void> {
  const values = { value: value.value, unit: unit.value, minute: shutOff ? '' : minute.value, shutOff: String(shutOff) };
  if (!value.value.trim()) {
    errors.value = { value: 'Write down what the gauge shows.' };
    return;
  }
  if (await write('vacuum', values)) [value.value, minute.value] = ['', ''];
}
const correct = ref('');
async function mend(row: VacuumRow): Promise<void> {
  if (await write('vacuum', { value: value.value || '', unit: unit.value }, row.id)) [value.value, correct.value] = ['', ''];
}
const readings: SheetColumn<VacuumRow>[] = [
  { key: 'minute', label: 'minute', number: true, text: (r) => String(Math.round(r.minute * 10) / 10), width: 70 },
  { key: 'pa', label: 'absolute', number: true, text: (r) => (r.pa === null ? 'cannot be' : shown(r.pa, 'vacuum')), width: 120 },
  { key: 'typed', label: 'as typed', text: (r) => r.typed, width: 120 },
  { key: 'by', label: 'by', text: (r) => r.by, wide: true },
  { key: 'act', label: '' },
];
const points = (curve: CurvePoint[]) => curve.map((p) => [p.minute, toShown(Math.max(0.2, p.pa), 'vacuum')]);
const picture = computed<EChartsCoreOption>(() => {
  const i = inks.value;
  const d = dry.value!;
  const good = d.readings.filter((r) => r.pa !== null);
  const line = (name: string, data: number[][], color: string, type: string, width: number) => ({
    name,
    type: 'line',
    showSymbol: false,
    smooth: false,
    silent: true,
    data,
    lineStyle: { color, width, type },
    itemStyle: { color },
    endLabel: { show: data.length > 0 && name !== '', formatter: name, ...lettering(12.5), color, offset: [-6, -10], align: 'right' },
  });
  return {
    animation: false,
    grid: { left: 52, right: 14, top: 16, bottom: 42 },
    tooltip: vacuumTip(),
    xAxis: minutesAxis(),
    yAxis: axis({
      type: 'log',
      min: 10 ** Math.floor(Math.log10(Math.max(1, Math.min(...good.map((r) => toShown(r.pa!, 'vacuum'))) / 1.5))),
      axisLabel: { formatter: (v: number) => (v >= 1000 ? `${v / 1000}k` : `${v}`), ...lettering(12.5), color: i.soft },
    }),
    series: [
      line('a leak', points(d.ifLeak), i.soft, 'dotted', 1.6),
      line('dry and tight', points(d.ifTight), i.pass, 'dashed', 1.6),
      line('', points(d.fit), i.cold, 'solid', 3),
      {
        name: 'read',
        type: 'scatter',
        symbolSize: 10,
        data: good.map((r) => [r.minute, toShown(r.pa!, 'vacuum')]),
        itemStyle: { color: i.ground, borderColor: i.cold, borderWidth: 2.5 },
        markLine: {
          silent: true,
          symbol: 'none',
          lineStyle: { color: i.stop, width: 1.5, type: 'solid' },
          label: { position: 'insideEndTop', formatter: 'most, to begin the hold', ...lettering(12) },
          data: [{ yAxis: toShown(d.startPa, 'vacuum') }],
        },
      },
    ],
  };
});
const ways: SheetColumn<SchoolRow>[] = [
  { key: 'way', label: 'way', text: (r) => r.way, wide: true },
  { key: 'shows', label: 'shows', text: (r) => r.shows, wide: true },
  { key: 'blind', label: 'cannot see', text: (r) => r.cannotSee, wide: true },
  { key: 'needs', label: 'needs', text: (r) => r.needs, wide: true },
  { key: 'time', label: 'takes', text: (r) => r.time, width: 96 },
];
const minutes = (m: number | null | undefined) =>
  m === null || m === undefined ? 'more than 2 h' : m < 1 ? `${Math.round(m * 60)} s` : `${Math.round(m)} min`;
</script>

<template>
  <LeafLayout :verdict="verdict" :findings="findings">
    <template #say>
      <template v-if="dry">
        <p class="danger">
          Never open the valves before the vacuum is proved. No pump in a closed cabin with a flammable refrigerant about; the motor's
          exhaust of a generator kills.
        </p>
        <WhoReads v-model="by" />
        <form class="reading" @submit.prevent="record(false)">
          <ReadingField v-model="value" name="value" label="The gauge shows" :unit="unitWords" :error="errors.value" />
          <span class="units" role="group" aria-label="Unit of the gauge">
            <button
              v-for="u in units"
              :key="u.value"
              type="button"
              class="unit"
              :aria-pressed="u.value === unit"
              :data-unit="u.value"
              @click="chosen = u.value"
            >
              {{ u.label }}
            </button>
          </span>
          <ReadingField v-if="begun" v-model="minute" name="minute" label="at minute" hint="now" :error="errors.minute" />
          <p v-if="refused" class="severity-stop" role="alert">{{ refused }}</p>
          <p class="acts">
            <button type="submit" class="plain" :disabled="busy" data-vacuum="write">write it down</button>
            <button type="button" class="plain" :disabled="busy" data-vacuum="shut" @click="record(true)">
              {{ begun ? 'shut off anew' : 'the pump is shut off now' }}
            </button>
          </p>
        </form>
        <AskGroup title="Pump and hose" :open="false">
          <AskField
            v-for="f in ['pumpM3s', 'ultimatePa', 'hoseBoreM', 'hoseM', 'coreIn', 'pumpW']"
            :key="f"
            :path="`/commission/vacuum/${f}`"
          />
        </AskGroup>
        <AskGroup title="Limits and place" :open="false">
          <AskField v-for="f in ['unit', 'coldestC', 'startPa', 'passPa']" :key="f" :path="`/commission/vacuum/${f}`" />
          <AskField path="/commission/volumeM3" />
          <AskField path="/commission/barometerPa" />
        </AskGroup>
      </template>
      <p v-else class="soft">{{ proof?.notOpened ? say(proof.notOpened) : 'No vacuum is asked on this job.' }}</p>
    </template>
    <template v-if="dry" #act>
      <button type="button" class="plain jump" data-jump @click="toRead">+ reading</button>
      <dl v-if="dry.nowPa !== null" class="now" data-now>
        <div>
          <dt>now</dt>
          <dd>
            {{ shown(dry.nowPa!, 'vacuum') }}
          </dd>
        </div>
        <div v-if="begun">
          <dt>held for</dt>
          <dd>{{ Math.round(dry.heldMin!) }} min</dd>
        </div>
        <div v-if="next.words.value" data-next-reading>
          <dt>next reading</dt>
          <dd>
            <button v-if="next.due.value" type="button" class="plain" @click="next.hear">due, heard</button>
            <template v-else>{{ next.words.value }}</template>
          </dd>
        </div>
        <div v-if="dry.sure !== null">
          <dt>shape fits</dt>
          <dd>{{ Math.round(dry.sure! * 100) }} %</dd>
        </div>
        <div v-if="dry.pumpMin !== null">
          <dt>pump again</dt>
          <dd>{{ Math.round(dry.pumpMin!) }} min</dd>
        </div>
      </dl>
    </template>
    <template v-if="dry" #picture>
      <DrawnChart
        v-if="dry.readings.length"
        fill
        :option="picture"
        :height="250"
        label="Pressure since the pump was shut off, against a leak and a dry circuit"
      />
      <dl class="plan" data-pump-plan>
        <dt>Pumping to {{ shown(dry.startPa, 'vacuum') }}, dry</dt>
        <dd>{{ minutes(dry.planDryMin) }}</dd>
        <dt>with a little moisture</dt>
        <dd>{{ minutes(dry.planDampMin) }}</dd>
        <dt>the same, wide short hose and core out</dt>
        <dd>{{ minutes(dry.planWideMin) }}</dd>
      </dl>
    </template>
    <template v-if="dry?.readings.length" #below>
      <SheetTable name="Readings" :rows="dry.readings" :columns="readings" copies data-readings>
        <template #act="{ row }">
          <button v-if="correct !== row.id" type="button" class="plain" @click="correct = row.id">correct</button>
          <button v-else type="button" class="plain" :disabled="!value" @click="mend(row)">take what is typed</button>
        </template>
      </SheetTable>
      <details class="ways">
        <summary>What each way proves, and what it cannot see</summary>
        <SheetTable
          name="Ways to prove it dry"
          :rows="dry.ways"
          :columns="ways"
          :row-class="(r) => (r.school === dry!.way ? 'own' : '')"
          copies
          data-ways
        />
      </details>
    </template>
  </LeafLayout>
</template>

<style scoped src="../../parts/reading.css"></style>
<style scoped>
.plan {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 4px 14px;
  max-width: 32rem;
  margin: 10px 0 0;
}
.plan dt {
  color: var(--soft);
}
.plan dd {
  margin: 0;
  font-weight: 640;
}
</style>
