<script setup lang="ts">
import { computed } from 'vue';
import RecordForm from '../../parts/RecordForm.vue';
import { useRecords } from '../../parts/records';
import { say } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { useLeafSays } from '../said';

/** The rig's life as a line: handed over, visits, parts, refrigerant. */
const rig = useRig();
const service = computed(() => rig.assessment!.service!);
const visits = useRecords('visit');
const parts = useRecords('part');
const verdict = useLeafSays();
const asksVisit = ['day', 'reason', 'done', 'found', 'advice', 'runHours', 'km'];
const asksPart = ['day', 'part', 'reason', 'oldSerial', 'newSerial', 'claim'];
</script>

<template>
  <LeafLayout :verdict="verdict">
    <template #say>
      <RecordForm :of="visits" :asks="asksVisit" title="Write a visit down" />
      <details class="more">
        <summary>A part was replaced</summary>
        <RecordForm :of="parts" :asks="asksPart" title="Write a part down" />
      </details>
    </template>
    <template #picture>
      <ol class="life" data-life>
        <li v-for="(l, n) in service.life" :key="n">
          <span class="day">{{ l.day }}</span>
          <div>
            <b>{{ l.what }}</b> <span v-if="l.by" class="soft">{{ l.by }}</span>
            <p>{{ say(l.words) }}</p>
          </div>
        </li>
      </ol>
    </template>
  </LeafLayout>
</template>

<style scoped>
.life {
  list-style: none;
  margin: 0;
  padding: 0;
  max-width: 48rem;
}
li {
  display: grid;
  grid-template-columns: 108px minmax(0, 1fr);
  gap: 14px;
}
.day {
  font-variant-numeric: tabular-nums;
  padding-top: 8px;
}
li > div {
  border-left: 3px solid var(--ink);
  padding: 8px 0 12px 16px;
  position: relative;
}
li > div::before {
  content: '';
  position: absolute;
  left: -8px;
  top: 14px;
  width: 13px;
  height: 13px;
  border-radius: 50%;
  background: var(--ground);
  border: 3px solid var(--ink);
  box-sizing: border-box;
}
p {
  margin: 2px 0 0;
}
.more {
  margin-top: 18px;
}
.more summary {
  min-height: 44px;
  font-weight: 700;
}
</style>
