<script setup lang="ts">
import { computed } from 'vue';
import type { DrillMeets, HeadPlace, SetOut, ThingDesign } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { shown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import WallPicture from './WallPicture.vue';
import { under } from './asked';

/** Head and hole: where they are, what is in the way, how the hole is set out from both sides. */
const rig = useRig();
const wall = computed(() => rig.assessment?.layout?.wall ?? null);
const things = computed(() => (rig.design?.layout.wall.things ?? []) as ThingDesign[]);
const small = (m: number) => shown(m, 'smallLength');
const way = (m: number, more: string, less: string) => `${small(Math.abs(m))} ${m >= 0 ? more : less}`;
const setOut: SheetColumn<SetOut>[] = [
  { key: 'corner', label: 'measured from the', text: (s) => s.corner, width: 150 },
  { key: 'in', label: 'inside', text: (s) => `${way(s.rightM, 'right', 'left')}, ${way(s.upM, 'up', 'down')}`, width: 150 },
  { key: 'out', label: 'outside', text: (s) => `${way(s.outsideRightM, 'right', 'left')}, ${way(s.outsideUpM, 'up', 'down')}`, width: 150 },
];
const meets: SheetColumn<DrillMeets>[] = [
  { key: 'name', label: 'behind the hole', text: (m) => m.name, wide: true },
  { key: 'clear', label: 'passes at', number: true, text: (m) => (m.clearM < 0 ? 'meets it' : small(m.clearM)) },
  { key: 'need', label: 'wanted', number: true, text: (m) => small(m.needM) },
];
const best: SheetColumn<HeadPlace>[] = [
  { key: 'at', label: 'best places', text: (p) => `${small(p.leftM)} from the left, ${small(p.lowM)} up`, width: 170 },
  { key: 'score', label: 'of the best', number: true, text: (p) => shown(p.score, 'fraction') },
  { key: 'ribs', label: 'ribs', number: true, text: (p) => shown(p.ribs, 'fraction') },
  { key: 'covered', label: 'covered', number: true, text: (p) => shown(p.covered, 'fraction') },
  { key: 'pipe', label: 'short pipe', number: true, text: (p) => shown(p.pipe, 'fraction') },
  { key: 'drain', label: 'drain', number: true, text: (p) => shown(p.drain, 'fraction') },
  { key: 'take', label: '' },
];

async function take(place: HeadPlace): Promise<void> {
  await rig.set('/layout/head/leftM', place.leftM);
  await rig.set('/layout/head/lowM', place.lowM);
}
</script>

<template>
  <LeafLayout>
    <template #say>
      <p v-if="wall" class="warn small">
        Isolate power. Look and feel on both sides. Pilot hole by hand. Never drill pillars, roof bows, belt anchors, airbag zones or
        chassis rails.
      </p>
      <AskGroup title="The head" :paths="under('head', 'leftM', 'lowM', 'exit')" />
      <AskGroup
        title="The wall, seen from inside"
        :paths="under('wall', 'side', 'build', 'widthM', 'ceilingM', 'ceilingRightM', 'thicknessM', 'scanned')"
      />
      <AskGroup title="Ribs or studs" :paths="under('wall', 'ribFirstM', 'ribPitchM', 'ribWidthM')" />
      <AskGroup title="On, in and behind it">
        <AskRows path="/layout/wall/things" one="thing">
          <template #default="{ path, index }">
            <AskField v-for="f in ['name', 'kind', 'place', 'leftM', 'lowM', 'widthM', 'heightM']" :key="f" :path="`${path}/${f}`" />
            <span v-if="things[index]?.place === 'outside'" class="soft small">measured as seen from inside</span>
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup title="Hole" :paths="under('head', 'holeM', 'fallM', 'drillM', 'proudM')" />
      <AskGroup
        title="Distances and corner"
        :open="false"
        :paths="
          under('head', 'throwM', 'sensorM', 'sensorInStream', 'belowM', 'leastUpM', 'plateRightM', 'plateUpM', 'cornerRightM', 'cornerUpM')
        "
      />
      <AskField path="/layout/wall/fireRated" />
    </template>
    <template v-if="wall" #picture><WallPicture :wall="wall" slides /></template>
    <template v-if="wall" #below>
      <SheetTable name="The hole from two corners" :rows="wall.setOut" :columns="setOut" copies />
      <p class="soft small">
        With tape and pilot the place outside is sure to {{ small(wall.uncertainM) }}. Pilot hole right through first; the screws of the
        plate stand where circles are drawn.
      </p>
      <div class="pair">
        <SheetTable v-if="wall.meets.length" name="What is behind the hole" :rows="wall.meets" :columns="meets" />
        <SheetTable name="Best places found" :rows="wall.best" :columns="best">
          <template #take="{ row }">
            <button type="button" class="plain" :aria-label="`take it: ${small(row.leftM)} from the left`" @click="take(row)">
              take it
            </button>
          </template>
          <template #empty>no place keeps all distances</template>
        </SheetTable>
      </div>
    </template>
  </LeafLayout>
</template>
