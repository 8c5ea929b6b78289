<script setup lang="ts">
import { computed, ref } from 'vue';
import type { GateRow, InstallValues } from '../../api/generated/schema';
import { useMe } from '../../crew/me';
import { useHold } from '../../parts/hold';
import { say } from '../../parts/show';
import { pathOf } from '../../run/place';
import { useRig } from '../../stores/rig';

/** One thing that must hold: a tick, a reading, a picture, a verdict; or the reason why it cannot be met here. */
const props = defineProps<{ gate: GateRow; leastReason: number }>();
const emit = defineEmits<{ write: [event: Partial<InstallValues>]; photo: [event: Event] }>();
const g = computed(() => props.gate);
const rig = useRig();
/** What Commission says of it from its readings. */
const proved = computed(() => rig.assessment?.commission?.gates.find((p) => p.gate === g.value.key) ?? null);
/** Not everybody may pass a gate over. */
const me = useMe();
const typed = ref('');
const passing = ref(false);
const reason = ref('');
const second = ref('');
const range = computed(() =>
  [g.value.min !== null ? `from ${g.value.min}` : '', g.value.max !== null ? `to ${g.value.max}` : ''].filter(Boolean).join(' '),
);

const symbol = ref(props.gate.unit);
const unit = computed(() => g.value.units.find((u) => u.symbol === symbol.value) ?? { symbol: g.value.unit, factor: 1, offset: 0 });
const number = computed(() => Number(typed.value.replace(',', '.')));
const wrong = computed(() => typed.value.trim() !== '' && !Number.isFinite(number.value));
/** In the gate's own unit, beside what is typed in another. */
const meant = computed(() => number.value * unit.value.factor + unit.value.offset);
const beside = computed(() =>
  typed.value.trim() && !wrong.value && unit.value.symbol !== g.value.unit ? `= ${Number(meant.value.toPrecision(4))} ${g.value.unit}` : '',
);

function value(): void {
  if (!typed.value.trim() || wrong.value) return;
  emit('write', {
    type: 'valueRecorded',
    field: g.value.key,
    value: meant.value,
    asTyped: `${typed.value} ${unit.value.symbol}`.trim(),
  });
  typed.value = '';
}

const result = (text: string) => emit('write', { type: 'valueRecorded', field: g.value.key, asTyped: text });

function pass(): void {
  if (reason.value.trim().length < props.leastReason || (g.value.override === 'second' && !second.value.trim())) {
    over.value?.reportValidity();
    return;
  }
  emit('write', { type: 'gateOverridden', field: g.value.key, text: reason.value, second: second.value });
  passing.value = false;
}
const over = ref<HTMLFormElement | null>(null);
const { pressing, on: held } = useHold(pass);
</script>

