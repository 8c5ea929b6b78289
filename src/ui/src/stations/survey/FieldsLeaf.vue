<script setup lang="ts">
import { computed, ref } from 'vue';
import { findFields } from '../../api/description';
import AskField from '../../parts/AskField.vue';
import LeafLayout from '../LeafLayout.vue';

/** Brings a few fields of the survey together by a word of their names. */
const wanted = ref('');
const found = computed(() => findFields('/survey/', wanted.value));
</script>

<template>
  <LeafLayout holds>
    <template #say>
      <div role="search">
        <label for="find-field" class="soft">A word of its name</label>
        <el-input id="find-field" v-model="wanted" type="search" placeholder="ribs, breaker, wind …" data-find clearable />
      </div>
    </template>
    <template #picture>
      <div class="found">
        <AskField v-for="f in found" :key="f.path" :path="f.path" :label="f.label" />
        <el-empty
          v-if="found.length === 0"
          :image-size="0"
          :description="
            wanted.trim().length > 1
              ? 'No field of the survey is called that; rows such as windows have theirs on their own leaf.'
              : 'Type a word on the left; each field that has it stands here, to be typed at once.'
          "
        />
      </div>
    </template>
  </LeafLayout>
</template>

<style scoped>
.found {
  max-width: 560px;
}
</style>
