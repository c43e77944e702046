<script setup lang="ts">
import { NModal } from 'naive-ui';
import { useTemplateRef, watch } from 'vue';

/** A window over the page; Escape, its cross and a press beside it close it. */
const props = defineProps<{ title: string; px: number }>();
const show = defineModel<boolean>('show', { default: true });
const emit = defineEmits<{ close: [] }>();

// The library calls the head and what is in it headings, of no level.
const head = useTemplateRef<HTMLElement>('head');
watch(
  head,
  (element) => {
    element?.closest('.n-card-header')?.removeAttribute('role');
    element?.closest('.n-card-header__main')?.setAttribute('aria-level', '2');
  },
  { flush: 'post' },
);
</script>

<template>
  <NModal
    v-model:show="show"
    preset="card"
    role="dialog"
    :aria-label="title"
    :style="{ width: `min(${props.px}px, 96vw)` }"
    @update:show="!$event && emit('close')"
  >
    <template #header
      ><span ref="head">{{ title }}</span></template
    >
    <slot />
  </NModal>
</template>
