<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue';
import { leavesOf, titled } from '../api/description';
import StateShape from '../parts/StateShape.vue';
import { leafState, pathOf, type Place } from './place';

/** The questions of the station, with the shape of the worst finding at the one it belongs to. */
const props = defineProps<{ id: string; place: Place }>();
const row = ref<HTMLElement | null>(null);
const leaves = computed(() =>
  leavesOf(props.place.station).map((leaf) => {
    const state = props.place.fault ? 'open' : leafState(props.place.station, leaf.name);
    return { ...leaf, state, shaped: state === 'stop' || state === 'caution' };
  }),
);

/** On a narrow screen the row is pushed sideways: the leaf that is open is brought into sight. */
async function show(): Promise<void> {
  await nextTick();
  const here = row.value?.querySelector<HTMLElement>('.here');
  if (row.value && here) row.value.scrollLeft = here.offsetLeft - (row.value.clientWidth - here.offsetWidth) / 2;
}
onMounted(show);
watch(() => props.place.leaf.name, show);
</script>

<template>
  <nav v-if="leaves.length > 1" ref="row" class="leaves" :aria-label="`Leaves of ${titled(place.station)}`">
    <RouterLink
      v-for="leaf in leaves"
      :key="leaf.name"
      :to="pathOf(id, place.station, leaf.name)"
      class="leaf-link"
      :class="{ here: leaf.name === place.leaf.name }"
      :aria-current="leaf.name === place.leaf.name ? 'page' : undefined"
      :data-leaf="leaf.name"
    >
      <StateShape v-if="leaf.shaped" :state="leaf.state" :size="15" />
      {{ leaf.words }}
      <span v-if="leaf.shaped" class="shown-to-readers">{{ leaf.state }}</span>
    </RouterLink>
  </nav>
</template>

<style scoped>
.leaves {
  display: flex;
  align-items: stretch;
  min-width: 0;
  overflow: auto hidden;
  position: relative;
  scrollbar-width: none;
}
.leaf-link {
  display: flex;
  align-items: center;
  gap: 5px;
  padding: 2px 11px 0;
  text-decoration: none;
  white-space: nowrap;
  border-bottom: 4px solid transparent;
}
.leaf-link:hover {
  text-decoration: underline;
}
.leaf-link:focus-visible {
  outline-offset: -3px;
}
.here {
  font-weight: 680;
  border-color: var(--ink);
}
@media (max-width: 700px) {
  .leaves {
    min-height: 46px;
    border-bottom: 1px solid var(--rule);
  }
}
</style>
