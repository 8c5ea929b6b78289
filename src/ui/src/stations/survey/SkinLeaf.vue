<script setup lang="ts">
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import RigSide from './RigSide.vue';
import SkinFields from './SkinFields.vue';
import SpaceSurroundings from './SpaceSurroundings.vue';
import { door, skins, space, underAndOver, window } from './asked';

const rig = useRig();
</script>

<template>
  <LeafLayout holds>
    <template #say>
      <AskGroup title="The space, measured inside" :paths="space.map((f) => '/survey/space/' + f)" />
      <SkinFields v-for="s in skins" :key="s.path" :path="s.path" :title="s.title" whole />
      <AskGroup title="Under and over it" :paths="underAndOver(rig.design!.survey)" />
      <SpaceSurroundings path="/survey/space" :space="rig.design!.survey.space" />
      <AskGroup title="Further spaces" :open="rig.design!.survey.further.length > 0">
        <AskField v-if="rig.design!.survey.further.length > 0" path="/survey/firstSpaceName" />
        <AskRows path="/survey/further" one="space">
          <template #default="{ path, index }">
            <AskField :path="`${path}/name`" />
            <AskField :path="`${path}/cooled`" />
            <AskField v-for="f in space" :key="f" :path="`${path}/space/${f}`" />
            <SpaceSurroundings :path="`${path}/space`" :space="rig.design!.survey.further[index]!.space" />
            <AskField :path="`${path}/ownSkin`" />
            <template v-if="rig.design!.survey.further[index]?.ownSkin">
              <SkinFields v-for="part in ['walls', 'roof', 'floor']" :key="part" :path="`${path}/${part}`" :title="part" :open="false" />
            </template>
            <AskRows :path="`${path}/windows`" one="window">
              <template #default="{ path: pane }">
                <AskField v-for="f in window" :key="f" :path="`${pane}/${f}`" />
              </template>
            </AskRows>
          </template>
        </AskRows>
      </AskGroup>
      <AskGroup title="Fan and doors" :paths="['/survey/airing/fanM3s']" :open="false">
        <AskRows path="/survey/airing/doors" one="door">
          <template #default="{ path }">
            <AskField v-for="f in door" :key="f" :path="`${path}/${f}`" />
          </template>
        </AskRows>
      </AskGroup>
    </template>
    <template #picture><RigSide :survey="rig.design!.survey" :unit="rig.assessment?.unit?.unit ?? null" tall /></template>
  </LeafLayout>
</template>
