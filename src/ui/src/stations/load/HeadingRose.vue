<script setup lang="ts">
import { computed } from 'vue';
import type { HeadingLoad } from '../../api/generated/schema';
import { shown } from '../../parts/show';

/** The peak by the way the nose points, with the best and the worst. */
const props = defineProps<{ rose: HeadingLoad[]; headingDeg: number }>();
const inner = 42;
const arms = computed(() => {
  const most = Math.max(...props.rose.map((r) => r.peakW));
  const least = Math.min(...props.rose.map((r) => r.peakW));
  const reach = (w: number) => inner + 50 * (most > least ? (w - least) / (most - least) : 0.5);
  return props.rose.map((r) => {
    const from = ((r.headingDeg - 9) * Math.PI) / 180;
    const to = ((r.headingDeg + 9) * Math.PI) / 180;
    const at = (angle: number, far: number) => `${far * Math.sin(angle)} ${-far * Math.cos(angle)}`;
    const far = reach(r.peakW);
    return {
      ...r,
      path: `M ${at(from, 20)} L ${at(from, far)} L ${at(to, far)} L ${at(to, 20)} Z`,
      best: r.peakW === least,
      worst: r.peakW === most,
    };
  });
});
const best = computed(() => arms.value.find((r) => r.best)!);
const worst = computed(() => arms.value.find((r) => r.worst)!);
</script>

<template>
  <section class="rose">
    <h2>Which way to park</h2>
    <svg viewBox="-118 -108 236 216" role="img" :aria-label="`Best heading ${best.headingDeg} degrees, worst ${worst.headingDeg} degrees`">
      <circle r="92" class="ring" />
      <path v-for="arm in arms" :key="arm.headingDeg" :d="arm.path" class="arm" :class="{ best: arm.best, worst: arm.worst }">
        <title>{{ arm.headingDeg }}°: {{ shown(arm.peakW, 'power') }}</title>
      </path>
      <path d="M 0 -14 L 7 8 L 0 3 L -7 8 Z" class="needle" :transform="`rotate(${headingDeg})`" />
      <text
        v-for="(name, i) in ['N', 'E', 'S', 'W']"
        :key="name"
        :x="103 * Math.sin((i * Math.PI) / 2)"
        :y="-100 * Math.cos((i * Math.PI) / 2) + 5"
        text-anchor="middle"
      >
        {{ name }}
      </text>
    </svg>
    <p class="soft">
      Nose to {{ best.headingDeg }}°: {{ shown(best.peakW, 'power') }}. To {{ worst.headingDeg }}°: {{ shown(worst.peakW, 'power') }}.
    </p>
  </section>
</template>

<style scoped>
.rose {
  max-width: 250px;
}
svg {
  width: 100%;
}
p {
  font-size: 13px;
}
.ring {
  fill: none;
  stroke: var(--rule);
}
.arm {
  fill: var(--heat);
  opacity: 0.45;
}
.arm.worst {
  opacity: 1;
}
.arm.best {
  fill: var(--cold);
  opacity: 1;
}
.needle {
  fill: var(--ink);
}
text {
  fill: var(--soft);
  font-size: 13px;
}
</style>
