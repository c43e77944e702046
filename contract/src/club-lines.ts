import { kindFromName, usualLoftOf, type ClubKind } from '@tasche/core';
import {
  isCarry,
  isCarryOfColumn,
  isLoft,
  isMarkedLoft,
  minCarry,
  NUMBER,
  valueOf,
} from './club-line-numbers.js';
import { clubsOfSet, withoutSetWords } from './club-set.js';
import { LINE_HEADS, isPlainClub, readClubParts, withLoftBehind, type ClubLine } from './club-line-parts.js';
import { readSegments } from './club-line-segments.js';
import { wordsOf } from './club-line-words.js';
import { isBlankRow } from './split-table.js';

/** A longer line is a sentence. */
const MAX_CHARACTERS = 200;
/** So much of what is pasted must read as lines of clubs. */
const MIN_SHARE = 0.6;

/** What stands before a line in a list, makes it bold, or is a small picture. */
const LIST_MARK = /^\s*[-–*•·]\s+|\*\*|__|[\p{Extended_Pictographic}\u200d\ufe0f]/gu;
/** The number of a line of a list: "1. Driver", "2) 3 wood". */
const LIST_NUMBER = /^\s*(\d{1,2})[.)]\s+/;
/** A loft in brackets behind the club: "Driver (10.5)". */
const BRACKETED = /^(.*\S)\s*\((\d{1,2}(?:[.,]\d+)?)°?\)$/;
/** @param loft as it is written, "" where there is none; `carry` likewise */
const lineOf = (name: string, loft: string, carry: string): ClubLine => ({
  Club: name,
  ...(loft !== '' && { Loft: loft }),
  ...(carry !== '' && { Carry: carry }),
});

/**
 * Clubs as people write them in a message: a club, then its loft, its carry or both. "Driver 10.5° 265", "7i -
 * 165 yd", "3W (15) 240-245"; more than that where words tell what it is.
 * @returns undefined where it is none
 */
function readClubLine(text: string): ClubLine | undefined {
  if (text.length > MAX_CHARACTERS) return undefined;
  const words = withLoftBehind(wordsOf(text));
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
    if ((loft === '' || isLoft(loft!, kind)) && (carry === '' || isCarry(carry!, kind)))
      return loft === '' ? withBracketedLoft(name, carry!) : lineOf(name, loft!, carry!);
  }
  return readClubParts(words) ?? inSegments;
}

/** "4-PW", or "4-PW set Rohr 120": a set of irons, and its shaft. */
function readSet([set, ...more]: readonly string[]): ClubLine {
  const rest = withoutSetWords(more);
  return { Club: set!, ...(rest.length > 0 && { Shaft: rest.join(' ') }) };
}

