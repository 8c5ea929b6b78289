<script setup lang="ts">
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

function isHeadline(finding: Finding): boolean {
  return say(finding.words) === say(props.verdict.headline);
}
</script>

<template>
  <section class="verdict" :class="verdict.state" aria-live="polite">
    <p class="headline">{{ say(verdict.headline) }}</p>
    <p class="detail">{{ say(verdict.detail) }}</p>
    <ul v-if="findings?.length" class="findings">
      <li v-for="finding in findings" :key="finding.code">
        <span v-if="!isHeadline(finding)" class="reason"
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
