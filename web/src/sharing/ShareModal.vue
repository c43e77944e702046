<script setup lang="ts">
import PageWindow from '../app/PageWindow.vue';
import { SHARED_PAPER_WORDS, type SharedPaper } from '@tasche/contract';
import { defineAsyncComponent } from 'vue';

// Its table and its codes come when the window is opened, not with every page it belongs to.
const SharePanel = defineAsyncComponent(() => import('./SharePanel.vue'));

/** Links to a paper, over the page it belongs to. */
defineProps<{ playerId: string; paper: SharedPaper; planId?: string; clubId?: string }>();
const show = defineModel<boolean>('show', { required: true });
</script>

<template>
  <PageWindow v-model:show="show" :title="`Share: ${SHARED_PAPER_WORDS[paper].toLowerCase()}`" :px="640">
    <SharePanel :player-id="playerId" :paper="paper" :plan-id="planId" :club-id="clubId" />
  </PageWindow>
</template>
