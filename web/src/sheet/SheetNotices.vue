<script setup lang="ts">
import { NButton } from 'naive-ui';
import NoticeBar from '../app/NoticeBar.vue';
import { defineAsyncComponent } from 'vue';
import KindQuestion from '../clubs/KindQuestion.vue';
import LoftQuestion from './LoftQuestion.vue';
import type { useSheetEditing } from './use-sheet-editing';

// Only after a paste.
const PasteTray = defineAsyncComponent(() => import('./PasteTray.vue'));

/** What typing and pasting has to say or to ask, above the sheet. */
const props = defineProps<{ editing: ReturnType<typeof useSheetEditing> }>();
// The same object for as long as the page is there.
const { notice, namesakes, pasted, loftQuestion, kindWanted, answerLofts, add } = props.editing;
const { namesake } = namesakes;
const { reports } = pasted;
</script>

<template>
  <NoticeBar v-if="notice" kind="warning" is-in-page>
    {{ notice }}
    <template #actions><NButton size="small" @click="notice = ''">Close</NButton></template>
  </NoticeBar>
  <NoticeBar v-if="namesake" kind="warning" is-in-page>
    <template v-if="namesake.leftOutId">
      The locker has a {{ namesake.name }} that is not in this bag. A second one was added.
    </template>
    <template v-else>There is a {{ namesake.name }} already. A second one was added.</template>
    <template #actions>
      <NButton size="small" @click="namesakes.takeOther">{{
        namesake.leftOutId ? 'Put that one in instead' : 'Undo'
      }}</NButton>
      <NButton size="small" @click="namesakes.close">Keep both</NButton>
    </template>
  </NoticeBar>
  <PasteTray
    v-for="(report, i) in reports"
    :key="reports.length - i"
    :report="report"
    @edit="pasted.edit(report, $event)"
    @fix="pasted.fix(report)"
    @column="(head, id) => pasted.takeColumn(report, head, id)"
    @close="pasted.close(report)"
  />
  <LoftQuestion
    v-if="loftQuestion"
    :question="loftQuestion"
    @answer="answerLofts"
    @close="loftQuestion = null"
  />
  <KindQuestion
    v-if="kindWanted"
    :key="kindWanted"
    :name="kindWanted"
    @add="add"
    @leave="kindWanted = null"
  />
</template>
