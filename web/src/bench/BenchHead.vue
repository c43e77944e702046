<script setup lang="ts">
import { useTemplateRef } from 'vue';
import { useRoute } from 'vue-router';
import { useHereInView } from '../app/here-in-view';
import LinkButton from '../app/LinkButton.vue';
import PageHead from '../app/PageHead.vue';
import { useSheet } from '../sheet/sheet-store';

/** The head of every page of the bench, and the way between them. */
defineProps<{ playerId: string }>();
defineSlots<{ default(): unknown; says?(): unknown; actions?(): unknown }>();
const store = useSheet();
const route = useRoute();
useHereInView(useTemplateRef<HTMLElement>('strip'), () => route.name);
const PAGES = [
  { name: 'bench', label: 'Tickets' },
  { name: 'bend-plan', label: 'Bend plan' },
  { name: 'weights', label: 'Weights and lengths' },
  { name: 'check', label: 'Check' },
  { name: 'wear', label: 'Wear and balls' },
  { name: 'putters', label: 'Putters' },
  { name: 'wishes', label: 'Wish list' },
] as const;
</script>

<template>
  <PageHead :of="store.sheet!.player.name">
    <slot />
    <template v-if="$slots.says" #says><slot name="says" /></template>
    <template v-if="$slots.actions" #actions><slot name="actions" /></template>
  </PageHead>
  <div ref="strip" class="tabs no-print" role="navigation" aria-label="Bench">
    <LinkButton
      v-for="page in PAGES"
      :key="page.name"
      class="tab"
      quaternary
      size="small"
      :aria-current="route.name === page.name"
      :to="{ name: page.name, params: { playerId } }"
    >
      {{ page.label }}
    </LinkButton>
  </div>
</template>

<style scoped>
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 2px;
  border-bottom: 1px solid var(--line);
  margin-bottom: 14px;
}
</style>
