<script setup lang="ts">
import { computed, ref } from 'vue';
import type { ConnectionRow, CoreColour, TerminalDesign } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { under } from './asked';
import SingleLinePicture from './SingleLinePicture.vue';
import WiringCautions from './WiringCautions.vue';

/** Which colour is on which terminal at both ends, what is crossed, and what the pump's alarm does. */
const rig = useRig();
const wiring = computed(() => rig.assessment?.wiring ?? null);
const between = computed(() => wiring.value?.between ?? null);
const rows = computed(() => between.value?.rows ?? []);
const terminals = computed(() => (rig.design?.wiring.between.terminals ?? []) as TerminalDesign[]);
const spliced = computed(() => (rig.design?.wiring.between.splices ?? 0) > 0);
const high = computed(() => 60 + rows.value.length * 46);
const y = (i: number) => 52 + i * 46;
/** On a phone the two blocks stand nearer, so that their words stay as large as all others. */
const narrow = matchMedia('(max-width: 700px)');
const slim = ref(narrow.matches);
narrow.addEventListener('change', (e) => (slim.value = e.matches));
const wide = computed(() => (slim.value ? 370 : 640));
const block = computed(() => (slim.value ? 104 : 166));
const names: Record<CoreColour, string> = {
  none: 'nothing',
  brown: 'brown',
  blue: 'blue',
  black: 'black',
  grey: 'grey',
  greenYellow: 'green-yellow',
  green: 'green',
  bare: 'bare',
  white: 'white',
  red: 'red',
  yellow: 'yellow',
  orange: 'orange',
  violet: 'violet',
};
const roles: Record<string, string> = {
  live: 'live',
  neutral: 'neutral',
  data: 'data',
  earth: 'earth',
  secondLive: 'second live',
  switched: 'switched',
  dry: 'dry contact',
};
/** A core from where it stands at the head to where it stands outdoors. */
const cores = computed(() =>
  rows.value.flatMap((r, i) => {
    if (r.head === 'none') return [];
    const to = rows.value.findIndex((o) => o.outdoor === r.head);
    return [{ colour: r.head, from: i, to, crossed: to !== i }];
  }),
);
const crossing = computed(() => cores.value.filter((c) => c.crossed && c.to >= 0));
const net: SheetColumn<ConnectionRow>[] = [
  { key: 'no', label: '', text: (n) => String(n.no), width: 36 },
  { key: 'from', label: 'from', text: (n) => n.from },
  { key: 'through', label: 'through', text: (n) => n.through },
  { key: 'to', label: 'to', text: (n) => n.to },
];
/** Pictures of both terminal blocks, as the run sheet kept them. */
const photos = computed(() =>
  (rig.assessment?.install?.steps ?? [])
    .filter((s) => s.photoSlot === 'head-terminals' || s.photoSlot === 'outdoor-terminals')
    .map((s) => ({ id: s.id, name: s.photoSlot === 'head-terminals' ? 'Head' : 'Outdoor unit', hashes: s.photos })),
);
const effects: Record<string, string> = {
  direct: 'The alarm stops the unit directly.',
  indirect: 'The alarm stops the unit through the head.',
  none: 'The alarm does not stop the unit.',
};
</script>

