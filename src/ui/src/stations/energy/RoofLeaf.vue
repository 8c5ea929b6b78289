<script setup lang="ts">
import { computed, ref } from 'vue';
import type { PvStringResult } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { useProposal } from '../../parts/proposal';
import { shown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';

/** The modules: on the roof as they fit, and in strings as the input bears them. */
const rig = useRig();
const array = computed(() => rig.assessment!.energy!.array);
const at = '/survey/sources/';
const known = computed(() => rig.design!.survey.sources.controller.known);
const modules = computed(() => rig.design!.survey.sources.modules);
const plate = ['ratedW', 'vocV', 'vmpV', 'iscA', 'impA', 'vocPerK', 'seriesFuseA'].map((f) => at + 'modules/' + f);
const strung = ['count', 'series', 'stringsFused'].map((f) => at + 'modules/' + f);
const size = ['lengthM', 'widthM'].map((f) => at + 'modules/' + f);
const input = ['maxV', 'minV', 'trackMaxV', 'maxIscA', 'maxCurrentA'].map((f) => at + 'controller/' + f);
const roof = ['lengthM', 'widthM', 'marginM', 'gapM', 'clearanceM', 'shadowElevationDeg'].map((f) => at + 'onRoof/' + f);
const unit = ['unitFromFrontM', 'unitFromLeftM', 'unitLengthM', 'unitWidthM', 'unitHeightM'].map((f) => at + 'onRoof/' + f);
const obstacle = ['name', 'fromFrontM', 'fromLeftM', 'lengthM', 'widthM', 'heightM'];
const box = computed(() => `-40 -40 ${array.value.roofLengthMm + 80} ${array.value.roofWidthMm + 80}`);
/** Allowed strings shown before one asks for all. */
const most = 6;
const all = ref(false);
const fits = computed(() => array.value.roof.count);
const { refused, propose } = useProposal();

const volts = (v: number) => shown(v, 'voltage');
const chosen = computed(() => {
  const c = array.value.chosen;
  return c
    ? [
        {
          what: `open, at ${shown(array.value.lowestC, 'temperature')}`,
          value: shown(c.vocColdV, 'voltage'),
          beside: `by the code's table ${volts(c.vocTableV)}`,
        },
        {
          what: `working, cells at ${shown(array.value.hotCellC, 'temperature')}`,
          value: shown(c.vmpHotV, 'voltage'),
          beside: `in the cold ${volts(c.vmpColdV)}`,
        },
        { what: 'short-circuit current', value: shown(c.iscA, 'current'), beside: `conductors for ${shown(c.conductorA, 'current')}` },
      ]
    : [];
});
type Said = { what: string; value: string; beside: string };
const said: SheetColumn<Said>[] = [
  { key: 'what', label: '', text: (r) => r.what, wide: true },
  { key: 'value', label: '', number: true, text: (r) => r.value },
  { key: 'beside', label: '', text: (r) => r.beside, wide: true },
];
const words = (a: PvStringResult) => `${a.series} in a string, ${a.parallel} ${a.parallel === 1 ? 'string' : 'strings'}`;
const strings: SheetColumn<PvStringResult>[] = [
  { key: 'words', label: 'allowed, the fullest first', text: words, wide: true },
  { key: 'cold', label: 'cold', number: true, text: (a) => shown(a.vocColdV, 'voltage'), sort: (a) => a.vocColdV },
  { key: 'hot', label: 'hot', number: true, text: (a) => shown(a.vmpHotV, 'voltage'), sort: (a) => a.vmpHotV },
  { key: 'take', label: '' },
];
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskField v-for="f in strung" :key="f" :path="f" />
      <AskGroup title="The input they feed" :paths="[at + 'controller/known', ...(known ? input : [])]" />
      <AskGroup title="A module's plate" :paths="[...plate, ...size]" :open="false" />
      <AskGroup title="The roof" :paths="[...roof, ...(array.unit ? unit : [])]" :open="false">
        <AskRows :path="at + 'onRoof/obstacles'" one="thing on the roof">
          <template #default="{ path }">
            <AskField v-for="f in obstacle" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
    </template>
    <template #picture>
      <div data-array>
        <svg :viewBox="box" role="img" :aria-label="`The roof from above: ${fits} modules fit in straight rows`" class="roof">
          <rect :width="array.roofLengthMm" :height="array.roofWidthMm" class="sheet-metal" />
          <rect
            v-for="(m, i) in array.roof.modules"
            :key="i"
            :x="m.x"
            :y="m.y"
            :width="m.lengthMm"
            :height="m.widthMm"
            :class="i < modules.count ? 'planned' : 'free'"
          />
          <rect
            v-for="(o, i) in array.obstacles"
            :key="'o' + i"
            :x="o.x"
            :y="o.y"
            :width="o.lengthMm"
            :height="o.widthMm"
            class="obstacle"
          />
          <g v-if="array.unit">
            <rect :x="array.unit.x" :y="array.unit.y" :width="array.unit.lengthMm" :height="array.unit.widthMm" class="obstacle" />
            <text :x="array.unit.x + array.unit.lengthMm / 2" :y="array.unit.y + array.unit.widthMm / 2" class="unit">unit</text>
          </g>
        </svg>
        <p class="acts">
          <span
            ><b>{{ fits }}</b> {{ fits === 1 ? 'module fits' : 'modules fit' }} in straight rows, {{ modules.count }} planned.</span
          >
          <button v-if="fits !== modules.count && fits > 0" type="button" class="plain" @click="rig.set(at + 'modules/count', fits)">
            plan {{ fits }}
          </button>
          <span class="soft">Front on the left; filled: planned.</span>
        </p>
      </div>
    </template>
    <template #below>
      <p v-if="!known" class="soft">Write down the plate of the controller, and every allowed string is listed here.</p>
      <div v-else class="pair">
        <section v-if="array.chosen">
          <h2>{{ words(array.chosen) }}</h2>
          <SheetTable :name="words(array.chosen)" :rows="chosen" :columns="said" />
        </section>
        <section data-strings>
          <h2>Strings</h2>
          <p v-if="refused" role="alert" class="severity-stop">{{ refused }}</p>
          <SheetTable name="Allowed strings" :rows="all ? array.allowed : array.allowed.slice(0, most)" :columns="strings">
            <template #take="{ row }">
              <button
                type="button"
                class="plain"
                :aria-label="`take it: ${words(row)}`"
                @click="propose('strings', { series: row.series, parallel: row.parallel })"
              >
                take it
              </button>
            </template>
            <template #empty><span class="severity-stop">No string of these modules suits this input.</span></template>
          </SheetTable>
          <button v-if="array.allowed.length > most && !all" type="button" class="plain" @click="all = true">
            show all {{ array.allowed.length }}
          </button>
        </section>
      </div>
    </template>
  </LeafLayout>
</template>

<style scoped>
.roof {
  width: 100%;
  max-height: 46vh;
}
.sheet-metal {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 14;
}
.planned {
  fill: var(--stored);
  opacity: 0.75;
}
.free {
  fill: none;
  stroke: var(--stored);
  stroke-width: 10;
  stroke-dasharray: 40 30;
}
.obstacle {
  fill: var(--ground);
  stroke: var(--ink);
  stroke-width: 10;
}
.unit {
  fill: var(--ink);
  font-size: 150px;
  text-anchor: middle;
  dominant-baseline: middle;
}
</style>
