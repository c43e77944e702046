<script setup lang="ts">
/** What went wrong, in a sentence; nothing while nothing did. What can be done about it goes beside it. */
defineProps<{ text: string | null | undefined; small?: boolean }>();
</script>

<template>
  <p v-if="text" class="verdict error" :class="{ small }" role="alert">■ {{ text }}<slot /></p>
</template>
