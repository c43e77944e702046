import { kindFromName, type ClubKind } from '@tasche/core';
import { isBlankRow } from './split-table.js';

/**
 * Lofts clubs of a kind have, degrees: enough to tell a loft from another number. Common practice, no source.
 */
const LOFTS: Readonly<Record<ClubKind, readonly [number, number]>> = {
  driver: [4, 20],
  fairway: [10, 32],
  hybrid: [13, 40],
  'driving iron': [13, 32],
  iron: [14, 52],
  wedge: [40, 70],
  chipper: [20, 50],
  putter: [0, 8],
};
/** No club carries less far, in yards or metres: a smaller number is a length. Our choice. */
const MIN_CARRY = 50;
/** So much of what is pasted must read as lines of clubs. */
const MIN_SHARE = 0.6;

const NUMBER = /^[+-]?\d{1,3}([.,]\d+)?$/;
const LOFT = /^(\d{1,2}(?:[.,]\d+)?)(?:°|deg)$/i;
const CARRY = /^(\d{2,3}(?:[.,]\d+)?)(?:y|yd|yds|m|yards|metres|meters)$/i;
const UNIT = /^(°|deg|y|yd|yds|m|yards|metres|meters)$/i;

/**
 * Clubs as people write them in a message: a club, then its loft, its carry or both. "Driver 10.5° 265", "7i -
 * 165 yd".
 * @returns name, loft and carry as they are written, the latter two empty where they are not; undefined where
 * it is none
 */
function readClubLine(text: string): [name: string, loft: string, carry: string] | undefined {
  const words = text
    .replace(/\s[-–—=]\s|[:;|,](\s|$)/g, ' ')
    .trim()
    .split(/\s+/)
    // "165 yd" is one number.
    .reduce<string[]>((list, word) => {
      const last = list.at(-1);
      return last !== undefined && UNIT.test(word) && NUMBER.test(last)
        ? [...list.slice(0, -1), last + word]
        : [...list, word];
    }, []);
  for (const numbers of [2, 1]) {
    const name = words.slice(0, -numbers).join(' ');
    const kind = name === '' ? undefined : kindFromName(name);
    if (!kind || endsInValue(name, kind)) continue;
    const said = words.slice(-numbers);
    const [loft, carry] = numbers === 2 ? said : isLoft(said[0]!, kind) ? [said[0]!, ''] : ['', said[0]!];
    if ((loft === '' || isLoft(loft!, kind)) && (carry === '' || isCarry(carry!)))
      return [name, loft!, carry!];
  }
  return undefined;
}

/** The highest number a club is called by, but for wedges, which are called by their lofts. */
const MAX_CLUB_NUMBER = 12;
/**
 * Whether what would be a club's name ends in a number that says something of it: "Driver 230", "7 iron 31".
 */
function endsInValue(name: string, kind: ClubKind): boolean {
  const last = name.split(' ').at(-1)!;
  return kind !== 'wedge' && NUMBER.test(last) && valueOf(last) > MAX_CLUB_NUMBER;
}

const valueOf = (text: string) => Number(text.replace(',', '.'));
function isLoft(word: string, kind: ClubKind): boolean {
  const marked = LOFT.exec(word)?.[1];
  if (marked === undefined && !NUMBER.test(word)) return false;
  const value = valueOf(marked ?? word);
  const [from, to] = LOFTS[kind];
  return value >= from && value <= to;
}
function isCarry(word: string): boolean {
  const marked = CARRY.exec(word)?.[1];
  return marked !== undefined || (NUMBER.test(word) && valueOf(word) >= MIN_CARRY);
}

/**
 * Rows without heads read as lines of clubs, under heads of their own; undefined where most of them are none.
 * A row that is none stays as it is, to be fixed.
 */
export function asClubLines(cells: readonly (readonly string[])[]): string[][] | undefined {
  const filled = cells.filter((row) => !isBlankRow(row));
  if (filled.length === 0 || filled.some((row) => row.length > 3)) return undefined;
  // A comma may have been a decimal sign.
  const read = cells.map((row) => readClubLine(row.join(',')) ?? readClubLine(row.join(' ')));
  if (read.filter(Boolean).length < MIN_SHARE * filled.length) return undefined;
  return [
    ['Club', 'Loft', 'Carry'],
    ...cells.map((row, i) => read[i] ?? (isBlankRow(row) ? [] : [row.join(' ').trim()])),
  ];
}
