import { kindFromName } from '@tasche/core';
import { byColumns, inThree, inTwo, MIN_SHARE, nameAndNumber } from './club-line-columns.js';
import { lineOf, saysMore, withBracketedLoft } from './club-line-name.js';
import {
  isCarry,
  isCarryOfColumn,
  isLoft,
  isMarkedLoft,
  isShortCarry,
  minCarry,
  NUMBER,
  valueOf,
} from './club-line-numbers.js';
import { LINE_HEADS, readClubParts, withNumberBehind, type ClubLine } from './club-line-parts.js';
import { readSegments } from './club-line-segments.js';
import { MAX_CHARACTERS, wordsOf } from './club-line-words.js';
import { readCategory } from './club-category.js';
import { clubsOfSet, withoutSetWords } from './club-set.js';
import { withLengthUnits } from './length-column.js';
import { withoutListMarks } from './list-marks.js';
import { oneClubALine } from './one-club-a-line.js';
import { isRemark } from './remark.js';
import { isBlankRow } from './split-table.js';

/**
 * Clubs as people write them in a message: a club, then its loft, its carry or both. "Driver 10.5° 265", "7i -
 * 165 yd", "3W (15) 240-245"; more than that where words tell what it is.
 * @returns undefined where it is none
 */
function readClubLine(text: string): ClubLine | undefined {
  if (text.length > MAX_CHARACTERS) return undefined;
  const words = withNumberBehind(wordsOf(text));
  const several = readCategory(text);
  if (several) return several;
  const set = [...withoutSetWords(words.slice(0, 1)), ...words.slice(1)];
  if (clubsOfSet(set[0] ?? '')) return readSegments(text) ?? readSet(set);
  const inSegments = readSegments(text);
  if (inSegments?.Head !== undefined) return inSegments;
  for (const numbers of [2, 1]) {
    const name = words.slice(0, -numbers).join(' ');
    const kind = name === '' ? undefined : kindFromName(name);
    if (!kind || saysMore(name, kind)) continue;
    const said = words.slice(-numbers);
    const [loft, carry] = numbers === 2 ? said : isLoft(said[0]!, kind) ? [said[0]!, ''] : ['', said[0]!];
    const isCarried = carry === '' || isCarry(carry!, kind) || (numbers === 2 && isShortCarry(carry!, kind));
    if ((loft === '' || isLoft(loft!, kind)) && isCarried)
      return loft === '' ? withBracketedLoft(name, carry!) : lineOf(name, loft!, carry!);
  }
  return readClubParts(words) ?? inSegments ?? inBrackets(text);
}

/** "Driver (9.5)": a club and its loft. */
function inBrackets(text: string): ClubLine | undefined {
  const [, name = '', loft = ''] = /^([^()]+)\((\d{1,2}(?:[.,]\d)?°?)\)$/.exec(text.trim()) ?? [];
  const kind = kindFromName(name.trim());
  return kind && !saysMore(name.trim(), kind) && isLoft(loft, kind)
    ? lineOf(name.trim(), loft, '')
    : undefined;
}

/** "4-PW", or "4-PW set Rohr 120": a set of irons, and its shaft. */
function readSet([set, ...more]: readonly string[]): ClubLine {
  const rest = withoutSetWords(more).join(' ');
  if (rest === '') return { Club: set! };
  // "5-9 26 30 34": numbers of its clubs, too few or too many of them, are no shaft.
  const isShaft = /\p{L}/u.test(rest) && (rest.match(/\d+(?:\.\d)?/g) ?? []).length < 3;
  return isShaft ? { Club: set!, Shaft: rest } : { Club: set!, Carry: rest };
}

/**
 * A line that says more of a club than can be read, "Driver 270/295": the club, and the rest where its carry would
 * stand, for a person to fix.
 * @returns undefined where the line is a name and nothing else, or names no club
 */
function unreadClubLine(text: string): ClubLine | undefined {
  if (text.length > MAX_CHARACTERS) return undefined;
  const words = wordsOf(text);
  for (let named = words.length - 1; named > 0; named--) {
    const name = words.slice(0, named).join(' ');
    const kind = kindFromName(name);
    const rest = words.slice(named).join(' ');
    const numbers = (rest.match(/(?<![\d.,])\d{1,3}(?:[.,]\d+)?(?!\d)/g) ?? []).map(valueOf);
    if (!kind) continue;
    const isMore = numbers.length > 1 || numbers.some((number) => number >= minCarry(kind));
    if (!saysMore(name, kind) && isMore && /^\W?\d/.test(rest)) return lineOf(name, '', rest);
  }
  return undefined;
}

