<script setup lang="ts">
import { useRoute } from 'vue-router';
import type { NotAskable } from './use-round';

/** Why nothing can be worked out for a round, and the way to the page that fixes it. */
defineProps<{ question: NotAskable; courseId: string }>();
const route = useRoute();
</script>

<template>
  <p class="verdict warning" role="alert">
    ◆ {{ question.reason }}
    <RouterLink
      v-if="question.fixOn === 'bag'"
      :to="{ name: 'bag', params: { playerId: route.params.playerId } }"
      >To the bag</RouterLink
    >
    <RouterLink v-else :to="{ name: 'courses', params: { courseId } }">To the course</RouterLink>
  </p>
</template>
