import { showQuantity, type ClubView, type TicketDetails } from '@tasche/contract';
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
import type { TicketOccasion } from './new-tickets';

export const TREND_HEADS: Record<TrendKey, string> = {
  lengthIn: 'Length',
  lieDeg: 'Lie',
  swingWeight: 'Swing weight',
  totalWeightG: 'Total weight',
};

/**
 * One of a club's lengths, lies and weights, and what the set would have in its place where it leaves the line.
 */
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

/** A ticket for each club that is not at the swing weight yet, with the lead that will be on its head. */
export function weightTickets(
  clubs: readonly ClubView[],
  brought: ReadonlyMap<string, Brought>,
  to: string,
  occasion: Omit<TicketOccasion, 'why'>,
): TicketDetails[] {
  return clubs.flatMap((club): TicketDetails[] => {
    const one = brought.get(club.id);
    if (!one?.grams) return [];
    const lead = club.spec.leadG?.value;
    const onHead = (typeof lead === 'number' ? lead : 0) + one.grams;
    return [
      {
        ...occasion,
        clubId: club.id,
        job: 'weight',
        name: `Bring the ${club.name} to ${to}`,
        wanted: [
          { key: 'swingWeight', value: to },
          // More than its lead off the head is the builder's to find.
          ...(onHead >= 0 ? [{ key: 'leadG' as const, value: onHead }] : []),
        ],
        why: gramsWords(one),
      },
    ];
  });
}
