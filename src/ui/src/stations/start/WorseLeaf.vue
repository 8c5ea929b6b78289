<script setup lang="ts">
import { computed } from 'vue';
import type {
  RuleLine,
  SensitivityRow,
  SmallestRow,
  SourceClass,
  StartOutcome,
  StartStudyResult,
  Verdict,
} from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { say, shown } from '../../parts/show';
import { useStudy } from '../../parts/study';
import { leafAnswer } from '../../run/place';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';

/** Other sources, worse days and the trade's rules beside the start; asked anew when the rig rests for a moment. */
const rig = useRig();
const { study, fault } = useStudy<StartStudyResult>('start-study');
const single = computed(() => !rig.assessment!.start?.inverterDriven);
const verdict = computed<Verdict>(() => ({
  state: leafAnswer('start', 'worse')?.verdict.state ?? 'open',
  headline: study.value?.answer ?? { template: 'Worse days are being tried.', measures: [] },
  detail: { template: '', measures: [] },
}));
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
const ending = (s: SensitivityRow) =>
  ends[s.outcome] + (s.outcome === 'starts' ? `, overload timer at ${shown(s.surgeUsed, 'fraction')}` : `: ${s.cause}`);

const worse: SheetColumn<SensitivityRow>[] = [
  { key: 'words', label: 'the day', text: (s) => say(s.words), wide: true },
  { key: 'peak', label: 'peak', number: true, text: (s) => shown(s.maxA, 'current'), sort: (s) => s.maxA },
  { key: 'ends', label: 'then', text: ending, wide: true },
];
const smallest: SheetColumn<SmallestRow>[] = [
  { key: 'class', label: 'source', text: (r) => classes[r.class] ?? r.class, wide: true },
  { key: 'plain', label: 'without help', number: true, text: (r) => watts(r.plainW) },
  { key: 'kit', label: 'hard-start kit', number: true, text: (r) => watts(r.kitW) },
  { key: 'soft', label: 'soft starter', number: true, text: (r) => watts(r.softW) },
];
const rules: SheetColumn<RuleLine>[] = [
  { key: 'words', label: 'rule of the trade', text: (r) => r.words, wide: true },
  { key: 'rule', label: 'by the rule', number: true, text: (r) => shown(r.rule, r.quantity) },
  { key: 'model', label: 'by the model', number: true, text: (r) => (r.model === null ? 'none' : shown(r.model, r.quantity)) },
  { key: 'apart', label: '', text: (r) => (r.apart ? 'far apart' : 'agree') },
];
</script>

<template>
  <LeafLayout :verdict="verdict">
    <template #say>
      <AskField v-for="f in ['/start/on', ...(single ? ['/start/remedy', '/start/restedS'] : [])]" :key="f" :path="f" />
      <AskGroup v-if="single" title="Other compressors" :open="rig.design!.start.further.length > 0">
        <AskRows path="/start/further" one="compressor">
          <template #default="{ path }">
            <AskField v-for="f in ['name', 'rlaA', 'lraA', 'fanW', 'soft']" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
    </template>
    <template #picture>
      <p v-if="fault" role="alert" class="severity-stop">{{ fault }}</p>
      <el-skeleton v-if="!study && !fault" :rows="6" />
      <section v-if="study?.sensitivity.length" data-worse>
        <SheetTable name="On a worse day" :rows="study.sensitivity" :columns="worse" copies>
          <template #ends="{ row }">
            <span :class="row.level ? `severity-${row.level}` : 'severity-pass'">{{ ending(row) }}</span>
          </template>
        </SheetTable>
      </section>
      <el-empty
        v-else-if="study"
        :image-size="0"
        description="A unit driven by electronics has no locked rotor: cold banks and long cables are asked of running it, on the first leaf."
      />
    </template>
    <template #below>
      <section v-if="study?.sequence">
        <h2>Whose turn it is</h2>
        <ol data-turns>
          <li v-for="name in study.sequence.best.order" :key="name">{{ name }}</li>
        </ol>
        <p>
          <span v-if="study.sequence.best.allStart" class="severity-pass">In this order all start</span>
          <span v-else class="severity-stop">Not all start, in whatever order</span>, the overload timer gets to
          {{ shown(study.sequence.best.worstUsed, 'fraction') }} at worst. At least ten seconds apart; after power returns wait three
          minutes. All at once: {{ ends[study.sequence.atOnce]
          }}{{ study.sequence.atOnce === 'starts' ? '' : ', ' + study.sequence.atOnceCause }}.
        </p>
      </section>
      <div v-if="study?.smallest.length" class="pair" data-study>
        <section>
          <h2>The smallest that starts it alone</h2>
          <SheetTable name="The smallest that starts it alone" :rows="study.smallest" :columns="smallest" />
          <p v-if="study.smallestBatteryA" class="soft">
            The bank must bear {{ shown(study.smallestBatteryA, 'current') }} for hours on end to start it as it stands here.
          </p>
        </section>
        <section data-rules>
          <h2>Rules of the trade beside the model</h2>
          <SheetTable name="Rules of the trade beside the model" :rows="study.rules" :columns="rules">
            <template #apart="{ row }">
              <span :class="row.apart ? 'severity-caution' : 'soft'">{{ row.apart ? 'far apart' : 'agree' }}</span>
            </template>
          </SheetTable>
        </section>
      </div>
    </template>
  </LeafLayout>
</template>
