<script setup lang="ts">
import { computed, onUnmounted, ref, watch } from 'vue';
import type { DesignChange, FrontierPoint, KitStand, KitYear, SizingResult } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import { waits } from '../../parts/longRun';
import { say, shown } from '../../parts/show';
import { useRig } from '../../stores/rig';

/** The smallest kit: a map of batteries by modules with the border of what holds, and the frontier to adopt from. */
interface SizingProgress {
  done: number;
  total: number;
}

const rig = useRig();
const result = ref<SizingResult | null>(null);
const progress = ref<SizingProgress | null>(null);
const error = ref('');
const stale = ref(false);
const place = ref(0);
let source: EventSource | null = null;

function stop(): void {
  source?.close();
  source = null;
  progress.value = null;
}

function search(): void {
  stop();
  error.value = '';
  progress.value = { done: 0, total: 1 };
  source = new EventSource(`/api/rigs/${rig.id}/sizing`);
  const on = (name: string, act: (data: string) => void) => source!.addEventListener(name, (e) => act((e as MessageEvent<string>).data));
  on('queued', (data) => (place.value = JSON.parse(data) as number));
  on('progress', (data) => {
    place.value = 0;
    progress.value = JSON.parse(data) as SizingProgress;
  });
  on('result', (data) => {
    result.value = JSON.parse(data) as SizingResult;
    seen.value = 0;
    all.value = false;
    stale.value = false;
    stop();
  });
  on('fault', (data) => {
    error.value = JSON.parse(data) as string;
    stop();
  });
  source.onerror = () => {
    if (!source) return;
    error.value = 'The server does not answer.';
    stop();
  };
}

watch(
  () => rig.revision,
  () => (stale.value = true),
);
onUnmounted(stop);

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
const frontier = computed(() => (all.value ? result.value!.frontier : result.value!.frontier.slice(0, most)));
const generators = computed(() => result.value!.maps.length > 1);

const rowHeight = 20;
const map = computed(() => {
  const r = result.value!;
  const drawn = r.maps[seen.value]!;
  const columns = drawn.least.length;
  const w = Math.min(40, 400 / columns);
  const rows = r.mostBatteries;
  const at = (batteries: number, modules: number) => ({ x: 34 + modules * w, y: 8 + (rows - batteries) * rowHeight });
  const cells = drawn.cells.map((c) => ({ ...at(c.batteries, c.modules), ...c, why: c.holds ? 'holds' : `fails: ${wordsOf(c.failsIn)}` }));
  const points = r.frontier
    .filter((p) => p.kit.setpointC === r.setpointC && p.kit.generatorW === drawn.generatorW)
    .map((p) => ({ ...at(p.kit.batteries, p.kit.modules), p }));
  const fitted = r.fitted.modules < columns && r.fitted.batteries <= rows ? at(r.fitted.batteries, r.fitted.modules) : null;
  return { cells, points, fitted, width: 34 + columns * w + 8, height: rows * rowHeight + 28, columns, rows, w };
});

/** A scenario in words. */
function wordsOf(id: string): string {
  return say(result.value!.scenarios.find((s) => s.id === id)?.words);
}

function nameOf(p: FrontierPoint): string {
  const generator = p.kit.generatorW ? ` with a generator of ${shown(p.kit.generatorW, 'electricPower')}` : '';
  return `${p.kit.batteries} blocks and ${p.kit.modules} modules at ${shown(p.kit.setpointC, 'temperature')}${generator}`;
}

