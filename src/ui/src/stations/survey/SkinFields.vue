<script setup lang="ts">
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import { ribs, skin } from './asked';

/** The build of one skin, its ribs as measured, or its layers. */
withDefaults(defineProps<{ path: string; title: string; open?: boolean; whole?: boolean }>(), { open: true });
</script>

<template>
  <AskGroup :title="title" :open="open">
    <AskField v-for="f in skin" :key="f" :path="`${path}/${f}`" />
    <template v-if="whole">
      <AskGroup title="ribs as measured" :open="false">
        <AskField v-for="f in ribs" :key="f" :path="`${path}/ribs/${f}`" />
      </AskGroup>
      <AskGroup title="by layers, outside to inside" :open="false">
        <AskRows :path="`${path}/layers`" one="layer">
          <template #default="{ path: layer }">
            <AskField :path="`${layer}/material`" />
            <AskField :path="`${layer}/thicknessM`" />
          </template>
        </AskRows>
      </AskGroup>
    </template>
  </AskGroup>
</template>