/** A club of eight or nine degrees that carries as far as this is a driver; nines of irons do not. Our choice. */
const MIN_DRIVEN = 190;
/** Numbers that are a loft, whatever the club. Degrees. */
const ANY_LOFT_DEG = [4, 66] as const;
/**
 * A line whose words do not say what kind of club it is, "Kvarn LS 9 265": its numbers are read like those of its
 * neighbours, and a person says the kind.
 */
function unknownClubLine(text: string): ClubLine | undefined {
  if (text.length > MAX_CHARACTERS) return undefined;
  const words = wordsOf(text);
  const isAnyLoft = (word: string) =>
    isMarkedLoft(word) ||
    (NUMBER.test(word) && valueOf(word) >= ANY_LOFT_DEG[0] && valueOf(word) <= ANY_LOFT_DEG[1]);
  for (const numbers of [2, 1]) {
    const name = words.slice(0, -numbers).join(' ');
    const [first, second] = words.slice(-numbers) as [string, string | undefined];
    if (!/\p{L}/u.test(name) || kindFromName(name) || saysMore(name, 'iron')) continue;
    if (second !== undefined && isCarry(second, 'iron')) {
      // "Halm Z 7 145" is a seven, "Halm Z 9 260" a driver.
      const isNumber = /^[1-9]$/.test(first) && (Number(first) < 8 || valueOf(second) < MIN_DRIVEN);
      if (isNumber) return lineOf(`${name} ${first}`, '', second);
      if (isAnyLoft(first)) return lineOf(name, first, second);
    }
    if (second === undefined && isMarkedLoft(first)) return lineOf(name, first, '');
    if (second === undefined && !isAnyLoft(first) && isCarry(first, 'iron')) return lineOf(name, '', first);
  }
  return undefined;
}

/** A whole bag in one line: "Driver 250, 3w 230, 7i 155", "driver=250 3w=230 7i=155". */
function fromOneLine(cells: readonly string[]): string[] | undefined {
  const [only = '', ...others] = cells;
  const pairs = others.length === 0 ? only.trim().split(/\s+/) : [];
  const isOfPairs = pairs.length > 2 && pairs.every((pair) => /^[^=]+=[^=]+$/.test(pair));
  const parts = isOfPairs
    ? pairs.map((pair) => pair.replace('=', ' '))
    : cells.flatMap((cell) => cell.split(/[,;]\s+/)).map((part) => part.trim());
  const read = parts.filter((part) => kindFromName(part) || readClubLine(part)).length;
  return parts.length > 2 && read >= MIN_SHARE * parts.length ? parts : undefined;
}

