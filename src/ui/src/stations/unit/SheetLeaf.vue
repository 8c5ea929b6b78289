<script setup lang="ts">
import { computed, ref } from 'vue';
import { ask, textOf, whyNot } from '../../api/client';
import { fieldAt } from '../../api/description';
import type { RigView, UnitSheetDesign, WaitingLine } from '../../api/generated/schema';
import AskField from '../../parts/AskField.vue';
import AskGroup from '../../parts/AskGroup.vue';
import AskRows from '../../parts/AskRows.vue';
import FilePick from '../../parts/FilePick.vue';
import FromShop from '../../parts/FromShop.vue';
import SheetTable, { type SheetColumn } from '../../parts/SheetTable.vue';
import { shown } from '../../parts/show';
import { useRig, valueAt } from '../../stores/rig';
import LeafLayout from '../LeafLayout.vue';

/** The manual typed once, in the order of a manual; what is empty is taken as typical of the class and names the figure that waits for it. */
const rig = useRig();
const unit = computed(() => rig.assessment!.unit!);
const sheet = computed(() => unit.value.sheet);
const at = computed(() => `/unit/sheets/${sheet.value.index ?? 0}`);
const begun = computed(() => sheet.value.index !== null);
const joined = computed(() => unit.value.unit.joinedOnSite);
const error = ref('');

const all = computed(() => [
  { title: 'Indoors: what it is', part: 'head', fields: ['model', 'widthM', 'heightM', 'depthM', 'massKg'] },
  { title: 'Indoors: free space', part: 'head', fields: ['aboveM', 'besideM', 'frontM'] },
  { title: 'Indoors: its plate', part: 'head', fields: ['holeRightM', 'holeUpM', 'holeM', 'screwRows', 'screwPitchM'] },
  { title: 'Indoors: pipes, drain, sound', part: 'head', fields: ['pipes', 'drain', 'drainHoseM', 'drainM', 'quietDb', 'loudDb'] },
  { title: 'Outdoors: what it is', part: 'outdoor', fields: ['model', 'heads', 'widthM', 'heightM', 'depthM', 'massKg'] },
  { title: 'Outdoors: feet and ports', part: 'outdoor', fields: ['feetAlongM', 'feetAcrossM', 'slotM', 'ports'] },
  { title: 'Outdoors: free space', part: 'outdoor', fields: ['behindM', 'frontM', 'serviceM', 'aboveM', 'loudDb'] },
  { title: 'Outdoors: entry and terminals', part: 'outdoor', fields: ['largestWireMm2', 'knockOutM', 'fittingRoomM', 'cores'] },
  ...(joined.value
    ? [
        { title: 'Line set', part: 'circuit', fields: ['liquidM', 'gasM', 'leastM', 'mostM', 'liftM', 'freeM', 'addedGm'] },
        {
          title: 'Refrigerant, proof, torque',
          part: 'circuit',
          fields: ['refrigerant', 'endsOn', 'chargeKg', 'proofPa', 'liquidNm', 'gasNm'],
        },
      ]
    : []),
  { title: 'Label, price, warranty', part: '', fields: ['seer', 'wattsKnown', 'price', 'partsYears', 'compressorYears', 'finishedBy'] },
]);
/** A unit that comes sealed has no head on a wall. */
const groups = computed(() => all.value.filter((g) => joined.value || g.part !== 'head'));
const pathOf = (part: string, field: string) => [at.value, part, field].filter(Boolean).join('/');

/** A typical figure beside an empty line. */
function typical(line: WaitingLine): string {
  const value = valueAt(sheet.value.typical, line.path.split('/').slice(4).join('/'));
  const field = fieldAt(line.path);
  if (value === null || value === undefined) return '–';
  if (typeof value === 'number') return shown(value, field.quantity!);
  return field.choices.find((c) => c.value === value)?.label ?? String(value);
}
const partOf: Record<string, string> = { head: 'indoors: ', outdoor: 'outdoors: ', circuit: 'pipes: ' };
const lineOf = (w: WaitingLine) => (partOf[w.path.split('/')[4] ?? ''] ?? '') + w.label;
const columns: SheetColumn<WaitingLine>[] = [
  { key: 'line', label: 'empty line', text: lineOf, wide: true },
  { key: 'waits', label: 'waits for it', text: (w) => w.figure, sort: (w) => w.figure, wide: true },
  { key: 'typical', label: 'taken meanwhile', number: true, text: typical },
];

