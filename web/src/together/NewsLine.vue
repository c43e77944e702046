<script setup lang="ts">
import { NMessageProvider } from 'naive-ui';
import NewsMessages from './NewsMessages.vue';
</script>

<template>
  <NMessageProvider placement="bottom-right" :max="3" keep-alive-on-hover closable container-class="no-print">
    <NewsMessages />
  </NMessageProvider>
</template>
