<script setup lang="ts">
import { useClipboard } from '@vueuse/core';
import { NButton } from 'naive-ui';

/** Copies a text, and says so for a moment. */
defineProps<{ text: string; label?: string }>();
// Over plain HTTP browsers have only the old way to copy.
const { copy, copied } = useClipboard({ legacy: true, copiedDuring: 2000 });
</script>

<template>
  <NButton size="small" @click="copy(text)">{{ copied ? 'Copied' : (label ?? 'Copy') }}</NButton>
</template>
