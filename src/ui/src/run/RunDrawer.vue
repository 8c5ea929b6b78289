<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { leavesOf, phases, titled } from '../api/description';
import StateShape from '../parts/StateShape.vue';
import { useRig } from '../stores/rig';
import { leafState, pathOf, type Place } from './place';

/** On a narrow screen: the run behind a button that names the station, as a list of stations and leaves. */
const props = defineProps<{ id: string; place: Place }>();
const rig = useRig();
const open = ref(false);
const state = computed(() => rig.assessment?.states[props.place.station] ?? 'open');
watch(
  () => [props.place.station, props.place.leaf.name],
  () => (open.value = false),
);
</script>

<template>
  <button type="button" class="open" data-run @click="open = true">
    <StateShape :state="state" :size="22" /> <b>{{ titled(place.station) }}</b> <span class="soft">{{ place.leaf.words }}</span>
    <span class="space" /><span aria-hidden="true">▾</span><span class="shown-to-readers">, all stations</span>
  </button>
  <el-drawer v-model="open" direction="ltr" size="86%" title="Stations" class="run-list">
    <nav aria-label="Stations">
      <template v-for="phase in phases" :key="phase.name">
        <h2>{{ titled(phase.name) }}</h2>
        <div v-for="station in phase.stations" :key="station" class="station">
          <RouterLink :to="pathOf(id, station)" class="line" :class="{ here: station === place.station }">
            <StateShape :state="rig.assessment?.states[station] ?? 'open'" :size="22" /> <b>{{ titled(station) }}</b>
          </RouterLink>
          <template v-if="station === place.station">
            <RouterLink
              v-for="leaf in leavesOf(station)"
              :key="leaf.name"
              :to="pathOf(id, station, leaf.name)"
              class="line leaf"
              :class="{ here: leaf.name === place.leaf.name }"
            >
              <StateShape
                v-if="['stop', 'caution'].includes(leafState(station, leaf.name))"
                :state="leafState(station, leaf.name)"
                :size="15"
              />
              {{ leaf.words }}
            </RouterLink>
          </template>
        </div>
      </template>
    </nav>
  </el-drawer>
</template>

<style scoped>
.open {
  display: flex;
  align-items: center;
  gap: 8px;
  width: 100%;
  min-height: 46px;
  padding: 4px 12px;
  border: 0;
  border-bottom: 1px solid var(--rule);
  background: var(--sheet);
  color: var(--ink);
  cursor: pointer;
  position: sticky;
  top: 56px; /* stays under the header: a finding scrolls the page to its field, and the way to another station is still there */
  z-index: 3;
}
.space {
  flex: 1;
}
h2 {
  margin-top: 10px;
}
.line {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 46px;
  text-decoration: none;
  border-bottom: 1px solid var(--hair);
}
.leaf {
  padding-left: 32px;
}
.line.here {
  font-weight: 680;
}
</style>
