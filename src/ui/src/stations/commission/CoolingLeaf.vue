<script setup lang="ts">
import type { EChartsCoreOption } from 'echarts/core';
import { computed, ref } from 'vue';
import type { CoolingSpot } from '../../api/generated/schema';
import { axis, inks, lettering } from '../../parts/chart';
import DrawnChart from '../../parts/DrawnChart.vue';
import { shown, symbolOf, toShown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { useNextReading, useSaid, useWriting } from './proof';
import ReadingField from './ReadingField.vue';
import WhoReads from './WhoReads.vue';

/** How fast it cools, against what was predicted from the same warmth. */
const rig = useRig();
const cooling = computed(() => rig.assessment?.commission?.cooling ?? null);
const { verdict, findings } = useSaid(() => cooling.value);
const { by, errors, refused, busy, write, toRead } = useWriting();
const cabin = ref('');
const minute = ref('');
const begun = computed(() => (cooling.value?.readings.length ?? 0) > 0);
async function record(begins: boolean): Promise<void> {
  if (!cabin.value.trim()) {
    errors.value = { cabinC: 'Write down what the thermometer shows.' };
    return;
  }
  if (await write('cooling', { cabinC: cabin.value, minute: begins ? '' : minute.value, begins: String(begins) }))
    [cabin.value, minute.value] = ['', ''];
}
const everyMin = 5;
const next = useNextReading('cooling', everyMin, () => begun.value && cooling.value!.reachedMin === null);
const points = (spots: CoolingSpot[]) => spots.map((s) => [s.minute, toShown(s.c, 'temperature')]);
const minutes = (m: number | null | undefined, none: string) => (m === null || m === undefined ? none : `${Math.round(m)} min`);
const picture = computed<EChartsCoreOption>(() => {
  const i = inks.value;
  const c = cooling.value!;
  const line = (name: string, spots: CoolingSpot[], color: string, type: string, width: number) => ({
    name,
    type: 'line',
    showSymbol: false,
    silent: true,
    data: points(spots),
    lineStyle: { color, width, type },
    itemStyle: { color },
  });
  return {
    animation: false,
    legend: { top: 0, right: 10, textStyle: lettering(12.5), data: ['predicted', 'fitted', 'read'] },
    grid: { left: 46, right: 14, top: 30, bottom: 42 },
    xAxis: axis({ type: 'value', name: 'minutes since it started', nameLocation: 'middle', nameGap: 26, min: 0 }),
    yAxis: axis({ type: 'value', scale: true, name: symbolOf('temperature') }),
    series: [
      line('predicted', c.predicted, i.soft, 'dashed', 1.8),
      line('fitted', c.fit, i.cold, 'solid', 3),
      {
        name: 'read',
        type: 'scatter',
        symbolSize: 9,
        data: points(c.readings),
        itemStyle: { color: i.ground, borderColor: i.cold, borderWidth: 2.5 },
        markLine: {
          silent: true,
          symbol: 'none',
          lineStyle: { color: i.pass, width: 1.5, type: 'solid' },
          label: { position: 'insideEndTop', formatter: 'set-point', ...lettering(12) },
          data: [{ yAxis: toShown(c.setC, 'temperature') }],
        },
      },
    ],
  };
});
</script>

<template>
  <LeafLayout :verdict="verdict" :findings="findings">
    <template #say>
      <template v-if="cooling">
        <p class="danger">
          Nobody works inside in the heat alone: water, breaks. Doors shut, thermometer out of the stream of air and out of the sun.
        </p>
        <WhoReads v-model="by" />
        <form @submit.prevent="record(!begun)">
          <ReadingField v-model="cabin" name="cabinC" label="The space is" :unit="symbolOf('temperature')" :error="errors.cabinC" />
          <ReadingField v-if="begun" v-model="minute" name="minute" label="at minute" hint="now" :error="errors.minute" />
          <p v-if="refused" class="severity-stop" role="alert">{{ refused }}</p>
          <p class="acts">
            <button type="submit" class="plain" :disabled="busy" data-cooling="write">
              {{ begun ? 'write it down' : 'the compressor starts now' }}
            </button>
            <button v-if="begun" type="button" class="plain" :disabled="busy" @click="record(true)">begin anew</button>
          </p>
        </form>
      </template>
    </template>
    <template v-if="cooling" #act>
      <button type="button" class="plain jump" data-jump @click="toRead">+ reading</button>
      <dl class="now" data-cooling-now>
        <div>
          <dt>set-point</dt>
          <dd>{{ shown(cooling.setC, 'temperature') }}</dd>
        </div>
        <div v-if="next.words.value" data-next-reading>
          <dt>next reading</dt>
          <dd>
            <button v-if="next.due.value" type="button" class="plain" @click="next.hear">due, heard</button>
            <template v-else>{{ next.words.value }}</template>
          </dd>
        </div>
        <div v-if="begun">
          <dt>reached after</dt>
          <dd>{{ minutes(cooling.reachedMin, 'not yet') }}</dd>
        </div>
        <div v-if="begun">
          <dt>predicted</dt>
          <dd>{{ minutes(cooling.predictedMin, 'not in 4 h') }}</dd>
        </div>
      </dl>
    </template>
    <template v-if="cooling && begun" #picture>
      <DrawnChart fill :option="picture" :height="260" label="Temperature of the space since the start, read, fitted and predicted" />
    </template>
  </LeafLayout>
</template>

<style scoped src="./reading.css"></style>
