import type { WishDetails, WishView } from '@tasche/contract';
import { TIE_STROKES, type LadderClub, type WishAnswer, type WishedItem } from '@tasche/core';

/** Whether a wish still is one. */
export function isOpenWish({ state }: Pick<WishView, 'state'>): boolean {
  return state !== 'bought' && state !== 'rejected';
}

/**
 * A club to buy as the ladder knows it, under the wish's id; its carry is modelled where none is stated.
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

/**
 * A wish as the choice can weigh it: a club to buy, modelled; one that is to be repaired, out of the locker
 * until then; or an owned club as a fitting or practice would make it. Undefined where it says too little, or
 * is no wish any more.
 */
export function wishedItem(
  wish: WishView,
  ladderClubs: ReadonlyMap<string, LadderClub>,
): WishedItem | undefined {
  if (!isOpenWish(wish)) return undefined;
  const { id, clubId, expected, price, purpose } = wish;
  const bought = wishedClub(wish);
  if (bought) return { id, price, club: bought };
  const owned = clubId === null ? undefined : ladderClubs.get(clubId);
  if (!owned) return undefined;
  if (purpose === 'repair') return { id, price, club: owned };
  // Practice costs nothing unless a lesson has a price.
  if (expected) return { id, price: purpose === 'learn' ? (price ?? 0) : price, clubId: owned.id, expected };
  return undefined;
}

/** What an open wish that cannot be weighed yet must say first. */
export function neededWords({ purpose, clubId }: Pick<WishDetails, 'purpose' | 'clubId'>): string {
  if (purpose === 'buy') return 'needs a loft';
  if (purpose === 'repair') return 'not weighed';
  if (clubId === null) return 'needs a club';
  return purpose === 'learn' ? 'needs a shot' : 'needs what it would bring';
}

/**
 * What a fitting of a club brings beside a new club in its place, for every pair of the list that gains
 * anything: a shaft alone against a new head.
 * @param nameOf of a wish or a club of the locker
 */
export function alonePairs(
  wishes: readonly WishView[],
  { worth }: WishAnswer,
  nameOf: (id: string) => string,
): string[] {
  const worthOf = (id: string) => worth.find((one) => one.id === id);
  const priced = ({ name, price }: WishView) => (price === null ? name : `${name} (${price})`);
  return wishes.flatMap((bought) => {
    const whole = bought.purpose === 'buy' && isOpenWish(bought) ? worthOf(bought.id) : undefined;
    if (!whole || whole.gain < TIE_STROKES) return [];
    return wishes.flatMap((fitted) => {
      const alone = fitted.purpose === 'fit' && isOpenWish(fitted) ? worthOf(fitted.id) : undefined;
      if (!alone || !fitted.clubId || !whole.out.includes(fitted.clubId)) return [];
      const brings =
        alone.gain >= whole.gain
          ? `as much as ${priced(bought)}, or more: ${alone.gain.toFixed(2)} strokes a round against ${whole.gain.toFixed(2)}`
          : `${alone.gain.toFixed(2)} of the ${whole.gain.toFixed(2)} strokes a round ${priced(bought)} brings`;
      return [`${nameOf(fitted.clubId)}: ${priced(fitted)} brings ${brings}.`];
    });
  });
}

/** What was bought, year by year, the newest first; what has no day last. */
export function spentByYear(
  wishes: readonly WishView[],
): { year: string | null; sum: number; names: string[] }[] {
  const years = new Map<string | null, { sum: number; names: string[] }>();
  for (const { state, boughtOn, price, name } of wishes) {
    if (state !== 'bought') continue;
    const year = boughtOn?.slice(0, 4) ?? null;
    const spent = years.get(year) ?? { sum: 0, names: [] };
    years.set(year, { sum: spent.sum + (price ?? 0), names: [...spent.names, name] });
  }
  return [...years]
    .map(([year, spent]) => ({ year, ...spent }))
    .sort((a, b) => (b.year ?? '').localeCompare(a.year ?? ''));
}
