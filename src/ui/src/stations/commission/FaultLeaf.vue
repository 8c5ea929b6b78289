<script setup lang="ts">
import { computed, ref } from 'vue';
import AskField from '../../parts/AskField.vue';
import PaperLink from '../../parts/PaperLink.vue';
import { useLeaf } from '../../run/place';
import { useRig } from '../../stores/rig';
import type { StationState, TestRow, Verdict } from '../../api/generated/schema';
import LeafLayout from '../LeafLayout.vue';
import { useWriting } from '../../parts/writing';
import WhoReads from '../../parts/WhoReads.vue';

/** What is wrong: the next thing to look at, its answers as buttons, the causes that are left. */
const rig = useRig();
const leaf = useLeaf();
const fault = computed(() => rig.assessment?.commission?.fault ?? null);
const { by, refused, busy, write } = useWriting();
const atOnce = 3;
const all = ref(false);
const tests = computed(() => (all.value ? fault.value!.tests : fault.value!.tests.slice(0, atOnce)));
const verdict = computed<Verdict | undefined>(() =>
  fault.value
    ? {
        state: (leaf.value?.verdict.state === 'passed' ? 'open' : leaf.value?.verdict.state) as StationState,
        headline: fault.value.words,
        detail: fault.value.next,
      }
    : undefined,
);
const answer = (t: TestRow, value: string) => write('fault', { question: t.id, answer: value });
const percent = (share: number) => `${share < 0.01 ? '<1' : Math.round(share * 100)} %`;
</script>

<template>
  <LeafLayout :verdict="verdict" :findings="leaf?.findings">
    <template #say>
      <p class="danger">
        Smell of burning: power off now. Prove dead before a cover comes off; capacitors hold charge for minutes. Refrigerant and fixed
        wiring are for those who may.
      </p>
      <AskField v-for="f in ['code', 'inService', 'electrician', 'handler']" :key="f" :path="`/commission/fault/${f}`" />
      <p v-if="fault?.codeWords">
        The manual says: <b>{{ fault.codeWords }}</b>
      </p>
      <PaperLink :href="`/api/rigs/${rig.id}/commission/ask.pdf`" kind="PDF" paper="pdf">Sheet to ask with</PaperLink>
    </template>
    <template v-if="fault" #act>
      <WhoReads v-model="by" class="who-here" />
      <p v-if="refused" class="severity-stop" role="alert">{{ refused }}</p>
    </template>
    <template v-if="fault" #picture>
      <section v-for="(t, place) in tests" :key="t.id" class="test" :class="{ first: place === 0 }" :data-test="t.id">
        <h3>{{ t.asks }}</h3>
        <p class="soft small">
          {{ t.why }} <template v-if="t.who !== 'anyone'">For {{ t.who }}. </template>{{ t.minutes }} min, tells
          {{ t.tells.toFixed(2) }} bit.
        </p>
        <p class="acts">
          <button
            v-for="a in t.answers"
            :key="a.id"
            type="button"
            class="plain"
            :disabled="busy"
            :data-answer="a.id"
            @click="answer(t, a.id)"
          >
            {{ a.words }}
          </button>
        </p>
      </section>
      <button v-if="fault.tests.length > atOnce" type="button" class="plain" data-more-tests @click="all = !all">
        {{ all ? 'fewer questions' : `all ${fault.tests.length} questions` }}
      </button>
      <h3 class="left">What is left</h3>
      <ol class="causes" data-causes>
        <li v-for="c in fault.causes" :key="c.id" :data-cause="c.id">
          <span class="bar" :style="{ width: `${Math.max(1, c.chance * 100)}%` }" aria-hidden="true"></span>
          <b>{{ c.name }}</b> <span>{{ percent(c.chance) }}</span>
        </li>
      </ol>
    </template>
    <template v-if="fault" #below>
      <section v-if="fault.said.length" data-said>
        <h2>Answered</h2>
        <ul class="said">
          <li v-for="s in fault.said" :key="s.question">
            {{ s.asks }} <b>{{ s.words }}</b> <small class="soft">{{ s.by }}</small>
            <button type="button" class="bare" :disabled="busy" @click="write('fault', { question: s.question, answer: '' })">
              take back
            </button>
          </li>
        </ul>
        <button type="button" class="plain" :disabled="busy" @click="write('fault', { fresh: 'true' })">begin a new search</button>
      </section>
      <p class="soft small">{{ fault.source }}</p>
    </template>
  </LeafLayout>
</template>

<style scoped src="../../parts/reading.css"></style>
<style scoped>
.test {
  border-top: 1px solid var(--hair);
  padding: 6px 0;
}
.test h3 {
  margin: 0;
  font-size: 16px;
}
.first h3 {
  font-size: 21px;
}
.left {
  margin: 14px 0 4px;
}
.test p {
  margin: 3px 0;
}
.causes {
  list-style: none;
  margin: 0;
  padding: 0;
  max-width: 46rem;
}
.causes li > span:last-child {
  white-space: nowrap;
}
.causes li {
  position: relative;
  display: flex;
  justify-content: space-between;
  padding: 5px 8px;
  margin-bottom: 3px;
  isolation: isolate;
}
.bar {
  position: absolute;
  inset: 0 auto 0 0;
  background: var(--hair);
  z-index: -1;
}
.said {
  list-style: none;
  margin: 0 0 8px;
  padding: 0;
}
.said li {
  border-top: 1px solid var(--hair);
  padding: 4px 0;
}
@media (pointer: coarse), (max-width: 700px) {
  .said .bare,
  .acts .plain {
    min-height: 44px;
  }
}
</style>
