<script setup lang="ts">
import type { UploadRawFile } from 'element-plus';

/** A file to choose, or to drop; what becomes of it is the caller's. */
defineProps<{ words: string; accept: string }>();
const emit = defineEmits<{ pick: [file: File] }>();

function took(file: UploadRawFile): boolean {
  emit('pick', file);
  return false; // it is read here, not sent as it is
}
</script>

<template>
  <el-upload class="pick" :accept="accept" :show-file-list="false" :before-upload="took" action="">
    <span class="plain">{{ words }}</span>
  </el-upload>
</template>

<style scoped>
.pick {
  display: inline-flex;
}
.pick :deep(.el-upload) {
  border-radius: 3px;
}
.pick :deep(.el-upload:focus) {
  border: 0;
  color: inherit;
}
</style>
