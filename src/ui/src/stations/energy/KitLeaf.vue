<script setup lang="ts">
import { computed, onUnmounted, ref, watch } from 'vue';
import type { DesignChange, FrontierPoint, KitStand, SizingScenario, StepGain, Verdict } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import RunBar from '../../parts/RunBar.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { say, shown } from '../../parts/show';
import { worstOf } from '../../run/place';
import { useRig } from '../../stores/rig';
import { useSizing } from '../../stores/sizing';
import LeafLayout from '../LeafLayout.vue';
import KitMap from './KitMap.vue';

/** The smallest kit: a map of batteries by modules with the border of what holds, and the frontier to adopt from. */
const rig = useRig();
const { result, progress, error, place, search, stop, stale } = useSizing();
const energy = computed(() => rig.assessment!.energy!);
onUnmounted(stop);
const verdict = computed<Verdict>(() => ({
  state: result.value ? worstOf(result.value.findings) : 'open',
  headline: result.value?.answer ?? {
    template: energy.value.hasBattery ? 'Search to see the least that does it.' : 'No battery is on board: there is no kit to search.',
    measures: [],
  },
  detail: energy.value.sizingAim,
}));

const groups = computed(() => [
  {
    title: 'It must stand',
    fields: [
      'lasting',
      ...(rig.design!.energy.sizing.lasting === 'nights' ? ['nights'] : ['days']),
      'hotDays',
      'cloudyDays',
      'aged',
      'darkDays',
      'shedForStart',
    ],
  },
  { title: 'Within', fields: ['mostBatteries', 'mostModules', 'warmerK', 'mostCost', 'mostMassKg', 'mostGeneratorHours'] },
  {
    title: 'May be bought, at',
    fields: ['chooseInverter', 'chooseGenerator', 'batteryCost', 'moduleCost', 'inverterCost', 'starterCost', 'generatorCost', 'unitCost'],
  },
]);

/** Which of the maps is drawn: the one without a generator first. */
const seen = ref(0);
const most = 14;
const all = ref(false);
watch(result, () => {
  seen.value = 0;
  all.value = false;
});
const frontier = computed(() => (all.value ? result.value!.frontier : result.value!.frontier.slice(0, most)));
const generators = computed(() => result.value!.maps.length > 1);
const maps = computed(() =>
  result.value!.maps.map((m, i) => ({ value: i, label: m.generatorW ? shown(m.generatorW, 'electricPower') : 'without a generator' })),
);

function nameOf(p: FrontierPoint): string {
  const generator = p.kit.generatorW ? ` with a generator of ${shown(p.kit.generatorW, 'electricPower')}` : '';
  return `${p.kit.batteries} blocks and ${p.kit.modules} modules at ${shown(p.kit.setpointC, 'temperature')}${generator}`;
}

function take(changes: DesignChange[]): void {
  void rig.apply(changes);
}

/** The lowest charge, or when the first of the days asked gives out. */
const stands = (k: KitStand) =>
  k.givesOutHour === null ? shown(k.minSoc ?? 0, 'fraction') : `out after ${shown(k.givesOutHour, 'hours')}`;
const howMany = (k: KitStand) =>
  [
    k.fails > 0 ? `fails in ${k.fails} of ${result.value!.scenarios.length}` : 'stands all days',
    k.generatorHours > 0 ? `generator ${shown(k.generatorHours, 'hours')} a week` : '',
  ]
    .filter(Boolean)
    .join(' · ');
const kept = (soc: number | null) => (soc === null ? 'fails' : shown(soc, 'fraction'));

/** The generator of a kit with what it runs and burns. */
function bought(p: FrontierPoint): string {
  if (!p.kit.generatorW) return 'none';
  const fuel = p.fuelLitresAWeek ? `, ${shown(p.fuelLitresAWeek, 'fuel')}` : '';
  return `${shown(p.kit.generatorW, 'electricPower')}, ${shown(p.kit.generatorHours, 'hours')} a week${fuel}`;
}
const kits = computed<SheetColumn<FrontierPoint>[]>(() => [
  { key: 'holds', label: 'holds', text: (p) => shown(p.kit.setpointC, 'temperature'), sort: (p) => p.kit.setpointC },
  { key: 'blocks', label: 'blocks', number: true, text: (p) => String(p.kit.batteries), sort: (p) => p.kit.batteries },
  { key: 'modules', label: 'modules', number: true, text: (p) => String(p.kit.modules), sort: (p) => p.kit.modules },
  ...(generators.value
    ? [
        {
          key: 'generator',
          label: 'generator',
          number: true,
          text: bought,
        },
      ]
    : []),
  { key: 'cost', label: 'costs', number: true, text: (p) => p.kit.cost.toFixed(0) + ' €', sort: (p) => p.kit.cost },
  { key: 'mass', label: 'weighs', number: true, text: (p) => shown(p.kit.massKg, 'mass'), sort: (p) => p.kit.massKg },
  {
    key: 'lowest',
    label: 'runs lowest in',
    text: (p) => `${say(p.breaksFirst)}, ${kept(Math.min(...p.minSoc.map((s) => s ?? 0)))}`,
    wide: true,
  },
  ...(result.value!.yearAsked
    ? [
        {
          key: 'year',
          label: 'weeks of the year held',
          text: (p: FrontierPoint) => (p.year ? `${p.year.weeksHeld} of ${p.year.weeks}: ${say(p.year.words)}` : ''),
          sort: (p: FrontierPoint) => p.year?.weeksHeld ?? 0,
          wide: true,
        },
      ]
    : []),
  { key: 'adopt', label: '' },
]);
const scenarios: SheetColumn<SizingScenario>[] = [
  { key: 'words', label: 'days', text: (s) => say(s.words), wide: true },
  { key: 'takes', label: 'unit takes', number: true, text: (s) => shown(s.airconWh, 'energy') },
  { key: 'kept', label: 'fitted keeps', number: true, text: (s) => kept(s.fittedMinSoc) },
];
const steps: SheetColumn<StepGain>[] = [
  { key: 'words', label: 'one step more', text: (s) => say(s.words), width: 100 },
  { key: 'buys', label: 'lowest charge', text: (s) => `${stands(s.before)} → ${stands(s.after)}, ${howMany(s.after)}`, width: 150 },
  { key: 'take', label: '' },
];
</script>

