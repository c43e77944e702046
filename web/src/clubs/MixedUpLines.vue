<script setup lang="ts">
import { computed } from 'vue';
import { useSheet } from '../sheet/sheet-store';
import { mixedUpSentences } from './mixed-up';

/** Of which clubs a loft or a carry must be wrong, before anything is advised of them. */
const props = defineProps<{
  clubIds: readonly string[];
  /** What is done about it, or left until it is. */
  says: string;
}>();
const store = useSheet();
const sentences = computed(() => mixedUpSentences(store, props.clubIds));
</script>

<template>
  <p v-if="sentences.length > 0" class="verdict warning mixed-up" role="status">
    <span v-for="text in sentences" :key="text">◆ {{ text }}</span>
    <span class="quiet"
      >{{ says }}
      <RouterLink class="no-print" :to="{ name: 'bag', params: { playerId: store.sheet!.player.id } }"
        >To the bag</RouterLink
      ></span
    >
  </p>
</template>

<style scoped>
.mixed-up {
  display: grid;
  gap: 2px;
  margin: 0 0 10px;
}
</style>
