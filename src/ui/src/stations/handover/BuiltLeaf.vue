<script setup lang="ts">
import { computed, reactive } from 'vue';
import type { BuiltRow } from '../../api/generated/schema';
import WhoReads from '../../parts/WhoReads.vue';
import { editable, say, shownMeasure, symbolOf } from '../../parts/show';
import { useWriting } from '../../parts/writing';
import { pathOf } from '../../run/place';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { useLeafSays } from '../said';

/** Thing by thing: as drawn, or how it was built. What nobody looked at stays unknown. */
const rig = useRig();
const sheet = computed(() => rig.assessment!.handover!);
const verdict = useLeafSays();
const { by, refused, busy, write } = useWriting();
const other = reactive<Record<string, string>>({});
/** Its figure stands as it was confirmed: a drawing that is changed later is held against it. */
const same = (row: BuiltRow) =>
  write('built', { item: row.item, same: 'true', [row.field]: editable(row.drawn.value, row.drawn.quantity) });
async function built(row: BuiltRow): Promise<void> {
  if (await write('built', { item: row.item, same: 'false', [row.field]: other[row.item] ?? '' })) other[row.item] = '';
}
</script>

<template>
  <LeafLayout :verdict="verdict">
    <template #say>
      <p class="soft">
        Where it was built otherwise, draw it so too: the whole assessment runs again on what is there, and its findings judge. What was
        drawn before stays in the history.
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
            <button v-if="row.take" type="button" class="plain" :data-draw="row.item" @click="rig.apply(row.take.changes)">
              {{ say(row.take.words) }}
            </button>
            <RouterLink v-else-if="row.level" :to="pathOf(rig.id, row.station, row.leaf)">change the drawing</RouterLink></span
          >
          <span class="acts">
            <button type="button" class="plain" :disabled="busy" :data-same="row.item" @click="same(row)">as drawn</button>
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
<style scoped src="../../parts/rows.css"></style>
<style scoped>
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
@media (min-width: 701px) {
  li {
    grid-template-columns: 26px minmax(9rem, 1fr) 8rem minmax(6rem, 1fr) 16rem;
  }
}
</style>
