<script setup lang="ts">
import { useNews } from './news';

/** What somebody else just did to what is on the screen. */
const news = useNews();
</script>

<template>
  <div class="news no-print" aria-live="polite">
    <p v-if="news.shown" class="line">
      <b>{{ news.shown.who }}</b> {{ news.shown.summary }}
    </p>
  </div>
</template>

<style scoped>
.line {
  position: fixed;
  right: 18px;
  bottom: 18px;
  max-width: min(440px, calc(100vw - 36px));
  margin: 0;
  padding: 9px 14px;
  background: var(--ink);
  color: var(--paper);
  border-radius: 4px;
  z-index: 20;
  overflow-wrap: anywhere;
}
</style>
