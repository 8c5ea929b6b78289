<script setup lang="ts">
import { computed } from 'vue';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import { shown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { under } from './asked';

/** The drain in profile: along it, its height, the fall of each piece, and where water would stand. */
const rig = useRig();
const drain = computed(() => rig.assessment?.layout?.drain ?? null);
const design = computed(() => rig.design!.layout.drain);
const pump = computed(() => design.value.by === 'pump');
const fields = computed(() =>
  pump.value
    ? ['by', 'liftM', 'suctionM', 'hoseM', 'hoseInsideM', 'pumpLh', 'pumpHeadM', 'alarmWired', 'coverRoomM', 'spareL']
    : ['by', 'endUpM', 'insideM', 'toBilge', 'joined'],
);
const heights = computed(() => drain.value!.points.map((p) => p.z));
const span = computed(() => Math.max(0.3, Math.max(...heights.value) - Math.min(...heights.value)));
const long = computed(() => Math.max(0.3, drain.value!.along.at(-1)!));
const at = (i: number): [number, number] => [
  40 + (560 * drain.value!.along[i]!) / long.value,
  24 + (230 * (Math.max(...heights.value) - heights.value[i]!)) / span.value,
];
const path = computed(() => drain.value!.points.map((_, i) => `${i ? 'L' : 'M'} ${at(i).join(' ')}`).join(' '));
const middles = computed(() =>
  drain.value!.fallsPct.map((fall, i) => {
    const [a, b] = [at(i), at(i + 1)];
    return {
      x: (a[0] + b[0]) / 2 + 8,
      y: (a[1] + b[1]) / 2 - 6,
      words: fall === null ? 'drops' : shown(fall / 100, 'fraction'),
      bad: fall !== null && fall < 1,
    };
  }),
);
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskGroup title="The drain" :paths="under('drain', ...fields)" />
      <AskGroup title="Points on its way" :open="design.points.length > 0">
        <AskRows path="/layout/drain/points" one="point">
          <template #default="{ path: p }">
            <AskField v-for="f in ['rightM', 'outM', 'upM']" :key="f" :path="`${p}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup title="Parked or heeled" :paths="under('drain', 'pitchDeg', 'rollDeg', 'trayDeg', 'lipM')" />
      <AskGroup title="Soak pit" :open="design.pit" :paths="under('drain', 'pit', ...(design.pit ? ['soaksLh'] : []))" />
    </template>
    <template v-if="drain" #picture>
      <figure data-drain>
        <svg viewBox="0 0 640 300" role="img" aria-label="The drain along its length, with the fall of each piece">
          <line x1="40" x2="600" :y1="at(0)[1]" :y2="at(0)[1]" class="level" />
          <text x="600" :y="at(0)[1] - 6" text-anchor="end" class="soft-text">height of the tray</text>
          <path :d="path" class="drain" />
          <circle v-for="(_, i) in drain.points" :key="i" :cx="at(i)[0]" :cy="at(i)[1]" r="5" class="point" />
          <circle v-for="t in drain.traps" :key="'t' + t.at" :cx="at(t.at)[0]" :cy="at(t.at)[1]" r="11" class="trap" />
          <text v-for="(m, i) in middles" :key="'m' + i" :x="m.x" :y="m.y" :class="{ bad: m.bad }">{{ m.words }}</text>
        </svg>
        <figcaption class="soft small">
          {{ shown(long, 'length') }} of hose, heights drawn larger.
          {{ drain.traps.length ? 'Ring: water stands there.' : 'Water stands nowhere.' }}
        </figcaption>
      </figure>
    </template>
  </LeafLayout>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  width: 100%;
  max-height: 46vh;
}
.level {
  stroke: var(--rule);
  stroke-dasharray: 6 5;
}
.drain {
  fill: none;
  stroke: var(--cold);
  stroke-width: 5;
  stroke-linejoin: round;
}
.point {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.trap {
  fill: none;
  stroke: var(--stop);
  stroke-width: 3;
}
text {
  font-size: 14px;
  fill: var(--ink);
  font-weight: 560;
}
text.soft-text {
  fill: var(--soft);
  font-weight: 420;
}
text.bad {
  fill: var(--stop);
}
</style>