async function begin(): Promise<void> {
  const fresh = { ...(fieldAt('/unit/sheets').default as unknown as UnitSheetDesign), unit: unit.value.chosen };
  await rig.set('/unit/sheets', [...rig.design!.unit.sheets, fresh]);
}

async function send(path: string, body: string | File): Promise<void> {
  error.value = '';
  try {
    rig.take(await ask<RigView>('POST', `/rigs/${rig.id}/${path}`, body));
  } catch (e) {
    error.value = whyNot(e);
  }
}
const read = async (file: File) => await send('unit-sheet', await textOf(file).catch((e: unknown) => String(e)));
const attach = (file: File) => send(`manual-pages?name=${encodeURIComponent(file.name)}`, file);
const pages = computed(() => (begun.value ? (rig.design!.unit.sheets[sheet.value.index!]?.pages ?? []) : []));
</script>

<template>
  <LeafLayout>
    <template #say>
      <AskField path="/unit/work" />
      <template v-if="begun">
        <AskGroup v-for="(g, i) in groups" :key="g.title" :title="g.title" :open="i === 0">
          <AskField v-for="f in g.fields" :key="f" :path="pathOf(g.part, f)" />
        </AskGroup>
        <AskGroup title="In the box" :open="false">
          <AskRows :path="`${at}/box`" one="part">
            <template #default="{ path }">
              <AskField v-for="f in ['kind', 'name', 'count', 'sizeM', 'lengthM', 'material']" :key="f" :path="`${path}/${f}`" />
            </template>
          </AskRows>
        </AskGroup>
        <AskGroup title="Error codes" :open="false">
          <AskRows :path="`${at}/codes`" one="code">
            <template #default="{ path }">
              <AskField v-for="f in ['code', 'words']" :key="f" :path="`${path}/${f}`" />
            </template>
          </AskRows>
        </AskGroup>
      </template>
      <AskGroup title="The shop's sheets" :open="false">
        <FromShop list="sheets" :only="rig.design!.unit.chosen" />
      </AskGroup>
    </template>
    <template #act>
      <p class="acts" data-sheet-acts>
        <button v-if="!begun" type="button" class="plain" @click="begin">type its sheet</button>
        <FilePick words="read a sheet (JSON)" accept=".json" data-sheet-file @pick="read" />
        <a class="plain" :href="`/api/rigs/${rig.id}/unit-sheet`" download>save the sheet</a>
        <FilePick words="attach a page of the manual" accept=".pdf,.png,.jpg,.jpeg" data-page @pick="attach" />
      </p>
      <p v-if="error" class="severity-stop" role="alert">{{ error }}</p>
      <p v-if="pages.length" class="acts">
        <a
          v-for="p in pages"
          :key="p.file"
          class="plain"
          :href="`/api/rigs/${rig.id}/manual-pages/${p.file.split(' ')[0]}`"
          target="_blank"
          rel="noopener"
          >{{ p.shows || p.file.split(' ').slice(1).join(' ') }}</a
        >
      </p>
    </template>
    <template #picture>
      <div data-waiting>
        <el-progress
          class="filled"
          :percentage="Math.round((100 * sheet.filled) / Math.max(1, sheet.of))"
          :stroke-width="14"
          :aria-label="`${sheet.filled} of ${sheet.of} lines typed`"
        />
        <SheetTable name="Empty lines and what waits for them" :rows="sheet.waiting" :columns="columns" :max-height="420" copies>
          <template #empty>every line is typed</template>
        </SheetTable>
      </div>
    </template>
  </LeafLayout>
</template>

<style scoped>
.filled {
  max-width: 420px;
  margin: 10px 0;
}
.acts {
  margin-bottom: 8px;
}
</style>
