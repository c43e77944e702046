<script setup lang="ts">
import { NBreadcrumb, NBreadcrumbItem } from 'naive-ui';
import { RouterLink } from 'vue-router';
import type { PageAbove } from './breadcrumb';

/** The pages a page lies under, the nearest last: each a link, so that the way back is one press. */
defineProps<{ pages: readonly PageAbove[] }>();
</script>

<template>
  <NBreadcrumb class="breadcrumb no-print">
    <RouterLink v-for="(one, i) in pages" :key="i" v-slot="{ href, navigate }" :to="one.to" custom>
      <NBreadcrumbItem :href="href" @click="navigate">{{ one.label }}</NBreadcrumbItem>
    </RouterLink>
  </NBreadcrumb>
</template>

<style scoped>
.breadcrumb {
  margin: -6px 0 2px -4px;
  font-size: 12.5px;
}
/* Long names of players and events run over several lines on a phone. */
.breadcrumb :deep(ul) {
  display: flex;
  flex-wrap: wrap;
}
.breadcrumb :deep(.n-breadcrumb-item__link) {
  white-space: normal;
  overflow-wrap: anywhere;
}
/* The page itself is the heading below: the last one is a way back as the others are. */
.breadcrumb :deep(.n-breadcrumb-item:last-child .n-breadcrumb-item__link) {
  color: var(--quiet);
  cursor: pointer;
}
.breadcrumb :deep(.n-breadcrumb-item .n-breadcrumb-item__link:hover) {
  color: var(--petrol);
}
</style>
