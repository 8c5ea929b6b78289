<script setup lang="ts">
import { computed } from 'vue';
import type { StartTrial } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { say, shown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';

/** The source, what may be on beside the unit, and how the start stands with each of it. */
const rig = useRig();
const start = computed(() => rig.assessment!.start!);
const direct = computed(() => rig.assessment!.unit?.unit.isDc === true);
const at = '/survey/sources/';
const fields = computed(() => {
  const on = direct.value ? 'battery' : rig.design!.start.on;
  if (on === 'inverter') return ['class', 'ratedW', 'ambientC', 'outputV'].map((f) => `${at}inverter/${f}`);
  if (on === 'generator') return ['kind', 'ratedW', 'maximumW', 'outputV'].map((f) => `${at}generator/${f}`);
  if (on === 'shore') return ['volts', 'breakerA', 'cableM', 'cableMm2'].map((f) => `${at}shore/${f}`);
  if (on === 'sun') return ['count', 'ratedW'].map((f) => `${at}modules/${f}`);
  return ['blocks', 'blockAh', 'cableM', 'cableMm2'].map((f) => `${at}battery/${f}`);
});
const devices = computed(() => rig.design!.survey.devices.map((d, i) => ({ name: d.name, path: `/survey/devices/${i}/onAtStart` })));

/** What runs when it starts, stacked to what the source gives for long and for a moment. */
const stack = computed(() => {
  const s = start.value;
  const volts = s.sourceV || 1;
  const most = Math.max(s.surgeW, s.continuousW, volts * s.maxA, 1);
  let from = 0;
  const own = { name: 'the unit, at its peak', w: Math.max(0, volts * (s.maxA - s.neighboursA)) };
  const parts = [...s.neighbours.map((n) => ({ name: n.name, w: n.currentA * volts })), own].map((p) => {
    const part = { ...p, from: from / most, share: p.w / most };
    from += p.w;
    return part;
  });
  return { parts, long: s.continuousW / most, surge: s.surgeW / most };
});

const columns: SheetColumn<StartTrial>[] = [
  { key: 'words', label: 'on with it', text: (t) => say(t.words), wide: true },
  { key: 'result', label: 'then', text: (t) => say(t.result), wide: true },
  { key: 'peak', label: 'peak', number: true, text: (t) => shown(t.maxA, 'current'), sort: (t) => t.maxA },
];
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskField v-if="!direct" path="/start/on" />
      <AskField v-for="f in fields" :key="f" :path="f" />
      <AskGroup title="May be on when the unit starts" :open="devices.length > 0">
        <AskField v-for="d in devices" :key="d.path" :path="d.path" :label="d.name" />
      </AskGroup>
    </template>
    <template #picture>
      <div class="stack" role="img" :aria-label="stack.parts.map((p) => `${p.name} ${shown(p.w, 'apparentPower')}`).join(', ')">
        <div class="track">
          <i
            v-for="(p, i) in stack.parts"
            :key="p.name"
            :class="`part part-${i % 3}`"
            :style="{ left: `${100 * p.from}%`, width: `${100 * p.share}%` }"
          />
          <u :style="{ left: `${100 * stack.long}%` }"
            ><span>for long {{ shown(start.continuousW, 'electricPower') }}</span></u
          >
          <u class="surge" :style="{ left: `${100 * stack.surge}%` }"
            ><span>for a moment {{ shown(start.surgeW, 'electricPower') }}</span></u
          >
        </div>
        <ul>
          <li v-for="(p, i) in stack.parts" :key="p.name">
            <i :class="`part part-${i % 3}`" /> {{ p.name }} <b>{{ shown(p.w, 'apparentPower') }}</b>
          </li>
        </ul>
      </div>
      <section v-if="start.stacking.length" data-stacking>
        <h2>With what is on beside it</h2>
        <SheetTable name="With what is on beside it" :rows="start.stacking" :columns="columns" copies>
          <template #result="{ row }">
            <span :class="`severity-${row.level ?? 'pass'}`">{{ say(row.result) }}</span>
          </template>
        </SheetTable>
      </section>
    </template>
  </LeafLayout>
</template>

<style scoped>
.stack {
  margin: 4px 0 16px;
}
.track {
  position: relative;
  height: 40px;
  background: var(--ground);
  margin: 26px 100px 30px 0;
}
.part {
  background: var(--ink);
}
.part-1 {
  background: repeating-linear-gradient(45deg, var(--cold) 0 5px, var(--sheet) 5px 8px);
}
.part-2 {
  background: repeating-linear-gradient(-45deg, var(--fuel) 0 5px, var(--sheet) 5px 8px);
}
.track .part {
  position: absolute;
  top: 0;
  bottom: 0;
  border: 1px solid var(--ink);
}
u {
  position: absolute;
  top: -8px;
  bottom: -8px;
  border-left: 3px solid var(--caution);
  text-decoration: none;
}
u span {
  position: absolute;
  top: -18px;
  left: -2px;
  white-space: nowrap;
  font-size: 12.5px;
  transform: translateX(-50%);
}
.surge {
  border-color: var(--stop);
}
.surge span {
  top: auto;
  bottom: -20px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
li .part {
  display: inline-block;
  width: 16px;
  height: 12px;
}
@media (max-width: 700px) {
  .track {
    margin-right: 64px;
  }
}
</style>
