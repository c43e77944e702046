<script setup lang="ts">
import Later from '../app/Later.vue';
import RangePage from './RangePage.vue';

/** The range, once the page that was left is gone: both at once would block the browser. */
const props = defineProps<{ playerId: string; sessionId?: string }>();
</script>

<template>
  <Later><RangePage v-bind="props" /></Later>
</template>
