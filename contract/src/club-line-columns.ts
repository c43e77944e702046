import { kindFromName, usualLoftOf, type ClubKind } from '@tasche/core';
import { lineOf, saysMore, withBracketedLoft } from './club-line-name.js';
import { isCarry, isCarryOfColumn, isLoft, isMarkedLoft, NUMBER, valueOf } from './club-line-numbers.js';
import { isPlainClub, type ClubLine } from './club-line-parts.js';
import { MAX_CHARACTERS, wordsOf } from './club-line-words.js';
import { withoutListMarks } from './list-marks.js';

/** So much of what is pasted must read as lines of clubs. */
export const MIN_SHARE = 0.6;

/** Beside carries, a number under this share of the shortest of them is a loft. Our choice. */
const MIN_OF_SHORTEST = 0.6;

/** The shortest of a column's numbers that can be nothing but a carry; infinite where there is none. */
function shortestCarry(cells: readonly string[], kinds: readonly (ClubKind | undefined)[]): number {
  const carries = cells.filter((cell, i) => {
    const kind = kinds[i];
    return kind !== undefined && isCarry(cell, kind) && !isLoft(cell, kind);
  });
  return Math.min(...carries.map((cell) => Number.parseFloat(cell.replace('~', ''))));
}

/**
 * Cells side by side, each row's numbers being what most of their column are: in a column of carries the 45 of a
 * sand wedge is a carry, and not its loft.
 * @returns undefined for a row that does not fit its columns
 */
export function byColumns(cells: readonly (readonly string[])[]): (ClubLine | undefined)[] {
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
  const carryColumn = first === 'carry' ? 1 : 2;
  const shortest = shortestCarry(
    plain.map((row) => row[carryColumn] ?? ''),
    kinds,
  );
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
    const isLoftRather = loft === '' && isLoft(carry, kind) && valueOf(carry) < MIN_OF_SHORTEST * shortest;
    if (!fits || isLoftRather) return undefined;
    return loft === '' ? withBracketedLoft(name, carry) : lineOf(name, loft, carry);
  });
}

/** A line that ends in two numbers, as the cells they would stand in: club, loft, carry. */
export function inThree(line: string): string[] {
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
export function inTwo(line: string): string[] | undefined {
  if (line.length > MAX_CHARACTERS) return undefined;
  const parts = line.split(BETWEEN).map((part) => part.trim());
  return parts.length === 2 && parts.every((part) => part !== '') ? parts : undefined;
}

/** The loft of a wedge may differ so much from what is usual for its name. Degrees. */
const MAX_OFF_USUAL_DEG = 4.5;
/**
 * A club and one number that can be its carry only, as cells: "7i 165", "LW 50"; none where it may be a loft: "7i 33",
 * "SW 56".
 */
export function nameAndNumber(line: string): string[] {
  const words = wordsOf(line);
  const [name, last] = [words.slice(0, -1).join(' '), words.at(-1) ?? ''];
  const kind = kindFromName(name);
  // "50 50 119" ends in a loft and a carry.
  if (words.length > 2 && NUMBER.test(words.at(-2)!)) return [];
  if (!kind || !NUMBER.test(last) || isMarkedLoft(words[0]!) || !isPlainClub(name)) return [];
  const usual = usualLoftOf({ kind, name });
  const isCarryOnly =
    kind === 'wedge'
      ? usual !== undefined && Math.abs(valueOf(last) - usual) > MAX_OFF_USUAL_DEG
      : isCarry(last, kind) && !isLoft(last, kind);
  return isCarryOnly ? [name, last] : [];
}
