<script setup lang="ts">
import { computed, ref } from 'vue';
import type { ReleaseRow, ReleaseValues } from '../../api/generated/schema';
import { editable, say, shown, symbolOf } from '../../parts/show';
import { pathOf } from '../../run/place';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { useWriting } from '../../parts/writing';
import { useSaid } from './proof';
import ReadingField from '../../parts/ReadingField.vue';
import WhoReads from '../../parts/WhoReads.vue';

/** May the valves be opened: what is proved, what is ticked at the valves, and what comes after. */
const rig = useRig();
const proof = computed(() => rig.assessment?.commission ?? null);
const release = computed(() => proof.value?.release ?? null);
const { verdict, findings } = useSaid(() => release.value);
const { by, errors, refused, busy, write } = useWriting();
const restPa = ref('');
const restC = ref('');
/** What stands now, as the next record repeats it. */
function standing(): Record<string, string> {
  const now = release.value!.now as unknown as Record<string, boolean | number | null>;
  const typed = (name: keyof ReleaseValues, quantity: 'gaugePressure' | 'temperature') =>
    typeof now[name] === 'number' ? editable(now[name], quantity) : '';
  const ticks = Object.entries(now).filter(([, v]) => typeof v === 'boolean');
  return {
    ...Object.fromEntries(ticks.map(([name, v]) => [name, String(v)])),
    restPa: typed('restPa', 'gaugePressure'),
    restC: typed('restC', 'temperature'),
  };
}
const tick = (row: ReleaseRow) => write('release', { ...standing(), [row.field]: String(!row.passed) });
async function rest(): Promise<void> {
  if (await write('release', { ...standing(), restPa: restPa.value, restC: restC.value })) [restPa.value, restC.value] = ['', ''];
}
const before = computed(() => release.value?.rows.filter((r) => !r.after) ?? []);
const after = computed(() => release.value?.rows.filter((r) => r.after) ?? []);
const barred = computed(() => before.value.some((r) => !r.passed));
</script>

<template>
  <LeafLayout :verdict="verdict" :findings="findings">
    <template #say>
      <template v-if="release">
        <p class="danger">
          Never open before the vacuum is proved, never run with a valve shut. Refrigerant burns by cold: gloves, glasses, no hand before
          the valve. Opening is for who may handle refrigerant here.
        </p>
        <details>
          <summary>gauge at rest, after half an hour</summary>
          <form @submit.prevent="rest">
            <ReadingField v-model="restPa" name="restPa" label="The gauge shows" :unit="symbolOf('gaugePressure')" :error="errors.restPa" />
            <ReadingField v-model="restC" name="restC" label="Air round the unit" :unit="symbolOf('temperature')" :error="errors.restC" />
            <p v-if="release.restExpectedPa !== null" class="soft">
              {{ shown(release.restExpectedPa!, 'gaugePressure') }} is asked by that warmth, within 5 %.
            </p>
            <p class="acts"><button type="submit" class="plain" :disabled="busy" data-rest>write it down</button></p>
          </form>
        </details>
      </template>
      <p v-else class="soft">{{ proof?.notOpened ? say(proof.notOpened) : '' }}</p>
    </template>
    <template v-if="release" #act>
      <WhoReads v-model="by" label="At the valves" class="who-here" />
      <p v-if="refused" class="severity-stop" role="alert">{{ refused }}</p>
    </template>
    <template v-if="release" #picture>
      <ol class="steps" data-gates>
        <li v-for="row in before" :key="row.field || row.leaf" :class="{ passed: row.passed }">
          <RouterLink v-if="row.leaf" :to="pathOf(rig.id, 'commission', row.leaf)" class="step" :data-gate="row.leaf">
            <i aria-hidden="true">{{ row.passed ? '●' : '○' }}</i> <b>{{ say(row.words) }}</b> <span>{{ say(row.said) }}</span>
          </RouterLink>
          <button v-else type="button" class="step" :aria-pressed="row.passed" :disabled="busy" :data-gate="row.field" @click="tick(row)">
            <i aria-hidden="true">{{ row.passed ? '☑' : '☐' }}</i> <b>{{ say(row.words) }}</b> <span>{{ say(row.said) }}</span>
          </button>
        </li>
        <li class="line" :class="{ open: !barred }">{{ barred ? 'the valves stay shut' : 'the valves may be opened' }}</li>
        <li v-for="row in after" :key="row.field" :class="{ passed: row.passed }">
          <button
            type="button"
            class="step"
            :aria-pressed="row.passed"
            :disabled="busy || (barred && !row.passed)"
            :data-gate="row.field"
            @click="tick(row)"
          >
            <i aria-hidden="true">{{ row.passed ? '☑' : '☐' }}</i> <b>{{ say(row.words) }}</b> <span>{{ say(row.said) }}</span>
          </button>
        </li>
      </ol>
    </template>
  </LeafLayout>
</template>

<style scoped src="../../parts/reading.css"></style>
<style scoped src="../../parts/steps.css"></style>
<style scoped>
.step {
  grid-template-columns: 30px minmax(17rem, auto) minmax(0, 1fr);
}
.step span {
  grid-column: 3;
  text-align: right;
}
.steps .line {
  border-top: 3px solid var(--stop);
  padding: 6px 0 6px 40px;
  font-weight: 700;
  color: var(--stop);
}
.steps .line.open {
  border-color: var(--pass);
  color: var(--pass);
}
@media (max-width: 700px) {
  .step {
    grid-template-columns: 30px minmax(0, 1fr);
  }
  .step span {
    grid-column: 2;
    text-align: left;
  }
}
</style>