<template>
  <LeafLayout>
    <template #say>
      <WiringCautions />
      <AskGroup title="As wired, at both ends">
        <AskRows path="/wiring/between/terminals" one="terminal">
          <template #default="{ path }">
            <AskField v-for="f in ['label', 'role', 'head', 'outdoor']" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup
        title="The cable"
        :paths="under('between', 'coreMm2', 'splices', ...(spliced ? ['beyondCores', 'beyondMm2', 'boxIp'] : []), 'fromDcM', 'unscreened')"
      />
      <AskGroup
        title="Feeding and the pump's alarm"
        :paths="
          under(
            'between',
            'fed',
            'pump',
            ...(between?.alarm ? ['pumpFused', 'alarmFused', 'dataThroughAlarm', 'oldCoreLeft', 'contactA'] : []),
          )
        "
      />
      <AskGroup title="Several heads" :open="false">
        <AskRows path="/wiring/between/zones" one="head">
          <template #default="{ path }">
            <AskField v-for="f in ['head', 'cable', 'pipe']" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
    </template>
    <template v-if="between" #picture>
      <el-empty v-if="!rows.length" :image-size="0" description="The unit is one piece: there is no cable between." />
      <figure v-else class="ends" data-ends>
        <svg
          :viewBox="`0 0 ${wide} ${high}`"
          role="img"
          :aria-label="rows.map((r) => `${names[r.head]} on ${r.label} at the head, ${names[r.outdoor]} outdoors`).join('; ')"
        >
          <text :x="block / 2" y="18" class="unit">head</text>
          <text :x="wide - block / 2" y="18" class="unit">outdoor unit</text>
          <rect x="2" y="28" :width="block - 2" :height="high - 32" class="box" />
          <rect :x="wide - block" y="28" :width="block - 2" :height="high - 32" class="box" />
          <g v-for="c in cores" :key="c.colour">
            <path
              v-if="c.to >= 0"
              :d="`M ${block} ${y(c.from)} C ${wide / 2 - 30} ${y(c.from)}, ${wide / 2 + 30} ${y(c.to)}, ${wide - block} ${y(c.to)}`"
              class="core"
              :class="[c.colour, { crossed: c.crossed }]"
            />
            <path v-else :d="`M ${block} ${y(c.from)} h 60`" class="core" :class="c.colour" />
          </g>
          <g v-for="(r, i) in rows" :key="r.label">
            <circle :cx="block" :cy="y(i)" r="7" class="clamp" />
            <circle :cx="wide - block" :cy="y(i)" r="7" class="clamp" />
            <text :x="block - 12" :y="y(i) + 5" class="end">{{ r.label }} {{ roles[r.role] }}</text>
            <text :x="wide - block + 12" :y="y(i) + 5" class="start">{{ r.label }} {{ roles[r.role] }}</text>
            <text v-if="slim && r.head === r.outdoor" :x="wide / 2" :y="y(i) - 8" class="unit colour">{{ names[r.head] }}</text>
            <template v-else>
              <text :x="block + 12" :y="y(i) - 8" class="start colour">{{ names[r.head] }}</text>
              <text :x="wide - block - 12" :y="y(i) - 8" class="end colour">{{ names[r.outdoor] }}</text>
            </template>
          </g>
          <g v-if="crossing.length" :transform="`translate(${wide / 2} ${(y(crossing[0]!.from) + y(crossing[0]!.to)) / 2})`">
            <rect x="-13" y="-13" width="26" height="26" transform="rotate(45)" class="cross" />
            <text y="6" class="x">×</text>
          </g>
        </svg>
        <figcaption class="soft small">
          Colours are your own choice; both ends must agree. Photograph both blocks before the covers close.
        </figcaption>
      </figure>
      <div v-if="rows.length && photos.length" class="blocks" data-block-photos>
        <section v-for="slot in photos" :key="slot.id">
          <h2>{{ slot.name }}</h2>
          <a v-for="h in slot.hashes" :key="h" :href="`/api/rigs/${rig.id}/install/photos/${h}`" target="_blank" rel="noopener"
            ><img :src="`/api/rigs/${rig.id}/install/photos/${h}`" :alt="`terminals of the ${slot.name.toLowerCase()}`"
          /></a>
          <RouterLink :to="{ path: `/rig/${rig.id}/install/step`, query: { step: slot.id } }" class="take">
            {{ slot.hashes.length ? 'another photograph' : 'photograph it at its step' }}
          </RouterLink>
        </section>
      </div>
      <p v-if="between.alarm" class="alarm" :class="{ bad: between.alarm.effect === 'none' || !between.alarm.dataWhole }" data-alarm>
        <b>{{ effects[between.alarm.effect] }}</b>
        <span class="soft small">
          Followed on this net: in use, with the alarm open, with every fuse out. Data
          {{ between.alarm.dataWhole ? 'goes straight through' : 'is cut into' }}; pump
          {{ between.alarm.pumpFused ? 'fused' : 'not fused' }}, contact {{ between.alarm.alarmFused ? 'fused' : 'not fused' }}.
        </span>
      </p>
    </template>
    <template v-if="between" #below>
      <section v-if="between.picture">
        <h2>The pump's alarm, as wired</h2>
        <SingleLinePicture :line="between.picture" title="The pump's alarm" />
      </section>
      <div class="pair">
        <SheetTable name="Connections" :rows="between.net" :columns="net" copies />
        <section v-if="between.labels.length">
          <h2>Labels, two of each</h2>
          <p class="labels">
            <span v-for="l in between.labels" :key="l">{{ l }}</span>
          </p>
        </section>
      </div>
      <p v-if="!rows.length && !terminals.length" class="soft small">No terminals are typed.</p>
    </template>
  </LeafLayout>
</template>

<style scoped>
.blocks {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 28px;
}
.blocks h2 {
  margin: 0.3rem 0 0;
}
.blocks img {
  display: block;
  width: 160px;
  height: 120px;
  object-fit: cover;
  border: 1px solid var(--rule);
}
.blocks .take {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}
.ends {
  margin: 0;
}
svg {
  width: 100%;
  max-height: 46vh;
  display: block;
}
.box {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 2;
}
.clamp {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 2;
}
.unit {
  text-anchor: middle;
  font-weight: 720;
  font-size: 15px;
  fill: var(--ink);
}
text {
  fill: var(--ink);
  font-size: 14px;
}
.end {
  text-anchor: end;
}
.start {
  text-anchor: start;
}
.colour {
  font-size: 12.5px;
  font-weight: 560;
}
.core {
  fill: none;
  stroke-width: 5;
  stroke: var(--ink);
}
.core.brown {
  stroke: #7a4a21;
}
.core.blue {
  stroke: #2d6cb3;
}
.core.grey,
.core.bare {
  stroke: #8a8f8c;
}
.core.greenYellow,
.core.green {
  stroke: #2c7a3f;
}
.core.greenYellow {
  stroke-dasharray: 13 6;
}
.core.bare {
  stroke-dasharray: 2 5;
}
.core.white {
  stroke: #d9d5c8;
}
.core.red {
  stroke: #b3202c;
}
.core.yellow {
  stroke: #c9a500;
}
.core.orange {
  stroke: #c76a12;
}
.core.violet {
  stroke: #7a4c93;
}
.cross {
  fill: var(--stop);
}
.x {
  fill: #fff;
  text-anchor: middle;
  font-weight: 720;
  font-size: 17px;
}
.alarm {
  display: grid;
  gap: 0.2rem;
  border-left: 5px solid var(--pass);
  padding-left: 0.7rem;
  margin: 0.6rem 0 0;
}
.alarm.bad {
  border-color: var(--stop);
}
.labels {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.labels span {
  border: 1.5px solid var(--ink);
  border-radius: 3px;
  padding: 2px 9px;
  font-weight: 560;
}
</style>
