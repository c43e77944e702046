<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import PageHead from '../app/PageHead.vue';
import PageTabs from '../app/PageTabs.vue';
import { BENCH_VIEWS } from '../app/views';
import { useSheet } from '../sheet/sheet-store';

/** The head of every page of the bench, and the way between them. */
const { playerId } = defineProps<{ playerId: string }>();
defineSlots<{ default(): unknown; says?(): unknown; actions?(): unknown }>();
const store = useSheet();
const route = useRoute();
const tabs = computed(() =>
  BENCH_VIEWS.map((page) => ({ ...page, to: { name: page.name, params: { playerId } } })),
);
</script>

<template>
  <PageHead :of="store.sheet!.player.name">
    <slot />
    <template v-if="$slots.says" #says><slot name="says" /></template>
    <template v-if="$slots.actions" #actions><slot name="actions" /></template>
  </PageHead>
  <PageTabs v-slot="{ tab }" label="Bench" :tabs="tabs" :open="String(route.name)">{{ tab.label }}</PageTabs>
</template>
