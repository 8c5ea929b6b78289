<script setup lang="ts">
import type { WindowDesign } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import FigureRow from '../../parts/FigureRow.vue';
import VerdictBox from '../../parts/VerdictBox.vue';
import { useRig } from '../../stores/rig';
import StationLayout from '../StationLayout.vue';
import RigPlan from './RigPlan.vue';
import RigSide from './RigSide.vue';

const rig = useRig();
const place = ['name', 'latitudeDeg', 'longitudeDeg', 'utcOffsetH', 'elevationM', 'dryBulbC', 'nightLowC', 'humidityPct', 'windMs'].map(
  (f) => '/survey/place/' + f,
);
const placeMore = ['month', 'day', 'linkeTurbidity', 'albedo'].map((f) => '/survey/place/' + f);
const space = ['lengthM', 'widthM', 'heightM', 'airChangesPerHour', 'massJm2K'].map((f) => '/survey/space/' + f);
const skins = [
  { title: 'Walls', path: '/survey/walls' },
  { title: 'Roof', path: '/survey/roof' },
  { title: 'Floor', path: '/survey/floor' },
];
const people = ['count', 'activity', 'awakeFrom', 'awakeTo', 'sleepHere'].map((f) => '/survey/people/' + f);
const battery = ['chemistry', 'nominalV', 'blockAh', 'blocks', 'blockLimitA', 'capacityLeft', 'temperatureC', 'cableM', 'cableMm2'].map(
  (f) => '/survey/sources/battery/' + f,
);
const inverter = ['class', 'ratedW', 'outputV', 'idleW'].map((f) => '/survey/sources/inverter/' + f);
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
const shore = ['volts', 'breakerA', 'cableM', 'cableMm2'].map((f) => '/survey/sources/shore/' + f);
const modules = ['count', 'ratedW', 'mounting'].map((f) => '/survey/sources/modules/' + f);
const alternator = ['powerW', 'from', 'to'].map((f) => '/survey/sources/alternator/' + f);
const windowFields = ['name', 'side', 'widthM', 'heightM', 'count', 'glazing', 'cover'];
const deviceFields = ['name', 'powerW', 'from', 'to', 'supply', 'inside', 'onAtStart', 'mayWait'];
</script>

<template>
  <StationLayout title="Survey" question="What is the rig, and where does it stand?">
    <template #say>
      <AskGroup title="The rig" :paths="['/name', '/survey/kind', '/nextDate', '/units']" />
      <AskGroup title="Where it stands" :paths="[...place, '/survey/headingDeg']">
        <AskGroup title="More of the place" :paths="placeMore" :open="false" />
      </AskGroup>
      <AskGroup title="The space, measured inside" :paths="space" />
      <AskGroup v-for="skin in skins" :key="skin.path" :title="skin.title">
        <AskField v-for="f in ['preset', 'insulation', 'insulationM', 'thermalBreak', 'paint']" :key="f" :path="`${skin.path}/${f}`" />
        <AskGroup title="by layers, outside to inside" :open="false">
          <AskRows :path="`${skin.path}/layers`" one="layer">
            <template #default="{ path }">
              <AskField :path="`${path}/material`" />
              <AskField :path="`${path}/thicknessM`" />
            </template>
          </AskRows>
        </AskGroup>
      </AskGroup>
      <AskGroup title="Under and over it" :paths="['/survey/underside', '/survey/waterC', '/survey/overheadCover']" />
      <AskGroup title="Windows">
        <AskRows path="/survey/windows" one="window">
          <template #default="{ path }">
            <AskField v-for="f in windowFields" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup title="People" :paths="people" />
      <AskGroup title="Devices">
        <AskRows path="/survey/devices" one="device">
          <template #default="{ path }">
            <AskField v-for="f in deviceFields" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup
        title="Battery bank"
        :paths="['/survey/sources/battery/fitted', ...(rig.design!.survey.sources.battery.fitted ? battery : [])]"
      />
      <AskGroup
        title="Inverter"
        :paths="['/survey/sources/inverter/fitted', ...(rig.design!.survey.sources.inverter.fitted ? inverter : [])]"
      />
      <AskGroup title="Solar modules" :paths="modules" />
      <AskGroup title="Charging while driving" :paths="alternator" :open="false" />
      <AskGroup
        title="Generator"
        :paths="['/survey/sources/generator/fitted', ...(rig.design!.survey.sources.generator.fitted ? generator : [])]"
      />
      <AskGroup title="Shore" :paths="['/survey/sources/shore/fitted', ...(rig.design!.survey.sources.shore.fitted ? shore : [])]" />
    </template>
    <template #see>
      <slot name="fault" />
      <VerdictBox v-if="rig.assessment!.survey" :verdict="rig.assessment!.survey.verdict" :findings="rig.assessment!.survey.findings" />
      <FigureRow v-if="rig.assessment!.survey" :figures="rig.assessment!.survey.figures" />
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
