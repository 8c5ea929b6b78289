<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, useTemplateRef } from 'vue';
import { fieldAt } from '../../api/description';
import type { SurveyDesign, WindowDesign } from '../../api/generated/schema';
import { shapeOf, spacesOf, windowBoxes, type WindowBox } from '../../parts/rigShape';
import { useRig } from '../../stores/rig';

/** The four sides unfolded: a press on a wall sets a window there, a press on a window goes to its measures. */
const props = defineProps<{ survey: SurveyDesign; lit: Record<string, boolean> }>();
const rig = useRig();
const box = useTemplateRef<HTMLElement>('box');
const names = ['left', 'right', 'front', 'rear'] as const;
const sides = computed(() => {
  const { length, height } = shapeOf(props.survey);
  const width = props.survey.space.widthM;
  return names.map((side) => ({
    side,
    width: side === 'front' || side === 'rear' ? width : length,
    height,
    boxes: windowBoxes(props.survey, side),
  }));
});
/** Pixels a metre: two long sides in a row on a wide screen, one on a narrow. */
const { width: room } = useElementSize(box);
const scale = computed(() => Math.min(70, Math.max(120, room.value - 34) / ((room.value < 560 ? 1 : 2) * shapeOf(props.survey).length)));

/** The space under a press on a side. */
async function setWindow(side: WindowDesign['side'], event?: MouseEvent): Promise<void> {
  const spaces = spacesOf(props.survey);
  const at = event ? event.offsetX / scale.value : 0;
  const space =
    side === 'rear'
      ? spaces.at(-1)!
      : side === 'front'
        ? spaces[0]!
        : (spaces.find((s) => at >= s.from && at < s.from + s.space.lengthM) ?? spaces[0]!);
  const fresh = { ...(fieldAt(space.path).default as unknown as WindowDesign), side, name: `${side} window` };
  await rig.set(space.path, [...space.windows, fresh]);
  goTo(`${space.path}/${space.windows.length}`);
}

function goTo(path: string): void {
  const field = document.querySelector<HTMLInputElement>(`input[data-path='${path}/widthM']`);
  for (let box = field?.closest('details'); box; box = box.parentElement?.closest('details') ?? null) box.open = true;
  field?.scrollIntoView({ block: 'center' });
  field?.focus();
}

const label = (box: WindowBox) => `${box.name}: go to its measures`;
</script>

<template>
  <div ref="box" class="sides">
    <figure v-for="s in sides" :key="s.side">
      <svg :width="s.width * scale" :height="s.height * scale" :viewBox="`0 0 ${s.width} ${s.height}`">
        <rect
          :width="s.width"
          :height="s.height"
          class="wall"
          :class="{ lit: lit[s.side] }"
          tabindex="0"
          role="button"
          :aria-label="`Set a window in the ${s.side} side`"
          :data-wall="s.side"
          @click="setWindow(s.side, $event)"
          @keydown.enter="setWindow(s.side)"
        />
        <rect
          v-for="(box, i) in s.boxes"
          :key="i"
          :x="s.side === 'right' ? s.width - box.x - box.w : box.x"
          :y="s.height - box.y - box.h"
          :width="box.w"
          :height="box.h"
          class="glass"
          :class="{ covered: box.covered }"
          tabindex="0"
          role="button"
          :aria-label="label(box)"
          @click="goTo(box.path)"
          @keydown.enter="goTo(box.path)"
        />
      </svg>
      <figcaption>{{ s.side }} <i v-if="lit[s.side]" title="in the sun">●</i></figcaption>
    </figure>
    <p class="soft">Press a wall to set a window in it, a window to go to its measures.</p>
  </div>
</template>

<style scoped>
.sides p {
  font-size: 13px;
  width: 100%;
}
.sides {
  display: flex;
  gap: 6px 10px;
  flex-wrap: wrap;
  margin-top: 10px;
}
figure {
  margin: 0;
}
figcaption {
  font-size: 13px;
  color: var(--soft);
}
figcaption i {
  color: var(--sun);
  font-style: normal;
}
.wall {
  fill: var(--hair);
  stroke: var(--ink);
  stroke-width: 1.5px;
  vector-effect: non-scaling-stroke;
  cursor: copy;
}
.wall.lit {
  fill: color-mix(in srgb, var(--sun) 34%, var(--sheet));
}
.glass {
  fill: var(--cold);
  cursor: pointer;
}
.glass.covered {
  fill: var(--soft);
}
</style>
