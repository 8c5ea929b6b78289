<script setup lang="ts">
import { computed } from 'vue';
import type { SpaceDesign } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';

/** What the sides of a space adjoin and what lies over its ceiling. */
const props = defineProps<{ path: string; space: SpaceDesign }>();

const sides = ['front', 'right', 'rear', 'left', 'roof'] as const;
const adjoins = computed(() => sides.some((side) => props.space.adjoining[side].is !== 'outdoors') || props.space.attic.above);
const attic = computed(() => ['above', ...(props.space.attic.above ? ['paint', 'airChangesPerHour', 'heightM'] : [])]);
</script>

<template>
  <AskGroup title="What its sides adjoin, and what is over it" :open="adjoins">
    <AskField v-for="f in attic" :key="f" :path="`${path}/attic/${f}`" />
    <template v-for="side in sides" :key="side">
      <h4>{{ side }}</h4>
      <AskField :path="`${path}/adjoining/${side}/is`" />
      <AskField v-if="space.adjoining[side].is === 'room'" :path="`${path}/adjoining/${side}/roomC`" />
    </template>
  </AskGroup>
</template>

<style scoped>
h4 {
  margin: 6px 0 0;
  font-size: 13px;
  color: var(--soft);
}
</style>
