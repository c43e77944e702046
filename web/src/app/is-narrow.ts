import { useMediaQuery } from '@vueuse/core';

/** Whether the window is as narrow as a phone's. */
export const useIsNarrow = () => useMediaQuery('(max-width: 700px)');
