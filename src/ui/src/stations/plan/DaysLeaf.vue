<script setup lang="ts">
import { computed, ref } from 'vue';
import type { CrewDesign, OutlookDesign, OwnStepDesign, PlanStep, PlanStudyResult, WaitRow } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import FromShop from '../../parts/FromShop.vue';
import PaperLink from '../../parts/PaperLink.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { useLongRun } from '../../parts/longRun';
import { say } from '../../parts/show';
import { useStudy } from '../../parts/study';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { dayMinutes, minuteClock, spanOf, under } from './asked';
import DaysPicture from './DaysPicture.vue';

/** Done by when, by whom, and what is done while something runs. The quick rule answers at once, the solver when it is through. */
const rig = useRig();
const quick = computed(() => rig.assessment?.plan ?? null);
const { study: found, busy, fault, fresh } = useStudy<PlanStudyResult>('plan-study');
const study = computed(() => (fresh.value ? found.value : null));
const again = useLongRun<PlanStudyResult>('plan-from-now');
/** The plan from now on, with what the log says is done; else the whole of it. */
const onlyRest = ref(false);
const rest = computed(() => (onlyRest.value ? (again.result.value?.plan ?? null) : null));
const begun = computed(() => {
  const site = rig.assessment?.install;
  return !!site && site.done < site.steps.length && rig.records.some((r) => r.kind === 'install');
});
const plan = computed(() => rest.value ?? study.value?.plan ?? quick.value);
async function fromNow(): Promise<void> {
  onlyRest.value = await again.run();
}
const won = computed(() => study.value?.wonMin ?? 0);
const method = ['flare', 'tighten', 'prove', 'gauge', 'handPump', 'valve', 'hosesUnderVacuum', 'slack', 'leak', 'level'];
const when = (minute: number) =>
  `${plan.value && plan.value.days.length > 1 ? `${Math.floor(minute / dayMinutes) + 1}. day ` : ''}${minuteClock(minute)}`;
const before = (id: string) =>
  (plan.value?.edges ?? []).filter((e) => e.after === id).map((e) => plan.value!.steps.find((s) => s.id === e.before)?.name ?? e.before);
const few = (names: string[]) => names.slice(0, 2).join(', ') + (names.length > 2 ? ` and ${names.length - 2} more` : '');
const steps: SheetColumn<PlanStep>[] = [
  { key: 'start', label: 'from', text: (s) => when(s.start!), width: 104 },
  { key: 'end', label: 'to', text: (s) => minuteClock(s.end!), width: 64 },
  { key: 'name', label: 'step', text: (s) => s.name, wide: true },
  { key: 'who', label: 'who', text: (s) => s.people.map((p) => plan.value!.people[p]!.name).join(', '), width: 130 },
  { key: 'skill', label: 'led by', text: (s) => ({ handler: 'refrigerant', electrician: 'electrical' })[s.skill] ?? 'anyone', width: 100 },
  { key: 'wait', label: 'then runs', text: (s) => (s.waitEnd! > s.end! ? `${s.wait}, ${spanOf(s.waitEnd! - s.end!)}` : ''), width: 190 },
  { key: 'after', label: 'after', text: (s) => few(before(s.id)), wide: true, desk: true },
  { key: 'binds', label: 'binds', text: (s) => (s.binds ? 'yes' : ''), width: 56 },
];
const waits: SheetColumn<WaitRow>[] = [
  { key: 'from', label: 'from', text: (w) => when(w.from), width: 104 },
  { key: 'to', label: 'to', text: (w) => when(w.to), width: 104 },
  { key: 'what', label: 'runs by itself', text: (w) => `${w.what}: ${w.step}`, wide: true },
  { key: 'meanwhile', label: 'meanwhile', text: (w) => w.meanwhile.join(', ') || 'nothing: rest, drink, look at the supply', wide: true },
];
const placed = computed(() =>
  (plan.value?.steps ?? [])
    .filter((s) => s.start !== null && (!rest.value || s.people.length > 0))
    .toSorted((a, b) => a.start! - b.start! || a.end! - b.end!),
);
const file = (name: string) => `/api/rigs/${rig.id}/plan/${name}`;
</script>

