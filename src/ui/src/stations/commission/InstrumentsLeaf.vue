<script setup lang="ts">
import type { EChartsCoreOption } from 'echarts/core';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import type { ChannelView, SceneKind, TakeChoice } from '../../api/generated/schema';
import AskGroup from '../../parts/AskGroup.vue';
import { axis, inks, lettering, tip, tipText } from '../../parts/chart';
import DrawnChart from '../../parts/DrawnChart.vue';
import { moment, shown, symbolOf, toShown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { useInstruments } from './instruments';
import LoggerImport from './LoggerImport.vue';
import WhoReads from '../../parts/WhoReads.vue';
import { recordFieldsOf } from '../../api/description';
import { useWriting } from '../../parts/writing';

/** What instruments say now and said before, live, simulated or out of a file; from here it is taken over into the proof. */
const rig = useRig();
const router = useRouter();
const { by, refused: unplaced, write } = useWriting();
const places = recordFieldsOf('placed').find((f) => f.path === '/place')!.choices;
const placeOf = (instrument: string) => rig.assessment!.commission!.places.find((p) => p.instrument === instrument)?.place ?? 'notSaid';
const { seen, trace, channel, chosen, lastMin, refused, away, look, take, listen, play, stop } = useInstruments();
const scene = ref<SceneKind>('dryCircuit');
const rate = ref(60);
const vacuum = computed(() => seen.value?.scene?.name.startsWith('vacuum'));
const rates = [1, 10, 60, 600];
const spans = [
  { words: '10 min', min: 10 },
  { words: '1 h', min: 60 },
  { words: 'all', min: null },
];
const valueOf = (c: ChannelView) => (c.value === null ? '–' : shown(c.value, c.kind));
/** What is drawn is what is taken: a hold of the vacuum from its lowest in the stretch that is shown. */
async function takeOver(t: TakeChoice): Promise<void> {
  const from = (t.as === 'vacuum' ? trace.value?.lowestMs : trace.value?.ms[0]) ?? null;
  if (await take(t.as, by.value, from, trace.value?.ms.at(-1) ?? null)) await router.push(`/rig/${rig.id}/commission/${t.leaf}`);
}

const picture = computed<EChartsCoreOption>(() => {
  const [i, c, t] = [inks.value, channel.value!, trace.value!];
  const log = c.quantity === 'absolutePressure';
  const data = t.ms.map((ms, n) => {
    const v = t.values[n];
    return [ms, v === null || v === undefined ? null : log ? Math.max(0.2, toShown(v, c.kind)) : toShown(v, c.kind)];
  });
  return {
    animation: false,
    grid: { left: 64, right: 18, top: 34, bottom: 34 },
    tooltip: tip({
      trigger: 'axis',
      formatter: (p: { data: [number, number | null] }[]) =>
        tipText(moment(new Date(p[0]!.data[0])), [p[0]!.data[1] === null ? 'no reading' : `${p[0]!.data[1]} ${symbolOf(c.kind)}`]),
    }),
    xAxis: axis({ type: 'time', axisLabel: { hideOverlap: true, ...lettering(12.5), color: i.soft } }),
    yAxis: axis({
      type: log ? 'log' : 'value',
      scale: true,
      name: symbolOf(c.kind),
      nameGap: 14,
      nameTextStyle: { align: 'right', ...lettering(12.5) },
    }),
    series: [
      {
        type: 'line',
        showSymbol: false,
        data,
        lineStyle: { color: i.cold, width: 2 },
        itemStyle: { color: i.cold },
        markLine:
          log && t.lowestMs
            ? {
                silent: true,
                symbol: 'none',
                lineStyle: { color: i.ink, width: 1.5, type: 'dashed' },
                label: { formatter: 'lowest: the hold from here', position: 'insideEndTop', ...lettering(12) },
                data: [{ xAxis: t.lowestMs }],
              }
            : undefined,
      },
    ],
  };
});
</script>

<template>
  <LeafLayout :verdict="seen?.said">
    <template #say>
      <p v-if="away" class="severity-caution" role="status">The server does not answer; what was seen last stands here.</p>
      <p v-if="refused" class="severity-stop" role="alert">{{ refused }}</p>
      <template v-if="seen">
        <WhoReads v-model="by" />
        <p v-if="!seen.on" class="acts">
          <button type="button" class="plain" data-listen @click="listen(true)">listen to instruments</button>
        </p>
        <template v-else>
          <p class="soft">
            Heard at <b>127.0.0.1:{{ seen.port }}</b> (MQTT){{
              seen.wide ? ' and on the crew’s network, with what a joined device shows as password' : ''
            }}. A reading goes to
          </p>
          <code class="topic">vanto/v1/{{ seen.job }}/<i>instrument</i>/<i>quantity</i></code>
          <p class="acts"><button type="button" class="plain" data-deaf @click="listen(false)">listen no longer</button></p>
        </template>
        <AskGroup title="Without hardware: simulate" :open="!seen.channels.length || !!seen.scene">
          <div class="sim">
            <el-select v-model="scene" aria-label="scene" data-scene>
              <el-option v-for="s in seen.scenes" :key="s.kind" :value="s.kind" :label="s.name" />
            </el-select>
            <span class="units" role="group" aria-label="How fast">
              <button v-for="r in rates" :key="r" type="button" class="unit" :aria-pressed="r === rate" @click="rate = r">{{ r }}×</button>
            </span>
            <p class="acts">
              <button type="button" class="plain" data-play @click="play(scene, rate)">{{ seen.scene ? 'begin anew' : 'simulate' }}</button>
              <button v-if="seen.scene" type="button" class="plain" data-stop @click="stop">stop</button>
            </p>
            <p v-if="seen.scene" class="soft" data-playing>
              {{ seen.scene.name }}: {{ Math.floor(seen.scene.seconds / 60) }} min simulated.{{
                vacuum ? ' Pumping ends after 20 min.' : ''
              }}
            </p>
            <p class="soft">Whatever is simulated says so wherever it is taken over; a new scene lets go of the last one’s readings.</p>
          </div>
        </AskGroup>
        <AskGroup title="Out of a logger’s file" :open="false"><LoggerImport @kept="look" /></AskGroup>
        <AskGroup v-if="seen.refused.length" title="Refused" :open="false">
          <ul class="soft">
            <li v-for="r in seen.refused" :key="r.reason">{{ r.count }} × {{ r.reason }}</li>
          </ul>
        </AskGroup>
      </template>
    </template>
    <template v-if="seen" #picture>
      <div v-if="seen.channels.length" class="tiles" role="group" aria-label="Instruments">
        <button
          v-for="c in seen.channels"
          :key="c.id"
          type="button"
          class="tile"
          :class="{ simulated: c.simulated }"
          :aria-pressed="c.id === channel?.id"
          :data-channel="`${c.instrument}/${c.quantity}`"
          @click="chosen = c.id"
        >
          <small>{{ c.instrument }} · {{ c.name }}</small>
          <b>{{ valueOf(c) }}</b>
          <small v-if="c.state || c.missing" class="severity-caution">{{ c.state }}{{ c.missing ? ` ${c.missing} missing` : '' }}</small>
        </button>
      </div>
      <p v-if="seen.channels.some((c) => c.simulated)" class="soft" data-simulated>In dashes: simulated.</p>
      <template v-if="channel && trace && trace.channel === channel.id">
        <span class="units" role="group" aria-label="How much is shown">
          <button v-for="s in spans" :key="s.words" type="button" class="unit" :aria-pressed="s.min === lastMin" @click="lastMin = s.min">
            {{ s.words }}
          </button>
        </span>
        <label class="place"
          >{{ channel.instrument }} reads
          <el-select
            :model-value="placeOf(channel.instrument)"
            :aria-label="`Where ${channel.instrument} reads`"
            data-place
            @change="(place: string) => write('placed', { instrument: channel!.instrument, place })"
          >
            <el-option v-for="p in places" :key="p.value" :value="p.value" :label="p.label" />
          </el-select>
        </label>
        <p v-if="unplaced" class="severity-stop" role="alert">{{ unplaced }}</p>
        <DrawnChart fill :option="picture" :height="230" :label="`${channel.instrument}, ${channel.name}`" />
        <div class="acts takes">
          <span class="soft">Take over:</span>
          <button v-for="t in channel.takes" :key="t.as" type="button" class="plain" :data-take="t.as" @click="takeOver(t)">
            {{ t.words }}
          </button>
        </div>
      </template>
    </template>
  </LeafLayout>
</template>

<style scoped src="../../parts/reading.css"></style>
<style scoped>
.topic {
  display: block;
  overflow-wrap: anywhere;
  font-size: 12.5px;
}
.sim {
  display: grid;
  gap: 6px;
}
.place {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  color: var(--soft);
}
.place .el-select {
  width: 250px;
}
.tiles {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(128px, 1fr));
  gap: 8px;
}
.tile {
  display: grid;
  gap: 1px;
  text-align: left;
  font: inherit;
  color: var(--ink);
  background: transparent;
  border: 1px solid var(--rule);
  border-radius: 3px;
  padding: 6px 10px;
  min-height: 44px;
}
.tile[aria-pressed='true'] {
  border: 2px solid var(--ink);
  padding: 5px 9px;
  background: var(--raised);
}
.tile.simulated {
  border-style: dashed;
}
.tile b {
  font-size: 19px;
  font-variant-numeric: tabular-nums;
}
.tile small {
  color: var(--soft);
  font-size: 12.5px;
}
@media (max-width: 700px) {
  .tiles {
    grid-template-columns: repeat(3, 1fr);
    gap: 5px;
  }
  .tile {
    padding: 3px 6px;
  }
  .tile[aria-pressed='true'] {
    padding: 2px 5px;
  }
  .tile b {
    font-size: 17px;
  }
  .tile small {
    font-size: 12px;
    line-height: 1.15;
  }
}
.takes {
  align-items: center;
}
</style>
