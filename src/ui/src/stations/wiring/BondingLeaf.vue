<script setup lang="ts">
import { computed } from 'vue';
import type { BondRow } from '../../api/generated/schema';
import AskGroup from '../../parts/AskGroup.vue';
import { say } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { under } from './asked';
import WiringCautions from './WiringCautions.vue';

/** Neutral and earth in every state of the sources, and the pedestal before it is used. */
const rig = useRig();
const wiring = computed(() => rig.assessment?.wiring ?? null);
const boat = computed(() => rig.design?.survey.kind === 'boat');
const shape = (b: BondRow) => (b.level === 'stop' ? '◆' : b.level === 'caution' ? '▲' : '●');
const generator = computed(() => rig.design?.survey.sources.generator.fitted ?? false);
</script>

<template>
  <LeafLayout>
    <template #say>
      <WiringCautions />
      <AskGroup
        title="Ties of neutral to earth"
        :paths="
          under('bonding', 'inverter', ...(generator ? ['generator'] : []), 'boardBond', 'neutralSwitched', 'cordStays', 'transformer')
        "
      />
      <AskGroup title="At the pedestal, before plugging in" :paths="under('bonding', 'liveNeutralV', 'neutralEarthV', 'liveEarthV')" />
      <AskGroup v-if="boat" title="On a boat" :paths="under('bonding', 'galvanicIsolator', 'galvanicA')" />
    </template>
    <template v-if="wiring" #picture>
      <ol class="states" data-states aria-label="Ties in every state">
        <li v-for="b in wiring.bonds" :key="b.state" :class="b.level ?? 'pass'">
          <span class="mark" aria-hidden="true">{{ shape(b) }}</span>
          <b>{{ b.state }}</b>
          <span class="ties">
            <i v-for="t in b.ties" :key="t">N–E at the {{ t }}</i>
            <i v-if="!b.ties.length" class="none">no tie</i>
          </span>
          <span class="soft small">{{ say(b.words) }}</span>
        </li>
      </ol>
      <p class="soft small">
        One tie in every state, at what gives the power. The readings at the pedestal cannot see earth and neutral exchanged, nor a false
        earth; they do not replace a test of the earth loop.
      </p>
    </template>
  </LeafLayout>
</template>

<style scoped>
.states {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 1.6rem 13rem 1fr;
  gap: 0.1rem 0.6rem;
  padding: 0.6rem 0;
  border-bottom: 1px solid var(--hair);
}
.mark {
  font-size: 1.1rem;
}
.pass .mark {
  color: var(--pass);
}
.caution .mark {
  color: var(--caution);
}
.stop .mark {
  color: var(--stop);
}
.ties i {
  font-style: normal;
  font-weight: 560;
  border: 1.5px solid var(--ink);
  border-radius: 3px;
  padding: 1px 8px;
  margin-right: 6px;
}
.ties .none {
  border-style: dashed;
}
li > .small {
  grid-column: 2 / -1;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 1.6rem 1fr;
  }
  .ties {
    grid-column: 2;
  }
}
</style>
