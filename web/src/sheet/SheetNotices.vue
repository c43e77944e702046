<script setup lang="ts">
import { NButton } from 'naive-ui';
import KindQuestion from '../clubs/KindQuestion.vue';
import LoftQuestion from './LoftQuestion.vue';
import PasteNotice from './PasteNotice.vue';
import type { useSheetEditing } from './use-sheet-editing';

/** What typing and pasting has to say or to ask, above the sheet. */
defineProps<{ editing: ReturnType<typeof useSheetEditing> }>();
</script>

<template>
  <div v-if="editing.notice.value" class="card notice" role="status">
    {{ editing.notice.value }}
    <NButton size="small" @click="editing.notice.value = ''">Close</NButton>
  </div>
  <PasteNotice
    v-if="editing.pasteReport.value"
    :report="editing.pasteReport.value"
    @close="editing.pasteReport.value = null"
  />
  <LoftQuestion
    v-if="editing.loftQuestion.value"
    :question="editing.loftQuestion.value"
    @answer="editing.answerLofts"
    @close="editing.loftQuestion.value = null"
  />
  <KindQuestion
    v-if="editing.kindWanted.value"
    :key="editing.kindWanted.value"
    :name="editing.kindWanted.value"
    @add="editing.add"
    @leave="editing.kindWanted.value = null"
  />
</template>

<style scoped>
.notice {
  padding: 8px 12px;
  margin-bottom: 10px;
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: center;
}
</style>
