<script setup lang="ts">
import { NAlert } from 'naive-ui';
import { onMounted, useTemplateRef } from 'vue';

/** A sentence across the page that stays while it is true, with what can be done about it. */
const props = defineProps<{
  kind: 'warning' | 'error';
  /** A screen reader says it at once; else when it has finished its sentence. */
  isUrgent?: boolean;
}>();
// The library calls every one of them an alert.
const bar = useTemplateRef<{ $el: HTMLElement }>('bar');
onMounted(() => {
  if (!props.isUrgent) bar.value?.$el.setAttribute('role', 'status');
});
</script>

<template>
  <NAlert
    ref="bar"
    class="notice-bar no-print"
    :class="kind"
    :type="kind"
    :show-icon="false"
    :bordered="false"
  >
    <div class="says"><slot /></div>
    <slot name="actions" />
  </NAlert>
</template>

<style scoped>
.notice-bar {
  border-radius: 0;
  border-bottom: 1px solid var(--brass);
}
.notice-bar.error {
  border-bottom-color: var(--brick);
}
.notice-bar.n-alert :deep(.n-alert-body) {
  padding: 8px 24px;
}
.notice-bar :deep(.n-alert-body__content) {
  display: flex;
  gap: 6px 10px;
  align-items: center;
  flex-wrap: wrap;
}
@media (max-width: 700px) {
  .notice-bar.n-alert :deep(.n-alert-body) {
    padding: 8px 12px;
  }
}
</style>
