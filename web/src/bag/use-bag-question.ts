import type { BagView } from '@tasche/contract';
import { computed, type ComputedRef } from 'vue';
import { useSheet } from '../sheet/sheet-store';
import type { useBagLadder } from './use-bag-ladder';
import type { UsualQuestion } from './usual-round-worker';

/** No one plays in more wind, m/s, so no bag is changed for it. Common practice, no source. */
const PLAYABLE_WIND_MPS = 15;

/**
 * What a usual round is asked about a bag, in the air it is read in; null where it may not be changed, and in a
 * gale.
 */
export function useBagQuestion(
  bag: ComputedRef<BagView | undefined>,
  { inBag, leftOutClubs, playedIn, roundThere, options, limit }: ReturnType<typeof useBagLadder>,
): ComputedRef<UsualQuestion | null> {
  const store = useSheet();
  return computed(() => {
    if (!store.may('makeGamer') || !bag.value) return null;
    if (playedIn.value.conditions.windMps > PLAYABLE_WIND_MPS) return null;
    const { handicap, preferences } = store.sheet!.player;
    return {
      request: {
        clubs: [...inBag.value, ...leftOutClubs.value],
        from: playedIn.value,
        ...(handicap !== null && { handicap }),
        ...roundThere.value,
      },
      bagIds: inBag.value.map(({ id }) => id),
      options: options.value,
      limit: limit.value,
      ...(preferences && { preferences }),
    };
  });
}
