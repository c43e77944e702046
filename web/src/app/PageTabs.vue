<script setup lang="ts" generic="Tab extends { name: string; to: RouteLocationRaw; title?: string }">
import { NTab, NTabs } from 'naive-ui';
import { useTemplateRef } from 'vue';
import { RouterLink, type RouteLocationRaw } from 'vue-router';
import { useHereInView } from './here-in-view';

/**
 * Pages beside each other, as tabs. The library's own tabs take no focus: the link in each does, and can be
 * opened in a new window. On a narrow screen they are one line, in which the open one is in sight.
 */
const props = defineProps<{
  /** What the tabs are about, for screen readers. */
  label: string;
  /** `title` is the key that leads there. */
  tabs: readonly Tab[];
  /** The name of the open one. */
  open: string;
  /** They are parts of one page: the button back leads to the page before. */
  parts?: boolean;
}>();
defineSlots<{ default(props: { tab: Tab }): unknown }>();
useHereInView(useTemplateRef<HTMLElement>('strip'), () => props.open);
</script>

<template>
  <nav ref="strip" class="page-tabs no-print" :aria-label="label">
    <NTabs :value="open" type="line" size="small">
      <NTab v-for="tab in tabs" :key="tab.name" :name="tab.name">
        <RouterLink
          :replace="parts"
          :to="tab.to"
          :title="tab.title"
          :aria-current="tab.name === open ? 'page' : undefined"
        >
          <slot :tab="tab" />
        </RouterLink>
      </NTab>
    </NTabs>
  </nav>
</template>

<style scoped>
.page-tabs {
  margin-bottom: 12px;
}
.page-tabs a {
  display: inline-flex;
  align-items: baseline;
  gap: 6px;
  padding: 5px 10px 3px;
  border-bottom: 3px solid transparent;
  color: inherit;
  text-decoration: none;
}
.page-tabs a[aria-current] {
  border-bottom-color: var(--petrol);
}
.page-tabs a:focus-visible {
  outline: 2px solid var(--petrol);
  outline-offset: -2px;
}
/* What marks the open one stays with it where tabs run over two lines. */
.page-tabs :deep(.n-tabs-bar) {
  display: none;
}
@media (min-width: 701px) {
  .page-tabs :deep(.n-tabs-nav-scroll-content) {
    width: auto;
  }
  .page-tabs :deep(.n-tabs-wrapper) {
    flex-wrap: wrap;
  }
}
</style>
