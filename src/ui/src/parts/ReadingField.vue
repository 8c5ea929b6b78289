<script setup lang="ts">
/** One reading, large enough for gloves: what is asked, its unit, and why it was refused. */
const value = defineModel<string>({ required: true });
defineProps<{ label: string; unit?: string; name: string; error?: string; hint?: string }>();
</script>

<template>
  <label class="field" :class="{ wrong: error }"
    >{{ label }} <span><input v-model="value" :data-read="name" :placeholder="hint" autocomplete="off" /> {{ unit }}</span>
    <em v-if="error" role="alert">{{ error }}</em>
  </label>
</template>

<style scoped>
.field {
  display: grid;
  gap: 2px;
  color: var(--soft);
  margin-bottom: 6px;
}
span {
  color: var(--ink);
  font-size: 17px;
}
input {
  font: inherit;
  font-size: 24px;
  font-weight: 700;
  color: var(--ink);
  border: 0;
  border-bottom: 2px solid var(--ink);
  background: var(--raised);
  width: 132px;
  min-height: 44px;
  padding: 0 6px;
  scroll-margin: 80px 0 130px;
}
.wrong input {
  border-color: var(--stop);
}
em {
  font-style: normal;
  color: var(--stop);
  font-size: 13.5px;
}
</style>
