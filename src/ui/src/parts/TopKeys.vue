<script setup lang="ts">
import { settings, switchScheme, switchUnits } from './settings';
</script>

<template>
  <button class="key" type="button" title="u" @click="switchUnits">
    {{ settings.units === 'metric' ? '°C · m' : '°F · ft' }}<span class="shown-to-readers">, switch units</span>
  </button>
  <button class="key" type="button" title="s" @click="switchScheme">
    {{ settings.scheme }}<span class="shown-to-readers">, switch colours</span>
  </button>
</template>
