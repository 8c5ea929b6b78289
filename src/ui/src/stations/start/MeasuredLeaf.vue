<script setup lang="ts">
import { computed, ref } from 'vue';
import { ask, textOf, whyNot } from '../../api/client';
import type { RigView } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import DrawnChart from '../../parts/DrawnChart.vue';
import FilePick from '../../parts/FilePick.vue';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { startPicture } from './picture';

/** What was measured, drawn over the model that is fitted to it. */
const rig = useRig();
const start = computed(() => rig.assessment!.start!);
const measured = computed(() => rig.design!.start.measured);
const single = computed(() => !start.value.inverterDriven);
const error = ref('');
const trace = computed(() => startPicture(start.value, measured.value));

async function read(file: File): Promise<void> {
  error.value = '';
  try {
    rig.take(await ask<RigView>('POST', `/rigs/${rig.id}/measured-start`, await textOf(file)));
  } catch (e) {
    error.value = whyNot(e, file.name);
  }
}
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskField v-if="single" path="/start/measuredA" />
      <p v-if="single" class="acts files">
        <FilePick words="read a logger's CSV" accept=".csv" data-measured @pick="read" />
        <button v-if="measured.length" type="button" class="plain" @click="rig.set('/start/measured', [])">leave out</button>
      </p>
      <p v-if="error" class="severity-stop" role="alert">{{ error }}</p>
      <p class="soft small">
        {{
          single
            ? 'Time and current, the header says ms or s. The model is fitted to it and drawn beside it. Clamp on one conductor, range above the expected peak.'
            : 'A unit driven by electronics has no start to catch: measure its most after a minute at full power, in Commission.'
        }}
      </p>
    </template>
    <template #picture>
      <DrawnChart v-if="start.trace.seconds.length" fill :option="trace" :height="300" label="The measured start over the model" />
    </template>
  </LeafLayout>
</template>

<style scoped>
.files {
  margin: 10px 0;
}
</style>
