<script setup lang="ts">
import { computed } from 'vue';
import PaperLink from '../../parts/PaperLink.vue';
import { say } from '../../parts/show';
import { pathOf } from '../../run/place';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { marks, proofWords } from '../../parts/writing';

/** What is proved on this job, in its order; what was not opened is not asked. */
const rig = useRig();
const proof = computed(() => rig.assessment?.commission ?? null);
</script>

<template>
  <LeafLayout>
    <template #say>
      <p class="soft">
        Local codes, the unit's manual and licensed practice come first. In many places only certified people may open a circuit or handle
        its refrigerant.
      </p>
      <p v-if="proof?.notOpened" class="soft">{{ say(proof.notOpened) }}</p>
      <PaperLink :href="`/api/rigs/${rig.id}/commission/proof.pdf`" kind="PDF" paper="pdf">Proof of the circuit</PaperLink>
    </template>
    <template v-if="proof" #picture>
      <ol class="parts" data-proof-parts>
        <li v-for="p in proof.proof" :key="p.name" :class="p.state">
          <RouterLink :to="pathOf(rig.id, 'commission', p.leaf)" :data-part="p.leaf">
            <i aria-hidden="true">{{ marks[p.state] }}</i>
            <b>{{ p.name }}</b> <small>{{ proofWords[p.state] }}</small>
            <span>{{ say(p.words) }}</span>
            <span class="next">{{ say(p.next) }}</span>
          </RouterLink>
        </li>
        <li>
          <RouterLink :to="pathOf(rig.id, 'commission', 'fault')">
            <i aria-hidden="true">?</i> <b>Something is wrong</b> <span class="next">Find the fault: what to look at first, and why.</span>
          </RouterLink>
        </li>
      </ol>
    </template>
  </LeafLayout>
</template>

<style scoped>
.parts {
  list-style: none;
  margin: 0;
  padding: 0;
  max-width: 46rem;
}
li {
  border-top: 1px solid var(--hair);
}
a {
  display: grid;
  grid-template-columns: 30px auto 1fr;
  gap: 2px 8px;
  align-items: baseline;
  padding: 12px 0;
  min-height: 44px;
  color: inherit;
  text-decoration: none;
}
a:hover b {
  text-decoration: underline;
}
i {
  font-style: normal;
  font-size: 18px;
}
b {
  font-size: 17px;
}
small {
  color: var(--soft);
}
span {
  grid-column: 2 / -1;
}
.next {
  color: var(--soft);
}
.passed i,
.passed small {
  color: var(--pass);
}
.caution i,
.caution small {
  color: var(--caution);
}
.stop i,
.stop small {
  color: var(--stop);
}
</style>
