<script setup lang="ts">
import { computed, ref } from 'vue';
import { ask, Refused } from '../../api/client';
import type { FromNowView, Verdict } from '../../api/generated/schema';
import { clock, shown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { useLeafSays } from '../said';

/** The owner at night: this full, this late, until when, and what goes off first. */
const rig = useRig();
const charge = ref(40);
const at = new Date();
const hour = ref(`${String(at.getHours()).padStart(2, '0')}:${String(at.getMinutes()).padStart(2, '0')}`);
const found = ref<FromNowView | null>(null);
const refused = ref('');
const busy = ref(false);
async function look(): Promise<void> {
  const [h, m] = hour.value.split(':').map(Number);
  [refused.value, busy.value] = ['', true];
  try {
    found.value = await ask<FromNowView>(
      'GET',
      `/rigs/${rig.id}/handover/now?charge=${charge.value / 100}&hour=${(h ?? 0) + (m ?? 0) / 60}`,
    );
  } catch (error) {
    found.value = null;
    refused.value = error instanceof Refused ? error.message : 'The server does not answer; ask again.';
  } finally {
    busy.value = false;
  }
}
const unasked = useLeafSays();
const verdict = computed<Verdict>(() =>
  found.value ? { ...unasked.value, state: found.value.state, headline: found.value.words } : unasked.value,
);
const until = (hours: number | null | undefined, untilHour: number | null | undefined) =>
  hours === null || hours === undefined ? 'the day round' : `${clock(untilHour!)}, ${shown(hours, 'hours')}`;
</script>

<template>
  <LeafLayout :verdict="verdict">
    <template #say>
      <form class="ask" @submit.prevent="look">
        <label
          >The battery is at <span><input v-model.number="charge" type="number" min="1" max="100" data-charge /> %</span></label
        >
        <label>It is <input v-model="hour" type="time" data-hour /></label>
        <button type="submit" class="plain big" :disabled="busy" data-look>{{ busy ? 'looking …' : 'until when?' }}</button>
      </form>
      <p v-if="refused" class="severity-stop" role="alert">{{ refused }}</p>
    </template>
    <template v-if="found" #picture>
      <dl class="ways" data-ways>
        <div v-for="w in found.ways" :key="w.name">
          <dt>{{ w.name }}</dt>
          <dd>{{ until(w.hours, w.untilHour) }}</dd>
        </div>
      </dl>
      <h2>What goes off, in this order</h2>
      <ol class="off" data-off>
        <li v-for="o in found.off" :key="o">{{ o }}</li>
      </ol>
      <p class="soft">By the same run in time as Energy's night, in the design day's weather; the charge that is kept stays.</p>
    </template>
  </LeafLayout>
</template>

<style scoped>
.ask {
  display: grid;
  gap: 12px;
}
label {
  display: grid;
  color: var(--soft);
}
input {
  font: inherit;
  font-size: 26px;
  font-weight: 700;
  min-height: 48px;
  width: 130px;
  border: 0;
  border-bottom: 2px solid var(--ink);
  background: var(--raised);
  color: var(--ink);
  padding: 0 6px;
}
.big {
  min-height: 52px;
  font-size: 18px;
}
.ways div {
  display: flex;
  justify-content: space-between;
  max-width: 30rem;
  border-top: 1px solid var(--hair);
  padding: 8px 0;
}
dd {
  margin: 0;
  font-size: 22px;
  font-weight: 700;
  font-variant-numeric: tabular-nums;
}
.off li {
  padding: 4px 0;
}
</style>
