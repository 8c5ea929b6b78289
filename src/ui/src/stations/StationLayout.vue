<script setup lang="ts">
import { inject, type Ref } from 'vue';
import type { StationFault } from '../api/generated/schema';
import VerdictBox from '../parts/VerdictBox.vue';

/** While a station cannot be worked out, its fields stay and the fault stands in the place of what follows, but where that is still right. */
defineProps<{ title: string; question: string; holds?: boolean }>();
const fault = inject<Ref<StationFault | undefined>>('fault');
</script>

<template>
  <div class="layout" :class="{ faulty: fault }">
    <section class="say" tabindex="-1" :aria-label="`${title}: what you enter`">
      <h1>{{ title }}</h1>
      <p class="soft">{{ question }}</p>
      <slot name="say" />
    </section>
    <section class="see" tabindex="0" :aria-label="`${title}: what follows`">
      <VerdictBox v-if="fault && !holds" :verdict="fault.verdict" />
      <slot v-else name="see" />
    </section>
  </div>
</template>

<style scoped>
.layout {
  height: 100%;
  display: grid;
  grid-template-columns: 326px 1fr;
}
.say {
  padding: 14px 16px 24px 18px;
  border-right: 1px solid var(--rule);
  overflow-y: auto;
}
.see {
  padding: 14px 20px 20px;
  overflow-y: auto;
  min-width: 0;
}
/* Figures among the fields are of the last answer; while there is none they are not shown. */
.faulty :deep(.follows) {
  display: none;
}
@media (max-width: 700px) {
  .layout {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
    padding-top: 12px;
  }
  /* On a narrow screen the answer stands first, then what is entered, then what there is to look at. */
  .see {
    display: contents;
  }
  .say {
    border-right: 0;
    order: 1;
  }
  .layout .see :deep(> *) {
    order: 2;
    margin-inline: 16px;
    min-width: 0;
    width: auto;
  }
  .layout .see :deep(> .verdict),
  .layout .see :deep(> .figures),
  .layout .see :deep(> .paper) {
    order: 0;
  }
}
</style>
