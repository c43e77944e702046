<script setup lang="ts">
import { NResult } from 'naive-ui';

/** Shown in place of what cannot be shown: what it is, why, and where to go next. */
defineProps<{
  title: string;
  says?: string;
  /** It is asked for again until it can be shown. */
  opensItself?: boolean;
  /** It is the whole page, and its title the page's. */
  isPage?: boolean;
}>();
</script>

<template>
  <NResult class="not-there" :class="{ page: isPage }" status="info" size="small">
    <template #icon><span class="mark" aria-hidden="true">◇</span></template>
    <component :is="isPage ? 'h1' : 'h2'">{{ title }}</component>
    <p v-if="says || opensItself" class="quiet" role="status">
      {{ says }}
      <template v-if="opensItself">This page opens by itself as soon as the server answers.</template>
    </p>
    <template #footer><slot /></template>
  </NResult>
</template>

<style scoped>
.not-there {
  padding: 6vh 16px;
  text-align: center;
}
.not-there.page {
  padding-top: 14vh;
}
.mark {
  font-size: 34px;
  line-height: 1;
  color: var(--brass);
}
</style>
