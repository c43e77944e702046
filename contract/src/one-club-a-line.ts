import { clubWordsInEnglish, kindFromName } from '@tasche/core';
import { clubsOfSet } from './club-set.js';
import { isCarry, isLoft, NUMBER } from './club-line-numbers.js';
import { isPlainClub } from './club-line-parts.js';
import { MAX_CHARACTERS } from './club-line-words.js';
import { recogniseHead } from './columns.js';
import { isBlankRow } from './split-table.js';

type Rows = readonly (readonly string[])[];

/**
 * Lines that hold several clubs, each as a line of its own: "7i=165, 8i=155", "Driver 260 3w 240", "4-6: 200 190
 * 180". Others are left as they are.
 * @returns the rows, and from which of those given each is
 */
export function oneClubALine(rows: Rows): { rows: Rows; from: readonly number[] } {
  const lines = rows.map((row) => row.map((cell) => cell.trim()).filter((cell) => cell !== ''));
  const several = lines.map((cells) => {
    const text = cells.join(', ');
    // A whole bag in a line is longer than one club's.
    return text.length > MAX_CHARACTERS * 3
      ? undefined
      : (setWithNumbers(text) ?? glued(cells) ?? inSequence(text) ?? wedges(text));
  });
  return {
    rows: rows.flatMap((row, i) => several[i]?.map((part) => [part]) ?? [row]),
    from: rows.flatMap((_row, i) => several[i]?.map(() => i) ?? [i]),
  };
}

/** "7i=165", "Dr-265": a club and what it carries, without a blank between them. */
const GLUED = /^(.{0,12}?[\p{L}\d])\s?[=:-]\s?(\d{2,3})$/u;

/** "D265", "7i165": no sign between them, and too large for a loft. */
const GLUED_BARE = /^(d|dr|driver|\d[hiwy]|[pgaslu]w)(\d{3})$/i;

function glued(cells: readonly string[]): string[] | undefined {
  const parts = cells.flatMap((cell) => cell.split(/[,;\s]+/)).filter((part) => part !== '');
  // Alone in its line "5-150" may be anything.
  const sure = (part: string) => GLUED_BARE.exec(part) ?? (part.includes('=') ? GLUED.exec(part) : null);
  const pairs = parts.map((part) =>
    parts.length > 2 ? (GLUED_BARE.exec(part) ?? GLUED.exec(part)) : sure(part),
  );
  const isBag =
    parts.length > 0 &&
    pairs.every((pair) => {
      const kind = kindFromName(pair?.[1] ?? '');
      return kind !== undefined && isCarry(pair![2]!, kind);
    });
  return isBag ? pairs.map((pair) => `${pair![1]} ${pair![2]}`) : undefined;
}

const ONE_NUMBER = String.raw`\d{2,3}(?:\.\d)?(?:°|m|yds?|y)?`;
const NUMBERS = String.raw`\(?(?:${ONE_NUMBER}(?:\s*[,;/|-]\s*|\s+))+${ONE_NUMBER}\)?`;
/** "4-PW: 200 190 180", "Irons 4-9 (24, 27, 30)": a set, and a number for each of its clubs. */
const SET_AND_NUMBERS = new RegExp(
  [
    String.raw`^(?:irons? ?:? )?([1-9]i? ?(?:[-–—]|to|à|bis|till|tot|til|al) ?[a-z\d]{1,3}|\S{3,6})`,
    String.raw`(?: irons?| set)?(?: (?:carry|carries|lofts?|distances?|yardages?|yards|met(?:re|er)s))?`,
    String.raw` ?:?[ ,–-]{0,3}(${NUMBERS})$`,
  ].join(''),
  'i',
);
/** "Irons: 4 200, 5 190": numbers of irons, each with what it carries. */
const IRONS_AND_NUMBERS = /^irons? ?:? ((?:(?:[1-9]|pw)i? ?[-:=]? ?\d{2,3}(?:[ ,;/]{1,3}|$)){2,12})$/i;
/** A short carry in its list is none of a loft. */
const asCarry = (number: string) => (Number(number) <= MAX_LOFT_DEG ? `${number}ish` : number);
/** No loft is larger. */
const MAX_LOFT_DEG = 72;

function setWithNumbers(text: string): string[] | undefined {
  const said = clubWordsInEnglish(text);
  const irons = IRONS_AND_NUMBERS.exec(said)?.[1];
  if (irons !== undefined)
    return [...irons.matchAll(/([1-9]|pw)i? ?[-:=]? ?(\d{2,3})/gi)].map(
      ([, club, number]) => `${/^\d$/.test(club!) ? `${club} iron` : club!.toUpperCase()} ${number}`,
    );
  const [, set = '', list = ''] = SET_AND_NUMBERS.exec(said) ?? [];
  const clubs = clubsOfSet(set.replace(/:$/, ''));
  const numbers = list.match(new RegExp(ONE_NUMBER, 'gi')) ?? [];
  if (!clubs || clubs.length !== numbers.length || clubs.length < 2) return undefined;
  const values = numbers.map((number) => Number.parseFloat(number));
  const falls = values.every((value, i) => i === 0 || value < values[i - 1]!);
  const rises = values.every((value, i) => i === 0 || value > values[i - 1]!);
  // Carries fall with the loft, lofts rise; what does neither is left to be looked at.
  if (rises && values.every((value) => value <= MAX_LOFT_DEG))
    return clubs.map((club, i) => `${club} ${numbers[i]!.replace('°', '')}°`);
  return falls && values[0]! > MAX_LOFT_DEG
    ? clubs.map((club, i) => `${club} ${asCarry(numbers[i]!)}`)
    : undefined;
}

