/** Rows with one of them changed. */
export function mapRow<T extends { id: string }>(
  rows: readonly T[],
  id: string,
  change: (row: T) => T,
): readonly T[] {
  return rows.map((row) => (row.id === id ? change(row) : row));
}

/** Rows with one more, unless it is there. */
export function withRow<T extends { id: string }>(rows: readonly T[], row: T): readonly T[] {
  return rows.some(({ id }) => id === row.id) ? rows : [...rows, row];
}

export function withoutRow<T extends { id: string }>(rows: readonly T[], id: string): readonly T[] {
  return rows.filter((row) => row.id !== id);
}
