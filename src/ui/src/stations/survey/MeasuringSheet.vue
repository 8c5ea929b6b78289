<script setup lang="ts">
import { onMounted } from 'vue';
import { fieldAt } from '../../api/description';
import { settings } from '../../parts/settings';
import { hintOf } from '../../parts/show';
import { useRig } from '../../stores/rig';

/** What to measure on the walk round the rig, in the order in which Survey asks for it. */
const props = defineProps<{ id: string }>();
const rig = useRig();
const groups: { title: string; hint: string; paths: string[] }[] = [
  {
    title: 'Where it stands',
    hint: 'from the weather service and a map',
    paths: ['latitudeDeg', 'longitudeDeg', 'elevationM', 'dryBulbC', 'nightLowC', 'humidityPct', 'windMs'].map((f) => '/survey/place/' + f),
  },
  {
    title: 'The space, inside',
    hint: 'tape along the floor, lining to lining',
    paths: ['lengthM', 'widthM', 'heightM'].map((f) => '/survey/space/' + f),
  },
  {
    title: 'Walls',
    hint: 'pull a vent or a lamp: build, thickness',
    paths: ['preset', 'insulation', 'insulationM', 'paint'].map((f) => '/survey/walls/' + f),
  },
  {
    title: 'Ribs',
    hint: 'behind the lining',
    paths: ['metal', 'flangeM', 'depthM', 'webM', 'spacingM'].map((f) => '/survey/walls/ribs/' + f),
  },
  { title: 'Roof', hint: 'same way', paths: ['preset', 'insulation', 'insulationM', 'paint'].map((f) => '/survey/roof/' + f) },
  { title: 'Floor', hint: 'from below', paths: ['preset', 'insulation', 'insulationM'].map((f) => '/survey/floor/' + f) },
  ...[1, 2, 3, 4, 5, 6].map((n) => ({
    title: `Window ${n}`,
    hint: 'glass inside its frame',
    paths: ['side', 'widthM', 'heightM', 'count', 'glazing', 'cover'].map((f) => '/survey/windows/*/' + f),
  })),
  {
    title: 'Bank and inverter',
    hint: 'from the plates',
    paths: ['battery/chemistry', 'battery/nominalV', 'battery/blockAh', 'battery/blocks', 'inverter/ratedW', 'inverter/outputV'].map(
      (f) => '/survey/sources/' + f,
    ),
  },
  {
    title: 'Modules',
    hint: 'from the plate at their back',
    paths: ['count', 'ratedW', 'mounting'].map((f) => '/survey/sources/modules/' + f),
  },
];
const print = () => window.print();

onMounted(() => void rig.open(props.id));
</script>

<template>
  <main class="page">
    <header>
      <h1>Measuring sheet</h1>
      <span>{{ rig.design?.name }}</span>
      <span class="space" />
      <RouterLink class="plain screen" :to="`/rig/${id}/survey`">back to Survey</RouterLink>
      <button type="button" class="plain screen" @click="print">print</button>
    </header>
    <p class="soft">Walk round once, in this order; Survey asks in the same. Write the unit if it is another.</p>
    <div class="groups">
      <section v-for="group in groups" :key="group.title">
        <h2>
          {{ group.title }} <small>{{ group.hint }}</small>
        </h2>
        <p v-for="path in group.paths" :key="path" class="line">
          <span>{{ fieldAt(path).label }}</span><i /><small v-if="fieldAt(path).quantity" :key="settings.units">{{
            hintOf(fieldAt(path).quantity!)
          }}</small>
        </p>
      </section>
    </div>
    <p class="soft">
      Before a hand goes behind a lining: mains off and proved dead, airbags and gas lines known, roof only with a second person.
    </p>
  </main>
</template>

<style scoped>
.page {
  background: var(--sheet);
  min-height: 100%;
  padding: 18px 26px;
}
header {
  display: flex;
  gap: 14px;
  align-items: baseline;
  border-bottom: 2px solid var(--ink);
}
.space {
  flex: 1;
}
.groups {
  columns: 2;
  column-gap: 34px;
  margin: 10px 0;
}
section {
  break-inside: avoid;
  margin-bottom: 12px;
}
h2 small {
  font-weight: 400;
  color: var(--soft);
}
.line {
  display: flex;
  gap: 8px;
  align-items: baseline;
  padding: 3px 0;
}
.line i {
  flex: 1;
  border-bottom: 1.5px solid var(--ink);
}
@media print {
  .screen {
    display: none;
  }
}
</style>
