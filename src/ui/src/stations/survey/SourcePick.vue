<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { ask } from '../../api/client';
import type { SourceEntry } from '../../api/generated/schema';
import { say } from '../../parts/show';
import { useRig } from '../../stores/rig';

/** Takes a generic source of the catalogue on board; its fields can be typed over at once. */
const props = defineProps<{ group: 'inverter' | 'generator' | 'shore' }>();
const rig = useRig();
const all = ref<SourceEntry[]>([]);
const entries = computed(() => all.value.filter((e) => e.group === props.group));

onMounted(async () => {
  all.value = await ask<SourceEntry[]>('GET', '/sources').catch(() => []);
});

function take(index: number): void {
  void rig.apply(entries.value[index]!.changes);
}
</script>

<template>
  <div class="pick">
    <el-select
      :model-value="null"
      placeholder="take one of the catalogue"
      :aria-label="`Take one of the catalogue: ${group}`"
      :data-pick="group"
      placement="bottom-end"
      :fit-input-width="false"
      @change="take"
    >
      <el-option v-for="(e, i) in entries" :key="say(e.words)" :value="i" :label="say(e.words)" />
    </el-select>
  </div>
</template>

<style scoped>
.pick {
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
}
</style>