<template>
  <LeafLayout :verdict="plan?.verdict" :findings="plan?.findings.filter((f) => !f.leaf)">
    <template #say>
      <AskGroup title="When" :paths="under('when', 'firstDay', 'from', 'to', 'breakAt', 'breakH', 'weekends', 'byDaylight', 'outOfHeat')" />
      <AskGroup title="Who">
        <AskRows
          v-slot="{ path }"
          path="/plan/crew"
          one="person"
          :add="{ name: 'helper', licence: 'none', helper: true } as Partial<CrewDesign>"
        >
          <AskField v-for="f in ['name', 'licence', 'flammable', 'helper', 'rateH']" :key="f" :path="`${path}/${f}`" />
        </AskRows>
        <FromShop list="crew" />
      </AskGroup>
      <AskGroup title="How" :open="false" :paths="under('method', ...method)" />
      <AskGroup
        title="What is there, what comes too"
        :open="false"
        :paths="
          under(
            'method',
            'holeThere',
            'openingThere',
            'oldUnit',
            'linesThere',
            'chargeLost',
            'circuitThere',
            'permit',
            'certifiedJoining',
            'heats',
            'extraCharge',
            'battery',
            'modules',
          )
        "
      />
      <AskGroup title="Rain and wind" :open="false">
        <AskRows v-slot="{ path }" path="/plan/outlook" one="stretch" :add="{ day: 1 } as Partial<OutlookDesign>">
          <AskField v-for="f in ['day', 'from', 'to', 'wet', 'windMs']" :key="f" :path="`${path}/${f}`" />
        </AskRows>
      </AskGroup>
      <AskGroup title="Steps of our own" :open="false">
        <AskRows v-slot="{ path }" path="/plan/own" one="step" :add="{ name: 'own step' } as Partial<OwnStepDesign>">
          <AskField
            v-for="f in ['name', 'after', 'before', 'handsMin', 'waitMin', 'people', 'led', 'place', 'check']"
            :key="f"
            :path="`${path}/${f}`"
          />
        </AskRows>
      </AskGroup>
      <AskGroup title="Site and pace" :open="false" :paths="under('when', 'supplyW', 'pumps', 'pace', 'dayShare', 'finisherDay')" />
      <PaperLink :href="file('days.pdf')" kind="PDF" paper="pdf">Day sheet and pick list</PaperLink>
      <PaperLink v-if="rig.design!.plan.when.finisherDay" :href="file('finisher.pdf')" kind="PDF" paper="finisher"
        >Ready for the finisher</PaperLink
      >
      <PaperLink v-if="rig.design!.plan.when.firstDay" :href="file('days.ics')" kind="ICS" paper="ics" file="days.ics">Calendar</PaperLink>
    </template>
    <template v-if="plan" #act>
      <dl class="further">
        <dt><RouterLink :to="`/rig/${rig.id}/plan/buy`">missing</RouterLink></dt>
        <dd data-missing>{{ say(plan.answers.buy!) }}</dd>
        <dt><RouterLink :to="`/rig/${rig.id}/plan/quote`">costs</RouterLink></dt>
        <dd data-costs>{{ say(plan.answers.quote!) }}</dd>
      </dl>
      <p class="soft small" data-proof>
        <template v-if="rest">From now on, with what is done on site.</template>
        <template v-else-if="busy">Looking for better days …</template>
        <template v-else-if="fault">{{ fault }}</template>
        <template v-else-if="study?.plan && won > 0">{{ spanOf(won) }} sooner than by the quick rule.</template>
        <template v-else-if="study?.plan">The quick rule had found it too.</template>
      </p>
      <p v-if="begun" class="rest">
        <button type="button" class="plain" data-from-now :disabled="again.busy.value" @click="fromNow">
          {{ again.busy.value ? 'planning the rest …' : 'plan the rest from now' }}
        </button>
        <button v-if="rest" type="button" class="bare" data-whole @click="onlyRest = false">the whole plan</button>
        <span v-if="again.error.value" class="severity-stop" role="alert">{{ again.error.value }}</span>
        <span v-else-if="onlyRest && !rest" class="severity-caution">What is left cannot be planned so.</span>
      </p>
    </template>
    <template v-if="plan && plan.ends !== null" #picture>
      <DaysPicture :plan="plan" />
      <p v-if="study?.ways.length && !rest" class="ways" data-ways>
        <button v-for="w in study.ways" :key="w.words" type="button" class="plain" @click="rig.apply(w.take.changes)">
          {{ w.words }}
          <em>{{ w.ends }}{{ w.winsMin ? `, ${spanOf(Math.abs(w.winsMin))} ${w.winsMin > 0 ? 'sooner' : 'later'}` : ', no change' }}</em>
        </button>
      </p>
    </template>
    <template v-if="plan && plan.ends !== null" #below>
      <SheetTable v-if="plan.waits.length" name="While it runs" :rows="plan.waits" :columns="waits" />
      <SheetTable name="Steps" :rows="placed" :columns="steps" copies />
    </template>
  </LeafLayout>
</template>

<style scoped>
.further {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 4px 14px;
  margin: 8px 0;
}
.further dd {
  margin: 0;
}
.further a {
  display: inline-flex;
  align-items: center;
  min-height: 24px;
  color: var(--soft);
}
@media (pointer: coarse), (max-width: 700px) {
  .further a {
    min-height: 44px;
    min-width: 44px;
  }
}
.rest {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
  margin: 6px 0 0;
}
.rest .bare {
  min-height: 44px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 8px 0 0;
}
.ways em {
  font-style: normal;
  font-weight: 560;
  color: var(--pass);
}
</style>
