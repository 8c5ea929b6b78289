<script setup lang="ts">
import { ref } from 'vue';
import { settings, switchScheme, switchUnits } from '../parts/settings';
import { useRig } from '../stores/rig';

/** On a narrow screen: all that the header holds, behind one button. */
const emit = defineEmits<{ history: []; keys: [] }>();
const rig = useRig();
const open = ref(false);

function act(what: () => unknown): void {
  open.value = false;
  void what();
}
</script>

<template>
  <button type="button" class="key" aria-label="Menu" data-menu @click="open = true">☰</button>
  <el-drawer v-model="open" direction="btt" size="auto" title="Menu">
    <div class="menu">
      <button type="button" class="plain" :disabled="rig.undoable.length === 0" @click="act(rig.undo)">undo</button>
      <button type="button" class="plain" :disabled="rig.redoable.length === 0" @click="act(rig.redo)">redo</button>
      <button type="button" class="plain" @click="act(() => emit('history'))">history</button>
      <button type="button" class="plain" @click="switchUnits">units: {{ settings.units === 'metric' ? '°C · m' : '°F · ft' }}</button>
      <button type="button" class="plain" @click="switchScheme">colours: {{ settings.scheme }}</button>
      <RouterLink to="/bench" class="plain">Bench</RouterLink>
      <button type="button" class="plain" @click="act(() => emit('keys'))">keys</button>
    </div>
  </el-drawer>
</template>

<style scoped>
.key {
  border: 1.5px solid var(--ink);
  border-radius: 3px;
  background: var(--sheet);
  color: var(--ink);
  min-width: 44px;
  min-height: 44px;
  font-size: 18px;
  cursor: pointer;
}
.menu {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.menu .plain {
  text-align: center;
}
</style>
