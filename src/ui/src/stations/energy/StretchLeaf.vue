<script setup lang="ts">
import { computed } from 'vue';
import type { EnergyStretchResult, RemarkableWeek, Verdict } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import DrawnChart from '../../parts/DrawnChart.vue';
import { clock, shown } from '../../parts/show';
import { useProposal } from '../../parts/proposal';
import { useStudy } from '../../parts/study';
import { worstOf } from '../../run/place';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { energyPicture, hourMarks } from './picture';

/** A night, a week or a month of the rig's weather, run step by step as its fields are typed. */
const rig = useRig();
const { study: stretch, fault } = useStudy<EnergyStretchResult>('energy-stretch');
const verdict = computed<Verdict>(() => ({
  state: stretch.value ? worstOf(stretch.value.findings) : 'open',
  headline: stretch.value?.answer ?? { template: 'These days are being run.', measures: [] },
  detail: { template: '', measures: [] },
}));
const asked = computed(() => rig.design!.energy.stretch);
const battery = computed(() => rig.design!.survey.sources.battery.fitted);

/** A day without its year, as the sentences say it. */
const dayOf = (month: number, date: number, hour = 0) =>
  new Date(Date.UTC(2025, month - 1, date) + hour * 3600000).toLocaleString('en-GB', { day: 'numeric', month: 'long', timeZone: 'UTC' });
const day = (hour: number) => dayOf(asked.value.month, asked.value.day, hour);

const { refused, propose } = useProposal();

function look({ month, day }: RemarkableWeek): void {
  void propose('week', { month, day });
}

const picture = computed(() => {
  const s = stretch.value!;
  const design = rig.design!.energy;
  const first = Math.floor(s.series.hour[0]!);
  const last = Math.ceil(s.series.hour.at(-1)!);
  const days = Math.ceil(last / 24);
  const length = (design.to - design.from + 24) % 24 || 24;
  const windows = Array.from({ length: days + 1 }, (_, d) => [(d - 1) * 24 + design.from, (d - 1) * 24 + design.from + length])
    .map(([from, to]) => [Math.max(first, from!), Math.min(last, to!)])
    .filter(([from, to]) => from! < to!);
  return energyPicture({
    series: s.series,
    at: s.series.hour,
    ends: [first, last],
    marks: hourMarks([first, last], days > 14 ? 72 : days > 3 ? 24 : 6),
    label: (hour) => (hour % 24 === 0 ? day(hour) : clock(hour % 24)),
    title: (hour) => `${day(hour)} ${clock(hour % 24)}`,
    windows,
    failure: null,
    reserve: battery.value ? rig.design!.start.reserveSoc : null,
  });
});
</script>

<template>
  <LeafLayout :verdict="verdict" :findings="stretch?.findings ?? []">
    <template #say>
      <AskField v-for="f in ['month', 'day', 'days', 'stepMinutes']" :key="f" :path="`/energy/stretch/${f}`" />
      <AskField v-for="f in ['/energy/setpointC', '/energy/from', '/energy/to']" :key="f" :path="f" />
    </template>
    <template #act>
      <div data-stretch>
        <p v-if="fault || refused" role="alert" class="severity-stop">{{ fault || refused }}</p>
        <template v-if="stretch">
          <p class="acts">
            <button v-for="w in stretch.weeks" :key="w.words" type="button" class="plain" :data-week="w.words" @click="look(w)">
              {{ w.words }} <small class="soft">{{ dayOf(w.month, w.day) }}, mean {{ shown(w.meanC, 'temperature') }}</small>
            </button>
          </p>
          <p>
            The sun gives <b>{{ shown(stretch.sunWh, 'energy') }}</b> of which {{ shown(stretch.unusedWh, 'energy') }} find no taker.
            <template v-if="battery"
              >Lowest charge <b>{{ shown(stretch.minSoc, 'fraction') }}</b>, at the end {{ shown(stretch.endSoc, 'fraction') }}.</template
            >
            <span class="soft"> Weather: {{ stretch.weather }}.</span>
          </p>
        </template>
        <el-skeleton v-else-if="!fault" :rows="2" />
      </div>
    </template>
    <template #picture>
      <DrawnChart v-if="stretch" fill :option="picture" :height="260" label="Cabin, sun, load and battery through these days" />
    </template>
  </LeafLayout>
</template>

<style scoped>
.acts {
  margin-bottom: 8px;
}
</style>
