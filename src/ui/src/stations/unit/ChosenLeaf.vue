<script setup lang="ts">
import { computed } from 'vue';
import type { AcUnit, SchoolSize } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { shown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { minutes } from './words';

/** What the chosen unit does on this rig, beside what each school would take. */
const rig = useRig();
const unit = computed(() => rig.assessment!.unit!);
const own = computed(() => (rig.design!.unit.own as AcUnit[]).map((u) => ({ value: u.id, label: `${u.id} · own` })));
const words: Record<string, string> = { justEnough: 'just enough', oversizedOnPurpose: 'oversized on purpose' };
const limit = computed(() => unit.value.pullDown.limitMinutes);
const columns: SheetColumn<SchoolSize>[] = [
  { key: 'school', label: 'school', text: (s) => words[s.school]!, wide: true },
  { key: 'unit', label: 'unit', text: (s) => s.name, wide: true },
  { key: 'ratio', label: 'of the need', number: true, text: (s) => shown(s.ratio, 'fraction') },
  { key: 'cool', label: 'cool after', number: true, text: (s) => minutes({ minutes: s.pullDownMinutes, limitMinutes: limit.value }) },
  { key: 'below', label: 'hours below its lowest', number: true, text: (s) => `${s.hoursBelowMin} h under ${shown(s.lowestW, 'power')}` },
  { key: 'humid', label: 'evening', number: true, text: (s) => shown(s.eveningRhPct, 'percent') },
  { key: 'start', label: 'starts at', number: true, text: (s) => shown(s.startA, 'current') },
  { key: 'mass', label: 'weighs', number: true, text: (s) => shown(s.massKg, 'mass') },
];

const heating = computed(() => unit.value.heating);
/** What is asked against what it gives, cooling and heating to one scale. */
const bars = computed(() => {
  const lines = [
    { name: 'cooling needed at the peak', watts: unit.value.peakW, hue: 'heat', given: false },
    { name: 'it gives at the design heat', watts: unit.value.capacityW, hue: 'cold', given: true },
    ...(heating.value.heats
      ? [
          { name: 'heating needed in the coldest night', watts: heating.value.neededW, hue: 'cold', given: false },
          { name: 'it gives then', watts: heating.value.capacityW, hue: 'heat', given: true },
        ]
      : []),
  ];
  const most = Math.max(...lines.map((l) => l.watts), 1);
  return lines.map((l) => ({ ...l, share: l.watts / most }));
});
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskField path="/unit/chosen" :more="own" />
      <AskField path="/unit/inletRiseK" />
      <AskField path="/unit/airFlowShare" />
      <AskGroup title="Heads, one a zone" :open="rig.design!.unit.heads.length > 0">
        <AskRows path="/unit/heads" one="head">
          <template #default="{ path }">
            <AskField :path="`${path}/space`" />
            <AskField :path="`${path}/ratedCapacityW`" />
          </template>
        </AskRows>
      </AskGroup>
    </template>
    <template #picture>
      <div class="bars" role="img" :aria-label="bars.map((b) => `${b.name} ${shown(b.watts, 'power')}`).join(', ')">
        <template v-for="b in bars" :key="b.name">
          <span>{{ b.name }}</span>
          <span class="track"><i :class="{ given: b.given }" :style="{ width: `${100 * b.share}%`, '--hue': `var(--${b.hue})` }" /></span>
          <b>{{ shown(b.watts, 'power') }}</b>
        </template>
      </div>
    </template>
    <template #below>
      <section data-schools>
        <h2>What each school would take</h2>
        <SheetTable name="What each school would take" :rows="unit.schools" :columns="columns" />
      </section>
    </template>
  </LeafLayout>
</template>

<style scoped>
.bars {
  display: grid;
  grid-template-columns: minmax(110px, auto) minmax(0, 1fr) auto;
  gap: 10px 14px;
  align-items: center;
  max-width: 820px;
}
.track {
  height: 24px;
  background: var(--ground);
}
.track i {
  display: block;
  height: 100%;
  border: 2px solid var(--hue);
}
.track .given {
  background: var(--hue);
}
b {
  text-align: right;
}
</style>
