<script setup lang="ts">
import { useElementSize, useIntersectionObserver } from '@vueuse/core';
import type { EChartsCoreOption } from 'echarts/core';
import { computed, ref, shallowRef, useTemplateRef, watchEffect } from 'vue';
import VChart from 'vue-echarts';
import { inks } from './chart';
import { saveNumbers, savePicture } from './saved';

/**
 * A chart with a sentence that says what it shows; it fills the height that is left, at least so much. One that is scrolled out of sight is drawn when
 * it comes near. It can be saved as a picture, its numbers as a table.
 */
const props = defineProps<{ option: EChartsCoreOption; label: string; height: number; fill?: boolean }>();
const box = useTemplateRef<HTMLElement>('box');
const near = ref(false);
const drawn = shallowRef<EChartsCoreOption | null>(null);
useIntersectionObserver(box, (seen) => (near.value = seen.at(-1)!.isIntersecting), { rootMargin: '120px' });
const { width, height: tall } = useElementSize(box);

/** On a narrow screen a legend is pushed sideways; in two rows it would lie on the lines. */
const narrow = window.matchMedia('(max-width: 700px)').matches;
const pushed = (legend: unknown) => ({
  ...(legend as object),
  type: 'scroll',
  left: 64,
  right: 0,
  padding: 0,
  itemWidth: 18,
  itemGap: 9,
  pageIconColor: inks.value.ink,
  pageIconInactiveColor: inks.value.rule,
});
const fitting = (option: EChartsCoreOption): EChartsCoreOption =>
  narrow && option.legend ? { ...option, legend: [option.legend].flat().map(pushed) } : option;

watchEffect(() => {
  if (near.value) drawn.value = fitting(props.option);
});

const style = computed(() =>
  props.fill ? { flex: `1 1 ${props.height}px`, minHeight: `${props.height}px` } : { height: `${props.height}px` },
);
const saves = { SVG: 'picture, SVG', PNG: 'picture, PNG', CSV: 'numbers, CSV' };

function save(kind: string): void {
  if (kind === 'CSV') saveNumbers(props.option, props.label);
  else void savePicture(props.option, props.label, kind === 'SVG', width.value, tall.value);
}
</script>

<template>
  <div class="chart" :style="style">
    <figure ref="box" role="img" :aria-label="label">
      <VChart v-if="drawn" :option="drawn" autoresize :update-options="{ notMerge: false }" />
    </figure>
    <el-dropdown trigger="click" class="save" @command="save">
      <button type="button" class="bare" :aria-label="`save: ${label}`">⤓</button>
      <template #dropdown>
        <el-dropdown-menu>
          <el-dropdown-item v-for="(words, kind) in saves" :key="kind" :command="kind">{{ words }}</el-dropdown-item>
        </el-dropdown-menu>
      </template>
    </el-dropdown>
  </div>
</template>

<style scoped>
.chart {
  position: relative;
  width: 100%;
  min-width: 0;
}
figure {
  margin: 0;
  position: absolute;
  inset: 0;
}
.save {
  position: absolute;
  right: -16px;
  bottom: 0;
}
.save button {
  color: var(--soft);
  min-width: 22px;
  min-height: 28px;
  text-align: center;
}
@media (max-width: 700px) {
  .save {
    right: -8px;
    bottom: -14px;
  }
  .save button {
    min-width: 44px;
    min-height: 44px;
  }
}
</style>
