<script setup lang="ts">
import { computed } from 'vue';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import DrawnChart from '../../parts/DrawnChart.vue';
import FigureRow from '../../parts/FigureRow.vue';
import VerdictBox from '../../parts/VerdictBox.vue';
import { axis, inks, lettering, tip } from '../../parts/chart';
import { useProposal } from '../../parts/proposal';
import { symbolOf, shown, toShown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import StationLayout from '../StationLayout.vue';
import MeasureTable from './MeasureTable.vue';
import SeasonBox from './SeasonBox.vue';
import SoakBox from './SoakBox.vue';

const rig = useRig();
const load = computed(() => rig.assessment!.load!);

const tints = computed(() => {
  const i = inks.value;
  return [i.heat, i.heat, i.heat, i.sun, i.sun, i.shore, i.stored, i.fuel, i.cold, i.cold, i.cold];
});
const strengths = [0.95, 0.65, 0.38, 0.45, 0.9, 0.75, 0.75, 0.75, 0.85, 0.6, 0.4];

const stack = computed(() => {
  const shownCauses = load.value.causes.map((c, i) => ({ ...c, i })).filter((c) => Math.max(...c.watts.map(Math.abs)) > 5);
  return {
    animation: false,
    grid: { left: 52, right: 12, top: 18, bottom: 26 },
    tooltip: tip({ valueFormatter: (v: number) => `${Math.round(v)} ${symbolOf('power')}` }),
    xAxis: axis({
      type: 'category',
      data: Array.from({ length: 24 }, (_, h) => `${String(h).padStart(2, '0')}:00`),
      axisLabel: { ...lettering(12), color: inks.value.soft, interval: 2 },
      boundaryGap: true,
    }),
    yAxis: axis({ type: 'value', name: symbolOf('power'), nameLocation: 'end', nameGap: 4 }),
    series: shownCauses.map((c) => ({
      name: c.label,
      type: 'bar',
      stack: 'load',
      barCategoryGap: '18%',
      silent: true,
      emphasis: { disabled: true },
      data: c.watts.map((w) => toShown(w, 'power')),
      itemStyle: { color: tints.value[c.i], opacity: strengths[c.i], borderColor: inks.value.sheet, borderWidth: 0.5 },
      markLine:
        c.i === 0
          ? {
              silent: true,
              symbol: 'none',
              label: { formatter: 'peak', ...lettering(12) },
              lineStyle: { color: inks.value.ink, type: 'solid', width: 1.5 },
              data: [{ xAxis: load.value.peakHour }],
            }
          : undefined,
    })),
  };
});

const peakCauses = computed(() =>
  load.value.causes
    .map((c, i) => ({ label: c.label, watts: c.watts[load.value.peakHour] ?? 0, colour: tints.value[i], strength: strengths[i] }))
    .filter((c) => Math.abs(c.watts) > 5)
    .sort((a, b) => b.watts - a.watts),
);

const rose = computed(() => {
  const most = Math.max(...load.value.rose.map((r) => r.peakW));
  const least = Math.min(...load.value.rose.map((r) => r.peakW));
  const inner = 42;
  const arm = (w: number) => inner + 50 * (most > least ? (w - least) / (most - least) : 0.5);
  return load.value.rose.map((r) => {
    const from = ((r.headingDeg - 9) * Math.PI) / 180;
    const to = ((r.headingDeg + 9) * Math.PI) / 180;
    const radius = arm(r.peakW);
    const at = (angle: number, reach: number) => `${reach * Math.sin(angle)} ${-reach * Math.cos(angle)}`;
    return {
      ...r,
      path: `M ${at(from, 20)} L ${at(from, radius)} L ${at(to, radius)} L ${at(to, 20)} Z`,
      best: r.peakW === least,
      worst: r.peakW === most,
    };
  });
});
const best = computed(() => rose.value.find((r) => r.best)!);
const worst = computed(() => rose.value.find((r) => r.worst)!);

const months = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'];
const climateMonths = computed(() => rig.design!.survey.climate.months.length);
const { refused, propose } = useProposal();
</script>

<template>
  <StationLayout title="Load" question="How much heat must go out, and where does it come from?">
    <template #say>
      <AskGroup title="Held inside" :paths="['/load/setpointC', '/load/humidityPct']" />
      <AskGroup
        title="The day"
        :paths="['/survey/place/dryBulbC', '/survey/place/nightLowC', '/survey/place/humidityPct', '/survey/headingDeg']"
      />
      <AskGroup
        title="The coldest night"
        :paths="['/load/heatC', '/survey/climate/winterC', '/survey/climate/winterWindMs']"
        :open="false"
      />
      <AskGroup title="At the peak it comes from" class="follows">
        <ul class="causes">
          <li v-for="cause in peakCauses" :key="cause.label">
            <i :style="{ background: cause.colour, opacity: cause.strength }" /><span>{{ cause.label }}</span
            ><b>{{ shown(cause.watts, 'power') }}</b>
          </li>
        </ul>
      </AskGroup>
      <AskGroup title="The year" :paths="['/survey/climate/seed']" :open="false">
        <button v-if="climateMonths !== 12" type="button" class="plain" @click="propose('months')">write down the twelve months</button>
        <p v-if="refused" role="alert" class="severity-stop">{{ refused }}</p>
        <template v-else>
          <AskGroup v-for="(month, i) in months" :key="month" :title="month" :open="false">
            <AskField
              v-for="f in ['maxC', 'minC', 'clearness', 'humidityPct', 'windMs']"
              :key="f"
              :path="`/survey/climate/months/${i}/${f}`"
            />
          </AskGroup>
        </template>
      </AskGroup>
    </template>
    <template #see>
      <VerdictBox :verdict="load.verdict" :findings="load.findings" />
      <FigureRow :figures="load.figures" />
      <DrawnChart :option="stack" :height="190" :label="`Heat by hour and cause; most at ${load.peakHour + 1} o'clock`" />
      <MeasureTable :load="load" />
      <div class="pair">
        <SoakBox :soak="load.soak" :outdoor-c="load.outdoorC" :setpoint-c="rig.design!.load.setpointC" />
        <section class="rose">
          <h2>Which way to park</h2>
          <svg
            viewBox="-118 -108 236 216"
            role="img"
            :aria-label="`Best heading ${best.headingDeg} degrees, worst ${worst.headingDeg} degrees`"
          >
            <circle r="92" class="ring" />
            <path v-for="arm in rose" :key="arm.headingDeg" :d="arm.path" class="arm" :class="{ best: arm.best, worst: arm.worst }">
              <title>{{ arm.headingDeg }}°: {{ shown(arm.peakW, 'power') }}</title>
            </path>
            <path d="M 0 -14 L 7 8 L 0 3 L -7 8 Z" class="needle" :transform="`rotate(${rig.design!.survey.headingDeg})`" />
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
      </div>
      <div v-if="load.spaces.length || load.stands.length" class="pair halves">
        <section v-if="load.spaces.length" data-spaces>
          <h2>Space by space</h2>
          <table class="sheet">
            <tbody>
              <tr v-for="s in load.spaces" :key="s.name">
                <td>{{ s.name }}{{ s.cooled ? '' : ', not cooled' }}</td>
                <td class="number soft">{{ shown(s.floorM2, 'area') }}</td>
                <td class="number">
                  <b>{{ shown(s.peakW, 'power') }}</b>
                </td>
                <td class="number soft">at {{ s.peakHour + 1 }} h</td>
              </tr>
            </tbody>
          </table>
        </section>
        <section v-if="load.stands.length" data-stands>
          <h2>At the other stands</h2>
          <table class="sheet">
            <tbody>
              <tr v-for="s in load.stands" :key="s.name">
                <td>{{ s.name }}, from {{ s.from }}</td>
                <td class="number">
                  <b>{{ shown(s.peakW, 'power') }}</b>
                </td>
                <td class="number soft">best {{ shown(s.bestHeadingDeg, 'angle') }}: {{ shown(s.bestPeakW, 'power') }}</td>
              </tr>
            </tbody>
          </table>
        </section>
      </div>
      <SeasonBox />
    </template>
  </StationLayout>
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
  width: 12px;
  height: 12px;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 214px;
  gap: 22px;
}
.pair.halves {
  grid-template-columns: 1fr 1fr;
  margin-top: 12px;
}
.rose svg {
  width: 100%;
}
.rose p {
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
