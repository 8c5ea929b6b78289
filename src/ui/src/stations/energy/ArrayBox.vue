<script setup lang="ts">
import { computed, ref } from 'vue';
import type { ArrayView } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import { useProposal } from '../../parts/proposal';
import { shown } from '../../parts/show';
import { useRig } from '../../stores/rig';

/** The modules: on the roof as they fit, and in strings as the input bears them. */
const props = defineProps<{ array: ArrayView }>();
const rig = useRig();
const at = '/survey/sources/';
const known = computed(() => rig.design!.survey.sources.controller.known);
const modules = computed(() => rig.design!.survey.sources.modules);
const plate = ['vocV', 'vmpV', 'iscA', 'impA', 'vocPerK', 'seriesFuseA', 'series', 'stringsFused'].map((f) => at + 'modules/' + f);
const size = ['lengthM', 'widthM'].map((f) => at + 'modules/' + f);
const input = ['maxV', 'minV', 'trackMaxV', 'maxIscA', 'maxCurrentA'].map((f) => at + 'controller/' + f);
const roof = ['lengthM', 'widthM', 'marginM', 'gapM', 'clearanceM', 'shadowElevationDeg'].map((f) => at + 'onRoof/' + f);
const unit = ['unitFromFrontM', 'unitFromLeftM', 'unitLengthM', 'unitWidthM', 'unitHeightM'].map((f) => at + 'onRoof/' + f);
const obstacle = ['name', 'fromFrontM', 'fromLeftM', 'lengthM', 'widthM', 'heightM'];
const box = computed(() => `-40 -40 ${props.array.roofLengthMm + 80} ${props.array.roofWidthMm + 80}`);
/** Allowed strings shown before one asks for all. */
const most = 6;
const all = ref(false);
const fits = computed(() => props.array.roof.count);

const { refused, propose } = useProposal();
</script>

<template>
  <section class="array" data-array>
    <h2>Modules on the roof and in strings</h2>
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
      <rect v-for="(o, i) in array.obstacles" :key="'o' + i" :x="o.x" :y="o.y" :width="o.lengthMm" :height="o.widthMm" class="obstacle" />
      <g v-if="array.unit">
        <rect :x="array.unit.x" :y="array.unit.y" :width="array.unit.lengthMm" :height="array.unit.widthMm" class="obstacle" />
        <text :x="array.unit.x + array.unit.lengthMm / 2" :y="array.unit.y + array.unit.widthMm / 2" class="unit">unit</text>
      </g>
    </svg>
    <p>
      <b>{{ fits }}</b> {{ fits === 1 ? 'module fits' : 'modules fit' }} in straight rows, {{ modules.count }} planned.
      <button v-if="fits !== modules.count && fits > 0" type="button" class="plain" @click="rig.set(at + 'modules/count', fits)">
        plan {{ fits }}
      </button>
      <span class="soft"> Front on the left; filled: planned.</span>
    </p>
    <div class="pair">
      <div>
        <AskGroup title="The roof" :paths="[...size, ...roof, ...(array.unit ? unit : [])]" :open="false">
          <AskRows :path="at + 'onRoof/obstacles'" one="thing on the roof">
            <template #default="{ path }">
              <AskField v-for="f in obstacle" :key="f" :path="`${path}/${f}`" />
            </template>
          </AskRows>
        </AskGroup>
        <AskGroup title="A module's plate" :paths="plate" :open="false" />
        <AskGroup title="The input they feed" :paths="[at + 'controller/known', ...(known ? input : [])]" :open="!known" />
      </div>
      <div>
        <p v-if="!known" class="soft">Write down the plate of the controller, and every allowed string is listed here.</p>
        <template v-else>
          <table v-if="array.chosen" class="sheet">
            <caption>
              {{
                array.chosen.series
              }}
              in a string,
              {{
                array.chosen.parallel
              }}
              strings
            </caption>
            <tbody>
              <tr>
                <td>open, at {{ shown(array.lowestC, 'temperature') }}</td>
                <td class="number">
                  <b>{{ shown(array.chosen.vocColdV, 'voltage') }}</b>
                </td>
                <td class="soft">by the code's table {{ shown(array.chosen.vocTableV, 'voltage') }}</td>
              </tr>
              <tr>
                <td>working, cells at {{ shown(array.hotCellC, 'temperature') }}</td>
                <td class="number">
                  <b>{{ shown(array.chosen.vmpHotV, 'voltage') }}</b>
                </td>
                <td class="soft">in the cold {{ shown(array.chosen.vmpColdV, 'voltage') }}</td>
              </tr>
              <tr>
                <td>short-circuit current</td>
                <td class="number">
                  <b>{{ shown(array.chosen.iscA, 'current') }}</b>
                </td>
                <td class="soft">conductors for {{ shown(array.chosen.conductorA, 'current') }}</td>
              </tr>
            </tbody>
          </table>
          <p v-if="refused" role="alert" class="severity-stop">{{ refused }}</p>
          <table class="sheet" data-strings>
            <caption>
              Allowed, the fullest first
            </caption>
            <tbody>
              <tr v-for="a in all ? array.allowed : array.allowed.slice(0, most)" :key="`${a.series}-${a.parallel}`">
                <td>{{ a.series }} in a string, {{ a.parallel }} {{ a.parallel === 1 ? 'string' : 'strings' }}</td>
                <td class="number">{{ shown(a.vocColdV, 'voltage') }} cold</td>
                <td class="number">{{ shown(a.vmpHotV, 'voltage') }} hot</td>
                <td>
                  <button
                    type="button"
                    class="plain"
                    :aria-label="`take it: ${a.series} in a string, ${a.parallel} strings`"
                    @click="propose('strings', { series: a.series, parallel: a.parallel })"
                  >
                    take it
                  </button>
                </td>
              </tr>
              <tr v-if="array.allowed.length === 0">
                <td class="severity-stop">No string of these modules suits this input.</td>
              </tr>
            </tbody>
          </table>
          <button v-if="array.allowed.length > most && !all" type="button" class="plain" @click="all = true">
            show all {{ array.allowed.length }}
          </button>
        </template>
      </div>
    </div>
  </section>
</template>

<style scoped>
.array {
  margin-top: 16px;
}
.roof {
  width: 100%;
  max-height: 190px;
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
.pair {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 20px;
  align-items: start;
}
caption {
  text-align: left;
  font-weight: 650;
  padding: 6px 0 2px;
}
.unit {
  fill: var(--ink);
  font-size: 150px;
  text-anchor: middle;
  dominant-baseline: middle;
}
</style>
