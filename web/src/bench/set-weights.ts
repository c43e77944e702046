import { showQuantity, type ClubView } from '@tasche/contract';
import type { bringTo } from '@tasche/core';
import {
  TREND_KEYS,
  builtOtherwise,
  builtOtherwiseWords,
  quantityOf,
  setTrends,
  swingWeightWords,
  type TrendKey,
} from '@tasche/core';
import { shortDay } from '../app/day';

export const TREND_HEADS: Record<TrendKey, string> = {
  lengthIn: 'Length',
  lieDeg: 'Lie',
  swingWeight: 'Swing weight',
  totalWeightG: 'Total weight',
};

/** One of a club's lengths, lies and weights, and what the set would have in its place where it leaves the line. */
export interface TrendCell {
  key: TrendKey;
  shown: string;
  /** Empty where it is on the line. */
  line: string;
}

/** What one club has of each, in the order of `TREND_KEYS`. */
export function trendCells(clubs: readonly ClubView[]): ReadonlyMap<string, readonly TrendCell[]> {
  const trends = new Map(setTrends(clubs).map(({ key, points }) => [key, points]));
  return new Map(
    clubs.map((club) => [
      club.id,
      TREND_KEYS.map((key): TrendCell => {
        const point = trends.get(key)?.find(({ clubId }) => clubId === club.id);
        const value = club.spec[key]?.value;
        return {
          key,
          shown: value === undefined ? '–' : showQuantity(quantityOf(key)!, value),
          line: point?.leaves ? expectedWords(key, point.expected) : '',
        };
      }),
    ]),
  );
}

function expectedWords(key: TrendKey, expected: number): string {
  return key === 'swingWeight'
    ? swingWeightWords(expected)
    : showQuantity(quantityOf(key)!, Number(expected.toFixed(2)));
}

/** Clubs that leave a line, each with what of its build may be why. */
export function leavingClubs(
  clubs: readonly ClubView[],
  cells: ReturnType<typeof trendCells>,
): { id: string; name: string; off: string; why: string }[] {
  return clubs.flatMap((club) => {
    const off = cells.get(club.id)!.filter(({ line }) => line !== '');
    if (off.length === 0) return [];
    const why = builtOtherwise(club, clubs).map(
      (one) => `${builtOtherwiseWords(one)} since ${shortDay(one.since)}`,
    );
    return [
      {
        id: club.id,
        name: club.name,
        off: off
          .map(
            ({ key, shown, line }) =>
              `${TREND_HEADS[key].toLowerCase()} ${shown} where the set would have ${line}`,
          )
          .join('; '),
        why: why.join('; '),
      },
    ];
  });
}

type Brought = ReturnType<typeof bringTo>[number];

/** What brings a club to the swing weight that is wanted: "4 g on the head"; empty where it is not asked. */
export function gramsWords(brought: Brought | undefined): string {
  if (!brought) return '';
  if (brought.missing) return brought.missing;
  if (brought.grams === 0) return 'as it is';
  const from = brought.from === 'parts' ? ', from its parts' : '';
  if (brought.grams! > 0) return `${brought.grams} g on the head${from}`;
  return brought.insteadG === undefined
    ? `${-brought.grams!} g of lead off the head${from}`
    : `${-brought.grams!} g off the head, or ${brought.insteadG} g under the grip${from}`;
}
