import { NUMBER, valueOf } from './club-line-numbers.js';

/** Lengths of clubs, putters and broomsticks among them. */
const LENGTHS = { '"': [31, 50], cm: [79, 127] } as const;
/** The longest of a bag over the shortest, no putter among them: lofts and carries differ by more. */
const MAX_SPREAD = 1.4;
/** Fewer clubs, two wedges for one, may carry as alike as their lengths are. */
const MIN_CLUBS = 5;

/**
 * Rows of numbers without heads, the cells of a column that can only be the clubs' lengths with their unit behind
 * them: all of them in a range of lengths, and all much alike, while a column beside it is not.
 */
export function withLengthUnits(rows: readonly (readonly string[])[]): readonly (readonly string[])[] {
  const widest = Math.max(0, ...rows.map((row) => row.length));
  const numbers = Array.from({ length: widest }, (_none, column) =>
    rows.map((row) => (row[column] ?? '').trim()).filter((cell) => NUMBER.test(cell)),
  );
  const spreadOf = (cells: readonly string[]) =>
    Math.max(...cells.map(valueOf)) / Math.min(...cells.map(valueOf));
  const isOther = (cells: readonly string[]) => cells.length >= MIN_CLUBS && spreadOf(cells) > MAX_SPREAD;
  for (const [column, cells] of numbers.entries()) {
    if (column === 0 || cells.length < MIN_CLUBS || spreadOf(cells) > MAX_SPREAD || !numbers.some(isOther))
      continue;
    const unit = (['"', 'cm'] as const).find((one) =>
      cells.every((cell) => valueOf(cell) >= LENGTHS[one][0] && valueOf(cell) <= LENGTHS[one][1]),
    );
    if (!unit) continue;
    return rows.map((row) =>
      row.map((cell, at) => (at === column && NUMBER.test(cell.trim()) ? `${cell.trim()}${unit}` : cell)),
    );
  }
  return rows;
}
