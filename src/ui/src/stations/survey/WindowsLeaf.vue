<script setup lang="ts">
import { computed } from 'vue';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import RigSides from './RigSides.vue';
import { shade, window } from './asked';

const rig = useRig();
const noon = computed(() => rig.assessment!.survey?.sunPath.find((s) => s.hour === 15));
const lit = computed<Record<string, boolean>>(() => Object.fromEntries((noon.value?.lit ?? []).map((side) => [side, true])));
</script>

<template>
  <LeafLayout holds>
    <template #say>
      <AskRows path="/survey/windows" one="window">
        <template #default="{ path }">
          <AskField v-for="f in window" :key="f" :path="`${path}/${f}`" />
        </template>
      </AskRows>
      <AskGroup title="Shade" :open="rig.design!.survey.shades.length > 0">
        <AskRows path="/survey/shades" one="shade">
          <template #default="{ path, index }">
            <AskField v-for="f in shade(rig.design!.survey, index)" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
    </template>
    <template #picture><RigSides :survey="rig.design!.survey" :lit="lit" /></template>
  </LeafLayout>
</template>
