<script setup lang="ts">
import type { EChartsCoreOption } from 'echarts/core';
import { computed, ref } from 'vue';
import { ask, Refused } from '../../api/client';
import type { CoolingSpot, RigFitResult } from '../../api/generated/schema';
import { axis, inks, lettering } from '../../parts/chart';
import DrawnChart from '../../parts/DrawnChart.vue';
import { say, shown, symbolOf, toShown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { useWriting } from '../../parts/writing';
import { useNextReading, useSaid } from './proof';
import ReadingField from '../../parts/ReadingField.vue';
import WhoReads from '../../parts/WhoReads.vue';

/** How fast it cools, against what was predicted from the same warmth. */
const rig = useRig();
const cooling = computed(() => rig.assessment?.commission?.cooling ?? null);
const { verdict, findings } = useSaid(() => cooling.value);
const { by, errors, refused, busy, write, toRead } = useWriting();
const cabin = ref('');
const minute = ref('');
const outdoor = ref('');
const begun = computed(() => (cooling.value?.readings.length ?? 0) > 0);
async function record(begins: boolean): Promise<void> {
  if (!cabin.value.trim()) {
    errors.value = { cabinC: 'Write down what the thermometer shows.' };
    return;
  }
  const values = { cabinC: cabin.value, outdoorC: outdoor.value, minute: begins ? '' : minute.value, begins: String(begins) };
  if (await write('cooling', values)) [cabin.value, minute.value, outdoor.value] = ['', '', ''];
}
const fit = ref<RigFitResult | null>(null);
const unfit = ref('');
const fitting = ref(false);
/** What heat comes in and what the unit gives, laid over the readings. */
async function askFit(): Promise<void> {
  [fit.value, unfit.value, fitting.value] = [null, '', true];
  try {
    fit.value = await ask<RigFitResult>('POST', `/rigs/${rig.id}/commission/as-measured`);
  } catch (error) {
    unfit.value = error instanceof Refused ? error.message : 'The server does not answer; ask again.';
  } finally {
    fitting.value = false;
  }
}
const taken = computed(() => rig.design!.survey.measuredLoss ?? null);
const hundredths = (share: number) => Math.round(share * 100) / 100;
/** Load and Energy reckon with it from here on; the proof stays held against the drawing. */
async function take(found: RigFitResult | null): Promise<void> {
  await rig.change([
    { path: '/survey/measuredLoss', value: found && hundredths(found.loss) },
    { path: '/energy/measuredCapacity', value: found && hundredths(found.capacity) },
  ]);
}
const next = useNextReading(
  'cooling',
  () => cooling.value!.readEveryMin,
  () => begun.value && cooling.value!.reachedMin === null,
);
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
          <ReadingField
            v-else
            v-model="outdoor"
            name="outdoorC"
            label="Air outdoors, in the shade"
            :unit="symbolOf('temperature')"
            :error="errors.outdoorC"
          />
          <p v-if="refused" class="severity-stop" role="alert">{{ refused }}</p>
          <p class="acts">
            <button type="submit" class="plain" :disabled="busy" data-cooling="write">
              {{ begun ? 'write it down' : 'the compressor starts now' }}
            </button>
            <button v-if="begun" type="button" class="plain" :disabled="busy" @click="record(true)">begin anew</button>
          </p>
        </form>
        <section v-if="begun" class="fit" data-fit>
          <p class="acts">
            <button type="button" class="plain" :disabled="fitting" data-fit-ask @click="askFit">
              {{ fitting ? 'laying the model over it …' : 'what do they say of the rig?' }}
            </button>
          </p>
          <p v-if="unfit" class="severity-caution" role="alert">{{ unfit }}</p>
          <template v-if="fit">
            <p>
              {{ say(fit.words) }} <span class="soft">The model stays {{ shown(fit.apartK, 'temperatureDifference') }} from them.</span>
            </p>
            <button v-if="fit.sure" type="button" class="plain" data-fit-take @click="take(fit)">Load and Energy reckon with that</button>
          </template>
          <p v-if="taken !== null" class="soft" data-fit-taken>
            Load and Energy reckon as measured: heat {{ shown(taken, 'fraction') }} of the computed<template
              v-if="rig.design!.energy.measuredCapacity"
              >, cooling {{ shown(rig.design!.energy.measuredCapacity, 'fraction') }} of the rated</template
            >.
            <button type="button" class="bare" @click="take(null)">as computed again</button>
          </p>
        </section>
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

<style scoped src="../../parts/reading.css"></style>
