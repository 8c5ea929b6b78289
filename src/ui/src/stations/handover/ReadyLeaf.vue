<script setup lang="ts">
import { computed } from 'vue';
import WhoReads from '../../parts/WhoReads.vue';
import { say } from '../../parts/show';
import { useWriting } from '../../parts/writing';
import { pathOf } from '../../run/place';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { useLeafSays } from '../said';

/** Everything that must stand before somebody signs; what is missing leads to where it is made. */
const rig = useRig();
const sheet = computed(() => rig.assessment!.handover!);
const verdict = useLeafSays();
const { by, refused, busy, write } = useWriting();
</script>

<template>
  <LeafLayout :verdict="verdict">
    <template #say>
      <p class="soft">
        What is asked follows from the job. A draft may be printed at any time; a paper with a number says what was read, whatever it was.
      </p>
    </template>
    <template #act>
      <WhoReads v-model="by" label="Told by" class="who-here" />
      <p v-if="refused" class="severity-stop" role="alert">{{ refused }}</p>
    </template>
    <template #picture>
      <ul class="rows" data-ready>
        <li v-for="row in sheet.ready" :key="row.id" :class="{ met: row.met }">
          <i aria-hidden="true">{{ row.met ? '●' : '○' }}</i>
          <b>{{ row.words }}</b>
          <span class="soft">{{ say(row.said) }}</span>
          <RouterLink v-if="!row.met && row.station" :to="pathOf(rig.id, row.station, row.leaf)" class="go">go there</RouterLink>
        </li>
      </ul>
      <template v-if="sheet.unseen.length">
        <h2>Cautions that nobody has told yet</h2>
        <ul class="rows" data-unseen>
          <li v-for="f in sheet.unseen" :key="f.code">
            <i aria-hidden="true">▲</i>
            <b>{{ say(f.words) }}</b>
            <button type="button" class="plain" :disabled="busy" :data-seen="f.code" @click="write('seen', { code: f.code })">
              seen, and told the owner
            </button>
          </li>
        </ul>
      </template>
    </template>
  </LeafLayout>
</template>

<style scoped src="../../parts/reading.css"></style>
<style scoped src="../../parts/rows.css"></style>
<style scoped>
[data-ready] li {
  grid-template-columns: 26px minmax(12rem, auto) minmax(0, 1fr) auto;
}
.met i {
  color: var(--pass);
}
[data-unseen] i {
  color: var(--caution);
}
[data-unseen] li {
  grid-template-columns: 26px minmax(0, 1fr) auto;
}
.go {
  min-height: 44px;
  display: flex;
  align-items: center;
}
@media (max-width: 700px) {
  [data-ready] li,
  [data-unseen] li {
    grid-template-columns: 26px minmax(0, 1fr);
  }
}
</style>