/** Numbers that say what they are; bare ones stand under each other in a sheet's own columns. */
const SAYS_UNIT = /\d ?(?:°|"|″|(?:deg|degrees|inches|inch|in|yards|yds?|m)(?![\p{L}\d]))/iu;
/** Rows of more cells than club, loft and carry, where their cells say what they are: "Driver, Kvarn Q, 9°, 265". */
function segmentLines(cells: readonly (readonly string[])[]): string[][] | undefined {
  const lines = withoutListMarks(cells.map((row) => row.filter((cell) => cell.trim() !== '').join(', ')));
  const rows = lines.map(
    (line) => readSegments(line) ?? (SAYS_UNIT.test(line) ? readClubLine(line) : undefined),
  );
  const read = rows.filter((row) => row?.Carry !== undefined).length;
  return read < MIN_SHARE * lines.filter((line) => line !== '').length ? undefined : underHeads(lines, rows);
}

/**
 * Lines under the heads of what was read of them; one that was not read stands alone, to be fixed, and a remark is
 * left out.
 */
function underHeads(lines: readonly string[], rows: readonly (ClubLine | undefined)[]): string[][] {
  const heads = LINE_HEADS.filter((head, i) => i < 3 || rows.some((row) => row?.[head] !== undefined));
  return [
    [...heads],
    ...lines.map((line, i) => {
      const row = rows[i];
      if (row) return heads.map((head) => row[head] ?? '');
      return line === '' || isRemark(line) ? [] : [line];
    }),
  ];
}

/** A bag whose clubs and numbers stand in lines of their own, beneath each other, as one line for each club. */
function asOneLineEach(cells: readonly (readonly string[])[]): readonly (readonly string[])[] {
  const at = cells.flatMap((row, i) => (isBlankRow(row) ? [] : [i]));
  const said = (i: number) => cells[at[i]!]!.join(' ').trim();
  const isNumber = (text: string) => NUMBER.test(text) || isCarryOfColumn(text);
  const isInGroups = (size: number) =>
    at.length > size &&
    at.length % size === 0 &&
    at.every((_row, i) => (i % size === 0 ? kindFromName(said(i)) !== undefined : isNumber(said(i))));
  const size = [2, 3].find(isInGroups);
  if (size === undefined) return cells;
  return cells.map((_row, row) => {
    const first = at.indexOf(row);
    if (first === -1 || first % size !== 0) return [];
    return [Array.from({ length: size }, (_line, i) => said(first + i)).join(' ')];
  });
}

/** Clubs under heads, and from which of the rows given each is, from 0. */
interface ClubLines {
  heads: string[];
  rows: string[][];
  from: readonly number[];
}

/**
 * Rows without heads read as lines of clubs, under heads of their own; undefined where most of them are none.
 * What cannot be read of a row is left to be fixed.
 */
export function asClubLines(given: readonly (readonly string[])[]): ClubLines | undefined {
  const one = oneClubALine(asOneLineEach(given));
  const [heads, ...rows] = linesOfClubs(withLengthUnits(one.rows), one.rows.length > given.length) ?? [];
  if (!heads) return undefined;
  // A whole bag in one line is split further on.
  const first = given.findIndex((row) => !isBlankRow(row));
  return { heads, rows, from: rows.length === one.from.length ? one.from : rows.map(() => first) };
}

/** @param isSplit whether some lines held several clubs */
function linesOfClubs(cells: readonly (readonly string[])[], isSplit: boolean): string[][] | undefined {
  const filled = cells.filter((row) => !isBlankRow(row) && !isRemark(row.join(' ').trim()));
  const bag = filled.length === 1 ? fromOneLine(filled[0]!) : undefined;
  if (filled.length === 0) return undefined;
  if (!bag && filled.some((row) => row.length > 3)) return segmentLines(cells);
  const joined = (sign: string) => withoutListMarks(bag ?? cells.map((row) => row.join(sign)));
  const isOneColumn =
    bag !== undefined || filled.every((row) => row.filter((cell) => cell.trim() !== '').length === 1);
  // A comma may have been a decimal sign.
  const [byComma, bySpace] = [joined(','), joined(' ')];
  const inColumns = byColumns(isOneColumn ? bySpace.map(inThree) : cells);
  const cutInTwo = byColumns(isOneColumn ? bySpace.map((line) => inTwo(line) ?? nameAndNumber(line)) : []);
  const read = bySpace.map((line, i) => {
    const inSegments = isOneColumn ? readSegments(line) : undefined;
    if (inSegments?.Head !== undefined) return inSegments;
    return inColumns[i] ?? cutInTwo[i] ?? readClubLine(byComma[i]!) ?? readClubLine(line);
  });
  const unknown = bySpace.map((line, i) => (read[i] ? undefined : unknownClubLine(line)));
  const named = bySpace.map((line, i) => read[i] ?? unreadClubLine(line));
  const rows = named.map((row, i) => row ?? unknown[i]);
  const isSaid = bySpace.map((line) => line !== '' && !isRemark(line));
  const said = bySpace.filter((_line, i) => isSaid[i]);
  // A putter is often named and nothing else, and so are "3 wood" and "5-PW".
  const isNameAlone = (line: string) =>
    kindFromName(line) !== undefined && (line.match(/\d+(?:[.,]\d+)?/g) ?? []).length <= 1;
  const telling = bySpace.filter(
    (line, i) => isSaid[i]! && (rows[i] !== undefined || !isNameAlone(line)),
  ).length;
  // A message with names alone; a column of them may be pasted over others.
  const isMessage = isSplit || said.length < bySpace.filter((line) => line !== '').length;
  if (telling === 0 && isOneColumn && isMessage && said.filter(isNameAlone).length > 1)
    return underHeads(bySpace, rows);
  // Cells side by side are the sheet's own columns, unless their lines can be read.
  const found = (isOneColumn ? rows : read.map((row, i) => row ?? unknown[i])).filter(Boolean).length;
  // One club at least is called what clubs are called: other text has numbers at its ends too.
  if (telling === 0 || found < MIN_SHARE * telling || !named.some(Boolean)) return undefined;
  return underHeads(bySpace, rows);
}
