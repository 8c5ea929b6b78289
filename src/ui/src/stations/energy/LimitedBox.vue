<script setup lang="ts">
import type { LimitedPowerView } from '../../api/generated/schema';
import { shown } from '../../parts/show';
import { useStudy } from '../../parts/study';

/** Running on limited power: what a degree costs, what cooling ahead buys, what is switched off first. */
const { study: view } = useStudy<LimitedPowerView>('limited-power');

const moved = (k: number) => (k === 0 ? 'as it is set' : `${Math.abs(k)} K ${k > 0 ? 'warmer' : 'cooler'}`);
</script>

<template>
  <section v-if="view" class="limited" data-limited>
    <h2>On limited power</h2>
    <div class="pair">
      <div>
        <table class="sheet">
          <thead>
            <tr>
              <th>all set-points</th>
              <th class="number">unit takes</th>
              <th class="number">change</th>
              <th class="number">lowest charge</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="d in view.degrees" :key="d.kelvin">
              <td>{{ moved(d.kelvin) }}</td>
              <td class="number">{{ shown(d.airconWh, 'energy') }}</td>
              <td class="number">
                {{ d.kelvin === 0 ? '' : (d.differenceWh > 0 ? '+' : '−') + shown(Math.abs(d.differenceWh), 'energy') }}
              </td>
              <td class="number">{{ d.minSoc === null ? '–' : shown(d.minSoc, 'fraction') }}</td>
            </tr>
          </tbody>
        </table>
        <p class="soft">
          By the quick estimate, loss × hours over the unit's yield, a degree costs {{ shown(view.quickWh, 'energy') }} a day.
        </p>
        <p>
          Cooling {{ shown(view.preCoolK, 'temperatureDifference') }} ahead lets the unit rest {{ shown(view.preCool.restH, 'hours') }} at
          dusk and takes {{ shown(view.preCoolDrawnWh, 'energy') }} by day:
          <b>{{ view.worthIt ? 'the sun without a taker covers it.' : 'without surplus sun it costs more than it saves.' }}</b>
        </p>
      </div>
      <div>
        <p><b>Switch off in this order</b></p>
        <ol>
          <li v-for="s in view.shed" :key="s">{{ s }}</li>
        </ol>
        <p class="soft">Never: {{ view.never }}. After power returns wait three minutes; start one compressor at a time.</p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.limited {
  margin-top: 16px;
}
.pair {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: 22px;
  align-items: start;
}
ol {
  margin: 4px 0 6px;
  padding-left: 22px;
}
</style>
