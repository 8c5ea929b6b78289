<script setup lang="ts">
import type { SourceClass, StartOutcome, StartStudyResult } from '../../api/generated/schema';
import { say, shown } from '../../parts/show';
import { useStudy } from '../../parts/study';

/** Other sources, worse days and the trade's rules beside the start; asked anew when the rig rests for a moment. */
const { study, fault } = useStudy<StartStudyResult>('start-study');
const classes: Partial<Record<SourceClass, string>> = {
  highFrequencyInverter: 'high-frequency inverter',
  transformerInverter: 'transformer inverter',
  inverterGenerator: 'inverter generator',
  conventionalGenerator: 'conventional generator',
};
const ends: Record<StartOutcome, string> = {
  starts: 'starts',
  startsOnlyIfShed: 'only with loads off',
  startsButCannotRun: 'cannot run on',
  stalls: 'stalls',
  tripsDuringStart: 'trips',
};
const watts = (w: number | null) => (w === null ? 'none' : shown(w, 'electricPower'));
</script>

<template>
  <p v-if="fault" role="alert" class="severity-stop">{{ fault }}</p>
  <div v-if="study && study.smallest.length" class="study" data-study>
    <section>
      <h2>The smallest that starts it alone</h2>
      <table class="sheet">
        <thead>
          <tr>
            <th>source</th>
            <th class="number">without help</th>
            <th class="number">hard-start kit</th>
            <th class="number">soft starter</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in study.smallest" :key="row.class">
            <td>{{ classes[row.class] }}</td>
            <td class="number">{{ watts(row.plainW) }}</td>
            <td class="number">{{ watts(row.kitW) }}</td>
            <td class="number">
              <b>{{ watts(row.softW) }}</b>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="study.smallestBatteryA" class="soft">
        The bank must bear {{ shown(study.smallestBatteryA, 'current') }} for hours on end to start it as it stands here.
      </p>
      <h2>Rules of the trade beside the model</h2>
      <table class="sheet" data-rules>
        <tbody>
          <tr v-for="r in study.rules" :key="r.words">
            <td>{{ r.words }}</td>
            <td class="number">{{ shown(r.rule, r.quantity) }}</td>
            <td class="number">
              <b>{{ r.model === null ? 'none' : shown(r.model, r.quantity) }}</b>
            </td>
            <td :class="r.apart ? 'severity-caution' : 'soft'">{{ r.apart ? 'far apart' : 'agree' }}</td>
          </tr>
        </tbody>
      </table>
    </section>
    <section>
      <template v-if="study.sequence">
        <h2>Whose turn it is</h2>
        <ol data-turns>
          <li v-for="name in study.sequence.best.order" :key="name">{{ name }}</li>
        </ol>
        <p>
          <span v-if="study.sequence.best.allStart" class="pass">In this order all start</span>
          <span v-else class="severity-stop">Not all start, in whatever order</span>, the worst uses
          {{ shown(study.sequence.best.worstUsed, 'fraction') }} of what the source bears. At least ten seconds apart; after power returns
          wait three minutes. All at once: {{ ends[study.sequence.atOnce]
          }}{{ study.sequence.atOnce === 'starts' ? '' : ', ' + study.sequence.atOnceCause }}.
        </p>
      </template>
      <h2 :class="{ next: study.sequence }">On a worse day</h2>
      <table class="sheet" data-worse>
        <tbody>
          <tr v-for="s in study.sensitivity" :key="say(s.words)">
            <td>{{ say(s.words) }}</td>
            <td class="number">{{ shown(s.maxA, 'current') }}</td>
            <td :class="s.level ? `severity-${s.level}` : 'pass'">
              {{ ends[s.outcome] }}{{ s.outcome === 'starts' ? `, ${shown(s.surgeUsed, 'fraction')} used` : `: ${s.cause}` }}
            </td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
</template>

<style scoped>
.study {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 22px;
  margin-top: 12px;
}
.pass {
  color: var(--pass);
}
.next {
  margin-top: 14px;
}
</style>
