<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core';
import { ref } from 'vue';
import { ask, whyNot } from '../api/client';
import type { CrewMe } from '../api/generated/schema';

/** A device of the crew comes in: its code and who holds it. */
const by = useLocalStorage('vanto.by', '');
const code = ref(/^#\d{6}$/.test(location.hash) ? location.hash.slice(1) : '');
const fault = ref('');
const busy = ref(false);

async function join(): Promise<void> {
  fault.value = '';
  busy.value = true;
  try {
    await ask<CrewMe>('POST', '/crew/join', { code: code.value, name: by.value });
    location.assign('/');
  } catch (error) {
    fault.value = whyNot(error);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <main class="join">
    <h1>Join the crew</h1>
    <p>Whoever sits at the laptop opens the yard, presses <b>Crew</b> and asks for a code.</p>
    <form @submit.prevent="join">
      <label
        >Code
        <input v-model="code" data-code inputmode="numeric" autocomplete="one-time-code" maxlength="6" required pattern="[0-9]{6}" />
      </label>
      <label>Your name <input v-model="by" data-name autocomplete="name" maxlength="60" required /></label>
      <p v-if="fault" class="severity-stop" role="alert">{{ fault }}</p>
      <button type="submit" class="go" :disabled="busy">Join</button>
    </form>
    <p class="soft">The device stays joined until it is away for twelve hours or the owner sends it away.</p>
  </main>
</template>

<style scoped>
.join {
  max-width: 30rem;
  margin: 0 auto;
  padding: 24px 16px;
}
form {
  display: grid;
  gap: 16px;
}
label {
  display: grid;
  gap: 4px;
  font-weight: 600;
}
input {
  font: inherit;
  font-size: 1.4rem;
  min-height: 56px;
  padding: 0 12px;
  color: var(--ink);
  background: var(--raised);
  border: 2px solid var(--rule);
  border-radius: 4px;
  min-width: 0;
}
[data-code] {
  letter-spacing: 0.3em;
  font-variant-numeric: tabular-nums;
}
.go {
  min-height: 64px;
  font: inherit;
  font-size: 1.25rem;
  font-weight: 720;
  color: var(--sheet);
  background: var(--ink);
  border: 0;
  border-radius: 4px;
  cursor: pointer;
}
</style>
