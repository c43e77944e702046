import { clubWordsInEnglish, kindFromName, type ClubKind } from '@tasche/core';
import { isCarry, isLoft, isMarkedLoft, valueOf } from './club-line-numbers.js';

/** The columns a line of a message may fill, by heads the table reader knows. */
export const LINE_HEADS = [
  'Club',
  'Loft',
  'Carry',
  'Total',
  'Length',
  'Bounce',
  'Head',
  'Shaft',
  'Flex',
  'Swing weight',
  'Three-quarter carry',
  'Half carry',
  'Soft carry',
  'Hard carry',
  'Choked carry',
] as const;
export type LineHead = (typeof LINE_HEADS)[number];

/** A line of a message, each part as it is written. */
export type ClubLine = Readonly<Partial<Record<LineHead, string>>>;

/** Words that are part of what a club is called: "3 wood", "driving iron", "Eisen 7". */
const CLUB_WORD = /^(wood|iron|hybrid|wedge|rescue|utility|fairway|driving)$/i;
const NUMBERED = /^(wood|iron|hybrid|rescue|utility|fairway)$/i;
const CLUB_NUMBER = /^([1-9]|1[0-2])$/;
const ANY_NUMBER = /^\d{1,3}([.,]\d+)?$/;

/** How many of the words say which club it is. */
function wordsOfClub(written: readonly string[]): number {
  const words = written.map(clubWordsInEnglish);
  let count = 1;
  for (; count < words.length; count++) {
    const [before, word] = [words[count - 1]!, words[count]!];
    const isItsNumber = NUMBERED.test(before) && CLUB_NUMBER.test(word) && !/\d/.test(words[0]!);
    if (!CLUB_WORD.test(word) && !isItsNumber) break;
  }
  return count;
}

/** A number that no club is called by, before its club: "165 7i". */
const MIN_CARRY_BEFORE = 65;
/**
 * The words with a loft or a carry that stands before its club behind it: "15° 3w 255" is "3w 15° 255", "165 7i" is "7i
 * 165". A wedge is called by its loft, and stays.
 */
export function withNumberBehind(words: readonly string[]): readonly string[] {
  const [number = '', ...others] = words;
  const count = others.length === 0 ? 0 : wordsOfClub(others);
  const [club, rest] = [others.slice(0, count), others.slice(count)];
  const kind = kindFromName(club.join(' '));
  if (!kind) return words;
  if (isMarkedLoft(number))
    return kind !== 'wedge' && isLoft(number, kind) ? [...club, number, ...rest] : words;
  // "15 3w 240", "10.5 driver 265"; "11 wood" and "60 wedge" are names.
  const isOwnName = kind === 'driver' || club.some((word) => /\d/.test(word));
  const isLoftBefore = kind !== 'wedge' && isOwnName && isLoft(number, kind) && !CLUB_NUMBER.test(number);
  if (isLoftBefore && isCarry(rest[0] ?? '', kind)) return [...club, number, ...rest];
  const isBefore =
    rest.length === 0 && isCarry(number, kind) && Number.parseFloat(number) >= MIN_CARRY_BEFORE;
  return isBefore && /\p{L}/u.test(club.join('')) ? [...club, number] : words;
}

/** The bounce or the grind of a wedge, behind its name. */
const SOLE = /^(\(?\d{1,2}\)?|[a-z]{1,2})$/i;

/**
 * Whether a name says which club it is and nothing else: "7 iron", "50.08 F"; not "7 iron Rohr", which may be its
 * shaft.
 */
export function isPlainClub(name: string): boolean {
  const words = name.split(' ');
  const others = words.slice(wordsOfClub(words));
  return others.length === 0 || (kindFromName(name) === 'wedge' && others.every((word) => SOLE.test(word)));
}

/** Lengths of irons and wedges, and of longer clubs, inches. */
const LENGTHS_IN = { short: [33, 41], long: [37, 48.5] } as const;

