import { clubWordsInEnglish } from '@tasche/core';
import type { ClubLine } from './club-line-parts.js';
import { readSegments } from './club-line-segments.js';
import { clubsOfSet } from './club-set.js';

/** "Irons: Tessel T4 5-PW": a word for several clubs, and what they are. */
const CATEGORY = /^(\p{L}+)\s?[:–-]?\s(.+)$/u;
const IRONS = /^irons?$/i;
/** A word that is never one club's. */
const SEVERAL = /^(irons|wedges)$/i;
/** A wedge by its loft in a list of them. */
const LOFT = /^(4[2-9]|5\d|6[0-4])(\.5)?°?$/;
/** What stands between the lofts of wedges and is no part of their head's name. */
const AND = /^(and|&|\+|und|et|y|e|en|och|og)$/i;

/**
 * A line that names several clubs at once, as bags are listed: "Irons: Tessel T4 5-PW, Rohr 120", "Wedges: Tessel W
 * 50, 54, 58".
 * @returns the set, by a name `clubsOfSet` reads, and what all have in common; the word and the rest where it cannot be
 * told; undefined where the line names one club
 */
export function readCategory(text: string): ClubLine | undefined {
  const [, category = '', rest = ''] = CATEGORY.exec(text.trim()) ?? [];
  const words = rest.split(/[\s,/]+/).filter((word) => word !== '');
  if (IRONS.test(clubWordsInEnglish(category))) {
    const set = rest.split(/[\s,]+/).find((word) => clubsOfSet(word) !== undefined);
    if (set !== undefined) return readSegments(`${set} - ${rest.replace(set, ' ').trim()}`);
  }
  if (!SEVERAL.test(category) || words.filter((word) => /\d/.test(word)).length < 2) return undefined;
  const lofts = words.filter((word) => LOFT.test(word));
  const head = words.filter((word) => !LOFT.test(word) && !AND.test(word));
  // More numbers are more than lofts: which is which is not guessed, but left to be fixed where a carry stands.
  if (/^irons$/i.test(category) || lofts.length < 2 || head.some((word) => /^\d/.test(word)))
    return { Club: category, Carry: rest };
  return {
    Club: lofts.map((word) => word.replace('°', '')).join(', '),
    ...(head.length > 0 && { Head: head.join(' ') }),
  };
}
