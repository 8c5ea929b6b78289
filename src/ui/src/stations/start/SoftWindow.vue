<script setup lang="ts">
import { computed } from 'vue';
import type { ReductionWindow } from '../../api/generated/schema';
import { fieldAt } from '../../api/description';
import { shown } from '../../parts/show';

/** What a soft starter may take away: too much for the source on the left, too little for the motor on the right. */
const props = defineProps<{ window: ReductionWindow; chosen: number | null }>();

const { min, max } = fieldAt('/start/reduction');
const [low, high, width] = [min ?? 0, max ?? 1, 360];
const x = (reduction: number) => ((Math.min(high, Math.max(low, reduction)) - low) / (high - low)) * width;
const least = computed(() => x(props.window.least));
const most = computed(() => x(props.window.most));
</script>

<template>
  <section data-window>
    <h2>What a soft starter may take away</h2>
    <svg
      :viewBox="`-16 0 ${width + 32} 66`"
      role="img"
      :aria-label="`It starts with ${shown(window.least, 'fraction')} to ${shown(window.most, 'fraction')} less`"
    >
      <rect x="0" y="22" :width="width" height="14" class="not" />
      <rect :x="least" y="22" :width="Math.max(3, most - least)" height="14" class="starts" />
      <line :x1="x(window.middle)" :x2="x(window.middle)" y1="16" y2="42" class="middle" />
      <text :x="x(window.middle)" y="12" text-anchor="middle" class="told">best {{ shown(window.middle, 'fraction') }}</text>
      <g v-if="chosen !== null && Math.abs(chosen - window.middle) > 0.001">
        <path :d="`M ${x(chosen)} 38 l -6 10 l 12 0 z`" class="chosen" />
        <text :x="x(chosen)" y="62" text-anchor="middle">set {{ shown(chosen, 'fraction') }}</text>
      </g>
      <text v-if="least > 140" x="4" y="33" class="why">too much for the source</text>
      <text v-if="width - most > 134" :x="width - 4" y="33" text-anchor="end" class="why">too little for the motor</text>
    </svg>
  </section>
</template>

<style scoped>
svg {
  width: 100%;
  max-width: 470px;
  display: block;
}
.not {
  fill: var(--ground);
  stroke: var(--rule);
}
.starts {
  fill: var(--pass);
}
.middle {
  stroke: var(--ink);
  stroke-width: 3;
}
.chosen {
  fill: var(--ink);
}
text {
  font-size: 13px;
  fill: var(--soft);
}
.told {
  fill: var(--ink);
  font-weight: 650;
}
.why {
  font-size: 11.5px;
}
</style>
