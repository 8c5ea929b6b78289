<script setup lang="ts">
import { computed } from 'vue';
import AskGroup from '../../parts/AskGroup.vue';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { under } from './asked';

/** Sound where someone sleeps, against what lets one sleep. */
const rig = useRig();
const rows = computed(() => rig.assessment?.layout?.sound ?? []);
const split = computed(() => !!rig.assessment?.layout?.wall);
const most = computed(() => Math.max(60, ...rows.value.map((r) => r.db)));
const share = (db: number) => `${(100 * Math.max(0, db)) / most.value}%`;
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskGroup
        title="Who hears it"
        :paths="under('sound', 'pillowM', ...(split ? ['unitToPillowM', 'wallDb'] : []), 'neighbourM', 'faces', 'atNight')"
      />
    </template>
    <template #picture>
      <div class="rows" data-sound>
        <div v-for="r in rows" :key="r.where" class="row">
          <span>{{ r.where }}</span>
          <span class="track">
            <i :style="{ width: share(r.db) }" :class="{ over: Math.round(r.db) > r.limitDb }" />
            <b :style="{ left: share(r.limitDb) }" />
          </span>
          <span class="number"
            ><b>{{ Math.round(r.db) }}</b> dB(A) <small class="soft">of {{ r.limitDb }}</small></span
          >
        </div>
        <p class="soft small">
          6 dB less for each doubling of the distance; 3 dB more for each wall beside the outdoor unit. The mark is what lets one sleep. The
          manual's figure counts at one metre.
        </p>
      </div>
    </template>
  </LeafLayout>
</template>

<style scoped>
.rows {
  display: grid;
  gap: 12px;
  max-width: 760px;
}
.row {
  display: grid;
  grid-template-columns: minmax(110px, 240px) minmax(0, 1fr) 120px;
  gap: 12px;
  align-items: center;
}
.track {
  position: relative;
  height: 18px;
  background: var(--ground);
  border: 1px solid var(--rule);
}
.track i {
  position: absolute;
  inset: 0 auto 0 0;
  background: var(--cold);
}
.track i.over {
  background: repeating-linear-gradient(45deg, var(--caution) 0 5px, var(--sheet) 5px 8px);
}
.track b {
  position: absolute;
  top: -4px;
  bottom: -4px;
  width: 3px;
  background: var(--stop);
}
@media (max-width: 700px) {
  .row {
    grid-template-columns: minmax(0, 1fr) 110px;
  }
  .row > span:first-child {
    grid-column: 1 / -1;
  }
}
</style>
