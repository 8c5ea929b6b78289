<script setup lang="ts">
import type { SheetBlock, SheetLine } from '../../api/generated/schema';
import { say } from '../../parts/show';

/** One block of the owner's sheet, as a station prints it. */
defineProps<{ block: SheetBlock; bare?: boolean }>();

const tone = (line: SheetLine) => ({ soft: line.faint, 'severity-stop': line.state === 'stop' });
</script>

<template>
  <section :data-block="block.heading">
    <h3 v-if="!bare">{{ block.heading }}</h3>
    <dl v-if="block.form === 'pairs'">
      <template v-for="(line, i) in block.lines" :key="i">
        <dt>{{ say(line.label) }}</dt>
        <dd :class="tone(line)">{{ say(line.value) }}</dd>
      </template>
    </dl>
    <div v-else-if="block.form === 'tiles'" class="tiles">
      <p v-for="(line, i) in block.lines" :key="i">
        <span class="soft">{{ say(line.label) }}</span>
        <b>{{ say(line.value) }}</b>
        <small v-if="line.beside.template" class="soft">{{ say(line.beside) }}</small>
      </p>
    </div>
    <table v-else-if="block.form === 'rows'" class="sheet">
      <tbody>
        <tr v-for="(line, i) in block.lines" :key="i">
          <td>{{ say(line.label) }}</td>
          <td class="number">{{ say(line.value) }}</td>
          <td class="number soft">{{ say(line.beside) }}</td>
          <td :class="tone(line)">{{ line.mark }}</td>
        </tr>
      </tbody>
    </table>
    <ul v-else-if="block.form === 'bullets'">
      <li v-for="(line, i) in block.lines" :key="i" :class="tone(line)">{{ say(line.value) }}</li>
    </ul>
    <template v-else>
      <p v-for="(line, i) in block.lines" :key="i" :class="tone(line)">{{ say(line.value) }}</p>
    </template>
  </section>
</template>

<style scoped>
h3 {
  font-size: 15px;
  margin: 14px 0 4px;
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
table {
  width: 100%;
}
table.sheet td,
table.sheet .number {
  white-space: normal;
  overflow-wrap: anywhere;
}
table.sheet td:last-child {
  white-space: nowrap;
}
.tiles {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 30px;
}
.tiles p {
  display: grid;
}
.tiles b {
  font-size: 18px;
}
ul {
  margin: 0;
  padding-left: 18px;
}
</style>
