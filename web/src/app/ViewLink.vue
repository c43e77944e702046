<script setup lang="ts">
import { RouterLink, useRoute } from 'vue-router';
import { viewLink } from './view-link';

/** A link to a view. The air in the address goes along, so it changes with the address, and its menu need not. */
defineProps<{
  view: string;
  /** Whose view it is; left out for a view of the workspace. */
  playerId?: string | undefined;
  label: string;
  isHere: boolean;
}>();
const route = useRoute();
</script>

<template>
  <RouterLink
    :to="playerId === undefined ? { name: view } : viewLink(view, playerId, route)"
    :aria-current="isHere ? 'true' : undefined"
    >{{ label }}</RouterLink
  >
</template>
