<script setup lang="ts">
import { computed } from 'vue';
import type { CaseRow } from '../../api/generated/schema';
import AskGroup from '../../parts/AskGroup.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { shown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { under } from './asked';

/** What the road, the sea or the wind asks, and what the vehicle or boat says to it. */
const rig = useRig();
const mount = computed(() => rig.assessment?.mount ?? null);
const on = computed(() => mount.value?.base ?? 'vehicle');
const roof = computed(() => ['roofFrame', 'clamp'].includes(mount.value?.view.kind ?? ''));
const sides = computed(() =>
  rig.design?.layout.wall.side === 'left' || rig.design?.layout.wall.side === 'right' ? ['out', 'along'] : ['ahead', 'sideways'],
);
const cases = computed<SheetColumn<CaseRow>[]>(() => [
  { key: 'name', label: 'case', text: (c) => c.name, wide: true },
  { key: 'ahead', label: sides.value[0]!, number: true, text: (c) => shown(c.aheadN, 'force') },
  { key: 'side', label: sides.value[1]!, number: true, text: (c) => shown(c.sidewaysN, 'force') },
  { key: 'down', label: 'down', number: true, text: (c) => shown(c.downN, 'force') },
  { key: 'factor', label: 'taken times', number: true, text: (c) => shown(c.factor, 'ratio') },
]);
const axles = computed(() => {
  const a = mount.value?.axles;
  if (!a) return [];
  return [
    { name: 'front axle', now: a.frontKg, may: a.frontMayKg, adds: a.frontAddsKg },
    { name: 'rear axle', now: a.rearKg, may: a.rearMayKg, adds: a.rearAddsKg },
  ];
});
</script>

<template>
  <LeafLayout>
    <template #say>
      <template v-if="on === 'vehicle'">
        <AskGroup title="The road" :paths="under('bear', 'unpaved', 'shockG', 'brakeG', 'cornerG', 'drivenMs', 'againstMs')" />
        <AskGroup
          title="Axles"
          :paths="under('road', 'wheelbaseM', 'behindM', 'frontKg', 'frontMayKg', 'rearKg', 'rearMayKg', 'grossKg')"
        />
        <AskGroup title="Height and width" :paths="under('road', 'highM', 'topM', 'wideM', 'covers', 'spray')" />
        <AskGroup title="Low behind" :open="false" :paths="under('road', 'lowBehindM', 'lowM', 'wheelM')" />
        <AskGroup title="Tipping" :open="false" :paths="under('road', 'trackM', 'centreM')" />
        <AskGroup v-if="roof" title="The roof" :paths="under('road', 'roofKg')" />
        <AskGroup v-if="mount?.view.kind === 'towBar'" title="Tow bar" :paths="under('road', 'towBarKg', 'pinM')" />
      </template>
      <template v-else-if="on === 'boat'">
        <AskGroup title="The sea" :paths="under('bear', 'rollDeg', 'rollS', 'aboveRollM', 'besideRollM', 'planes', 'gustMs')" />
        <AskGroup title="The boat" :paths="under('road', 'boatKg', 'offMiddleM', 'metacentreM', 'heelDeg', 'hullHoleM', 'hullHoleOffM')" />
        <AskGroup title="Petrol and gas" :paths="under('road', 'petrolSpace', 'protected')" />
      </template>
      <AskGroup v-else title="Wind" :paths="under('bear', 'gustMs')" />
    </template>
    <template v-if="mount" #picture>
      <div v-if="axles.length" class="axles" data-axles>
        <div v-for="a in axles" :key="a.name">
          <span>{{ a.name }}</span>
          <b>{{ a.now === null ? `${a.adds >= 0 ? '+' : ''}${shown(a.adds, 'mass')}` : shown(a.now, 'mass') }}</b>
          <span v-if="a.now !== null && a.may !== null" class="bar" aria-hidden="true">
            <i :style="{ width: `${Math.min(100, (86 * a.now) / a.may)}%` }" :class="{ over: a.now > a.may }"></i><em></em>
          </span>
          <span class="soft small">
            {{
              a.now === null ? 'with the unit and its mount; type what it carries now' : `${a.adds >= 0 ? '+' : ''}${shown(a.adds, 'mass')}`
            }}
            {{ a.may === null ? '' : `· may carry ${shown(a.may, 'mass')}` }}
          </span>
        </div>
        <div v-if="mount.heightM !== null">
          <span>height now</span><b>{{ shown(mount.heightM!, 'length') }}</b
          ><span class="soft small">with the unit on, for the sign in the cab</span>
        </div>
      </div>
      <SheetTable name="What is asked of it" :rows="mount.cases" :columns="cases" copies />
    </template>
  </LeafLayout>
</template>

<style scoped>
.axles {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr));
  gap: 1rem;
  margin-bottom: 1rem;
}
.axles > div {
  display: grid;
  align-content: start;
}
.axles b {
  font-size: 1.5rem;
  line-height: 1.2;
}
.bar {
  position: relative;
  height: 0.7rem;
  background: var(--ground);
}
.bar i {
  position: absolute;
  inset: 0 auto 0 0;
  background: var(--ink);
}
.bar i.over {
  background: var(--stop);
}
.bar em {
  position: absolute;
  left: 86%;
  top: -0.2rem;
  bottom: -0.2rem;
  width: 2px;
  background: var(--stop);
}
</style>
