<script setup lang="ts">
/**
 * A page's head: what it lies under, whose it is and what, a line about it, and what can be done with all of
 * it.
 */
defineProps<{
  /** Whose page it is; their name comes first. */
  of?: string;
}>();
defineSlots<{ default(): unknown; breadcrumb?(): unknown; says?(): unknown; actions?(): unknown }>();
</script>

<template>
  <header class="page-head">
    <div class="grow">
      <slot name="breadcrumb" />
      <h1>
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