/** A kit's year in a few words: what falls short first. */
function yearOf(y: KitYear): string {
  if (y.darkDay !== null) return `dark on day ${y.darkDay}`;
  const short = [
    y.weeksUnderReserve > 0 ? `${y.weeksUnderReserve} under reserve` : '',
    y.warmHours >= 1 ? `${shown(y.warmHours, 'hours')} too warm` : '',
  ];
  return short.filter(Boolean).join(', ') || 'all year';
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
</script>

<template>
  <section class="sizing" data-sizing>
    <h2>The smallest that does it</h2>
    <p data-aim>{{ say(rig.assessment!.energy!.sizingAim) }}</p>
    <div class="limits">
      <AskGroup v-for="g in groups" :key="g.title" :title="g.title" :open="false">
        <AskField v-for="f in g.fields" :key="f" :path="`/energy/sizing/${f}`" />
      </AskGroup>
    </div>
    <p class="row">
      <button v-if="!progress" type="button" class="plain main" @click="search">find the smallest</button>
      <template v-else>
        <progress :value="progress.done" :max="progress.total" aria-label="How far the search has come" />
        <span class="soft" role="status">{{ place ? waits(place) : `${progress.done} of ${progress.total}` }}</span>
        <button type="button" class="plain" @click="stop">stop</button>
      </template>
      <span v-if="result && stale && !progress" class="soft">The rig has changed since; search again.</span>
    </p>
    <p v-if="error" class="severity-stop" role="alert">{{ error }}</p>
    <template v-if="result">
      <p v-for="f in result.findings" :key="f.code">
        <b :class="'severity-' + f.level">{{ f.level }}</b> {{ say(f.words) }}
        <button v-for="r in f.remedies" :key="say(r.words)" type="button" class="plain way" @click="take(r.changes)">
          {{ say(r.words) }} <em>{{ say(r.effect) }}</em>
        </button>
      </p>
      <p v-if="generators" class="row" role="radiogroup" aria-label="Map drawn">
        <span class="soft">map</span>
        <label v-for="(m, i) in result.maps" :key="m.generatorW" class="choice"
          ><input v-model="seen" type="radio" :value="i" />
          {{ m.generatorW ? shown(m.generatorW, 'electricPower') : 'without a generator' }}</label
        >
      </p>
      <div class="pair">
        <div>
          <svg
            :viewBox="`0 0 ${map.width} ${map.height}`"
            class="map"
            role="group"
            :aria-label="`Kits that hold ${shown(result.setpointC, 'temperature')}: batteries up, modules across`"
          >
            <g v-for="c in map.cells" :key="`${c.batteries}-${c.modules}`">
              <rect :x="c.x" :y="c.y" :width="map.w - 2" :height="18" :class="c.holds ? 'holds' : 'fails'">
                <title>{{ c.batteries }} blocks, {{ c.modules }} modules: {{ c.why }}</title>
              </rect>
              <path v-if="!c.holds" :d="`M ${c.x + map.w / 2 - 5} ${c.y + 5} l 8 8 m 0 -8 l -8 8`" class="cross" />
            </g>
            <text v-for="b in map.rows" :key="'b' + b" :x="28" :y="8 + (map.rows - b) * 20 + 14" text-anchor="end">{{ b }}</text>
            <text
              v-for="a in map.columns"
              :key="'a' + a"
              :x="34 + (a - 1) * map.w + map.w / 2 - 1"
              :y="map.rows * 20 + 22"
              text-anchor="middle"
            >
              {{ a - 1 }}
            </text>
            <rect v-if="map.fitted" :x="map.fitted.x - 1" :y="map.fitted.y - 1" :width="map.w" :height="20" class="fitted">
              <title>fitted now</title>
            </rect>
            <g
              v-for="point in map.points"
              :key="`${point.p.kit.batteries}-${point.p.kit.modules}`"
              class="point"
              tabindex="0"
              role="button"
              :aria-label="`Adopt ${point.p.kit.batteries} blocks and ${point.p.kit.modules} modules`"
              @click="take(point.p.changes)"
              @keydown.enter="take(point.p.changes)"
            >
              <circle :cx="point.x + map.w / 2 - 1" :cy="point.y + 9" r="7" />
              <title>{{ point.p.kit.batteries }} blocks, {{ point.p.kit.modules }} modules: adopt</title>
            </g>
          </svg>
          <p class="soft">Modules across, battery blocks up; ✕ fails in some of the days asked.</p>
          <h3>What is fitted now keeps</h3>
          <table class="sheet">
            <tbody>
              <tr v-for="s in result.scenarios" :key="s.id">
                <td>{{ say(s.words) }}</td>
                <td class="number soft">{{ shown(s.airconWh, 'energy') }}</td>
                <td class="number">
                  <b>{{ kept(s.fittedMinSoc) }}</b>
                </td>
              </tr>
            </tbody>
          </table>
        </div>
        <div>
          <h3>What one step more buys</h3>
          <table class="sheet">
            <tbody>
              <tr v-for="s in result.steps" :key="say(s.words)">
                <td>
                  <b>{{ say(s.words) }}</b><br />
                  {{ stands(s.before) }} → <b>{{ stands(s.after) }}</b> <br /><span class="soft">{{ howMany(s.after) }}</span>
                </td>
                <td>
                  <button type="button" class="plain" :aria-label="`take it: ${say(s.words)}`" @click="take(s.changes)">take it</button>
                </td>
              </tr>
            </tbody>
          </table>
          <p class="soft">
            Lowest charge in the worst of the days asked, or the hour at which the first of them falls under the reserve. Outlined on the
            map: what is fitted now.
          </p>
        </div>
      </div>
      <p v-if="result.inverter">
        With every kit goes an inverter of <b>{{ shown(result.inverter.ratedW, 'electricPower') }}</b>{{
          result.inverter.remedy === 'softStarter' ? ' and a soft starter' : ''
        }}, {{ result.inverter.cost.toFixed(0) }} €: the cheapest that carries the most drawn and starts the unit at the reserve.
      </p>
      <p v-if="result.lastsTheYear" class="lasts" data-lasts>
        The smallest found that also holds the year but for two weeks: <b>{{ nameOf(result.lastsTheYear) }}</b>,
        {{ result.lastsTheYear.kit.cost.toFixed(0) }} €, {{ result.lastsTheYear.year!.weeksHeld }} of
        {{ result.lastsTheYear.year!.weeks }} weeks.
        <button type="button" class="plain way" @click="take(result.lastsTheYear.changes)">adopt it</button>
      </p>
      <p v-else-if="result.yearAsked && result.frontier.length" class="severity-caution">
        No kit within the limits holds fifty weeks of the year made from the climate: see what fails below.
      </p>
      <p v-else-if="result.frontier.length" class="soft">
        The design day alone was asked: type the climate's months in Load, or read a weather file, and every kit is run through the year.
      </p>
      <h3>No kit beats these</h3>
      <table class="sheet frontier">
        <thead>
          <tr>
            <th>holds</th>
            <th class="number">blocks</th>
            <th class="number">modules</th>
            <th v-if="generators" class="number">generator</th>
            <th v-if="generators" class="number">hours a week</th>
            <th class="number">costs</th>
            <th class="number worst">weighs</th>
            <th class="worst">runs lowest in</th>
            <th v-if="result.yearAsked">weeks of the year held</th>
            <th><span class="shown-to-readers">adopt</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="p in frontier" :key="nameOf(p)" data-point>
            <td>{{ shown(p.kit.setpointC, 'temperature') }}</td>
            <td class="number">{{ p.kit.batteries }}</td>
            <td class="number">{{ p.kit.modules }}</td>
            <td v-if="generators" class="number">{{ p.kit.generatorW ? shown(p.kit.generatorW, 'electricPower') : 'none' }}</td>
            <td v-if="generators" class="number">
              {{ p.kit.generatorW ? p.kit.generatorHours : '' }}
              <span v-if="p.fuelLitresAWeek" class="soft">{{ shown(p.fuelLitresAWeek, 'fuel') }}</span>
            </td>
            <td class="number">{{ p.kit.cost.toFixed(0) }} €</td>
            <td class="number worst">{{ shown(p.kit.massKg, 'mass') }}</td>
            <td class="soft worst">{{ say(p.breaksFirst) }}, {{ kept(Math.min(...p.minSoc.map((s) => s ?? 0))) }}</td>
            <td v-if="result.yearAsked">
              <template v-if="p.year">
                <b :class="{ 'severity-stop': p.year.darkDay !== null }">{{ p.year.weeksHeld }} of {{ p.year.weeks }}</b
                ><br />
                <span class="soft">{{ yearOf(p.year) }}</span>
              </template>
            </td>
            <td>
              <button type="button" class="plain" :aria-label="`adopt ${nameOf(p)}`" @click="take(p.changes)">adopt</button>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="result.frontier.length > most && !all">
        <button type="button" class="plain" @click="all = true">show all {{ result.frontier.length }}</button>
      </p>
      <p class="soft">
        {{ result.evaluations }} runs made; each border is exact for the blocks and modules offered. Prices are those typed above.
      </p>
    </template>
  </section>
</template>

<style scoped>
.sizing {
  margin-top: 14px;
}
.limits {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: 0 24px;
}
.row {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
  margin: 8px 0;
}
.main {
  font-weight: 650;
}
.choice {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  min-height: 34px;
}
.choice input {
  accent-color: var(--ink);
  width: 18px;
  height: 18px;
}
.pair {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  align-items: start;
  gap: 20px;
}
.map {
  width: 100%;
  max-height: 380px;
}
.holds {
  fill: var(--pass);
  opacity: 0.28;
}
.fails {
  fill: var(--ground);
  stroke: var(--hair);
}
.cross {
  stroke: var(--rule);
  stroke-width: 1.5;
}
.fitted {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.5;
}
.point {
  cursor: pointer;
}
.point circle {
  fill: var(--stored);
  stroke: var(--sheet);
  stroke-width: 2;
}
.point:focus circle {
  stroke: var(--focus);
  stroke-width: 4;
}
text {
  fill: var(--soft);
  font-size: 12.5px;
}
h3 {
  font-size: 15px;
  margin: 10px 0 2px;
}
.way {
  margin: 4px 0 4px 6px;
}
.way em {
  font-style: normal;
  color: var(--soft);
}
@media (max-width: 700px) {
  .worst {
    display: none;
  }
}
progress {
  width: 220px;
  accent-color: var(--ink);
}
</style>
