import { baselineOf, type WishView } from '@tasche/contract';
import {
  DEFAULT_GAP_SETTINGS,
  TIE_STROKES,
  ladderClub,
  type DistanceUnit,
  type LadderClub,
} from '@tasche/core';
import { computed, type ComputedRef } from 'vue';
import { useSheet } from '../sheet/sheet-store';
import { useWishWorth } from './use-wish-worth';
import { isOpenWish, neededWords, wishedItem } from './wish-items';
import type { WishQuestion } from './wish-worker';

/**
 * What a player's wishes would gain, against all that is owned.
 * @param money the sum to be put to its best use
 */
export function useWishAnswer(
  wishes: ComputedRef<readonly WishView[]>,
  money: () => number,
  unit: () => DistanceUnit,
) {
  const store = useSheet();
  const itemOf = (wish: WishView) => wishedItem(wish, store.ladderClubs);
  const items = computed(() => wishes.value.flatMap((wish) => itemOf(wish) ?? []));
  const locker = computed<LadderClub[]>(() => {
    const broken = new Set(items.value.flatMap((item) => ('club' in item ? [item.club.id] : [])));
    return store.clubs
      .filter(({ id, spec }) => spec.state?.value !== 'retired' && !broken.has(id))
      .map(ladderClub);
  });
  const question = computed<WishQuestion | null>(() =>
    items.value.length === 0
      ? null
      : {
          request: {
            clubs: locker.value,
            from: baselineOf(store.sheet!.player),
            ...(store.sheet!.player.handicap !== null && { handicap: store.sheet!.player.handicap }),
          },
          question: {
            bagIds: store.gamer?.clubIds ?? [],
            options: {
              school: store.gamer?.strategy ?? 'even-carries',
              settings: store.sheet!.player.gapSettings,
              unit: unit(),
            },
            limit: store.sheet!.player.gapSettings.clubLimit ?? DEFAULT_GAP_SETTINGS.clubLimit,
            ...(store.sheet!.player.preferences && { preferences: store.sheet!.player.preferences }),
          },
          wishes: items.value,
          money: money(),
        },
  );
  const { answer, working, problem, stop } = useWishWorth(question);

  const worthOf = (id: string) => answer.value?.worth.find((one) => one.id === id);
  const nameOf = (id: string) =>
    wishes.value.find((wish) => wish.id === id)?.name ?? store.clubsById.get(id)?.name ?? '';
  /** Why an open wish is not weighed; empty where it is. */
  const neededOf = (wish: WishView) => (isOpenWish(wish) && !itemOf(wish) ? neededWords(wish) : '');
  /** What goes out of the bag for it, where it gains anything. */
  const outOf = (id: string): readonly string[] =>
    (worthOf(id)?.gain ?? 0) >= TIE_STROKES ? (worthOf(id)?.out ?? []) : [];

  return { answer, working, problem, stop, worthOf, nameOf, neededOf, outOf };
}
