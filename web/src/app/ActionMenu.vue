<script setup lang="ts">
import { Ellipsis } from 'lucide-vue-next';
import { NButton, NDropdown } from 'naive-ui';
import { computed } from 'vue';

/** What is done now and then, behind one button, so that the main action stands alone. */
export interface Action {
  key: string;
  label: string;
  disabled?: boolean;
  run: () => void;
}
const props = defineProps<{ actions: readonly Action[]; label: string; size?: 'small' | 'medium' }>();
const options = computed(() => props.actions.map(({ key, label, disabled }) => ({ key, label, disabled })));
const run = (key: string) => props.actions.find((one) => one.key === key)?.run();
</script>

<template>
  <NDropdown trigger="click" :options="options" :keyboard="true" @select="run">
    <NButton :aria-label="label" aria-haspopup="menu" :size="size"><Ellipsis :size="18" /></NButton>
  </NDropdown>
</template>
