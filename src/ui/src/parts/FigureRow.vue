<script setup lang="ts">
import type { Figure } from '../api/generated/schema';
import { useRig } from '../stores/rig';
import { parted } from './show';

/** Figures of a station; each opens its working. */
defineProps<{ figures: Figure[] }>();
const rig = useRig();
</script>

<template>
  <dl class="figures">
    <div v-for="figure in figures" :key="figure.label">
      <dt>{{ figure.label }}</dt>
      <dd>
        <button type="button" class="bare" title="open its working" @focus="rig.focused = figure" @click="rig.figure = figure">
          <b>{{ parted(figure.value, figure.quantity).number }}</b> <small>{{ parted(figure.value, figure.quantity).symbol }}</small>
          <span class="shown-to-readers">{{ figure.label }}: open its working</span>
        </button>
      </dd>
    </div>
  </dl>
</template>

<style scoped>
.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  margin: 0 0 10px;
}
dt {
  color: var(--soft);
  font-size: 13.5px;
}
dd {
  margin: 0;
}
b {
  font-size: 19px;
  font-weight: 650;
}
small {
  margin-left: 3px;
  color: var(--soft);
}
button.bare {
  border-bottom: 1.5px dotted var(--soft);
  min-height: 30px;
}
@media (pointer: coarse), (max-width: 700px) {
  button.bare {
    min-height: 44px;
  }
}
button.bare:hover {
  border-bottom-style: solid;
}
</style>
