<script setup lang="ts">
import { useTimeoutFn } from '@vueuse/core';
import { onBeforeUnmount, useTemplateRef } from 'vue';
import { hintShown } from './hint-shown';

/**
 * Words, or a control, with more to be said: under the pointer, under a finger, and with the keyboard's focus.
 */
const props = defineProps<{
  says: string | undefined;
  /** It holds a control, which takes the focus and says it to screen readers. */
  control?: boolean;
}>();
const DELAY_MS = 300;
const words = useTemplateRef<HTMLElement>('words');

function show(): void {
  if (words.value && props.says) hintShown.value = { says: props.says, of: words.value };
}
const { start, stop } = useTimeoutFn(show, DELAY_MS, { immediate: false });
function hide(): void {
  stop();
  if (hintShown.value?.of === words.value) hintShown.value = null;
}
/** After a tap what it opened stays until a tap elsewhere. */
const isMouse = ({ pointerType }: PointerEvent) => pointerType === 'mouse';
/** In the label of a field a press would go on to the field, and what it opened would be gone. */
function showPressed(event: MouseEvent): void {
  if (!props.control && props.says) event.preventDefault();
  show();
}
/** A press gives the focus too, and what is pressed is known. */
function showToKeyboard({ target }: FocusEvent): void {
  if ((target as Element).matches(':focus-visible')) show();
}
onBeforeUnmount(hide);
</script>

<template>
  <span
    ref="words"
    :class="{ words: says && !control }"
    :tabindex="says && !control ? 0 : undefined"
    :aria-description="says && !control ? says : undefined"
    @pointerenter="isMouse($event) && start()"
    @pointerleave="isMouse($event) && hide()"
    @focusin="showToKeyboard"
    @focusout="hide"
    @click="showPressed"
    ><slot
  /></span>
</template>

<style scoped>
.words {
  cursor: help;
  text-decoration: underline dotted;
  text-decoration-color: var(--quiet);
  text-underline-offset: 3px;
}
</style>
