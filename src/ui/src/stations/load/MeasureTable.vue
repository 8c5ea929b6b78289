<script setup lang="ts">
import type { LoadAssessment, LoadMeasure } from '../../api/generated/schema';
import { say, shown } from '../../parts/show';
import { useRig } from '../../stores/rig';

/** What would buy most, and any of them tried together without counting a saving twice. */
const props = defineProps<{ load: LoadAssessment }>();
const rig = useRig();
const hours = (m: { nightHours: number; allNight: boolean }) =>
  m.allNight ? 'all night' : `${m.nightHours < 0 ? '−' : '+'}${Math.abs(m.nightHours).toFixed(1)} h`;

function take(measure: LoadMeasure): void {
  if (measure.changes.length) void rig.apply(measure.changes);
}

function tryIt(measure: LoadMeasure): void {
  const tried = props.load.measures.filter((m) => (m.id === measure.id ? !m.tried : m.tried)).map((m) => m.id);
  void rig.set('/load/trying', tried.join(','));
}
</script>

<template>
  <section>
    <h2>What would buy most</h2>
    <table class="sheet">
      <thead>
        <tr>
          <th>try</th>
          <th>measure</th>
          <th class="number">peak</th>
          <th class="number">a day</th>
          <th class="number">night lasts</th>
          <th class="number">weighs</th>
          <th class="number">costs</th>
          <th></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="measure in load.measures" :key="measure.id" :data-measure="measure.id">
          <td>
            <input
              type="checkbox"
              :checked="measure.tried"
              :aria-label="`Try ${say(measure.words)} with the others`"
              @change="tryIt(measure)"
            />
          </td>
          <td>{{ say(measure.words) }}</td>
          <td class="number">
            <b>{{ shown(measure.peakChangeW, 'power') }}</b>
          </td>
          <td class="number soft">{{ shown(measure.dayChangeWh, 'heatEnergy') }}</td>
          <td class="number soft">{{ hours(measure) }}</td>
          <td class="number soft">{{ measure.massKg > 0 ? shown(measure.massKg, 'mass') : '–' }}</td>
          <td class="number soft">{{ measure.cost > 0 ? 'about ' + Math.round(measure.cost / 10) * 10 + ' €' : '–' }}</td>
          <td>
            <button type="button" class="plain" :disabled="measure.changes.length === 0" @click="take(measure)">take it</button>
          </td>
        </tr>
        <tr v-if="load.together" class="together" data-together>
          <td></td>
          <td>
            <b>{{ load.together.ids.length }} together</b>
            <span class="soft"> (one by one {{ shown(load.together.sumOfPeaksW, 'power') }})</span>
          </td>
          <td class="number">
            <b>{{ shown(load.together.peakChangeW, 'power') }}</b>
          </td>
          <td class="number">{{ shown(load.together.dayChangeWh, 'heatEnergy') }}</td>
          <td class="number">{{ hours(load.together) }}</td>
          <td class="number">{{ shown(load.together.massKg, 'mass') }}</td>
          <td class="number">about {{ Math.round(load.together.cost / 10) * 10 }} €</td>
          <td><button type="button" class="plain" @click="rig.apply(load.together!.changes)">take all</button></td>
        </tr>
      </tbody>
    </table>
    <p class="soft small">Weights and costs are rough. “Night lasts”: how much longer the same cooling carries the night.</p>
  </section>
</template>

<style scoped>
.small {
  font-size: 13px;
}
.together td {
  border-top: 2px solid var(--ink);
}
input[type='checkbox'] {
  width: 20px;
  height: 20px;
  accent-color: var(--ink);
}
</style>