<template>
  <LeafLayout :verdict="verdict" :findings="result?.findings ?? []">
    <template #say>
      <AskGroup v-for="g in groups" :key="g.title" :title="g.title" :open="g.title === 'It must stand'">
        <AskField v-for="f in g.fields" :key="f" :path="`/energy/sizing/${f}`" />
      </AskGroup>
    </template>
    <template #act>
      <div data-sizing>
        <RunBar
          words="find the smallest"
          :busy="!!progress"
          :place="place"
          :done="progress?.done"
          :total="progress?.total"
          :error="error"
          :stale="stale()"
          :disabled="!energy.hasBattery"
          @run="search"
          @stop="stop"
        >
          <el-segmented v-if="result && generators" v-model="seen" :options="maps" aria-label="Map drawn" data-maps />
        </RunBar>
        <template v-if="result">
          <p v-if="result.lastsTheYear" class="acts" data-lasts>
            <span
              >The smallest found that also holds the year but for two weeks: <b>{{ nameOf(result.lastsTheYear) }}</b>,
              {{ result.lastsTheYear.kit.cost.toFixed(0) }} €, {{ result.lastsTheYear.year!.weeksHeld }} of
              {{ result.lastsTheYear.year!.weeks }} weeks.</span
            >
            <button type="button" class="plain" @click="take(result.lastsTheYear.changes)">adopt it</button>
          </p>
          <p v-else-if="result.yearAsked && result.frontier.length" class="severity-caution">
            No kit within the limits holds fifty weeks of the year made from the climate: see what fails below.
          </p>
          <p v-else-if="result.frontier.length" class="soft">
            The design day alone was asked: type the climate's months in Load, or read a weather file, and every kit is run through the
            year.
          </p>
        </template>
      </div>
    </template>
    <template #picture>
      <div v-if="result" class="pair">
        <KitMap :result="result" :seen="seen" @take="take" />
        <section>
          <h2>What one step more buys</h2>
          <SheetTable name="What one step more buys" :rows="result.steps" :columns="steps">
            <template #buys="{ row }">
              {{ stands(row.before) }} → <b>{{ stands(row.after) }}</b><br /><small class="soft">{{ howMany(row.after) }}</small>
            </template>
            <template #take="{ row }">
              <button type="button" class="plain" :aria-label="`take it: ${say(row.words)}`" @click="take(row.changes)">take it</button>
            </template>
          </SheetTable>
          <p class="soft small">
            Lowest charge in the worst of the days asked, or the hour at which the first of them falls under the reserve.
          </p>
        </section>
      </div>
      <el-empty
        v-else-if="!progress"
        :image-size="0"
        description="Every kit of battery blocks and modules within your limits is run through the days asked; a map then shows which hold."
      />
    </template>
    <template #below>
      <template v-if="result">
        <section>
          <h2>No kit beats these</h2>
          <SheetTable name="No kit beats these" :rows="frontier" :columns="kits" copies>
            <template #holds="{ row }">
              <span data-point>{{ shown(row.kit.setpointC, 'temperature') }}</span>
            </template>
            <template #year="{ row }">
              <template v-if="row.year">
                <b :class="{ 'severity-stop': row.year.darkDay !== null }">{{ row.year.weeksHeld }} of {{ row.year.weeks }}</b>
                <span class="soft"> {{ say(row.year.words) }}</span>
              </template>
            </template>
            <template #adopt="{ row }">
              <button type="button" class="plain" :aria-label="`adopt ${nameOf(row)}`" @click="take(row.changes)">adopt</button>
            </template>
          </SheetTable>
          <button v-if="result.frontier.length > most && !all" type="button" class="plain" @click="all = true">
            show all {{ result.frontier.length }}
          </button>
        </section>
        <div class="pair">
          <section>
            <h2>What is fitted now keeps</h2>
            <SheetTable name="What is fitted now keeps" :rows="result.scenarios" :columns="scenarios" />
          </section>
          <section>
            <p v-if="result.inverter">
              With every kit goes an inverter of <b>{{ shown(result.inverter.ratedW, 'electricPower') }}</b>{{
                result.inverter.remedy === 'softStarter' ? ' and a soft starter' : ''
              }}, {{ result.inverter.cost.toFixed(0) }} €: the cheapest that carries the most drawn and starts the unit at the reserve.
            </p>
            <p class="soft">
              {{ result.evaluations }} runs made; each border is exact for the blocks and modules offered. Prices are those typed.
            </p>
          </section>
        </div>
      </template>
    </template>
  </LeafLayout>
</template>
