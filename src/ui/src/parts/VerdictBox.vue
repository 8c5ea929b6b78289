<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Finding, Remedy, Verdict } from '../api/generated/schema';
import { useRig } from '../stores/rig';
import { say } from './show';

/** The verdict in one sentence, the reasons, and the ways out as buttons. */
const props = defineProps<{ verdict: Verdict; findings?: Finding[] }>();
const rig = useRig();
const words = { stop: 'stop', caution: 'caution', note: 'note' } as const;

function take(remedy: Remedy): void {
  if (remedy.changes.length > 0) void rig.apply(remedy.changes);
}

const saidAlready = (finding: Finding) => say(finding.words) === say(props.verdict.headline);

const atOnce = 3;
const all = ref(false);
const ranked = computed(() => props.findings ?? []);
/** What stops comes first and always whole; of the rest the first few, so that the drawing stays in sight. */
const inSight = computed(() => (all.value ? ranked.value : ranked.value.filter((f, i) => i < atOnce || f.level === 'stop')));
</script>

<template>
  <section class="verdict" :class="verdict.state" aria-live="polite" data-verdict>
    <p class="headline">{{ say(verdict.headline) }}</p>
    <p v-if="say(verdict.detail)" class="detail">{{ say(verdict.detail) }}</p>
    <ul v-if="ranked.length" class="findings">
      <li v-for="(finding, place) in inSight" :key="`${finding.code} ${place}`">
        <span v-if="!saidAlready(finding)" class="reason"
          ><b :class="'severity-' + finding.level">{{ words[finding.level] }}</b> {{ say(finding.words) }}</span
        >
        <span v-if="finding.remedies.length" class="ways">
          <button
            v-for="remedy in finding.remedies"
            :key="say(remedy.words)"
            type="button"
            class="plain way"
            :disabled="remedy.changes.length === 0"
            @click="take(remedy)"
          >
            {{ say(remedy.words) }} <em>{{ say(remedy.effect) }}</em>
          </button>
        </span>
      </li>
    </ul>
    <button v-if="ranked.length > inSight.length || all" type="button" class="plain more" data-more @click="all = !all">
      {{ all ? 'fewer' : `${ranked.length - inSight.length} more` }}
    </button>
  </section>
</template>

<style scoped>
.verdict {
  border-left: 6px solid var(--pass);
  padding: 1px 0 3px 14px;
  margin-bottom: 12px;
}
.verdict.caution {
  border-left-style: double;
  border-left-width: 8px;
  border-color: var(--caution);
}
.verdict.stop {
  border-color: var(--stop);
  border-left-width: 10px;
}
.verdict.open,
.verdict.resting {
  border-color: var(--rule);
}
.more {
  margin-top: 6px;
  padding: 2px 10px;
  font-size: 13.5px;
}
.headline {
  font-size: 20px;
  line-height: 1.2;
  font-weight: 640;
}
.detail {
  color: var(--soft);
  margin-top: 3px;
}
.findings {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
  display: grid;
  gap: 5px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 4px;
}
.way em {
  font-style: normal;
  color: var(--pass);
  font-weight: 650;
}
.way:disabled em {
  color: var(--soft);
}
</style>
