<script setup lang="ts">
import { computed } from 'vue';
import AskField from '../../parts/AskField.vue';
import { shown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';

const rig = useRig();
const heating = computed(() => rig.assessment!.load!.heating);
const fields = [
  '/load/heatC',
  ...['winterC', 'winterWindMs', 'winterWaterC'].map((f) => '/survey/climate/' + f),
  '/survey/space/airChangesPerHour',
];
const parts = computed(() =>
  [
    { name: 'roof', watts: heating.value.roofW },
    { name: 'walls', watts: heating.value.wallsW },
    { name: 'floor', watts: heating.value.floorW },
    { name: 'glass', watts: heating.value.glassW },
    { name: 'outside air', watts: heating.value.airW },
  ].sort((a, b) => b.watts - a.watts),
);
const most = computed(() => Math.max(1, ...parts.value.map((p) => p.watts)));
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskField v-for="f in fields" :key="f" :path="f" />
      <p class="soft small">No sun, nobody in, nothing on: what is left at four in the morning.</p>
    </template>
    <template #picture>
      <div
        class="bars"
        role="img"
        :aria-label="`The heat goes through: ${parts.map((p) => `${p.name} ${shown(p.watts, 'power')}`).join(', ')}`"
      >
        <template v-for="p in parts" :key="p.name">
          <span>{{ p.name }}</span>
          <span class="track"><i :style="{ width: `${(100 * Math.max(0, p.watts)) / most}%` }" /></span>
          <b>{{ shown(p.watts, 'power') }}</b>
        </template>
      </div>
    </template>
  </LeafLayout>
</template>

<style scoped>
.bars {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: 12px 14px;
  align-items: center;
  max-width: 720px;
}
.track {
  height: 26px;
  background: var(--ground);
}
.track i {
  display: block;
  height: 100%;
  background: repeating-linear-gradient(45deg, var(--heat) 0 8px, color-mix(in srgb, var(--heat) 70%, var(--sheet)) 8px 11px);
}
b {
  text-align: right;
}
</style>
