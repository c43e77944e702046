<script setup lang="ts">
import { ChevronRight } from 'lucide-vue-next';
import { NButton, NCollapseTransition } from 'naive-ui';
import { ref, useId } from 'vue';

/**
 * A part of a page that opens under its heading. The library's collapse cannot be opened from the keyboard,
 * so its heading is a button.
 */
const props = defineProps<{ startsOpen?: boolean }>();
const open = ref(props.startsOpen ?? false);
const id = useId();
defineExpose({
  open: () => {
    open.value = true;
  },
});
</script>

<template>
  <section>
    <NButton text class="fold-head" :aria-expanded="open" :aria-controls="id" @click="open = !open">
      <ChevronRight :size="16" class="mark" :class="{ open }" aria-hidden="true" />
      <span class="words"><slot name="head" /></span>
    </NButton>
    <NCollapseTransition :show="open">
      <div :id="id"><slot /></div>
    </NCollapseTransition>
  </section>
</template>

<style scoped>
.fold-head {
  --n-text-color-hover: var(--petrol);
  width: 100%;
  justify-content: flex-start;
  height: auto;
  min-height: 32px;
  white-space: normal;
  text-align: left;
}
.mark {
  flex: none;
  transition: transform 0.15s;
}
.mark.open {
  transform: rotate(90deg);
}
.words {
  margin-left: 4px;
  line-height: 1.4;
}
</style>
