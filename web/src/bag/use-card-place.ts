import { useElementSize, useResizeObserver, useWindowSize } from '@vueuse/core';
import { computed, ref, watch, type ComputedRef, type Ref } from 'vue';

/** As high it is as a rule; what fixes a fault comes into it a little later. */
const USUAL_PX = 78;

/**
 * Where the verdict of a bag stands: at the foot of the window, or over the sheet where it would lie on rows
 * there, on a low screen or under a long bag. What it says for a moment, of a swap that is tried or a step that
 * is pointed at, moves it nowhere.
 * @param stage what holds the board and the card; its own top does not depend on where the card is
 */
export function useCardPlace(
  stage: Readonly<Ref<HTMLElement | null>>,
  board: Parameters<typeof useElementSize>[0],
  card: Parameters<typeof useElementSize>[0],
  isForMoment: () => boolean,
): ComputedRef<boolean> {
  const topPx = ref(0);
  // Whatever comes or goes above it makes the page another height.
  useResizeObserver(
    () => stage.value?.parentElement,
    () => {
      if (stage.value) topPx.value = Math.round(stage.value.getBoundingClientRect().top + window.scrollY);
    },
  );
  const { height: windowPx } = useWindowSize();
  const { height: boardPx } = useElementSize(board, undefined, { box: 'border-box' });
  const { height: nowPx } = useElementSize(card, undefined, { box: 'border-box' });
  const cardPx = ref(USUAL_PX);
  watch(nowPx, (px) => {
    if (!isForMoment()) cardPx.value = Math.max(px, USUAL_PX);
  });
  return computed(() => topPx.value + boardPx.value + cardPx.value > windowPx.value);
}
