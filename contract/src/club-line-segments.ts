import { kindFromName, type ClubKind } from '@tasche/core';
import { isCarry, isLoft, isMarkedLoft, valueOf } from './club-line-numbers.js';
import { isPlainClub, isTelling, partAt, type ClubLine, type LineHead } from './club-line-parts.js';
import { MAX_CHARACTERS, wordsOf } from './club-line-words.js';
import { clubsOfSet, withoutSetWords } from './club-set.js';

/** What stands between the parts of a line: "Driver - Kvarn Q 9° - Siv 60 S - 265". */
const BETWEEN = /\s[-–—/]\s|[|;]|[:,]\s/;
/** Lofts wedges are called by. Degrees. */
const WEDGE_LOFTS_DEG = [42, 64] as const;
/** Weights of shafts, grams: a bare number behind a maker's name is one. */
const SHAFT_WEIGHTS_G = [30, 150] as const;
const OF_DISTANCE = /^(carry|total|tot)$/i;
const LETTER = /\p{L}/u;

/**
 * A line that says of a club what it is, in parts between dashes or commas: its head, its shaft, and what has a
 * word, a sign or a size of its own. "3W - Kvarn Q 15° - Siv 70 S - 240"; "50° Tessel W".
 * @returns undefined where the first part is no club, or a part could be something else
 */
export function readSegments(text: string): ClubLine | undefined {
  if (text.length > MAX_CHARACTERS) return undefined;
  const segments = text.split(BETWEEN).map(wordsOf);
  const [first = [], ...others] = segments;
  const named = clubAtStart(first);
  if (!named || (others.length === 0 && !isMarkedLoft(named.club))) return undefined;
  const kind = kindFromName(named.club) ?? 'iron';
  const line: Partial<Record<LineHead, string>> = { Club: named.club };
  const parts = [named.rest, ...others];
  for (const [at, segment] of parts.entries()) {
    const following = parts.slice(at + 1).flat();
    const words = segment.map((word) => word.replace(/^\(|\)$/g, ''));
    for (let i = 0; i < words.length;) {
      const part =
        namePart(words, i, kind, line) ??
        partAt(words, i, kind, line.Loft !== undefined, following) ??
        loftPart(words[i]!, kind);
      if (!part || line[part.head] !== undefined) return undefined;
      line[part.head] = part.text;
      i += part.words;
    }
  }
  return Object.keys(line).length > 1 ? line : undefined;
}

type Part = NonNullable<ReturnType<typeof partAt>>;

/** A bare number that is a loft of such a club, and can be no carry. */
const loftPart = (word: string, kind: ClubKind): Part | undefined =>
  isLoft(word, kind) && !isCarry(word, kind) ? { head: 'Loft', text: word, words: 1 } : undefined;

/** The club a line begins with: a plain name, a set, or the loft of a wedge; and the words behind it. */
function clubAtStart(words: readonly string[]): { club: string; rest: readonly string[] } | undefined {
  const [one = '', ...rest] = words;
  for (const count of [2, 1]) {
    const set = words.slice(0, count).join(' ');
    if (clubsOfSet(set)) return { club: set, rest: withoutSetWords(words.slice(count)) };
  }
  const loft = isMarkedLoft(one) ? Number.parseFloat(one.replace(',', '.')) : NaN;
  if (loft >= WEDGE_LOFTS_DEG[0] && loft <= WEDGE_LOFTS_DEG[1]) return { club: one, rest };
  for (let count = Math.min(3, words.length); count > 0; count--) {
    const club = words.slice(0, count).join(' ');
    if (isPlainClub(club) && kindFromName(club)) return { club, rest: words.slice(count) };
  }
  return undefined;
}

/**
 * Words that are a name, from a place on: with a weight behind it, or behind the name of a head, a shaft ("Siv 60");
 * else a head.
 */
function namePart(
  words: readonly string[],
  from: number,
  kind: ClubKind,
  { Head, Loft }: ClubLine,
): Part | undefined {
  const isName = (word: string) => LETTER.test(word) && !/^[~\d]/.test(word) && !isTelling(word);
  let to = from;
  while (to < words.length && isName(words[to]!)) to++;
  if (to === from) return undefined;
  const weight = valueOf(words[to] ?? '');
  // The 33 of "Tessel 33" is an iron's loft where none is said elsewhere.
  const hasWeight =
    (Loft !== undefined || !isLoft(words[to] ?? '', kind)) &&
    weight >= SHAFT_WEIGHTS_G[0] &&
    weight <= SHAFT_WEIGHTS_G[1] &&
    !OF_DISTANCE.test(words[to + 1] ?? '');
  const end = hasWeight ? to + 1 : to;
  return {
    head: hasWeight || Head !== undefined ? 'Shaft' : 'Head',
    text: words.slice(from, end).join(' '),
    words: end - from,
  };
}
