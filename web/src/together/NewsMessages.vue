<script setup lang="ts">
import { useMessage } from 'naive-ui';
import { h, watch } from 'vue';
import { withDaysFormatted } from '../app/day';
import { SHOWN_MS, useNews } from './news';

/** What another person just changed on the screen, in its corner; a screen reader hears it once. */
const news = useNews();
const message = useMessage();
watch(
  () => news.shown,
  (shown) => {
    if (!shown) return;
    const content = () => [h('b', shown.who), ` ${withDaysFormatted(shown.summary)}`];
    message.info(content, { duration: SHOWN_MS, showIcon: false });
  },
  { immediate: true },
);
</script>

<template>
  <p class="unseen news" aria-live="polite">
    {{ news.shown?.who }} {{ withDaysFormatted(news.shown?.summary ?? '') }}
  </p>
</template>
