<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { ask } from '../../api/client';
import type { SourceEntry } from '../../api/generated/schema';
import { useProposal } from '../../parts/proposal';
import { say } from '../../parts/show';

/** Takes a generic source of the catalogue on board; its fields can be typed over at once. */
const props = defineProps<{ group: 'inverter' | 'generator' | 'shore' }>();
const all = ref<SourceEntry[]>([]);
const entries = computed(() => all.value.filter((e) => e.group === props.group));

onMounted(async () => {
  all.value = await ask<SourceEntry[]>('GET', '/sources').catch(() => []);
});

const { refused, propose } = useProposal();

function take(id: string): void {
  void propose('source', { id });
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
      <el-option v-for="e in entries" :key="e.id" :value="e.id" :label="say(e.words)" />
    </el-select>
    <p v-if="refused" role="alert" class="severity-stop">{{ refused }}</p>
  </div>
</template>

<style scoped>
.pick {
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
}
</style>
