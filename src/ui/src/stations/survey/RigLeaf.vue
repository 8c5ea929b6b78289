<script setup lang="ts">
import AskField from '../../parts/AskField.vue';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import RigPlan from './RigPlan.vue';
import RigSide from './RigSide.vue';

const rig = useRig();
const paths = [
  '/name',
  '/survey/kind',
  '/nextDate',
  '/units',
  '/survey/headingDeg',
  ...['lengthM', 'widthM', 'heightM'].map((f) => '/survey/space/' + f),
];
</script>

<template>
  <LeafLayout holds>
    <template #say>
      <AskField v-for="path in paths" :key="path" :path="path" />
      <p class="sheet-link"><RouterLink :to="`/rig/${rig.id}/measuring-sheet`" class="plain">measuring sheet to print</RouterLink></p>
    </template>
    <template #picture>
      <RigSide :survey="rig.design!.survey" :unit="rig.assessment?.unit?.unit ?? null" />
      <RigPlan v-if="rig.assessment!.survey" :survey="rig.design!.survey" :sun-path="rig.assessment!.survey.sunPath" />
    </template>
  </LeafLayout>
</template>

<style scoped>
.sheet-link {
  margin-top: 14px;
}
</style>
