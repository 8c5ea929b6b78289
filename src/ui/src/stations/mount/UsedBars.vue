<script setup lang="ts">
import { computed } from 'vue';
import type { MountPart } from '../../api/generated/schema';
import { shown } from '../../parts/show';
import UsedList from '../../parts/UsedList.vue';

/** Each part as a bar of what it bears, the most used first; the mark is where it gives way. */
const props = defineProps<{ parts: MountPart[] }>();
const quantity = (p: MountPart) =>
  p.unit === 'MPa'
    ? `${shown(1e6 * p.asked, 'stress')} of ${shown(1e6 * p.bears, 'stress')}`
    : p.unit === 'N·m'
      ? `${shown(p.asked, 'torque')} of ${shown(p.bears, 'torque')}`
      : p.unit === 'kg'
        ? `${shown(p.asked, 'mass')} of ${shown(p.bears, 'mass')}`
        : `${shown(p.asked, 'force')} of ${shown(p.bears, 'force')}`;
const rows = computed(() =>
  props.parts.map((p) => ({ key: p.element, name: p.name, words: `${p.how}, ${p.case}: ${quantity(p)}`, used: p.used, near: p.near })),
);
</script>

<template>
  <UsedList title="Used of what it bears" :rows="rows" />
</template>
