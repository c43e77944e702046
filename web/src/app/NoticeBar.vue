<script setup lang="ts">
import { NAlert } from 'naive-ui';
import { onMounted, useTemplateRef } from 'vue';

/** A sentence across the page that stays while it is true, with what can be done about it. */
const props = defineProps<{
  kind: 'warning' | 'error';
  /** A screen reader says it at once; else when it has finished its sentence. */
  isUrgent?: boolean;
  /** It stands among the parts of a page, not across its top. */
  isInPage?: boolean;
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
    :class="[kind, { part: isInPage }]"
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
.notice-bar.part {
  border: 1px solid var(--brass);
  border-radius: 6px;
  margin-bottom: 10px;
}
.notice-bar.part.n-alert :deep(.n-alert-body) {
  padding: 8px 12px;
}
@media (max-width: 700px) {
  .notice-bar.n-alert :deep(.n-alert-body) {
    padding: 8px 12px;
  }
}
</style>
