<script setup lang="ts">
import { computed } from 'vue';
import type { AdjoiningDesign, WindowDesign } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import FigureRow from '../../parts/FigureRow.vue';
import VerdictBox from '../../parts/VerdictBox.vue';
import { useRig } from '../../stores/rig';
import SourcePick from './SourcePick.vue';
import StationLayout from '../StationLayout.vue';
import FieldFinder from './FieldFinder.vue';
import RigPlan from './RigPlan.vue';
import RigSide from './RigSide.vue';

const rig = useRig();
const place = [
  'name',
  'latitudeDeg',
  'longitudeDeg',
  'utcOffsetH',
  'elevationM',
  'dryBulbC',
  'nightLowC',
  'humidityPct',
  'windMs',
  'ground',
].map((f) => '/survey/place/' + f);
const placeMore = ['month', 'day', 'linkeTurbidity', 'albedo'].map((f) => '/survey/place/' + f);
const space = ['lengthM', 'widthM', 'heightM', 'airChangesPerHour', 'heatCapacityJm2K'].map((f) => '/survey/space/' + f);
const skins = [
  { title: 'Walls', path: '/survey/walls' },
  { title: 'Roof', path: '/survey/roof' },
  { title: 'Floor', path: '/survey/floor' },
];
const spaceFields = ['lengthM', 'widthM', 'heightM', 'airChangesPerHour', 'heatCapacityJm2K'];
const skinFields = ['preset', 'insulation', 'insulationM', 'thermalBreak', 'paint'];
const ribs = ['measured', 'metal', 'flangeM', 'depthM', 'webM', 'spacingM'];
const doorFields = ['name', 'widthM', 'heightM', 'openingsPerHour', 'secondsEach'];
const standFields = [
  'name',
  'latitudeDeg',
  'longitudeDeg',
  'utcOffsetH',
  'elevationM',
  'month',
  'day',
  'dryBulbC',
  'nightLowC',
  'humidityPct',
];
const winter = ['winterC', 'winterWindMs', 'winterWaterC'].map((f) => '/survey/climate/' + f);

/** An awning is asked otherwise than what stands round about. */
function shadeFields(index: number): string[] {
  const awning = rig.design!.survey.shades[index]?.kind === 'awning';
  return ['kind', 'from', 'to', ...(awning ? ['side', 'depthM', 'widthM', 'offsetM'] : ['heightM', 'distanceM', 'fromDeg', 'toDeg'])];
}

function occupantFields(index: number): string[] {
  const animals = rig.design!.survey.occupants[index]?.kind === 'animals';
  return ['kind', 'count', animals ? 'massKg' : 'activity', 'from', 'to', 'alone'];
}
const people = ['count', 'activity', 'awakeFrom', 'awakeTo', 'sleepHere'].map((f) => '/survey/people/' + f);
const cells = computed(() => rig.design!.survey.sources.battery.builtOf === 'cells');
const battery = [
  'chemistry',
  'builtOf',
  'nominalV',
  'blockAh',
  'series',
  'blocks',
  'blockLimitA',
  'capacityLeft',
  'temperatureC',
  'cableM',
  'cableMm2',
  'fuseInterruptsA',
  'mixed',
].map((f) => '/survey/sources/battery/' + f);
const inverter = computed(() =>
  [
    'class',
    'ratedW',
    'outputV',
    'idleW',
    'ambientC',
    'inside',
    ...(rig.design!.survey.sources.inverter.inside ? ['unitW'] : []),
    'modifiedSine',
  ].map((f) => '/survey/sources/inverter/' + f),
);
const generator = [
  'kind',
  'fuel',
  'outputV',
  'ratedW',
  'maximumW',
  'chargerW',
  'autoStart',
  'coAlarm',
  'allowedFrom',
  'allowedTo',
  'startSoc',
  'stopSoc',
].map((f) => '/survey/sources/generator/' + f);
const shore = ['volts', 'breakerA', 'cableM', 'cableMm2', 'assist'].map((f) => '/survey/sources/shore/' + f);
const modules = computed(() =>
  [
    'count',
    'ratedW',
    'mounting',
    'shadeRoof',
    'cellModel',
    ...(rig.design!.survey.sources.modules.cellModel === 'noct' ? ['noctC'] : []),
  ].map((f) => '/survey/sources/modules/' + f),
);
const alternator = ['powerW', 'ratedA', 'vehicleA', 'limitA', 'from', 'to'].map((f) => '/survey/sources/alternator/' + f);
const windowFields = ['name', 'side', 'widthM', 'heightM', 'tiltDeg', 'count', 'glazing', 'cover'];
const sides = ['front', 'right', 'rear', 'left', 'roof'] as const;

