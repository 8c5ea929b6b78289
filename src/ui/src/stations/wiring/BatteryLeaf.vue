<script setup lang="ts">
import { computed } from 'vue';
import AskGroup from '../../parts/AskGroup.vue';
import { say, shown } from '../../parts/show';
import UsedList from '../../parts/UsedList.vue';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { under } from './asked';
import WiringCautions from './WiringCautions.vue';

/** Battery to inverter and modules to controller: cable, fuse, short, isolator. */
const rig = useRig();
const wiring = computed(() => rig.assessment?.wiring ?? null);
const bank = computed(() => wiring.value?.battery ?? null);
const pv = computed(() => wiring.value?.pv ?? null);
const modules = computed(() => (rig.design?.survey.sources.modules.count ?? 0) > 0);
const bars = computed(() =>
  (wiring.value?.bankChecks ?? []).map((c) => ({ key: c.what, name: c.what, words: say(c.words), used: c.used })),
);
</script>

<template>
  <LeafLayout>
    <template #say>
      <WiringCautions battery />
      <AskGroup title="Bank and cable" :paths="['cableM', 'cableMm2', 'fuseInterruptsA'].map((f) => `/survey/sources/battery/${f}`)" />
      <AskGroup title="Cable" :paths="under('battery', 'parallels', 'insulation', 'dropShare', 'engineSpace', 'airC')" />
      <AskGroup title="Fuse" :paths="under('battery', 'fuse', 'fuseA', 'fuseM', 'sheathed', 'blockOhm', 'switched', 'polarisedBreaker')" />
      <AskGroup
        title="Studs and first closing"
        :open="false"
        :paths="under('battery', 'lugs', 'studM', 'torqueNm', 'tightenedNm', 'freeM', 'inverterMf', 'prechargeOhm')"
      />
      <AskGroup
        v-if="modules"
        title="Modules"
        :paths="
          under(
            'pv',
            'cableM',
            'wire',
            'onRoof',
            'airC',
            'terminals75',
            'isolator',
            'isolatorV',
            'isolatorA',
            'acSwitch',
            'framesEarthed',
            'rapidShutdown',
            'stringV',
          )
        "
      />
    </template>
    <template v-if="wiring" #picture>
      <UsedList v-if="bars.length" :title="bank ? 'Battery to inverter' : 'Battery to unit'" :rows="bars" />
      <p v-if="bank" class="soft small">
        Surge {{ shown(bank.surgeA, 'current') }}: a full bank stands at {{ shown(bank.surgeV, 'voltage') }} behind this cable; the inverter
        lets go at {{ shown(bank.lowestV, 'voltage') }}.
        <template v-if="bank.precharge">
          Filled through the resistor in {{ shown(bank.precharge.secondsTo95, 'seconds') }}; it takes
          {{ bank.precharge.energyJ.toFixed(1) }} J.
        </template>
      </p>
      <section v-if="pv" aria-label="Modules to controller">
        <h2>Modules to controller</h2>
        <dl class="facts">
          <dt>Strings</dt>
          <dd>{{ pv.strings }}, {{ shown(pv.coldV, 'voltage') }} on a cold morning</dd>
          <dt>Wire</dt>
          <dd :class="{ bad: !pv.wireBears || !pv.terminalBears }">
            {{ pv.wireName }} for {{ shown(pv.mostA, 'current') }}; loses {{ shown(pv.dropShare, 'fraction') }}
          </dd>
          <dt>String fuses</dt>
          <dd>
            {{ pv.fusesNeeded ? (pv.fuseA ? `${shown(pv.fuseA, 'current')} each` : 'none is made that the modules bear') : 'not asked' }}
          </dd>
          <dt>Isolator</dt>
          <dd>from {{ shown(pv.coldV, 'voltage') }} and {{ shown(pv.mostA, 'current') }}, direct current, both poles</dd>
        </dl>
      </section>
      <el-empty
        v-if="!bars.length && !pv"
        :image-size="0"
        description="No inverter on a battery and no modules: Survey keeps the sources."
      />
    </template>
  </LeafLayout>
</template>

<style scoped>
h2 {
  font-size: 0.95rem;
  margin: 0.2rem 0 0.3rem;
}
.facts {
  display: grid;
  grid-template-columns: 8rem 1fr;
  gap: 0.25rem 1rem;
  margin: 0 0 0.8rem;
}
dt {
  color: var(--soft);
}
dd {
  margin: 0;
  font-weight: 560;
}
.bad {
  color: var(--stop);
}
</style>
