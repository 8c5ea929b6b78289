<script setup lang="ts">
import { computed } from 'vue';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { useLeafSays } from '../said';

/** Ends and dates of the warranty, and what puts it at risk by its own terms. */
const rig = useRig();
const dates = computed(() => rig.assessment!.service!.warranty);
const verdict = useLeafSays();
const terms = ['from', 'partsYears', 'compressorYears', 'labourYears', 'registerDays', 'registered', 'yearlyVisit', 'unlicensed', 'moved'];
</script>

<template>
  <LeafLayout :verdict="verdict">
    <template #say>
      <AskGroup title="Its terms" :paths="[]">
        <AskField v-for="t in terms" :key="t" :path="`/service/warranty/${t}`" />
      </AskGroup>
    </template>
    <template #picture>
      <ol class="dates" data-warranty>
        <li v-for="d in dates" :key="d.what">
          <span>{{ d.what }}</span> <b>{{ d.day }}</b>
        </li>
      </ol>
      <p class="soft">It says what is at risk by the terms as typed, never that a warranty is void: that is for who gives it.</p>
    </template>
  </LeafLayout>
</template>

<style scoped>
.dates {
  list-style: none;
  margin: 0 0 14px;
  padding: 0;
  max-width: 36rem;
}
li {
  display: grid;
  grid-template-columns: 11rem 1fr;
  border-top: 1px solid var(--hair);
  padding: 10px 0;
  font-variant-numeric: tabular-nums;
}
</style>
