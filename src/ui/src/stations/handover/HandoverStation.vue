<script setup lang="ts">
import { computed } from 'vue';
import AskGroup from '../../parts/AskGroup.vue';
import VerdictBox from '../../parts/VerdictBox.vue';
import { say, shown, shownMeasure } from '../../parts/show';
import { useRig } from '../../stores/rig';
import StationLayout from '../StationLayout.vue';

const rig = useRig();
const sheet = computed(() => rig.assessment!.handover!);
const words: Record<string, string> = { pass: 'pass', note: 'note', caution: 'caution', stop: 'stop', notDone: 'not taken' };
</script>

<template>
  <StationLayout title="Handover" question="What does the owner need to know?">
    <template #say>
      <AskGroup title="On the sheet" :paths="['/handover/firm', '/handover/contact', '/handover/owner', '/handover/remarks', '/units']" />
      <p class="print"><a class="button" :href="`/api/rigs/${rig.id}/handover.pdf`" target="_blank" data-pdf>open as PDF</a></p>
      <p class="print"><a class="button" :href="`/api/rigs/${rig.id}/job-file`" download>save the job file</a></p>
    </template>
    <template #see>
      <VerdictBox :verdict="sheet.verdict" :findings="sheet.findings" />
      <article class="paper" data-sheet>
        <header>
          <h2 class="title">{{ rig.design!.name }}</h2>
          <b v-if="sheet.draft" class="severity-stop">DRAFT</b>
        </header>
        <div class="pair">
          <dl>
            <template v-for="line in sheet.rig" :key="line.label">
              <dt>{{ line.label }}</dt>
              <dd>{{ say(line.value) }}</dd>
            </template>
          </dl>
          <dl>
            <template v-for="line in sheet.fitted" :key="line.label">
              <dt>{{ line.label }}</dt>
              <dd>{{ say(line.value) }}</dd>
            </template>
          </dl>
        </div>
        <h3>What may run together</h3>
        <template v-if="sheet.together">
          <p class="soft">{{ say(sheet.together.rating) }}</p>
          <p v-if="sheet.together.together.length === 0" class="severity-stop">The air conditioner must not be started on this source.</p>
          <p v-for="(set, i) in sheet.together.together" :key="'t' + i">Together: {{ set.join(', ') }}</p>
          <p v-if="sheet.together.togetherLeft">and {{ sheet.together.togetherLeft }} more sets that are allowed.</p>
          <p v-for="(set, i) in sheet.together.never" :key="'n' + i">
            <b>{{ set.length === 1 ? 'Not at all:' : 'Not together:' }}</b> {{ set.join(' with ') }}
          </p>
          <p v-if="sheet.together.neverLeft" class="severity-stop" data-never-left>
            and {{ sheet.together.neverLeft }} more sets that are not allowed: what is not written under Together is run one at a time.
          </p>
          <p v-if="sheet.together.small.length" class="soft">The small ones: {{ sheet.together.small.join(', ') }}.</p>
        </template>
        <p v-else>The unit runs straight on the battery: nothing else shares an inverter with it.</p>
        <template v-if="sheet.hours.length">
          <h3>How long on a full battery, at night</h3>
          <div class="hours">
            <p v-for="row in sheet.hours" :key="row.setpointC">
              <span class="soft">{{ shown(row.setpointC, 'temperature') }}</span><b>{{
                row.printedHours > 24 ? 'more than 24 h' : row.printedHours + ' h'
              }}</b>
            </p>
          </div>
        </template>
        <h3>When power runs short, in this order</h3>
        <p data-when-short>{{ sheet.whenShort.join(', then ') }}.</p>
        <h3>Measured against predicted</h3>
        <table class="sheet">
          <tbody>
            <tr v-for="row in sheet.proof" :key="row.id">
              <td>{{ row.label }}</td>
              <td class="number">{{ row.measured ? shownMeasure(row.measured) : 'not taken' }}</td>
              <td class="number soft">{{ row.expected ? 'expected ' + shownMeasure(row.expected) : '' }}</td>
              <td>{{ words[row.verdict] }}</td>
            </tr>
          </tbody>
        </table>
        <h3>Cautions</h3>
        <ul>
          <li v-for="caution in sheet.cautions" :key="caution">{{ caution }}</li>
        </ul>
      </article>
    </template>
  </StationLayout>
</template>

<style scoped>
.print {
  margin-top: 14px;
}
.button {
  display: inline-block;
  border: 1.5px solid var(--ink);
  border-radius: 3px;
  background: var(--raised);
  padding: 7px 14px;
  text-decoration: none;
}
.paper {
  background: var(--raised);
  border: 1px solid var(--rule);
  padding: 20px 26px;
  max-width: 780px;
}
header {
  display: flex;
  justify-content: space-between;
  border-bottom: 2px solid var(--ink);
  padding-bottom: 6px;
  margin-bottom: 10px;
}
.title {
  font-size: 22px;
  color: var(--ink);
}
h3 {
  font-size: 15px;
  margin: 14px 0 4px;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px;
}
dl {
  display: grid;
  grid-template-columns: 116px 1fr;
  gap: 3px 10px;
  margin: 0;
  align-content: start;
}
dt {
  color: var(--soft);
}
dd {
  margin: 0;
}
.hours {
  display: flex;
  gap: 30px;
}
.hours p {
  display: grid;
}
.hours b {
  font-size: 18px;
}
ul {
  margin: 0;
  padding-left: 18px;
}
</style>
