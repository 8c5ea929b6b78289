<script setup lang="ts">
import { waits } from './longRun';

/** Starts a long run, shows that it goes on, ends it, and says what its last result was made from. */
defineProps<{
  words: string;
  busy: boolean;
  place?: number;
  error?: string;
  stale?: string;
  done?: number;
  total?: number;
  disabled?: boolean;
}>();
const emit = defineEmits<{ run: []; stop: [] }>();
</script>

<template>
  <div class="acts bar" data-run-bar>
    <button v-if="!busy" type="button" class="plain main" :disabled="disabled" @click="emit('run')">{{ words }}</button>
    <template v-else>
      <el-progress
        class="progress"
        :percentage="total ? Math.round((100 * (done ?? 0)) / total) : 100"
        :indeterminate="!total || !!place"
        :duration="2"
        :stroke-width="12"
        :show-text="false"
        aria-label="How far it has come"
      />
      <span class="soft" role="status">{{ place ? waits(place) : total ? `${done} of ${total}` : 'running' }}</span>
      <button type="button" class="plain" @click="emit('stop')">stop</button>
    </template>
    <slot />
    <span v-if="stale" class="soft" data-stale>{{ stale }}</span>
    <p v-if="error" class="severity-stop" role="alert">{{ error }}</p>
  </div>
</template>

<style scoped>
.bar {
  margin-bottom: 10px;
}
.main {
  font-weight: 650;
}
.progress {
  width: 200px;
}
</style>
