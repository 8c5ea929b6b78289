<script setup lang="ts">
import { computed, ref } from 'vue';
import { ask, largestWeather, textOf, whyNot } from '../../api/client';
import type { SeasonResult, Verdict, WeatherFileView } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import DrawnChart from '../../parts/DrawnChart.vue';
import FilePick from '../../parts/FilePick.vue';
import RunBar from '../../parts/RunBar.vue';
import { useLongRun } from '../../parts/longRun';
import { useProposal } from '../../parts/proposal';
import { axis, inks, lettering, tip } from '../../parts/chart';
import { say, shown } from '../../parts/show';
import { worstOf } from '../../run/place';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';

/** A year of the rig, run when it is asked for: from a weather file or from weather made of the months. */
const rig = useRig();
const { result: year, busy, place, error: fault, stale, run, cancel } = useLongRun<SeasonResult>('season');
const file = ref<WeatherFileView | null>(null);
const unread = ref('');
const { refused, propose } = useProposal();
const error = computed(() => unread.value || refused.value || fault.value);
const made = computed(() => rig.design!.survey.climate.weatherFile === '');
const months = computed(() => rig.design!.survey.climate.months.length);
const names = ['J', 'F', 'M', 'A', 'M', 'J', 'J', 'A', 'S', 'O', 'N', 'D'];
const monthNames = Array.from({ length: 12 }, (_, m) =>
  new Date(Date.UTC(2025, m, 1)).toLocaleString('en-GB', { month: 'long', timeZone: 'UTC' }),
);
const verdict = computed<Verdict>(() => {
  const none =
    made.value && months.value !== 12
      ? 'No weather yet: read a file, or write down the twelve months.'
      : 'Run the year to see what it asks.';
  return {
    state: year.value ? worstOf(year.value.findings) : 'open',
    headline: year.value?.answer ?? { template: none, measures: [] },
    detail: { template: '', measures: [] },
  };
});

async function runYear(): Promise<void> {
  unread.value = '';
  await run();
}

async function useMade(): Promise<void> {
  await rig.set('/survey/climate/weatherFile', '');
  await runYear();
}

async function read(chosen: File): Promise<void> {
  unread.value = '';
  try {
    file.value = await ask<WeatherFileView>(
      'POST',
      `/rigs/${rig.id}/weather?name=${encodeURIComponent(chosen.name)}`,
      await textOf(chosen, largestWeather),
    );
    await rig.open(rig.id);
    await runYear();
  } catch (e) {
    unread.value = whyNot(e, chosen.name);
  }
}

function takePlace(): void {
  void rig.apply(file.value!.changes);
}

const option = computed(() => ({
  animation: false,
  grid: { left: 44, right: 44, top: 26, bottom: 24 },
  tooltip: tip({}),
  legend: { top: 0, right: 58, itemHeight: 8, textStyle: lettering(12) },
  xAxis: axis({ type: 'category', data: names }),
  yAxis: [
    axis({ type: 'value', name: 'kWh', nameGap: 8, splitNumber: 3 }),
    axis({ type: 'value', name: 'h', nameGap: 8, splitNumber: 3, splitLine: { show: false } }),
  ],
  series: [
    bar('cooling', 'coolingKWh', inks.value.cold),
    bar('heating', 'heatingKWh', inks.value.heat),
    {
      name: 'hours too warm without cooling',
      type: 'line',
      yAxisIndex: 1,
      data: year.value?.months.map((m) => m.hoursAboveFree) ?? [],
      lineStyle: { color: inks.value.ink, width: 2, type: [5, 4] },
      itemStyle: { color: inks.value.ink },
      symbolSize: 6,
    },
  ],
}));

function bar(name: string, key: 'coolingKWh' | 'heatingKWh', color: string) {
  return { name, type: 'bar', barGap: '0%', data: year.value?.months.map((m) => Math.round(m[key])) ?? [], itemStyle: { color } };
}
</script>

<template>
  <LeafLayout :verdict="verdict" :findings="year?.findings ?? []">
    <template #say>
      <AskField path="/survey/climate/seed" />
      <button v-if="months !== 12" type="button" class="plain" @click="propose('months')">write down the twelve months</button>
      <template v-else>
        <AskGroup v-for="(month, i) in monthNames" :key="month" :title="month" :open="false">
          <AskField
            v-for="f in ['maxC', 'minC', 'clearness', 'humidityPct', 'windMs']"
            :key="f"
            :path="`/survey/climate/months/${i}/${f}`"
          />
        </AskGroup>
      </template>
    </template>
    <template #act>
      <div data-season>
        <RunBar
          words="run the year"
          :busy="busy"
          :place="place"
          :error="error"
          :stale="stale"
          :disabled="made && months !== 12"
          @run="runYear"
          @stop="cancel"
        >
          <FilePick words="read a weather file (EPW)" accept=".epw" data-epw @pick="read" />
          <button v-if="!made && months === 12" type="button" class="plain" @click="useMade">use weather made of the months</button>
          <a v-if="months === 12" class="plain" :href="`/api/rigs/${rig.id}/weather.epw`" download>save the made weather as EPW</a>
        </RunBar>
        <p v-if="file" class="acts">
          {{ file.name }} is from {{ file.place.name }}: hottest {{ shown(file.day.hottestC, 'temperature') }}, then
          {{ shown(file.day.nightC, 'temperature') }} at night, coldest {{ shown(file.day.coldestC, 'temperature') }}.
          <button type="button" class="plain" @click="takePlace">take this place for the rig</button>
          <span v-for="f in file.findings" :key="f.code" class="soft"> {{ say(f.words) }}</span>
        </p>
        <p v-if="year">
          Most {{ shown(year.peakW, 'power') }}. Without cooling {{ year.hoursAboveFree }} h are too warm.
          <span class="soft">Weather: {{ year.weather }}.</span>
          <template v-if="year.partLoad">
            The unit cycles in {{ shown(year.partLoad.belowShare, 'fraction') }} of the cooling hours ({{
              shown(year.partLoad.energyBelowShare, 'fraction')
            }}
            of the energy) and is short in {{ year.partLoad.unmetHours }} h.
          </template>
        </p>
      </div>
    </template>
    <template #picture>
      <DrawnChart v-if="year" fill :option="option" :height="220" label="Cooling, heating and hours too warm by month" />
      <el-empty
        v-else
        :image-size="0"
        description="A year of the rig, hour by hour: what is cooled and heated each month, and how often it is too warm without cooling."
      />
    </template>
  </LeafLayout>
</template>
