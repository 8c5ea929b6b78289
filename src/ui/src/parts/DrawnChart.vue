<script setup lang="ts">
import type { EChartsCoreOption } from 'echarts/core';
import VChart from 'vue-echarts';
import './chart';

/** A chart with a sentence that says what it shows. */
defineProps<{ option: EChartsCoreOption; label: string; height: number }>();
</script>

<template>
  <figure :style="{ height: height + 'px' }" role="img" :aria-label="label">
    <VChart :option="option" autoresize :update-options="{ notMerge: false }" />
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  width: 100%;
}
</style>
