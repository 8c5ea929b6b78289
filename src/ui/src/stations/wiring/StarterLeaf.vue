<script setup lang="ts">
import { computed } from 'vue';
import type { StarterMapRow } from '../../api/generated/schema';
import AskGroup from '../../parts/AskGroup.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { under } from './asked';

/** Terminals of the compressor named from three readings, and the map of a soft starter wire by wire. */
const rig = useRig();
const starter = computed(() => rig.assessment?.wiring?.starter ?? null);
const map: SheetColumn<StarterMapRow>[] = [
  { key: 'no', label: '', text: (r) => String(r.no), width: 36 },
  { key: 'from', label: 'from', text: (r) => r.from, wide: true },
  { key: 'to', label: 'to', text: (r) => r.to, wide: true },
  { key: 'colour', label: 'colour', text: (r) => r.colour },
  { key: 'joined', label: 'joined now', text: (r) => r.joined, wide: true },
  { key: 'right', label: '', text: (r) => (r.right ? '● right' : '◆ wrong'), width: 90 },
];
const pins = computed(() => {
  const w = starter.value?.windings;
  const name = (letter: string) => (!w || !w.common ? '?' : letter === w.common ? 'common' : letter === w.run ? 'run' : 'start');
  return [
    { letter: 'A', x: 150, y: 46 },
    { letter: 'B', x: 70, y: 160 },
    { letter: 'C', x: 230, y: 160 },
  ].map((p) => ({ ...p, name: name(p.letter) }));
});
</script>

<template>
  <LeafLayout>
    <template #say>
      <p class="warn small">
        All wires off the terminals, capacitor bled through a resistor and measured. Terminal pins stand under pressure: do not pull or
        lever them. No insulation test under vacuum.
      </p>
      <template v-if="starter">
        <AskGroup title="Three readings" :paths="under('softStarter', 'abOhm', 'acOhm', 'bcOhm', 'leadsOhm', 'stepOhm', 'shellOhm')" />
        <AskGroup title="Colours now" :paths="under('softStarter', 'commonColour', 'runColour', 'startColour')" />
        <AskGroup
          title="As joined"
          :paths="
            under('softStarter', 'controlCommon', 'controlRun', 'controlStart', 'compressorCommon', 'compressorRun', 'compressorStart')
          "
        />
        <AskGroup title="The device" :open="false" :paths="under('softStarter', 'leadsCommon', 'leadsRun', 'leadsStart')" />
        <AskGroup title="Where it goes" :paths="under('softStarter', 'fanThrough', 'otherAssist', 'drilled', 'fromHotM')" />
      </template>
    </template>
    <template #picture>
      <div v-if="starter" class="pins">
        <figure data-pins>
          <svg viewBox="0 0 300 210" role="img" :aria-label="starter.words">
            <circle cx="150" cy="120" r="86" class="shell" />
            <g v-for="p in pins" :key="p.letter" :transform="`translate(${p.x} ${p.y})`">
              <circle r="20" class="pin" :class="p.name" />
              <text y="6" class="letter">{{ p.letter }}</text>
              <text :y="p.letter === 'A' ? -26 : 38">{{ p.name }}</text>
            </g>
          </svg>
          <figcaption class="soft small">Common to run is the smallest reading, run to start the largest.</figcaption>
        </figure>
        <SheetTable name="Wire by wire" :rows="starter.map" :columns="map" :row-class="(r) => (r.right ? '' : 'wrong')" copies />
      </div>
      <el-empty v-else :image-size="0" description="No soft starter is chosen. Start offers one where a single-speed unit needs it." />
    </template>
  </LeafLayout>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  width: 100%;
  max-height: 36vh;
}
.shell {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 2;
}
.pin {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 3;
}
.pin.common {
  stroke-dasharray: 4 3;
}
.pin.run {
  stroke-width: 6;
}
text {
  text-anchor: middle;
  fill: var(--ink);
  font-size: 14px;
  font-weight: 560;
}
.letter {
  font-size: 17px;
  font-weight: 720;
}
:deep(.wrong) {
  color: var(--stop);
}
</style>
