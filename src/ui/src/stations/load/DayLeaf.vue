<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core';
import { computed } from 'vue';
import type { SpaceLoad, StandLoad } from '../../api/generated/schema';
import AskGroup from '../../parts/AskGroup.vue';
import DrawnChart from '../../parts/DrawnChart.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { axis, inks, lettering, tip } from '../../parts/chart';
import { symbolOf, shown, toShown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import HeadingRose from './HeadingRose.vue';
import { looks, usePeakCauses } from './causes';

const rig = useRig();
const load = computed(() => rig.assessment!.load!);
const peakCauses = usePeakCauses();
const narrow = useMediaQuery('(max-width: 700px)');

/** The causes stacked over the day, told apart by pattern and named at the peak. */
const stack = computed(() => {
  const drawn = load.value.causes.map((c, i) => ({ ...c, i })).filter((c) => Math.max(...c.watts.map(Math.abs)) > 5);
  const peak = load.value.peakHour;
  const least = 0.06 * load.value.peakW;
  const named = { show: true, position: 'right', formatter: '{a}', ...lettering(12), color: inks.value.ink };
  return {
    animation: false,
    grid: { left: 52, right: narrow.value ? 104 : 128, top: 18, bottom: 26 },
    tooltip: tip({ valueFormatter: (v: number) => `${Math.round(v)} ${symbolOf('power')}` }),
    xAxis: axis({
      type: 'category',
      data: Array.from({ length: 24 }, (_, h) => `${String(h).padStart(2, '0')}:00`),
      axisLabel: { ...lettering(12), color: inks.value.soft, interval: narrow.value ? 5 : 2 },
      boundaryGap: true,
    }),
    yAxis: axis({ type: 'value', name: symbolOf('power'), nameLocation: 'end', nameGap: 4 }),
    series: drawn.map((c, place) => ({
      name: c.label,
      type: 'bar',
      stack: 'load',
      barCategoryGap: '18%',
      silent: true,
      emphasis: { disabled: true },
      data: c.watts.map((w, h) => (h === peak && w > least ? { value: toShown(w, 'power'), label: named } : toShown(w, 'power'))),
      itemStyle: { color: looks.value[c.i]!.colour, decal: looks.value[c.i]!.decal, borderColor: inks.value.sheet, borderWidth: 0.5 },
      labelLayout: { x: narrow.value ? '75%' : '87%', moveOverlap: 'shiftY' },
      labelLine: { show: true, lineStyle: { color: inks.value.rule } },
      markLine:
        place === 0
          ? {
              silent: true,
              symbol: 'none',
              label: { formatter: 'peak', ...lettering(12) },
              lineStyle: { color: inks.value.ink, type: 'solid', width: 1.5 },
              data: [{ xAxis: peak }],
            }
          : undefined,
    })),
  };
});

const spaces: SheetColumn<SpaceLoad>[] = [
  { key: 'name', label: 'space', text: (s) => s.name + (s.cooled ? '' : ', not cooled'), wide: true },
  { key: 'floor', label: 'floor', number: true, text: (s) => shown(s.floorM2, 'area'), sort: (s) => s.floorM2 },
  { key: 'peak', label: 'peak', number: true, text: (s) => shown(s.peakW, 'power'), sort: (s) => s.peakW },
  { key: 'hour', label: 'at', number: true, text: (s) => `${s.peakHour + 1} h` },
];
const stands: SheetColumn<StandLoad>[] = [
  { key: 'name', label: 'stand', text: (s) => `${s.name}, from ${s.from}`, wide: true },
  { key: 'peak', label: 'peak', number: true, text: (s) => shown(s.peakW, 'power'), sort: (s) => s.peakW },
  {
    key: 'best',
    label: 'best way round',
    number: true,
    text: (s) => `${shown(s.bestHeadingDeg, 'angle')}: ${shown(s.bestPeakW, 'power')}`,
  },
];
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskGroup title="Held inside" :paths="['/load/setpointC', '/load/humidityPct']" />
      <AskGroup
        title="The day"
        :paths="['/survey/place/dryBulbC', '/survey/place/nightLowC', '/survey/place/humidityPct', '/survey/headingDeg']"
      />
      <AskGroup title="At the peak it comes from" class="follows">
        <ul class="causes">
          <li v-for="cause in peakCauses" :key="cause.label">
            <i :style="{ background: cause.css }" /><span>{{ cause.label }}</span
            ><b>{{ shown(cause.watts, 'power') }}</b>
          </li>
        </ul>
      </AskGroup>
    </template>
    <template #picture>
      <DrawnChart fill :option="stack" :height="220" :label="`Heat by hour and cause; most at ${load.peakHour + 1} o'clock`" />
    </template>
    <template #below>
      <div class="pair rose-pair">
        <div>
          <section v-if="load.spaces.length" data-spaces>
            <h2>Space by space</h2>
            <SheetTable name="Space by space" :rows="load.spaces" :columns="spaces" />
          </section>
          <section v-if="load.stands.length" data-stands>
            <h2>At the other stands</h2>
            <SheetTable name="At the other stands" :rows="load.stands" :columns="stands" />
          </section>
        </div>
        <HeadingRose :rose="load.rose" :heading-deg="rig.design!.survey.headingDeg" />
      </div>
    </template>
  </LeafLayout>
</template>

<style scoped>
.causes {
  list-style: none;
  margin: 0;
  padding: 0;
}
.causes li {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 3px 0;
  border-bottom: 1px solid var(--hair);
}
.causes span {
  flex: 1;
}
.causes i {
  width: 18px;
  height: 14px;
  border: 1px solid var(--soft);
}
.rose-pair {
  grid-template-columns: minmax(0, 1fr) 250px;
}
section + section {
  margin-top: 14px;
}
@media (max-width: 700px) {
  .rose-pair {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
