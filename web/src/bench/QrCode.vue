<script setup lang="ts">
import { toString } from 'qrcode';
import { shallowRef, watchEffect } from 'vue';

/** An address as a code a phone reads. */
const props = defineProps<{ text: string; label: string; px?: number }>();
const source = shallowRef('');
watchEffect(async () => {
  const svg = await toString(props.text, { type: 'svg', margin: 2, errorCorrectionLevel: 'M' });
  source.value = `data:image/svg+xml,${encodeURIComponent(svg)}`;
});
</script>

<template>
  <img v-if="source" class="code" :src="source" :alt="label" :width="px ?? 120" :height="px ?? 120" />
</template>

<style scoped>
.code {
  /* Read in the dark too: black on white whatever the theme. */
  background: #fff;
  border-radius: 4px;
}
</style>
