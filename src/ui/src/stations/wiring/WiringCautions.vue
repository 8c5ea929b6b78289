<script setup lang="ts">
/** Stands on every leaf where something live could be touched. */
defineProps<{ battery?: boolean }>();
</script>

<template>
  <p class="warn small">
    <template v-if="battery">
      A battery cannot be switched off: its terminals give thousands of amperes. Insulated tools, no jewellery, one terminal at a time.
      Strings are live in daylight.
    </template>
    <template v-else>Nothing is connected live: isolate, lock, prove dead, wait for capacitors.</template>
    Plate, manual, local code and a licensed electrician come first.
  </p>
</template>
