import type { WishView } from '@tasche/contract';
import type { LadderClub } from '@tasche/core';

/** Whether a wish still is one. */
export function isOpenWish({ state }: Pick<WishView, 'state'>): boolean {
  return state !== 'bought' && state !== 'rejected';
}

/**
 * A club to buy as the ladder knows it, under the wish's id; its carry is modelled where nobody said one.
 * Undefined for any other wish.
 */
export function wishedClub({ id, name, club, purpose }: WishView): LadderClub | undefined {
  if (purpose !== 'buy' || !club) return undefined;
  const { kind, loftDeg, carryM } = club;
  return {
    id,
    name,
    kind,
    loftDeg,
    shots: carryM === undefined ? {} : { full: { carryM, source: 'stated' } },
  };
}
