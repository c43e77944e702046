<script setup lang="ts">
import { onMounted, onUpdated, useTemplateRef } from 'vue';

/**
 * A page's head: what it lies under, whose it is and what, a line about it, and what can be done with all of
 * it. Its heading is the title of the tab, of a bookmark, and of a file it is printed to.
 */
defineProps<{
  /** Whose page it is; their name comes first. */
  of?: string;
}>();
defineSlots<{ default(): unknown; breadcrumb?(): unknown; says?(): unknown; actions?(): unknown }>();
const heading = useTemplateRef<HTMLElement>('heading');
function entitle(): void {
  const words = heading.value!.cloneNode(true) as HTMLElement;
  // "ready" beside a bag's name is not its name.
  for (const tag of words.querySelectorAll('.badge')) tag.remove();
  document.title = `${words.textContent.trim().replace(/\s+/g, ' ')} · Tasche`;
}
onMounted(entitle);
onUpdated(entitle);
</script>

<template>
  <header class="page-head">
    <div class="grow">
      <slot name="breadcrumb" />
      <h1 ref="heading">
        <template v-if="of">{{ of }} <span class="quiet dot">·</span>{{ ' ' }}</template
        ><slot />
      </h1>
      <slot name="says" />
    </div>
    <div v-if="$slots.actions" class="bar no-print"><slot name="actions" /></div>
  </header>
</template>

<style scoped>
.dot {
  font-weight: 400;
}
</style>
