<script setup lang="ts">
import { computed, reactive } from 'vue';
import type { BuiltRow, Verdict } from '../../api/generated/schema';
import WhoReads from '../../parts/WhoReads.vue';
import { shownMeasure, symbolOf } from '../../parts/show';
import { useWriting } from '../../parts/writing';
import { pathOf } from '../../run/place';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';

/** Thing by thing: as drawn, or how it was built. What nobody looked at stays unknown. */
const rig = useRig();
const sheet = computed(() => rig.assessment!.handover!);
const verdict = computed<Verdict>(() => ({
  state: sheet.value.built.some((b) => b.level === 'caution') ? 'caution' : sheet.value.built.every((b) => b.confirmed) ? 'passed' : 'open',
  headline: sheet.value.answers.built!,
  detail: { template: '', measures: [] },
}));
const { by, refused, busy, write } = useWriting();
const other = reactive<Record<string, string>>({});
const field: Record<string, string> = { length: 'lengthM', mass: 'kg' };
async function built(row: BuiltRow): Promise<void> {
  const name = field[row.drawn.quantity] ?? 'number';
  if (await write('built', { item: row.item, same: 'false', [name]: other[row.item] ?? '' })) other[row.item] = '';
}
</script>

<template>
  <LeafLayout :verdict="verdict">
    <template #say>
      <p class="soft">
        Where it was built otherwise, change the drawing too: the whole assessment runs again on what is there, and its findings judge.
      </p>
    </template>
    <template #act>
      <WhoReads v-model="by" label="Looked at by" class="who-here" />
      <p v-if="refused" class="severity-stop" role="alert">{{ refused }}</p>
    </template>
    <template #picture>
      <ul class="rows" data-built>
        <li v-for="row in sheet.built" :key="row.item" :data-item="row.item">
          <i aria-hidden="true" :class="row.level ?? (row.confirmed ? 'passed' : '')">{{
            row.level === 'caution' ? '▲' : row.confirmed ? '●' : '○'
          }}</i>
          <b>{{ row.label }}</b>
          <span>drawn {{ shownMeasure(row.drawn) }}</span>
          <span v-if="row.confirmed"
            >built {{ shownMeasure(row.built) }}, {{ row.by }}
            <RouterLink v-if="row.level" :to="pathOf(rig.id, row.station, row.leaf)">change the drawing</RouterLink></span
          >
          <span class="acts">
            <button
              type="button"
              class="plain"
              :disabled="busy"
              :data-same="row.item"
              @click="write('built', { item: row.item, same: 'true' })"
            >
              as drawn
            </button>
            <form @submit.prevent="built(row)">
              <input v-model="other[row.item]" :aria-label="`${row.label} as built`" placeholder="else" autocomplete="off" />
              {{ row.drawn.quantity === 'number' ? '' : symbolOf(row.drawn.quantity) }}
            </form>
          </span>
        </li>
      </ul>
    </template>
  </LeafLayout>
</template>

<style scoped src="../../parts/reading.css"></style>
<style scoped>
.rows {
  list-style: none;
  margin: 0;
  padding: 0;
  max-width: 56rem;
}
li {
  display: grid;
  grid-template-columns: 26px minmax(9rem, 1fr) auto minmax(6rem, 1fr) auto;
  gap: 2px 12px;
  align-items: center;
  border-top: 1px solid var(--hair);
  padding: 4px 0;
}
i {
  font-style: normal;
}
.passed {
  color: var(--pass);
}
.caution {
  color: var(--caution);
}
.acts {
  margin: 0;
  align-items: center;
  grid-column: -2;
}
input {
  font: inherit;
  width: 80px;
  min-height: 44px;
  border: 0;
  border-bottom: 1.5px solid var(--rule);
  background: transparent;
  color: var(--ink);
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 26px minmax(0, 1fr);
  }
  li > *:not(i) {
    grid-column: 2;
  }
}
</style>
