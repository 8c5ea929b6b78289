<script setup lang="ts">
import { computed } from 'vue';
import WhoReads from '../../parts/WhoReads.vue';
import { marks, useWriting } from '../../parts/writing';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { useLeafSays } from '../said';

/** Moving a unit, step by step: what is shut before anything is opened, and what is written down before. */
const rig = useRig();
const move = computed(() => rig.assessment!.service!.move!);
const verdict = useLeafSays(() => move.value.state);
const { by, refused, busy, write } = useWriting();
</script>

<template>
  <LeafLayout :verdict="verdict">
    <template #say>
      <p class="danger">
        Never below the air's pressure: air drawn into a running compressor can explode. Valves shut within ten seconds, power off at once.
        Opening a circuit is for who may.
      </p>
      <p class="soft">Two hours where both places are prepared; the new place is drawn first, in Layout, Mount and Wiring.</p>
      <button type="button" class="plain" :disabled="busy" @click="write('move', { begins: 'true' })">begin a new move</button>
    </template>
    <template #act>
      <WhoReads v-model="by" label="Done by" class="who-here" />
      <p v-if="refused" class="severity-stop" role="alert">{{ refused }}</p>
    </template>
    <template #picture>
      <ol class="steps" data-move>
        <li v-for="s in move.steps" :key="s.id" :class="s.state">
          <button
            type="button"
            class="step"
            :aria-pressed="s.state === 'passed'"
            :disabled="busy"
            :data-step="s.id"
            @click="write('move', { step: s.id, void: String(s.state === 'passed') })"
          >
            <i aria-hidden="true">{{ marks[s.state] }}</i>
            <b :class="{ soft: !s.ready && s.state === 'open' }">{{ s.words }}</b>
            <span>{{ s.by || s.why }}</span>
          </button>
        </li>
      </ol>
    </template>
  </LeafLayout>
</template>

<style scoped src="../../parts/reading.css"></style>
<style scoped src="../../parts/steps.css"></style>