/** What a word says by itself. */
const SAYS: readonly [RegExp, LineHead][] = [
  [/^[A-F]\d(\.\d)?$/, 'Swing weight'],
  [/^\d{2}(?:[.,]\d+)?(?:"|″|in|inch)$|^\d{2,3}(?:[.,]\d+)?cm$/i, 'Length'],
  [/^(stiff|regular|senior|ladies|x-?stiff|extra-?stiff|tx|x|s|r|a)$/i, 'Flex'],
];
/** What a word says of the number behind it. */
const SAYS_OF_NEXT: readonly [RegExp, LineHead][] = [
  [/^loft$/i, 'Loft'],
  [/^length$/i, 'Length'],
  [/^(full|stock|carry|carries)$/i, 'Carry'],
  [/^(total|tot)$/i, 'Total'],
  [/^(3\/4|¾|three-quarter)$/i, 'Three-quarter carry'],
  [/^(1\/2|½|half)$/i, 'Half carry'],
  [/^soft$/i, 'Soft carry'],
  [/^hard$/i, 'Hard carry'],
  [/^choked?$/i, 'Choked carry'],
];
/** What a word says of the number before it. */
const SAYS_OF_LAST: readonly [RegExp, LineHead][] = [
  [/^carry$/i, 'Carry'],
  [/^(total|tot)$/i, 'Total'],
];
const said = (list: readonly [RegExp, LineHead][], word = '') =>
  list.find(([pattern]) => pattern.test(word))?.[1];

/** Whether a word says what it is, or what the number beside it is: "stiff", "D3", "carry". */
export const isTelling = (word: string) =>
  said([...SAYS, ...SAYS_OF_NEXT, ...SAYS_OF_LAST], word) !== undefined;

/**
 * A line that says more of a club than loft and carry, in words that tell what each part is: "Driver 10.5 stiff
 * 245", "4i Rohr 120 225", "7i full 165 3/4 150", "Driver 250 carry, 270 total".
 * @param words of the line, a number with its unit being one
 * @returns undefined where one of them could be something else
 */
export function readClubParts(words: readonly string[]): ClubLine | undefined {
  const count = wordsOfClub(words);
  const name = words.slice(0, count).join(' ');
  const kind = kindFromName(name);
  if (!kind) return undefined;
  const line: Partial<Record<LineHead, string>> = { Club: name };
  const rest = words.slice(count).map((word) => word.replace(/^\(|\)$/g, ''));
  for (let i = 0; i < rest.length;) {
    const hasLoft = line.Loft !== undefined;
    const isNamedByLoft = isLoft(words[0]!, kind) && kind === 'wedge';
    const part =
      (hasLoft || isNamedByLoft ? numberBetween(rest, i, kind) : undefined) ?? partAt(rest, i, kind, hasLoft);
    if (!part || line[part.head] !== undefined) return undefined;
    line[part.head] = part.text;
    i += part.words;
  }
  if (line.Carry === undefined) return undefined;
  return rest.some((word) => said(SAYS_OF_NEXT, word) === 'Carry') ? line : withTotalBehindCarry(line);
}

/**
 * A bare number between a loft and a carry, and too small for one: a length, "7i 33 stiff 37 165", or a wedge's
 * bounce, "GW 50 12 105".
 */
function numberBetween(rest: readonly string[], at: number, kind: ClubKind): ReturnType<typeof partAt> {
  const word = rest[at]!;
  const isIn = ([from, to]: readonly [number, number]) =>
    ANY_NUMBER.test(word) && valueOf(word) >= from && valueOf(word) <= to;
  const head = isIn(LENGTHS_IN[kind === 'iron' || kind === 'wedge' ? 'short' : 'long'])
    ? 'Length'
    : kind === 'wedge' && isIn(BOUNCES_DEG)
      ? 'Bounce'
      : undefined;
  return head && rest.slice(at + 1).some((one) => isCarry(one, kind))
    ? { head, text: word, words: 1 }
    : undefined;
}
/** Bounces of wedges, degrees. Common practice, no source. */
const BOUNCES_DEG = [3, 18] as const;

/** "Driver 210 total 230", without a word for the carry: the smaller number is it. */
function withTotalBehindCarry(line: ClubLine): ClubLine {
  const [carry, total] = [line.Carry, line.Total].map((text) => Number.parseFloat(text ?? ''));
  return total! < carry! ? { ...line, Carry: line.Total!, Total: line.Carry! } : line;
}

/**
 * The part that begins at a word.
 * @param following words behind the rest, in other parts of the line
 */
export function partAt(
  rest: readonly string[],
  at: number,
  kind: ClubKind,
  hasLoft: boolean,
  following: readonly string[] = [],
): { head: LineHead; text: string; words: number } | undefined {
  const [word, next] = [rest[at]!, rest[at + 1]];
  const ofNext = said(SAYS_OF_NEXT, word);
  if (ofNext && next !== undefined) return { head: ofNext, text: next, words: 2 };
  const alone = said(SAYS, word);
  if (alone) return { head: alone, text: word, words: 1 };
  const ofLast = said(SAYS_OF_LAST, next);
  if (ofLast && isCarry(word, kind)) return { head: ofLast, text: word, words: 2 };
  const isCarryLater = (from: number) =>
    [...rest.slice(from), ...following].some((one) => isCarry(one, kind));
  const isMarked = /[°*]/.test(word);
  if (!hasLoft && isLoft(word, kind) && (isMarked || isCarryLater(at + 1)))
    return { head: 'Loft', text: word, words: 1 };
  if (isCarry(word, kind)) return { head: 'Carry', text: word, words: 1 };
  // "Rohr 120": a name and its weight, before the carry.
  const isShaft = /^\p{L}[\p{L}-]+$/u.test(word) && ANY_NUMBER.test(next ?? '') && isCarryLater(at + 2);
  return isShaft ? { head: 'Shaft', text: `${word} ${next!}`, words: 2 } : undefined;
}
