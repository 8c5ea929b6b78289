<script setup lang="ts">
import { computed } from 'vue';
import AskGroup from '../../parts/AskGroup.vue';
import { shown } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import MountPicture from './MountPicture.vue';
import UsedBars from './UsedBars.vue';
import { under } from './asked';

/** What carries the unit, part by part. */
const rig = useRig();
const mount = computed(() => rig.assessment?.mount ?? null);
const kind = computed(() => mount.value?.view.kind ?? 'braced');
const built = computed(() => {
  const common = ['kind', 'metal', 'arm'];
  switch (kind.value) {
    case 'braced':
      return [...common, 'strut', 'armM', 'strutOutM', 'strutDownM', 'slotFromM', 'slotToM', 'weldM'];
    case 'plain':
      return [...common, 'armM', 'plateM', 'slotFromM', 'slotToM', 'weldM'];
    case 'roofFrame':
      return [...common, 'baseDeepM', 'baseWideM', 'standM'];
    case 'deckStand':
    case 'cradle':
      return [...common, 'strut', 'baseDeepM', 'baseWideM', 'standM'];
    case 'railing':
    case 'window':
      return [...common, 'armM'];
    case 'clamp':
      return [];
    default:
      return kind.value === 'pad' ? ['kind'] : common;
  }
});
const lightest = computed(() => mount.value?.lightest);
</script>

<template>
  <LeafLayout>
    <template #say>
      <p v-if="mount && kind !== 'clamp'" class="soft small">
        The unit's size, feet and weight come from its sheet at Unit; an engineer's word, local codes and the vehicle maker's body-builder
        guidance stand above these figures.
      </p>
      <AskGroup v-if="built.length" title="Built as" :paths="under('frame', ...built)" />
      <AskGroup
        v-if="kind === 'pad'"
        title="The slab"
        :paths="under('slab', 'cast', 'lengthM', 'widthM', 'thickM', 'bag', 'waste', 'setsC', 'days', 'topM', 'bedded')"
      />
      <AskGroup
        v-if="kind === 'railing' || kind === 'window'"
        :title="`The ${kind}`"
        :paths="[...under('railing', 'outM', 'downM', 'mayN', 'cableN'), '/survey/space/gapM2']"
      />
      <AskGroup
        v-if="kind !== 'clamp'"
        title="Feet and compressor"
        :paths="under('feet', 'bolt', 'eachNm', 'captive', 'fromHz', 'toHz', 'damping', 'offM', 'highShare')"
      />
      <AskGroup title="Must bear" :paths="under('bear', 'times', 'stepped')" />
    </template>
    <template v-if="mount" #picture>
      <div class="two">
        <MountPicture :view="mount.view" :mass-kg="mount.massKg" />
        <UsedBars :parts="mount.parts" />
      </div>
    </template>
    <template v-if="mount" #below>
      <p v-if="lightest?.words" class="light" data-lightest>
        The lightest that passes: <b>{{ lightest.words }}</b>, {{ shown(lightest.massKg, 'mass') }}.
        <button v-if="mount.takeLightest" type="button" class="plain" @click="rig.apply(mount.takeLightest.changes)">take it</button>
      </p>
    </template>
  </LeafLayout>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: minmax(0, 1.15fr) minmax(16rem, 1fr);
  gap: 1.2rem;
}
@media (max-width: 1000px) {
  .two {
    grid-template-columns: 1fr;
  }
}
</style>
