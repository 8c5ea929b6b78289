<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { fields, titled } from '../api/description';
import type { Finding, Verdict } from '../api/generated/schema';
import AskField from '../parts/AskField.vue';
import FigureRow from '../parts/FigureRow.vue';
import VerdictBox from '../parts/VerdictBox.vue';
import { useLeaf, usePlace } from '../run/place';

/**
 * One leaf: what is entered on the left, the answer on the right with its picture filling the screen, what supports it below. While the station
 * cannot be worked out its fields stay and the fault stands in the place of the answer, but where that is still right.
 */
const props = defineProps<{ verdict?: Verdict; findings?: Finding[]; holds?: boolean }>();
const place = usePlace();
const leaf = useLeaf();
const route = useRoute();
const said = computed(() => props.verdict ?? leaf.value?.verdict);
const found = computed(() => props.findings ?? leaf.value?.findings ?? []);
const box = ref<HTMLElement | null>(null);

/** The field that a finding speaks of, where it is not asked on this leaf anyway. */
const marked = computed(() => (typeof route.query.at === 'string' && route.query.at.startsWith('/') ? route.query.at : ''));
const lent = ref('');

async function mark(): Promise<void> {
  lent.value = '';
  await nextTick();
  const find = () => box.value?.querySelector<HTMLElement>(`[data-path="${CSS.escape(marked.value).replaceAll('\\/', '/')}"]`);
  if (!marked.value || !box.value) return;
  if (!find() && fields.has(marked.value)) {
    lent.value = marked.value;
    await nextTick();
  }
  const field = find()?.closest<HTMLElement>('.field');
  for (let group = field?.closest('details'); group; group = group.parentElement?.closest('details') ?? null) group.open = true;
  box.value.querySelectorAll('.marked').forEach((m) => m.classList.remove('marked'));
  field?.classList.add('marked');
  field?.scrollIntoView({ block: 'center' });
}
watch([marked, () => place.value.leaf.name, box], mark, { immediate: true, flush: 'post' });
</script>

<template>
  <div ref="box" class="leaf" :class="{ faulty: place.fault }">
    <section class="say" tabindex="-1" :aria-label="`${titled(place.station)}, ${place.leaf.words}: what you enter`">
      <p class="soft question">{{ place.leaf.question }}</p>
      <AskField v-if="lent" :path="lent" />
      <slot name="say" />
    </section>
    <section class="see" tabindex="0" :aria-label="`${titled(place.station)}, ${place.leaf.words}: what follows`">
      <div v-if="place.fault && !holds" class="answer"><VerdictBox :verdict="place.fault.verdict" /></div>
      <template v-else>
        <div class="answer">
          <slot name="before" />
          <VerdictBox v-if="place.fault" :verdict="place.fault.verdict" />
          <VerdictBox v-else-if="said" :verdict="said" :findings="found" />
          <slot name="act" />
          <FigureRow v-if="leaf && !place.fault && leaf.figures.length" :figures="leaf.figures" />
          <div v-if="$slots.picture" class="picture" data-picture><slot name="picture" /></div>
        </div>
        <div v-if="$slots.below" class="below"><slot name="below" /></div>
      </template>
    </section>
  </div>
</template>

<style scoped>
.leaf {
  height: 100%;
  display: grid;
  grid-template-columns: 306px minmax(0, 1fr);
  min-height: 0;
}
.say {
  padding: 10px 14px 24px 16px;
  border-right: 1px solid var(--rule);
  overflow-y: auto;
  min-height: 0;
}
.question {
  margin-bottom: 4px;
}
.see {
  padding: 12px 20px 20px;
  overflow-y: auto;
  min-width: 0;
  min-height: 0;
}
/* The answer fills the screen; what supports it stands under it. */
.answer {
  display: flex;
  flex-direction: column;
}
.answer:has(> .picture > .chart) {
  min-height: 100%;
}
.picture {
  flex: 1 0 auto;
  min-height: 120px;
  display: flex;
  flex-direction: column;
}
.below {
  margin-top: 14px;
  display: grid;
  gap: 16px;
  grid-template-columns: minmax(0, 1fr);
}
/* Figures among the fields are of the last answer; while there is none they are not shown. */
.faulty :deep(.follows) {
  display: none;
}
@media (max-width: 700px) {
  .leaf {
    display: flex;
    flex-direction: column;
    height: auto;
    padding-bottom: 16px;
  }
  /* On a narrow screen the answer stands first, then what is entered, then what supports it. */
  .see {
    display: contents;
  }
  .answer {
    order: 0;
    min-height: 0;
    padding: 10px 14px 0;
  }
  .say {
    order: 1;
    border: 0;
    border-top: 1.5px solid var(--ink);
    margin-top: 14px;
    padding: 10px 14px 0;
    overflow: visible;
  }
  .below {
    order: 2;
    padding: 0 14px;
  }
}
</style>
