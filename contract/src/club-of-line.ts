import { kindFromName } from '@tasche/core';
import { HEADS_IN_OTHER_LANGUAGES } from './heads-in-other-languages.js';

const CLUB_WORDS = Object.entries(HEADS_IN_OTHER_LANGUAGES).flatMap(([head, id]) =>
  id === 'name' ? [head] : [],
);
const CLUB_LINE = new RegExp(`^(?:club|${CLUB_WORDS.join('|')})(?: name)? ?[:=] ?(\\S.*)$`, 'i');
/** A longer line is a sentence about the file. */
const MAX_CHARACTERS = 40;

/**
 * The club a line of a launch monitor's file names for the rows under it: "Club: 7 Iron", or a club's name and
 * nothing else.
 * @returns undefined where the line is none
 */
export function clubOfLine(cells: readonly string[]): string | undefined {
  const filled = cells.filter((cell) => cell.trim() !== '');
  if (filled.length === 0 || filled.length > 2) return undefined;
  // "Club,7 Iron" is "Club: 7 Iron" in two cells.
  const text = filled.map((cell) => cell.trim().replace(/\s+/g, ' ')).join(': ');
  if (text.length > MAX_CHARACTERS) return undefined;
  const said = CLUB_LINE.exec(text);
  if (said) return said[1];
  const isName = filled.length === 1 && text.length > 1 && /\p{L}/u.test(text);
  return isName && kindFromName(text) !== undefined ? text : undefined;
}
