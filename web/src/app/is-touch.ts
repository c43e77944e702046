import { useMediaQuery } from '@vueuse/core';

/** Whether the page is used by finger, without a mouse: a phone or a tablet. */
export const useIsTouch = () => useMediaQuery('(pointer: coarse)');
