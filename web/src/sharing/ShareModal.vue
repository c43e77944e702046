<script setup lang="ts">
import { NModal } from 'naive-ui';
import { SHARED_PAPER_WORDS, type SharedPaper } from '@tasche/contract';
import SharePanel from './SharePanel.vue';

/** Links to a paper, over the page it belongs to. */
defineProps<{ playerId: string; paper: SharedPaper; planId?: string; clubId?: string }>();
const show = defineModel<boolean>('show', { required: true });
</script>

<template>
  <NModal
    v-model:show="show"
    preset="card"
    :title="`Share: ${SHARED_PAPER_WORDS[paper].toLowerCase()}`"
    :style="{ width: 'min(640px, calc(100vw - 24px))' }"
  >
    <SharePanel :player-id="playerId" :paper="paper" :plan-id="planId" :club-id="clubId" />
  </NModal>
</template>
