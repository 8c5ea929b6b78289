<script setup lang="ts">
import { computed } from 'vue';
import { fieldAt } from '../../api/description';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import DrawnChart from '../../parts/DrawnChart.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import type { StartTrial } from '../../api/generated/schema';
import { say } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import SoftWindow from './SoftWindow.vue';
import { startPicture } from './picture';

/** The start against what the source bears: the first second, or the first minute of a unit that climbs slowly. */
const rig = useRig();
const start = computed(() => rig.assessment!.start!);
const design = computed(() => rig.design!.start);
const single = computed(() => !start.value.inverterDriven);
const direct = computed(() => rig.assessment!.unit?.unit.isDc === true);
/** A battery feeds it: its charge and its reserve matter; the sun alone has no cable of its own to ask about. */
const onBattery = computed(() => direct.value || design.value.on === 'inverter');
const onSun = computed(() => !direct.value && design.value.on === 'sun');
const soft = computed(() => single.value && design.value.remedy === 'softStarter');
const reductions = fieldAt('/start/reduction');
const trace = computed(() => startPicture(start.value, design.value.measured));
const label = computed(() =>
  single.value
    ? 'Current in the first second of the start against what the source bears'
    : 'Current in the first minute, where it climbs to its most, against what the source bears',
);

const columns: SheetColumn<StartTrial>[] = [
  { key: 'words', label: 'help', text: (t) => say(t.words), wide: true },
  { key: 'result', label: 'then', text: (t) => say(t.result), wide: true },
  { key: 'take', label: '' },
];

function take(trial: StartTrial): void {
  if (trial.changes.length) void rig.apply(trial.changes);
}
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskField v-if="!direct" path="/start/on" />
      <AskField v-if="single" path="/start/remedy" />
      <AskField v-if="direct" path="/start/noPrecharge" />
      <AskGroup v-if="soft" title="Soft starter" :paths="['/start/reduction', '/start/starterLimitS']">
        <el-slider
          :model-value="design.reduction"
          :min="reductions.min ?? 0"
          :max="reductions.max ?? 1"
          :step="0.01"
          :show-tooltip="false"
          aria-label="Soft starter takes away"
          @input="(v: unknown) => rig.set('/start/reduction', v)"
        />
      </AskGroup>
      <AskGroup v-if="onBattery" title="Battery at that moment" :paths="['/start/soc', '/start/reserveSoc']" />
      <AskGroup
        v-if="!onSun"
        title="Cable and pause"
        :paths="[...(direct ? [] : ['/start/cableM', '/start/cableMm2']), ...(single ? ['/start/restedS'] : [])]"
      />
      <p class="soft small">
        The model is typical, not a measurement: prove it with a clamp meter that catches the inrush, and write the reading down in
        Commission.
      </p>
    </template>
    <template #picture>
      <DrawnChart v-if="start.trace.seconds.length" fill :option="trace" :height="300" :label="label" />
    </template>
    <template #below>
      <p v-if="start.corners" data-corners>
        <span class="dots" aria-hidden="true"
          ><i v-for="n in start.corners.cases" :key="n" :class="n <= start.corners.starts ? 'yes' : 'no'"
        /></span>
        Over what is not known of this unit and source it starts <b>{{ say(start.corners.words) }}</b>. {{ say(start.corners.settles) }}
      </p>
      <div v-if="start.remedies.length" class="pair">
        <section>
          <h2>Helped by</h2>
          <SheetTable name="Helped by" :rows="start.remedies" :columns="columns">
            <template #words="{ row }">
              <span :data-remedy="row.id">{{ say(row.words) }}</span>
            </template>
            <template #result="{ row }">
              <span :class="`severity-${row.level ?? 'pass'}`" :data-remedy-result="row.id">{{ say(row.result) }}</span>
            </template>
            <template #take="{ row }">
              <button type="button" class="plain" :aria-label="`take it: ${say(row.words)}`" :data-take="row.id" @click="take(row)">
                take it
              </button>
            </template>
          </SheetTable>
        </section>
        <SoftWindow v-if="start.window" :window="start.window" :chosen="soft ? design.reduction : null" />
      </div>
    </template>
  </LeafLayout>
</template>

<style scoped>
.dots {
  display: inline-flex;
  gap: 4px;
  margin-right: 8px;
  vertical-align: -1px;
}
.dots i {
  width: 12px;
  height: 12px;
  border-radius: 50%;
  border: 2px solid var(--ink);
}
.dots .yes {
  background: var(--pass);
  border-color: var(--pass);
}
</style>
