<script setup lang="ts">
import type { LimitedPowerView } from '../../api/generated/schema';
import { clock, say, shown } from '../../parts/show';
import { useProposal } from '../../parts/proposal';
import { useStudy } from '../../parts/study';

/** Running on limited power: what a degree costs, what cooling ahead buys, what is switched off first. */
const { study: view, fault } = useStudy<LimitedPowerView>('limited-power');

const { refused, propose } = useProposal();

/** Hours in a row as from and to. */
function hours(of: number[]): string {
  const runs: number[][] = [];
  for (const h of of) {
    const last = runs.at(-1);
    if (last && last[1] === h) last[1] = h + 1;
    else runs.push([h, h + 1]);
  }
  return runs.map(([from, to]) => `${clock(from!)} to ${clock(to!)}`).join(', ');
}

const moved = (k: number) => (k === 0 ? 'as it is set' : `${Math.abs(k)} K ${k > 0 ? 'warmer' : 'cooler'}`);
</script>

<template>
  <p v-if="refused || (fault && !view)" class="severity-stop" role="alert">{{ refused || fault }}</p>
  <section v-if="view" class="limited" data-limited>
    <h2>On limited power</h2>
    <p v-for="f in view.findings" :key="f.code" data-limited-finding>
      <b :class="'severity-' + f.level">{{ f.level }}</b> {{ say(f.words) }}
    </p>
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
        <p v-if="view.drift">
          Half a degree warmer each hour after midnight spares <b>{{ shown(view.drift.savedWh, 'energy') }}</b> and ends at
          {{ shown(view.drift.warmestC, 'temperature') }}: people notice the stop, not the drift.
        </p>
        <p v-if="view.fanHours.length">
          The fan alone does it in {{ view.fanHours.length }} hours of the design day ({{ hours(view.fanHours) }}): the air outdoors is
          cooler and drier.
        </p>
        <p v-if="view.belowLowestHours > 1">
          For {{ shown(view.belowLowestHours, 'hours') }} the load is below the unit's lowest steady cooling. Where the air is damp, let it
          run on at its lowest: set-points of their own, dry.
        </p>
      </div>
      <div>
        <h3>Switch off in this order</h3>
        <table class="sheet" data-shed>
          <thead>
            <tr>
              <th colspan="2">next off</th>
              <th class="number">spared in all</th>
              <th v-if="view.rows.some((r) => r.minSoc !== null)" class="number">lowest charge</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(r, i) in view.rows" :key="i">
              <td>{{ say(r.words) }}</td>
              <td class="turn">
                <button
                  v-if="i > 0 && r.device !== null"
                  type="button"
                  class="bare"
                  :aria-label="`${say(r.words)} one earlier`"
                  title="one earlier"
                  @click="propose('shed-earlier', { row: r.device })"
                >
                  ↑
                </button>
              </td>
              <td class="number">{{ shown(r.savedWh, 'energy') }}</td>
              <td v-if="r.minSoc !== null" class="number">
                <b>{{ shown(r.minSoc, 'fraction') }}</b>
              </td>
            </tr>
          </tbody>
        </table>
        <details>
          <summary>the usual order of the trade</summary>
          <ol>
            <li v-for="s in view.shed" :key="s">{{ s }}</li>
          </ol>
        </details>
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
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 22px;
  align-items: start;
}
h3 {
  font-size: 15px;
  margin: 0 0 2px;
}
.turn {
  width: 34px;
}
.turn button {
  min-width: 34px;
  min-height: 30px;
}
summary {
  cursor: pointer;
  color: var(--soft);
  padding: 6px 0;
}
ol {
  margin: 4px 0 6px;
  padding-left: 22px;
}
</style>
