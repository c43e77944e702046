<script setup lang="ts" generic="F extends { key: string; label: string }">
import { NDescriptions, NDescriptionsItem } from 'naive-ui';

/** Facts under one another: what each is called, and what it is (the default slot). */
defineProps<{
  facts: readonly F[];
  /** How wide the names are. */
  labelPx: number;
}>();
defineSlots<{ default: (slot: { fact: F }) => unknown; label?: (slot: { fact: F }) => unknown }>();
</script>

<template>
  <NDescriptions
    :column="1"
    label-placement="left"
    label-align="left"
    size="small"
    :separator="''"
    class="facts"
    :style="{ '--label-px': `${labelPx}px` }"
  >
    <NDescriptionsItem v-for="fact in facts" :key="fact.key">
      <template #label
        ><slot name="label" :fact="fact">{{ fact.label }}</slot></template
      >
      <slot :fact="fact" />
    </NDescriptionsItem>
  </NDescriptions>
</template>

<style scoped>
.facts :deep(.n-descriptions-table-content) {
  display: flex !important;
  gap: 8px;
  padding: 4px 0 !important;
  border-top: 1px solid var(--line-soft);
}
.facts :deep(.n-descriptions-table-content__label) {
  flex: 0 0 var(--label-px);
  color: var(--quiet) !important;
}
.facts :deep(.n-descriptions-table-content__content) {
  flex: 1;
  display: flex !important;
  justify-content: space-between;
  gap: 12px;
}
</style>
