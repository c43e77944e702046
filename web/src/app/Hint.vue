<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core';
import { NTooltip } from 'naive-ui';
import { useTemplateRef } from 'vue';

/** Words, or a control, with more to be said: under the pointer, under a finger, and with the keyboard's focus. */
defineProps<{
  says: string | undefined;
  /** It holds a control, which takes the focus and says it itself to who does not see it. */
  control?: boolean;
}>();
defineOptions({ inheritAttrs: false });
const tooltip = useTemplateRef<InstanceType<typeof NTooltip>>('tooltip');
const show = (shown: boolean) => tooltip.value?.setShow(shown);
onKeyStroke('Escape', () => show(false));
</script>

<template>
  <NTooltip v-if="says" ref="tooltip" :delay="300" :style="{ maxWidth: '320px' }">
    <template #trigger>
      <span
        v-bind="$attrs"
        :class="{ words: !control }"
        :tabindex="control ? undefined : 0"
        :aria-description="control ? undefined : says"
        @focusin="show(true)"
        @focusout="show(false)"
      >
        <slot />
      </span>
    </template>
    {{ says }}
  </NTooltip>
  <span v-else v-bind="$attrs"><slot /></span>
</template>

<style scoped>
.words {
  cursor: help;
  text-decoration: underline dotted;
  text-decoration-color: var(--quiet);
  text-underline-offset: 3px;
}
</style>