/**
 * "GW SW LW", "52, 56 and 60", "PW, 52, 56, 60": wedges and nothing else. Three lofts that rise are no club with its
 * loft and carry; two may be.
 */
function wedges(text: string): string[] | undefined {
  const parts = text.split(/[,/&+]|\band\b/).map((part) => part.trim());
  const words = parts.flatMap((part) => (/\d/.test(part) ? [part] : part.split(/\s+/)));
  const lofts = words.filter((word) => /^(?:4[2-9]|5\d|6[0-4])°?$/.test(word)).map(Number.parseFloat);
  const letters = words.filter((word) => /^[pgaslu]w$/i.test(word)).length;
  const isList = lofts.length + letters === words.length && words.length > 1;
  const rise = lofts.every((loft, i) => i === 0 || loft > lofts[i - 1]!);
  return isList && (lofts.length === 0 || (lofts.length > 2 && rise)) ? words : undefined;
}

const KIND_WORD = /^(?:irons?|woods?|hybrids?|hyb|utility|wedge|driving|i|w|h)$/i;

/** "Driver 260 3w 240": where a number is followed by the next club. All say what they carry, or all their lofts. */
function inSequence(text: string): string[] | undefined {
  const words = text
    .replace(/[(),;]| [/|] |:(?= )/g, ' ')
    .split(/\s+/)
    .filter((word) => word !== '');
  const isNumber = (word: string | undefined) =>
    word !== undefined && (NUMBER.test(word) || isCarry(word, 'iron'));
  // "3er Holz" is numbered too.
  const isNumbered = (i: number) =>
    /^[1-9](?:er)?$/.test(words[i] ?? '') && KIND_WORD.test(clubWordsInEnglish(words[i + 1] ?? ''));
  // "S" behind a number is a flex.
  const isNamed = (word: string) =>
    /\p{L}/u.test(word) && (word.length > 1 || /d/i.test(word)) && kindFromName(word) !== undefined;
  const starts = words.flatMap((word, i) =>
    i === 0 || (isNumber(words[i - 1]) && !isNumbered(i - 1) && (isNumbered(i) || isNamed(word))) ? [i] : [],
  );
  if (starts.length < 2) return undefined;
  const parts = starts.map((start, i) => words.slice(start, starts[i + 1]));
  const said = parts.map((part) => {
    const numbers = part.findIndex((word, at) => at > 0 && isNumber(word));
    const name = numbers === -1 ? '' : part.slice(0, numbers).join(' ');
    // "7 iron Rohr 120" may be a shaft and its weight.
    const kind = isPlainClub(name) ? kindFromName(name) : undefined;
    return { kind, numbers: part.slice(numbers) };
  });
  const isPlain = said.every(({ kind, numbers }) => kind && numbers.length <= 2 && numbers.every(isNumber));
  const carries = said.map(({ numbers }) => Number.parseFloat(numbers.at(-1) ?? ''));
  const isFalling = carries.every((carry, i) => (i === 0 ? carry > MAX_LOFT_DEG : carry < carries[i - 1]!));
  // In "SW 56 wedge 85" the first number is a loft.
  const areCarries = said.every(
    ({ kind, numbers }) =>
      kind &&
      isCarry(numbers.at(-1)!, kind) &&
      (isFalling || numbers.length === 2 || !isLoft(numbers[0]!, kind)),
  );
  const areLofts = said.every(
    ({ kind, numbers }) => kind && numbers.length === 1 && isLoft(numbers[0]!, kind),
  );
  if (!isPlain || !(areCarries || areLofts)) return undefined;
  return parts.map((part) =>
    [...part.slice(0, -1), areCarries ? asCarry(part.at(-1)!) : part.at(-1)!].join(' '),
  );
}

/**
 * Rows under a line that names their columns with blanks between, "Club Loft Carry Total": each cut into as many
 * cells, its last words being its numbers.
 * @returns undefined where the first line is none, or fewer than four rows in five end in so many numbers
 */
export function underSpacedHeads(rows: Rows): string[][] | undefined {
  const first = rows.findIndex((row) => !isBlankRow(row));
  const heads = first === -1 ? [] : (rows[first]!.join(' ').trim().split(/\s+/) as string[]);
  if (heads.length < 2 || heads.length > 12 || rows[first]!.length > 1) return undefined;
  const columns = heads.map((head) => recogniseHead(head)?.column.id);
  if (columns[0] !== 'name' || columns.some((id) => id === undefined)) return undefined;
  let cut = 0;
  const below = rows.slice(first + 1).map((row) => {
    const words = row.join(' ').trim().split(/\s+/);
    const [name, values] = [words.slice(0, 1 - heads.length), words.slice(1 - heads.length)];
    const isRow = name.length > 0 && values.every((word) => /^(?:\W{1,2}|[A-G]?\d.*)$/i.test(word));
    if (isRow) cut++;
    return isRow ? [name.join(' '), ...values] : [...row];
  });
  const filled = rows.slice(first + 1).filter((row) => !isBlankRow(row)).length;
  return filled > 0 && cut >= 0.8 * filled
    ? [...rows.slice(0, first).map((row) => [...row]), heads, ...below]
    : undefined;
}