/** What a side of a space adjoins; a temperature is asked where it is a room that has one. */
function besideFields(at: string, adjoining: AdjoiningDesign): string[] {
  return sides.flatMap((side) => [
    `${at}/adjoining/${side}/is`,
    ...(adjoining[side].is === 'room' ? [`${at}/adjoining/${side}/roomC`] : []),
  ]);
}
const attic = computed(() =>
  ['above', ...(rig.design!.survey.space.attic.above ? ['paint', 'airChangesPerHour', 'heightM'] : [])].map(
    (f) => '/survey/space/attic/' + f,
  ),
);
const under = computed(() =>
  [
    'underside',
    ...(rig.design!.survey.underside === 'water' || rig.design!.survey.place.ground === 'water' ? ['waterC'] : []),
    ...(rig.design!.survey.underside === 'water' ? ['waterlineM'] : []),
    'overheadCover',
    'motion',
  ].map((f) => '/survey/' + f),
);
const adjoins = computed(() => sides.some((s) => rig.design!.survey.space.adjoining[s].is !== 'outdoors'));
const deviceFields = ['name', 'powerW', 'from', 'to', 'supply', 'inside', 'onAtStart', 'mayWait', 'shedRank'];
</script>

<template>
  <StationLayout holds title="Survey" question="What is the rig, and where does it stand?">
    <template #say>
      <FieldFinder />
      <AskGroup title="The rig" :paths="['/name', '/survey/kind', '/nextDate', '/units']" />
      <AskGroup title="Where it stands" :paths="[...place, '/survey/headingDeg']">
        <AskGroup title="More of the place" :paths="placeMore" :open="false" />
      </AskGroup>
      <AskGroup title="The space, measured inside" :paths="space" />
      <AskGroup v-for="skin in skins" :key="skin.path" :title="skin.title">
        <AskField v-for="f in ['preset', 'insulation', 'insulationM', 'thermalBreak', 'paint']" :key="f" :path="`${skin.path}/${f}`" />
        <AskGroup title="ribs as measured" :open="false">
          <AskField v-for="f in ribs" :key="f" :path="`${skin.path}/ribs/${f}`" />
        </AskGroup>
        <AskGroup title="by layers, outside to inside" :open="false">
          <AskRows :path="`${skin.path}/layers`" one="layer">
            <template #default="{ path }">
              <AskField :path="`${path}/material`" />
              <AskField :path="`${path}/thicknessM`" />
            </template>
          </AskRows>
        </AskGroup>
      </AskGroup>
      <AskGroup title="Under and over it" :paths="[...under, ...attic]" />
      <AskGroup title="What its sides adjoin" :open="adjoins">
        <div v-for="side in sides" :key="side" class="beside">
          <h4>{{ side }}</h4>
          <AskField
            v-for="path in besideFields('/survey/space', rig.design!.survey.space.adjoining).filter((p) => p.includes(`/${side}/`))"
            :key="path"
            :path="path"
          />
        </div>
      </AskGroup>
      <AskGroup title="Windows">
        <AskRows path="/survey/windows" one="window">
          <template #default="{ path }">
            <AskField v-for="f in windowFields" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup title="Further spaces" :open="rig.design!.survey.further.length > 0">
        <AskField v-if="rig.design!.survey.further.length > 0" path="/survey/firstSpaceName" />
        <AskRows path="/survey/further" one="space">
          <template #default="{ path, index }">
            <AskField :path="`${path}/name`" />
            <AskField :path="`${path}/cooled`" />
            <AskField v-for="f in spaceFields" :key="f" :path="`${path}/space/${f}`" />
            <AskGroup title="what its sides adjoin" :open="false">
              <div v-for="side in sides" :key="side" class="beside">
                <h4>{{ side }}</h4>
                <AskField
                  v-for="field in besideFields(`${path}/space`, rig.design!.survey.further[index]!.space.adjoining).filter((p) =>
                    p.includes(`/${side}/`),
                  )"
                  :key="field"
                  :path="field"
                />
              </div>
            </AskGroup>
            <AskField :path="`${path}/space/attic/above`" />
            <AskField :path="`${path}/ownSkin`" />
            <template v-if="rig.design!.survey.further[index]?.ownSkin">
              <AskGroup v-for="part in ['walls', 'roof', 'floor']" :key="part" :title="part" :open="false">
                <AskField v-for="f in skinFields" :key="f" :path="`${path}/${part}/${f}`" />
              </AskGroup>
            </template>
            <AskRows :path="`${path}/windows`" one="window">
              <template #default="{ path: window }">
                <AskField v-for="f in windowFields" :key="f" :path="`${window}/${f}`" />
              </template>
            </AskRows>
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup title="Fan and doors" :paths="['/survey/airing/fanM3s']" :open="false">
        <AskRows path="/survey/airing/doors" one="door">
          <template #default="{ path }">
            <AskField v-for="f in doorFields" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup title="Shade" :open="rig.design!.survey.shades.length > 0">
        <AskRows path="/survey/shades" one="shade">
          <template #default="{ path, index }">
            <AskField v-for="f in shadeFields(index)" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup title="Other stands of the season" :open="rig.design!.survey.stands.length > 0">
        <AskRows path="/survey/stands" one="stand">
          <template #default="{ path }">
            <AskField :path="`${path}/from`" />
            <AskField :path="`${path}/headingDeg`" />
            <AskField v-for="f in standFields" :key="f" :path="`${path}/place/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup title="Winter" :paths="winter" :open="false" />
      <AskGroup title="People" :paths="people" />
      <AskGroup title="Visitors and animals, by the hour" :open="rig.design!.survey.occupants.length > 0">
        <AskRows path="/survey/occupants" one="entry">
          <template #default="{ path, index }">
            <AskField v-for="f in occupantFields(index)" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup title="Cooking and flames" :open="rig.design!.survey.cooking.length > 0">
        <AskRows path="/survey/cooking" one="stove">
          <template #default="{ path }">
            <AskField v-for="f in ['name', 'kind', 'powerW', 'from', 'to', 'hood']" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup title="Devices">
        <AskRows path="/survey/devices" one="device">
          <template #default="{ path }">
            <AskField v-for="f in deviceFields" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup
        title="Battery bank"
        :paths="[
          '/survey/sources/battery/fitted',
          ...(rig.design!.survey.sources.battery.fitted ? battery.filter((f) => !cells || !f.endsWith('nominalV')) : []),
        ]"
      />
      <AskGroup
        title="Inverter"
        :paths="['/survey/sources/inverter/fitted', ...(rig.design!.survey.sources.inverter.fitted ? inverter : [])]"
      >
        <SourcePick group="inverter" />
      </AskGroup>
      <AskGroup
        v-if="rig.design!.survey.sources.inverter.fitted"
        title="Inverter, as its maker describes it"
        :paths="['/survey/sources/inverter/labelVa', '/survey/sources/inverter/peakW']"
        :open="false"
      >
        <AskRows path="/survey/sources/inverter/surge" one="point that it bears">
          <template #default="{ path }">
            <AskField v-for="f in ['powerW', 'seconds']" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
        <AskRows path="/survey/sources/inverter/efficiency" one="point of its efficiency">
          <template #default="{ path }">
            <AskField v-for="f in ['powerW', 'efficiency']" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup title="Solar modules" :paths="modules" />
      <AskGroup title="Charging while driving" :paths="alternator" :open="false" />
      <AskGroup
        title="Generator"
        :paths="['/survey/sources/generator/fitted', ...(rig.design!.survey.sources.generator.fitted ? generator : [])]"
      >
        <SourcePick group="generator" />
      </AskGroup>
      <AskGroup title="Shore" :paths="['/survey/sources/shore/pluggedIn', ...(rig.design!.survey.sources.shore.pluggedIn ? shore : [])]">
        <SourcePick group="shore" />
      </AskGroup>
    </template>
    <template #see>
      <p class="sheet-link"><RouterLink :to="`/rig/${rig.id}/measuring-sheet`">measuring sheet to print</RouterLink></p>
      <slot name="fault" />
      <VerdictBox
        v-if="rig.assessment!.survey && !$slots.fault"
        :verdict="rig.assessment!.survey.verdict"
        :findings="rig.assessment!.survey.findings"
      />
      <FigureRow v-if="rig.assessment!.survey && !$slots.fault" :figures="rig.assessment!.survey.figures" />
      <RigSide :survey="rig.design!.survey" :unit="rig.assessment?.unit?.unit ?? null" />
      <RigPlan v-if="rig.assessment!.survey" :survey="rig.design!.survey" :sun-path="rig.assessment!.survey.sunPath" />
      <p class="soft hours">
        {{
          (rig.design!.survey.windows as WindowDesign[]).length === 0
            ? 'No windows yet: add them on the left, each appears here to scale.'
            : ''
        }}
      </p>
    </template>
  </StationLayout>
</template>

<style scoped>
.beside h4 {
  margin: 6px 0 0;
  font-size: 13px;
  color: var(--soft);
}
.sheet-link {
  float: right;
  font-size: 14px;
}
</style>
