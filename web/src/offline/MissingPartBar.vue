<script setup lang="ts">
import { NButton } from 'naive-ui';
import NoticeBar from '../app/NoticeBar.vue';
import { loadPageAgain, missingPart } from './missing-part';
</script>

<template>
  <NoticeBar v-if="missingPart" kind="error" is-urgent>
    <strong>{{ missingPart.view ?? 'A part of this page' }} could not be opened.</strong>
    Tasche was updated meanwhile, or the server could not be reached. What you typed is kept.
    <template #actions>
      <NButton size="small" type="primary" @click="loadPageAgain">Load the page again</NButton>
    </template>
  </NoticeBar>
</template>
