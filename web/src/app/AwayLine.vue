<script setup lang="ts">
import type { HeldState } from '../api/read';

/** Says that what a page shows could not be read yet; it is asked for again until it is there. */
defineProps<{ state: HeldState }>();
</script>

<template>
  <p v-if="state === 'away'" class="verdict warning" role="status">
    ◆ The server cannot be reached; this page fills by itself as soon as the server answers.
  </p>
</template>
