<script setup lang="ts">
const open = defineModel<boolean>({ required: true });

const keys = [
  ['u', 'metric or customary units'],
  ['s', 'light, dark, sunlight'],
  ['w', 'working of the figure in focus'],
  ['[  ]', 'station before, station after'],
  [',  .', 'leaf before, leaf after'],
  ['Esc', 'leave a field'],
  ['Ctrl z', 'undo'],
  ['Ctrl Shift z', 'redo'],
  ['?', 'this list'],
];
</script>

<template>
  <el-dialog v-model="open" title="Keys" width="min(420px, 94%)">
    <table class="sheet">
      <tbody>
        <tr v-for="[key, what] in keys" :key="key">
          <td>
            <kbd>{{ key }}</kbd>
          </td>
          <td>{{ what }}</td>
        </tr>
      </tbody>
    </table>
  </el-dialog>
</template>

<style scoped>
kbd {
  border: 1.5px solid var(--rule);
  border-radius: 3px;
  padding: 1px 7px;
  font: inherit;
}
</style>
