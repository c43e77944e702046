import type { ClubKind } from '@tasche/core';

/**
 * Lofts clubs of a kind have, degrees: enough to tell a loft from another number. Common practice, no source.
 */
const LOFTS: Readonly<Record<ClubKind, readonly [number, number]>> = {
  driver: [4, 20],
  fairway: [10, 32],
  hybrid: [13, 40],
  'driving iron': [13, 32],
  iron: [14, 52],
  wedge: [40, 64],
  chipper: [20, 50],
  putter: [0, 8],
};
/**
 * No club carries less far, in yards or metres: a smaller number is a length, and beside a long club the weight of
 * its shaft. Our choice.
 */
const MIN_CARRY = 50;
const MIN_LONG_CARRY = 80;
const LONG: readonly ClubKind[] = ['driver', 'fairway', 'hybrid', 'driving iron'];
/** No club of anybody carries less far, where its column says that it is a carry. Our choice. */
const MIN_COLUMN_CARRY = 15;

/** Nor does any carry farther: a larger number is a model's, or the size of a head. Our choice. */
const MAX_CARRY = 400;

export const minCarry = (kind: ClubKind) => (LONG.includes(kind) ? MIN_LONG_CARRY : MIN_CARRY);

export const NUMBER = /^[+-]?\d{1,3}([.,]\d+)?$/;
const LOFT = /^(\d{1,2}(?:[.,]\d+)?)(?:°|\*|deg)$/i;
const CARRY = /^~?(\d{2,3}(?:[.,]\d+)?)(?:-(\d{2,3}))?(?:ish|\+)?(?:y|yd|yds|m|yards|metres|meters)?$/i;

/** A decimal comma is one too. */
export const valueOf = (text: string) => Number(text.replace(',', '.'));

/** Whether a word says that it is a loft: "56°". */
export const isMarkedLoft = (word: string) => LOFT.test(word);

/** Whether a word may be the loft of a club of this kind. */
export function isLoft(word: string, kind: ClubKind): boolean {
  const marked = LOFT.exec(word)?.[1];
  if (marked === undefined && !NUMBER.test(word)) return false;
  const value = valueOf(marked ?? word);
  const [from, to] = LOFTS[kind];
  return value >= from && value <= to;
}

/** Whether a word may be what a club of this kind carries; with a unit it is, however short. */
export function isCarry(word: string, kind: ClubKind): boolean {
  const [, from, to] = CARRY.exec(word) ?? [];
  if (from === undefined) return false;
  if (to === undefined && !NUMBER.test(word)) return true;
  return valueOf(from) >= minCarry(kind) && valueOf(from) <= MAX_CARRY;
}

/** Longer than a wedge is, inches. Our choice. */
const MIN_SHORT_CARRY = 38;
/** Whether a word behind the loft of a wedge is what a short hitter carries it: "SW 56 45". */
export function isShortCarry(word: string, kind: ClubKind): boolean {
  return (
    kind === 'wedge' && NUMBER.test(word) && valueOf(word) >= MIN_SHORT_CARRY && valueOf(word) < MIN_CARRY
  );
}

/** Whether a word may be a carry where its column says that it is one. */
export function isCarryOfColumn(word: string): boolean {
  const [, from] = CARRY.exec(word) ?? [];
  return from !== undefined && valueOf(from) >= MIN_COLUMN_CARRY;
}
