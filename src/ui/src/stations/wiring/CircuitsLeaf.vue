<script setup lang="ts">
import { computed } from 'vue';
import type { CircuitRow, WireChoice } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { shown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { under } from './asked';
import SingleLinePicture from './SingleLinePicture.vue';
import WiringCautions from './WiringCautions.vue';

/** The unit's circuit and all others: breaker, wire, drop, terminal, conduit, disconnect. */
const rig = useRig();
const wiring = computed(() => rig.assessment?.wiring ?? null);
const branch = computed(() => wiring.value!.branch);
const conduit = computed(() => rig.design!.wiring.branch.way === 'conduit');
const metric = computed(() => wiring.value?.metric ?? false);
const dc = computed(() => wiring.value?.dc ?? false);
const sizes: SheetColumn<WireChoice>[] = [
  { key: 'name', label: 'wire', text: (c) => c.name },
  { key: 'carries', label: 'carries here', number: true, text: (c) => (c.ampacityA === null ? 'too hot' : shown(c.ampacityA, 'current')) },
  { key: 'drop', label: 'loses in use', number: true, text: (c) => shown(c.dropShare, 'fraction') },
  { key: 'longest', label: 'reaches', number: true, text: (c) => shown(c.longestM, 'length') },
];
const circuits: SheetColumn<CircuitRow>[] = [
  { key: 'no', label: '', text: (c) => String(c.no), width: 36 },
  { key: 'name', label: 'circuit', text: (c) => c.name, wide: true },
  { key: 'from', label: 'from', text: (c) => c.from },
  { key: 'amps', label: 'carries', number: true, text: (c) => shown(c.amps, 'current') },
  { key: 'device', label: 'protected by', text: (c) => (c.deviceA ? `${shown(c.deviceA, 'current')}, ${c.device}` : c.device), wide: true },
  { key: 'wire', label: 'wire', text: (c) => c.wire, width: 110 },
  { key: 'length', label: 'one way', number: true, text: (c) => shown(c.lengthM, 'length') },
  { key: 'drop', label: 'loses', number: true, text: (c) => shown(c.dropShare, 'fraction') },
  { key: 'used', label: 'used', number: true, text: (c) => (c.used > 0 ? shown(c.used, 'fraction') : '–') },
  { key: 'rule', label: 'decided by', text: (c) => c.rule, wide: true },
];
const fits: Record<string, string> = {
  fits: 'fits the terminals',
  unknown: 'terminals not known',
  tooSmall: 'too small for the clamp',
  wantsFerrule: 'wants ferrules',
  tooBig: 'does not go in',
  twoWires: 'two wires where one may be',
};
</script>

<template>
  <LeafLayout>
    <template #say>
      <WiringCautions />
      <AskField path="/wiring/rules" />
      <AskGroup
        title="The way"
        :paths="under('branch', 'boardM', 'routeM', 'way', ...(conduit ? ['conduit'] : []), 'airC', 'together', 'onRoof', 'engineSpace')"
      />
      <AskGroup title="Wire" :paths="under('branch', 'wire', 'school', 'insulation', 'terminals75', 'dropShare', 'earthed')" />
      <AskGroup
        title="Protection"
        :paths="under('branch', 'device', 'deviceA', 'poles', ...(metric ? ['curve'] : []), 'fuseOnly', 'shared', 'plugged', 'residual')"
      />
      <AskGroup title="Entry of the unit" :paths="under('entry', 'build', 'ferrule', 'solidMm2', 'ferruleMm2', 'fittingM', 'fittingInM')" />
      <AskGroup
        title="Bends, box, board, disconnect"
        :open="false"
        :paths="
          under('entry', 'bendsDeg', 'boxCm3', 'boxWires', 'freePlaces', 'boardTakesIt', 'socket', 'disconnect', 'disconnectA', 'whipM')
        "
      />
      <AskGroup title="Colours" :open="false" :paths="under('branch', 'lightLive', 'lightMarked', 'greenLive')" />
    </template>
    <template v-if="wiring" #picture>
      <SingleLinePicture :line="wiring.picture" class="whole" />
      <div class="pair">
        <SheetTable
          name="Sizes round it"
          :rows="branch.sizes"
          :columns="sizes"
          :row-class="(c) => (c.size === branch.wire?.size ? 'taken' : '')"
        />
        <dl class="facts" data-facts>
          <template v-if="!dc">
            <dt>Begin with</dt>
            <dd>{{ shown(branch.startingA, 'current') }}, never above {{ shown(branch.maximumA, 'current') }}</dd>
          </template>
          <dt>Decided by</dt>
          <dd>{{ branch.ruling }}</dd>
          <dt>In the terminal</dt>
          <dd :class="{ bad: branch.terminal === 'tooBig' }">{{ fits[branch.terminal] }}</dd>
          <dt>Earth</dt>
          <dd>{{ branch.earth || '–' }}</dd>
          <template v-if="conduit">
            <dt>Conduit</dt>
            <dd>
              {{ branch.conduitSize ? `${branch.conduitSize} in, ${shown(branch.conduitFill, 'fraction')} full` : 'none is wide enough' }}
            </dd>
          </template>
          <dt>Disconnect</dt>
          <dd>{{ branch.disconnectA ? shown(branch.disconnectA, 'current') : 'none is made' }}</dd>
          <template v-if="conduit">
            <dt>Whip</dt>
            <dd>{{ branch.whipM ? `buy ${shown(branch.whipM, 'length')}` : 'too long for one that is sold' }}</dd>
          </template>
        </dl>
      </div>
    </template>
    <template v-if="wiring" #below>
      <SheetTable name="All circuits" :rows="wiring.circuits" :columns="circuits" copies />
    </template>
  </LeafLayout>
</template>

<style scoped>
:deep(.taken) {
  font-weight: 720;
}
.facts {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0.2rem 1rem;
  margin: 0;
  align-content: start;
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
/* At the counter the wire and the whip come before the drawing. */
@media (max-width: 700px) {
  :deep(.picture) {
    display: flex;
    flex-direction: column;
  }
  .whole {
    order: 1;
  }
}
</style>
