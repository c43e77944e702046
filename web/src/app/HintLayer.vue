<script setup lang="ts">
import { onKeyStroke, useEventListener } from '@vueuse/core';
import { NTooltip } from 'naive-ui';
import { shallowRef, watch } from 'vue';
import { hintShown } from './hint-shown';

/** Shows what is said of the words under the pointer or the focus, above them, and on the screen all of it. */
const WIDEST_PX = 320;
/** Words nearer to the upper edge than this have it below. */
const ROOM_PX = 90;
const at = shallowRef({ says: '', x: 0, y: 0, placement: 'top' as 'top' | 'bottom', maxPx: WIDEST_PX });
watch(hintShown, (hint) => {
  if (!hint) return;
  const { left, width, top, bottom } = hint.of.getBoundingClientRect();
  const maxPx = Math.min(WIDEST_PX, window.innerWidth - 16);
  const half = maxPx / 2 + 8;
  const middle = left + width / 2;
  at.value = {
    says: hint.says,
    x: Math.max(half, Math.min(window.innerWidth - half, middle)),
    ...(top < ROOM_PX ? { y: bottom, placement: 'bottom' } : { y: top, placement: 'top' }),
    maxPx,
  };
});
const hide = () => {
  if (hintShown.value) hintShown.value = null;
};
onKeyStroke('Escape', hide);
useEventListener(window, 'scroll', hide, { capture: true, passive: true });
useEventListener(document, 'pointerdown', ({ target }) => {
  if (!hintShown.value?.of.contains(target as Node)) hide();
});
</script>

<template>
  <NTooltip
    trigger="manual"
    :show="hintShown !== null"
    :x="at.x"
    :y="at.y"
    :placement="at.placement"
    :show-arrow="false"
    :style="{ maxWidth: `${at.maxPx}px` }"
  >
    {{ at.says }}
  </NTooltip>
</template>
