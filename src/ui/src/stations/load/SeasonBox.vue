<script setup lang="ts">
import { computed, ref } from 'vue';
import { ask, largestWeather, textOf, whyNot } from '../../api/client';
import type { SeasonResult, WeatherFileView } from '../../api/generated/schema';
import DrawnChart from '../../parts/DrawnChart.vue';
import { useLongRun, waits } from '../../parts/longRun';
import { axis, inks, lettering, tip } from '../../parts/chart';
import { say, shown } from '../../parts/show';
import { useRig } from '../../stores/rig';

/** A year of the rig, run when it is asked for: from a weather file or from weather made of the months. */
const rig = useRig();
const { result: year, busy, place, error: fault, run: season } = useLongRun<SeasonResult>();
const file = ref<WeatherFileView | null>(null);
const unread = ref('');
const error = computed(() => unread.value || fault.value);
const made = computed(() => rig.design!.survey.climate.weatherFile === '');
const months = computed(() => rig.design!.survey.climate.months.length);
const names = ['J', 'F', 'M', 'A', 'M', 'J', 'J', 'A', 'S', 'O', 'N', 'D'];

async function run(): Promise<void> {
  unread.value = '';
  await season(`/rigs/${rig.id}/season`);
}

async function useMade(): Promise<void> {
  await rig.set('/survey/climate/weatherFile', '');
  await run();
}

async function read(event: Event): Promise<void> {
  const chosen = (event.target as HTMLInputElement).files?.[0];
  if (!chosen) return;
  unread.value = '';
  try {
    file.value = await ask<WeatherFileView>(
      'POST',
      `/rigs/${rig.id}/weather?name=${encodeURIComponent(chosen.name)}`,
      await textOf(chosen, largestWeather),
    );
    await rig.open(rig.id);
    await run();
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
  <section data-season>
    <h2>The season</h2>
    <p class="row">
      <button type="button" class="plain" :disabled="busy || (made && months !== 12)" @click="run">
        {{ busy ? 'running the year' : 'run the year' }}
      </button>
      <span v-if="place" class="soft" role="status">{{ waits(place) }}</span>
      <label class="plain file">read a weather file (EPW) <input type="file" accept=".epw" data-epw @change="read" /></label>
      <button v-if="!made && months === 12" type="button" class="plain" @click="useMade">use weather made of the months</button>
      <a v-if="months === 12" class="button" :href="`/api/rigs/${rig.id}/weather.epw`" download>save the made weather as EPW</a>
    </p>
    <p v-if="error" class="severity-stop" role="alert">{{ error }}</p>
    <p v-if="made && months !== 12" class="soft">
      A year needs a weather file, or the twelve months of the climate under “The year” on the left.
    </p>
    <p v-if="file" class="offer">
      {{ file.name }} is from {{ file.place.name }}: hottest {{ shown(file.day.hottestC, 'temperature') }}, then
      {{ shown(file.day.nightC, 'temperature') }} at night, coldest {{ shown(file.day.coldestC, 'temperature') }}.
      <button type="button" class="plain" @click="takePlace">take this place for the rig</button>
      <span v-for="f in file.findings" :key="f.code" class="soft"> {{ say(f.words) }}</span>
    </p>
    <template v-if="year">
      <p>
        <b>{{ shown(year.coolingKWh * 1000, 'heatEnergy') }}</b> of cooling in {{ year.coolingHours }} h and
        <b>{{ shown(year.heatingKWh * 1000, 'heatEnergy') }}</b> of heating; most {{ shown(year.peakW, 'power') }}. Without cooling
        {{ year.hoursAboveFree }} h are too warm. <span class="soft">Weather: {{ year.weather }}.</span>
      </p>
      <DrawnChart :option="option" :height="190" label="Cooling, heating and hours too warm by month" />
      <p v-if="year.partLoad" class="soft">
        {{ rig.design!.unit.chosen }} cycles in {{ shown(year.partLoad.belowShare, 'fraction') }} of the cooling hours ({{
          shown(year.partLoad.energyBelowShare, 'fraction')
        }}
        of the energy) and is short in {{ year.partLoad.unmetHours }} h.
      </p>
      <p v-for="f in year.findings" :key="f.code">
        <b :class="'severity-' + f.level">{{ f.level }}</b> {{ say(f.words) }}
      </p>
    </template>
  </section>
</template>

<style scoped>
.row,
.offer {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
  align-items: center;
  margin: 4px 0 8px;
}
.plain {
  text-decoration: none;
}
</style>
