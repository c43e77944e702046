import { NUMBER, valueOf } from './club-line-numbers.js';

/** Lengths of clubs, putters and broomsticks among them. */
const LENGTHS = { '"': [31, 50], cm: [79, 127] } as const;
/** The longest of a bag over the shortest, no putter among them: lofts and carries differ by more. */
const MAX_SPREAD = 1.4;
/** Fewer clubs, two wedges for one, may carry as alike as their lengths are. */
const MIN_CLUBS = 5;

/**
 * Rows of numbers without heads, the cells of a column that can only be the clubs' lengths with their unit behind
 * them: all of them in a range of lengths and much alike, beside a column of carries, which are larger and differ by
 * more, and growing with them. Lofts fall where carries grow; the carries of a short hitter's irons have none beside
 * them.
 */
export function withLengthUnits(rows: readonly (readonly string[])[]): readonly (readonly string[])[] {
  const widest = Math.max(0, ...rows.map((row) => row.length));
  const columns = Array.from({ length: widest }, (_none, column) =>
    rows.map((row) => {
      const cell = (row[column] ?? '').trim();
      return NUMBER.test(cell) ? valueOf(cell) : undefined;
    }),
  );
  for (const [column, values] of columns.entries()) {
    const lengths = values.filter((value) => value !== undefined);
    if (column === 0 || lengths.length < MIN_CLUBS || spreadOf(lengths) > MAX_SPREAD) continue;
    const unit = (['"', 'cm'] as const).find((one) =>
      lengths.every((length) => length >= LENGTHS[one][0] && length <= LENGTHS[one][1]),
    );
    if (!unit || !columns.some((others) => areCarries(others, values))) continue;
    return rows.map((row) =>
      row.map((cell, at) => (at === column && NUMBER.test(cell.trim()) ? `${cell.trim()}${unit}` : cell)),
    );
  }
  return rows;
}

const spreadOf = (values: readonly number[]) => Math.max(...values) / Math.min(...values);

/** Whether numbers can be what clubs of these lengths carry. */
function areCarries(
  others: readonly (number | undefined)[],
  lengths: readonly (number | undefined)[],
): boolean {
  const both = others.flatMap((other, i) =>
    other === undefined || lengths[i] === undefined ? [] : [{ other, length: lengths[i] }],
  );
  const carries = both.map(({ other }) => other).sort((a, b) => a - b);
  const middle = carries[Math.floor(carries.length / 2)] ?? 0;
  if (both.length < MIN_CLUBS || spreadOf(carries) <= MAX_SPREAD) return false;
  const together = both
    .slice(1)
    .map(({ other, length }, i) => Math.sign((other - both[i]!.other) * (length - both[i]!.length)));
  return middle > Math.max(...both.map(({ length }) => length)) && together.reduce((a, b) => a + b, 0) > 0;
}
