<script setup lang="ts">
import { NBreadcrumb, NBreadcrumbItem } from 'naive-ui';
import { RouterLink } from 'vue-router';
import type { Step } from './breadcrumb';

/** The pages a page lies under, the nearest last: each a link, so that the way back is one press. */
defineProps<{ steps: readonly Step[] }>();
</script>

<template>
  <NBreadcrumb class="breadcrumb no-print">
    <RouterLink v-for="step in steps" :key="step.label" v-slot="{ href, navigate }" :to="step.to" custom>
      <NBreadcrumbItem :href="href" @click="navigate">{{ step.label }}</NBreadcrumbItem>
    </RouterLink>
  </NBreadcrumb>
</template>

<style scoped>
.breadcrumb {
  margin: -6px 0 2px -4px;
  font-size: 12.5px;
}
/* The page itself is the heading below: the last step is a way back as the others are. */
.breadcrumb :deep(.n-breadcrumb-item:last-child .n-breadcrumb-item__link) {
  color: var(--quiet);
  cursor: pointer;
}
.breadcrumb :deep(.n-breadcrumb-item .n-breadcrumb-item__link:hover) {
  color: var(--petrol);
}
</style>
