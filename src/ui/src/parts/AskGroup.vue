<script setup lang="ts">
import { computed, provide, ref } from 'vue';
import { titled } from '../api/description';
import { usePlace } from '../run/place';
import AskField from './AskField.vue';
import { keeperKey } from './keeper';

const props = withDefaults(defineProps<{ title: string; paths?: string[]; open?: boolean }>(), { open: true, paths: () => [] });

/** Where all of a group is kept by one other station, its word stands once at the title. */
const place = usePlace();
const keeper = computed(() => {
  const of = [...new Set(props.paths.map((p) => p.split('/')[1] ?? ''))];
  return of.length === 1 && of[0] !== place.value.station ? of[0]! : '';
});
provide(keeperKey, keeper);

/** What was never unfolded is never drawn. */
const seen = ref(props.open);

function toggled(event: Event): void {
  if ((event.target as HTMLDetailsElement).open) seen.value = true;
}
</script>

<template>
  <details class="group" :open="open" @toggle="toggled">
    <summary>
      <h2>
        {{ title }} <small v-if="keeper">{{ titled(keeper) }}</small>
      </h2>
    </summary>
    <template v-if="seen">
      <AskField v-for="path in paths" :key="path" :path="path" />
      <slot />
    </template>
  </details>
</template>

<style scoped>
.group {
  margin-top: 14px;
}
summary {
  cursor: pointer;
  list-style: none;
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 28px;
}
small {
  font-weight: 420;
  font-size: 11.5px;
  border: 1px solid var(--rule);
  border-radius: 2px;
  padding: 0 3px;
}
summary::-webkit-details-marker {
  display: none;
}
summary::after {
  content: '+';
  color: var(--soft);
  font-weight: 700;
}
.group[open] > summary::after {
  content: '–';
}
</style>
