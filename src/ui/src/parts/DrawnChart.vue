<script setup lang="ts">
import { useIntersectionObserver } from '@vueuse/core';
import type { EChartsCoreOption } from 'echarts/core';
import { ref, shallowRef, useTemplateRef, watchEffect } from 'vue';
import VChart from 'vue-echarts';
import './chart';

/** A chart with a sentence that says what it shows. One that is scrolled out of sight is drawn when it comes near. */
const props = defineProps<{ option: EChartsCoreOption; label: string; height: number }>();
const box = useTemplateRef<HTMLElement>('box');
const near = ref(false);
const drawn = shallowRef<EChartsCoreOption | null>(null);
useIntersectionObserver(box, (seen) => (near.value = seen.at(-1)!.isIntersecting), { rootMargin: '120px' });

/** On a narrow screen a legend is pushed sideways; in two rows it would lie on the lines. */
const narrow = window.matchMedia('(max-width: 700px)').matches;
const pushed = (legend: unknown) => ({ ...(legend as object), type: 'scroll', left: 28, right: 0 });
const fitting = (option: EChartsCoreOption): EChartsCoreOption =>
  narrow && option.legend ? { ...option, legend: [option.legend].flat().map(pushed) } : option;

watchEffect(() => {
  if (near.value) drawn.value = fitting(props.option);
});
</script>

<template>
  <figure ref="box" :style="{ height: height + 'px' }" role="img" :aria-label="label">
    <VChart v-if="drawn" :option="drawn" autoresize :update-options="{ notMerge: false }" />
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  width: 100%;
}
</style>
