<script setup lang="ts">
import { computed, ref } from 'vue';
import type { JointRow } from '../../api/generated/schema';
import { recordFieldsOf } from '../../api/description';
import { say } from '../../parts/show';
import { useRig } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';
import { marks, useWriting } from '../../parts/writing';
import { useSaid } from './proof';
import WhoReads from '../../parts/WhoReads.vue';

/** Every joint, one after the other, with what it was looked at and what was found. */
const rig = useRig();
const proof = computed(() => rig.assessment?.commission ?? null);
const leaks = computed(() => proof.value?.leaks ?? null);
const { verdict, findings } = useSaid(() => leaks.value);
const { by, refused, busy, write } = useWriting();
const method = ref('soap');
const state = ref('standing');
const choices = (path: string) => recordFieldsOf('leak').find((f) => f.path === path)!.choices;
const found = [
  { value: 'dry', words: 'dry' },
  { value: 'leaks', words: 'bubbles' },
  { value: 'unsure', words: 'not sure' },
];
const looked = (joint: string, result: string, remade = false) =>
  write('leak', { joint, method: method.value, state: state.value, result, remade: String(remade) });
const remade = (row: JointRow) => looked(row.joint, 'dry', true);
</script>

<template>
  <LeafLayout :verdict="verdict" :findings="findings">
    <template #say>
      <template v-if="leaks">
        <p class="danger">
          A flammable refrigerant: no flame, no switch, air below. Refrigerant burns by cold, and in a flame it turns to acid.
        </p>
        <fieldset>
          <legend>Looked at with</legend>
          <button
            v-for="c in choices('/method')"
            :key="c.value"
            type="button"
            class="unit"
            :aria-pressed="method === c.value"
            @click="method = c.value"
          >
            {{ c.label }}
          </button>
        </fieldset>
        <fieldset>
          <legend>The circuit</legend>
          <button
            v-for="c in choices('/state')"
            :key="c.value"
            type="button"
            class="unit"
            :aria-pressed="state === c.value"
            @click="state = c.value"
          >
            {{ c.label }}
          </button>
        </fieldset>
        <p class="soft small">
          Soap thick, no washing powder, two to three minutes, twice. A detector that suits the refrigerant: 1 to 2 cm a second, 3 to 5 mm
          off. Not in wind or rain.
        </p>
      </template>
      <p v-else class="soft">{{ proof?.notOpened ? say(proof.notOpened) : '' }}</p>
    </template>
    <template v-if="leaks" #act>
      <WhoReads v-model="by" class="who-here" />
      <p v-if="refused" class="severity-stop" role="alert">{{ refused }}</p>
    </template>
    <template v-if="leaks" #picture>
      <ul class="joints" data-joints>
        <li v-for="j in leaks.joints" :key="j.joint" :class="j.state" :data-joint="j.joint">
          <i aria-hidden="true">{{ marks[j.state] }}</i>
          <b>{{ j.joint }}</b>
          <span class="words"
            >{{ say(j.words) }}<template v-if="j.by">, {{ j.by }}</template></span
          >
          <span class="acts">
            <button v-for="f in found" :key="f.value" type="button" class="plain" :disabled="busy" @click="looked(j.joint, f.value)">
              {{ f.words }}
            </button>
            <button v-if="j.state === 'stop'" type="button" class="plain" :disabled="busy" @click="remade(j)">made anew, dry now</button>
          </span>
        </li>
      </ul>
    </template>
  </LeafLayout>
</template>

<style scoped src="../../parts/reading.css"></style>
<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0 0 10px;
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
legend {
  color: var(--soft);
  padding: 0;
}
.joints {
  list-style: none;
  margin: 0;
  padding: 0;
  max-width: 50rem;
}
li {
  display: grid;
  grid-template-columns: 26px minmax(0, 1fr) auto;
  gap: 0 8px;
  align-items: baseline;
  border-top: 1px solid var(--hair);
  padding: 6px 0;
}
i {
  font-style: normal;
}
.words {
  grid-column: 2;
  color: var(--soft);
}
li .acts {
  grid-column: 3;
  grid-row: 1 / span 2;
  align-self: center;
  margin: 0;
}
.passed i {
  color: var(--pass);
}
.caution i {
  color: var(--caution);
}
.stop i,
.stop .words {
  color: var(--stop);
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 26px minmax(0, 1fr);
  }
  li .acts {
    grid-column: 2;
    grid-row: auto;
    margin-top: 4px;
  }
}
</style>