/** "Driver (10.5)" taken apart; "52 (08)" is a wedge and its bounce. */
function withBracketedLoft(name: string, carry: string): ClubLine {
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
function saysMore(name: string, kind: ClubKind): boolean {
  return name
    .split(' ')
    .slice(1)
    .some((word) => {
      if (MEASURE.test(word)) return true;
      if (kind === 'wedge') return NUMBER.test(word) && valueOf(word) > MAX_WEDGE_NUMBER;
      return (
        isMarkedLoft(word) ||
        (NUMBER.test(word) && !(Number.isInteger(valueOf(word)) && valueOf(word) <= MAX_CLUB_NUMBER))
      );
    });
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

/** The lines of a list without what stands before each: "- Driver 265", "1. Driver 265". */
function withoutListMarks(lines: readonly string[]): string[] {
  const plain = lines.map((line) => line.replace(LIST_MARK, ' '));
  const numbers = plain.filter((line) => line.trim() !== '').map((line) => LIST_NUMBER.exec(line)?.[1]);
  const isNumbered = numbers.length > 1 && numbers.every((number, i) => Number(number) === i + 1);
  return plain.map((line) => (isNumbered ? line.replace(LIST_NUMBER, '') : line).trim());
}

/**
 * Cells side by side, each row's numbers being what most of their column are: in a column of carries the 45 of a
 * sand wedge is a carry, and not its loft.
 * @returns undefined for a row that does not fit its columns
 */
function byColumns(cells: readonly (readonly string[])[]): (ClubLine | undefined)[] {
  const names = withoutListMarks(cells.map(([name = '']) => name));
  const plain = cells.map(([, ...numbers], i) =>
    [names[i]!, ...numbers].map((cell) => wordsOf(cell).join(' ')),
  );
  const kinds = plain.map(([name = '']) => kindFromName(name));
  const [first, second] = [1, 2].map((column) => {
    const filled = plain.flatMap((row, i) => {
      const [cell, kind] = [row[column] ?? '', kinds[i]];
      return cell === '' || !kind ? [] : [{ isLoft: isLoft(cell, kind), isCarry: isCarry(cell, kind) }];
    });
    const isMostly = (is: 'isLoft' | 'isCarry', not: 'isLoft' | 'isCarry') =>
      filled.filter((cell) => cell[is] && !cell[not]).length >= MIN_SHARE * Math.max(1, filled.length);
    if (isMostly('isCarry', 'isLoft')) return 'carry';
    return isMostly('isLoft', 'isCarry') ? 'loft' : undefined;
  });
  return plain.map((row, i) => {
    const [name = '', ...numbers] = row;
    const kind = kinds[i];
    if (!kind || saysMore(name, kind) || isMarkedLoft(name.split(' ').at(-1)!) || numbers.join('') === '')
      return undefined;
    const of = (role: 'loft' | 'carry') => numbers.find((_, at) => [first, second][at] === role) ?? '';
    const [loft, carry] = [of('loft'), of('carry')];
    const fits =
      (loft === '' || isLoft(loft, kind)) &&
      (carry === '' || isCarryOfColumn(carry)) &&
      numbers.every((number) => number === '' || number === loft || number === carry);
    if (!fits) return undefined;
    return loft === '' ? withBracketedLoft(name, carry) : lineOf(name, loft, carry);
  });
}

/** A line that ends in two numbers, as the cells they would stand in: club, loft, carry. */
function inThree(line: string): string[] {
  const words = wordsOf(line);
  const numbers = words.slice(-2);
  const isThree =
    words.length > 2 &&
    numbers.every((word) => isMarkedLoft(word) || isCarryOfColumn(word) || NUMBER.test(word));
  return isThree ? [words.slice(0, -2).join(' '), ...numbers] : [];
}

/** A dash, a colon or a sign between a club and what it carries: "SW - 55". */
const BETWEEN = /\s[-–—=]\s|:\s|\.{2,}|…/;
/** A line that is cut in two by such a sign, as the cells its parts would stand in: club, carry. */
function inTwo(line: string): string[] | undefined {
  if (line.length > MAX_CHARACTERS) return undefined;
  const parts = line.split(BETWEEN).map((part) => part.trim());
  return parts.length === 2 && parts.every((part) => part !== '') ? parts : undefined;
}

/** The loft of a wedge may differ so much from what is usual for its name. Degrees. */
const MAX_OFF_USUAL_DEG = 4.5;
/** A club and one number, as cells: "LW 50"; none where the number may be the loft the wedge has: "SW 56". */
function nameAndNumber(line: string): string[] {
  const words = wordsOf(line);
  const name = words.slice(0, -1).join(' ');
  const kind = kindFromName(name);
  const number = valueOf(words.at(-1) ?? '');
  if (!kind || isMarkedLoft(words[0]!) || !isPlainClub(name) || Number.isNaN(number)) return [];
  const usual = usualLoftOf({ kind, name });
  const mayBeLoft =
    kind === 'wedge' && (usual === undefined || Math.abs(number - usual) <= MAX_OFF_USUAL_DEG);
  return mayBeLoft ? [] : [name, String(words.at(-1))];
}

/** A whole bag in one line: "Driver 250, 3w 230, 7i 155". */
function fromOneLine(cells: readonly string[]): string[] | undefined {
  const parts = cells.flatMap((cell) => cell.split(/[,;]\s+/)).map((part) => part.trim());
  const read = parts.filter((part) => kindFromName(part) || readClubLine(part)).length;
  return parts.length > 2 && read >= MIN_SHARE * parts.length ? parts : undefined;
}

/** Rows of more cells than club, loft and carry, where their cells say what they are: "Driver, Kvarn Q, 9°, 265". */
function segmentLines(cells: readonly (readonly string[])[]): string[][] | undefined {
  const lines = withoutListMarks(cells.map((row) => row.filter((cell) => cell.trim() !== '').join(', ')));
  const rows = lines.map(readSegments);
  const read = rows.filter((row) => row?.Carry !== undefined).length;
  return read < MIN_SHARE * lines.filter((line) => line !== '').length ? undefined : underHeads(lines, rows);
}

/** Words of people's names that begin with a small letter. */
const NAME_PARTICLE =
  /^(de|del|della|des|du|la|le|van|der|den|ten|ter|von|zu|di|da|do|dos|das|el|al|bin|ibn|af|av)$/;
/**
 * What is said around a bag, and is no club: "Here's my bag:", "Thanks!". A few words that may be a name, of a club or
 * of a player, are none.
 */
function isRemark(line: string): boolean {
  if (/\d/.test(line) || kindFromName(line)) return false;
  const words = line.split(/\s+/);
  const isSaid = words.some((word) => /^\p{Ll}{2,}/u.test(word) && !NAME_PARTICLE.test(word));
  return /[!?]$/.test(line) || (words.length > 2 && isSaid);
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

/**
 * Rows without heads read as lines of clubs, under heads of their own; undefined where most of them are none.
 * What cannot be read of a row is left to be fixed.
 */
export function asClubLines(cells: readonly (readonly string[])[]): string[][] | undefined {
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
  // A putter is often named and nothing else.
  const isNameAlone = (line: string) => !/\d/.test(line) && kindFromName(line) !== undefined;
  const telling = bySpace.filter((line) => line !== '' && !isNameAlone(line) && !isRemark(line)).length;
  // Cells side by side are the sheet's own columns, unless their lines can be read.
  const found = (isOneColumn ? rows : read.map((row, i) => row ?? unknown[i])).filter(Boolean).length;
  // One club at least is called what clubs are called: other text has numbers at its ends too.
  if (telling === 0 || found < MIN_SHARE * telling || !named.some(Boolean)) return undefined;
  return underHeads(bySpace, rows);
}