<template>
  <li :class="{ met: g.passed, passing: g.passing }" :data-open="!g.passed && !g.passing ? '' : null">
    <template v-if="g.kind === 'tick'">
      <button
        type="button"
        class="tick"
        :aria-pressed="g.passed"
        :disabled="g.passed"
        @click="emit('write', { type: 'tickSet', text: g.key })"
      >
        <i>{{ g.passed ? '✓' : '' }}</i> {{ g.words }}
      </button>
    </template>
    <template v-else-if="g.kind === 'value'">
      <label class="value"
        >{{ g.words }} <small class="soft">{{ range }}</small>
        <span class="typed">
          <b v-if="g.said && !typed">{{ g.said }}</b>
          <input v-model="typed" inputmode="decimal" :data-field="g.key" :aria-invalid="wrong" @keydown.enter="value" /> {{ unit.symbol }}
          <button type="button" class="plain" @click="value">{{ g.passed ? 'read again' : 'write down' }}</button>
        </span>
      </label>
      <span v-if="g.units.length > 1" class="units" role="group" aria-label="Unit">
        <button
          v-for="u in g.units"
          :key="u.symbol"
          type="button"
          class="unit"
          :aria-pressed="u.symbol === unit.symbol"
          @click="symbol = u.symbol"
        >
          {{ u.symbol }}
        </button>
        <small class="soft">{{ beside }}</small>
      </span>
      <em v-if="wrong" class="severity-stop" role="alert">{{ typed }} is no number.</em>
    </template>
    <template v-else-if="g.kind === 'photo'">
      <label class="tick" :class="{ taken: g.passed }"
        ><i>{{ g.passed ? '✓' : '' }}</i> {{ g.words }}
        <input type="file" accept="image/*" capture="environment" :data-photo="g.key" @change="emit('photo', $event)" />
      </label>
    </template>
    <template v-else-if="g.kind === 'result'">
      <p class="value">
        {{ g.words }}
        <span class="typed">
          <b v-if="g.said">{{ g.said }}</b>
          <RouterLink v-if="proved" :to="pathOf(rig.id, 'commission', proved.leaf)" data-proved>{{ say(proved.words) }}</RouterLink>
          <button v-if="proved?.passed" type="button" class="plain" data-take-proof @click="result('pass')">take it: passed</button>
          <button v-else type="button" class="plain" @click="result('pass')">it passed</button>
          <button type="button" class="plain" @click="result('fail')">it did not</button>
        </span>
      </p>
    </template>
    <p v-else class="tick">
      <i>{{ g.passed ? '✓' : '✕' }}</i> {{ g.words }}
    </p>
    <template v-if="!g.passed && !g.passing && g.override !== 'never' && me?.may?.includes('passOver')">
      <button v-if="!passing" type="button" class="bare small" @click="passing = true">cannot be met here</button>
      <form v-else ref="over" class="over" @submit.prevent>
        <label>Why <input v-model="reason" :minlength="leastReason" required :placeholder="`at least ${leastReason} letters`" /></label>
        <label v-if="g.override === 'second'">Second person <input v-model="second" required placeholder="another name" /></label>
        <button type="button" class="plain holds" :class="{ pressing }" data-pass-over v-on="held">hold to pass it over</button>
      </form>
    </template>
    <p v-if="g.passing" class="soft small">passed over with a reason; it stays on the ledger</p>
  </li>
</template>

<style scoped>
/* What is focused comes clear of the big button that stands over the page's foot. */
button,
input,
label {
  scroll-margin: 80px 0 170px;
}
li {
  border-top: 1px solid var(--hair);
  padding: 6px 0;
}
input {
  font: inherit;
  min-height: 44px;
  border: 0;
  border-bottom: 2px solid var(--ink);
  background: var(--raised);
  padding: 0 8px;
  width: 100%;
}
.bare {
  min-height: 44px;
}
.tick input[type='file'] {
  position: absolute;
  opacity: 0;
  width: 1px;
  height: 1px;
}
.tick:focus-within {
  outline: 2px solid var(--ink);
}
.tick {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 56px;
  width: 100%;
  font: inherit;
  font-size: 1.1rem;
  text-align: left;
  background: none;
  border: 0;
  color: inherit;
  cursor: pointer;
  margin: 0;
}
.tick i {
  flex: none;
  width: 34px;
  height: 34px;
  border: 2px solid var(--ink);
  border-radius: 3px;
  font-style: normal;
  font-size: 1.3rem;
  font-weight: 700;
  line-height: 30px;
  text-align: center;
  background: var(--raised);
}
.met .tick i {
  background: var(--ink);
  color: var(--sheet);
}
.value {
  display: block;
  font-size: 1.1rem;
  margin: 0;
}
.typed {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-top: 4px;
}
.typed input {
  font: inherit;
  min-height: 44px;
  border: 0;
  border-bottom: 2px solid var(--ink);
  background: var(--raised);
  padding: 0 8px;
  width: 100%;
}
.units {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  margin: 6px 0;
}
.unit {
  font: inherit;
  min-width: 52px;
  min-height: 44px;
  padding: 0 10px;
  color: var(--ink);
  background: none;
  border: 1px solid var(--rule);
  border-radius: 3px;
  cursor: pointer;
}
.unit[aria-pressed='true'] {
  background: var(--ink);
  color: var(--sheet);
}
em {
  font-style: normal;
}
.typed .plain,
.over .plain {
  min-height: 56px;
}
.over {
  display: grid;
  gap: 8px;
  padding: 6px 0 6px 46px;
}
</style>
