import { kindFromName, type ClubKind } from '@tasche/core';
import { isLoft, isMarkedLoft, NUMBER, valueOf } from './club-line-numbers.js';
import type { ClubLine } from './club-line-parts.js';

/** A loft in brackets behind the club: "Driver (10.5)". */
const BRACKETED = /^(.*\S)\s*\((\d{1,2}(?:[.,]\d+)?)[°*]?\)$/;

/** @param loft as it is written, "" where there is none; `carry` likewise */
export const lineOf = (name: string, loft: string, carry: string): ClubLine => ({
  Club: name,
  ...(loft !== '' && { Loft: loft }),
  ...(carry !== '' && { Carry: carry }),
});

/** "Driver (10.5)" taken apart; "52 (08)" is a wedge and its bounce. */
export function withBracketedLoft(name: string, carry: string): ClubLine {
  const [, club = '', loft = ''] = BRACKETED.exec(name) ?? [];
  const kind = kindFromName(club);
  return kind && isLoft(loft, kind) ? lineOf(club, loft, carry) : lineOf(name, '', carry);
}

/** The highest number a club is called by, but for wedges, which are called by their lofts. */
const MAX_CLUB_NUMBER = 12;
const MAX_WEDGE_NUMBER = 64;
/** What no club is called by: a length, a speed, a distance, a weight. */
const MEASURE = /^\d+(?:[.,]\d+)?(?:"|″|in|inch|cm|mph|km\/h|m\/s|g|y|yds?|yards|m|metres|meters)$/i;
/**
 * Whether what would be a club's name holds a number that says something of it: "Driver 230", "7 iron 31",
 * "Driver 9 Siv 60".
 */
export function saysMore(name: string, kind: ClubKind): boolean {
  const words = name.split(' ').slice(1);
  const numbers = name.split(' ').filter((word) => NUMBER.test(word));
  if (words.some((word) => MEASURE.test(word))) return true;
  // "SW 56" is a name; in "SW 56 35.5" the last is a length, in "GW 50 12" a bounce.
  if (kind === 'wedge') return numbers.length > 1 || numbers.some((word) => valueOf(word) > MAX_WEDGE_NUMBER);
  const isClubNumber = (word: string) => Number.isInteger(valueOf(word)) && valueOf(word) <= MAX_CLUB_NUMBER;
  return words.some((word) => isMarkedLoft(word) || (NUMBER.test(word) && !isClubNumber(word)));
}
