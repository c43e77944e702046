import { clubWordsInEnglish } from '@tasche/core';

const SET =
  /^([1-9])\s?-?(?:i|irons?)?\s*(?:-|–|—|to|through|bis|à|till|tot|til|al)\s*(?:([2-9])\s?-?i?|(p|pw|gw|aw|uw|sw))(?:\s+(?:irons?|set))?$/i;
/** A set up to a sand wedge has no gap wedge. Common practice, no source. */
const WEDGES: Readonly<Record<string, readonly string[]>> = {
  P: ['PW'],
  PW: ['PW'],
  GW: ['PW', 'GW'],
  AW: ['PW', 'AW'],
  UW: ['PW', 'UW'],
  SW: ['PW', 'SW'],
};

/** "50, 54, 58": wedges by their lofts. Two numbers alone may be a loft and its bounce. */
const WEDGE_LIST = /^(?:4[2-9]|5\d|6[0-4])(?:\.5)?(?:, (?:4[2-9]|5\d|6[0-4])(?:\.5)?)+$/;

/**
 * The clubs of a set of irons, as it is sold, or of wedges by their lofts.
 * @example clubsOfSet('7-PW') // ['7 iron', '8 iron', '9 iron', 'PW']
 * @example clubsOfSet('50, 54, 58') // ['50', '54', '58']
 * @returns undefined where the text is no set
 */
export function clubsOfSet(text: string): readonly string[] | undefined {
  if (WEDGE_LIST.test(text.trim())) return text.trim().split(', ');
  const [, first, last, wedge] = SET.exec(clubWordsInEnglish(text.trim())) ?? [];
  if (first === undefined) return undefined;
  const to = Number(last ?? 9);
  if (to <= Number(first)) return undefined;
  const irons = Array.from({ length: to - Number(first) + 1 }, (_one, i) => `${Number(first) + i} iron`);
  return [...irons, ...(wedge ? WEDGES[wedge.toUpperCase()]! : [])];
}

const SET_WORD = /^(set|irons?)$/i;

/** The words of a line about a set without those that say that it is one: "4-PW set Rohr 120". */
export function withoutSetWords(words: readonly string[]): string[] {
  return words.filter((word) => !SET_WORD.test(clubWordsInEnglish(word)));
}
