<script setup lang="ts">
import { computed, ref } from 'vue';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { say, shown, symbolOf } from '../../parts/show';
import type { HoldRow, NitrogenStep } from '../../api/generated/schema';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { useWriting } from '../../parts/writing';
import { useSaid } from './proof';
import ReadingField from '../../parts/ReadingField.vue';
import WhoReads from '../../parts/WhoReads.vue';

/** How high, in which steps, and whether what is lost is more than the evening's cold. */
const rig = useRig();
const proof = computed(() => rig.assessment?.commission ?? null);
/** Joints that will be hidden have a hold of their own, with blanked ends. */
const ends = ref(false);
const tight = computed(() => (ends.value ? proof.value?.hidden : proof.value?.tight) ?? null);
const { verdict, findings } = useSaid(() => tight.value);
const { by, errors, refused, busy, write, toRead } = useWriting();
const gauge = ref('');
const pipe = ref('');
const barometer = ref('');
const minute = ref('');
const begun = computed(() => (tight.value?.readings.length ?? 0) > 0);
async function record(begins: boolean): Promise<void> {
  if (!gauge.value.trim()) {
    errors.value = { gaugePa: 'Write down what the gauge shows.' };
    return;
  }
  const values = {
    gaugePa: gauge.value,
    pipeC: pipe.value,
    barometerPa: barometer.value,
    minute: begins ? '' : minute.value,
    begins: String(begins),
    blanked: String(ends.value),
  };
  if (await write('nitrogen', values)) [gauge.value, pipe.value, barometer.value, minute.value] = ['', '', '', ''];
}
const steps: SheetColumn<NitrogenStep>[] = [
  { key: 'pa', label: 'nitrogen to', number: true, text: (s) => shown(s.gaugePa, 'gaugePressure'), width: 110 },
  { key: 'min', label: 'held', number: true, text: (s) => `${s.minutes} min`, width: 80 },
  { key: 'why', label: 'why', text: (s) => s.why, wide: true },
];
const rows: SheetColumn<HoldRow>[] = [
  { key: 'minute', label: 'minute', number: true, text: (r) => String(Math.round(r.minute * 10) / 10), width: 60 },
  { key: 'gauge', label: 'gauge', number: true, text: (r) => shown(r.gaugePa, 'gaugePressure'), width: 88 },
  { key: 'pipe', label: 'pipe', number: true, text: (r) => (r.pipeC === null ? '–' : shown(r.pipeC, 'temperature')), width: 70 },
  { key: 'by', label: 'by', text: (r) => r.by },
];
</script>

<template>
  <LeafLayout :verdict="verdict" :findings="findings">
    <template #say>
      <template v-if="tight">
        <p class="danger">
          Nitrogen through a regulator, bottle upright and chained. <b>Never oxygen, never compressed air, never acetylene</b>: oil
          explodes. Stand aside, vent outdoors.
        </p>
        <WhoReads v-model="by" />
        <p v-if="proof?.hidden" class="units" role="group" aria-label="What is held">
          <button type="button" class="unit" :aria-pressed="!ends" @click="ends = false">the whole circuit</button>
          <button type="button" class="unit" :aria-pressed="ends" data-hidden @click="ends = true">
            joints that will be hidden, ends blanked
          </button>
        </p>
        <form @submit.prevent="record(!begun)">
          <ReadingField v-model="gauge" name="gaugePa" label="The gauge shows" :unit="symbolOf('gaugePressure')" :error="errors.gaugePa" />
          <ReadingField v-model="pipe" name="pipeC" label="The pipe is" :unit="symbolOf('temperature')" :error="errors.pipeC" />
          <ReadingField v-if="begun" v-model="minute" name="minute" label="at minute" hint="now" :error="errors.minute" />
          <details>
            <summary>barometer, where one is there</summary>
            <ReadingField
              v-model="barometer"
              name="barometerPa"
              label="Air here"
              :unit="symbolOf('absolutePressure')"
              :error="errors.barometerPa"
            />
          </details>
          <p v-if="refused" class="severity-stop" role="alert">{{ refused }}</p>
          <p class="acts">
            <button type="submit" class="plain" :disabled="busy" data-hold="write">
              {{ begun ? 'write it down' : 'the hold begins' }}
            </button>
            <button v-if="begun" type="button" class="plain" :disabled="busy" @click="record(true)">begin anew</button>
          </p>
        </form>
        <AskGroup title="What it may stand" :open="false">
          <AskField
            v-for="f in ['targetPa', 'fullScalePa', 'markPa', 'hosePa', 'fittingsPa', 'probe', 'hottestC']"
            :key="f"
            :path="`/commission/nitrogen/${f}`"
          />
          <AskField path="/commission/volumeM3" />
        </AskGroup>
      </template>
      <p v-else class="soft">{{ proof?.notOpened ? say(proof.notOpened) : 'No nitrogen is asked on this job.' }}</p>
    </template>
    <template v-if="tight" #act>
      <button type="button" class="plain jump" data-jump @click="toRead">+ reading</button>
    </template>
    <template v-if="tight" #picture>
      <dl class="now" data-hold-now>
        <div>
          <dt>tested with</dt>
          <dd>{{ shown(tight.targetPa, 'gaugePressure') }}</dd>
        </div>
        <div v-if="tight.limitPa !== null">
          <dt>{{ tight.limitBy }} may stand</dt>
          <dd>{{ shown(tight.limitPa!, 'gaugePressure') }}</dd>
        </div>
        <div v-if="tight.expectedPa !== null">
          <dt>by temperature alone</dt>
          <dd>{{ shown(tight.expectedPa!, 'gaugePressure') }}</dd>
        </div>
      </dl>
      <SheetTable
        v-if="tight.readings.length"
        name="Readings of the hold"
        :rows="tight.readings"
        :columns="rows"
        copies
        data-hold-readings
      />
      <SheetTable name="Nitrogen in steps" :rows="tight.steps" :columns="steps" copies />
    </template>
  </LeafLayout>
</template>

<style scoped src="../../parts/reading.css"></style>
