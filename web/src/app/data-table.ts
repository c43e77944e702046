/**
 * A column of a table that is only read. Its cells are the value as text, or what the page puts in the slot
 * of its id.
 */
export interface DataColumn<R> {
  id: string;
  head: string;
  /** What the head means, where one word does not say it. */
  hint?: string;
  align?: 'left' | 'right' | 'center';
  /** A column of buttons: its head is only for those who cannot see them. */
  isActions?: boolean;
  /** Its text may run over several lines; anything else stays on one. */
  isLong?: boolean;
  /** It says what its row is about. */
  isRowHead?: boolean;
  /** A class of its cells, for the page's style. */
  cellClass?: string | ((row: R) => string);
  /** A class of its head and its cells. */
  columnClass?: string;
  /**
   * What the cell holds: shown where the page has no slot for it, and what rows are ordered by. Left out, it
   * orders nothing.
   */
  value?: (row: R) => string | number | null | undefined;
}

/** Of a column of numbers: they stand under each other by their ends. */
export const FIGURES = { align: 'right' } as const;

/** A column rows are ordered by, and whether from the largest down. */
export interface DataOrder {
  id: string;
  isDescending: boolean;
}

/**
 * Rows in the order of a column; what has no value there comes last either way. Equal ones stay as they were.
 */
export function ordered<R>(
  rows: readonly R[],
  value: NonNullable<DataColumn<R>['value']>,
  isDescending: boolean,
): R[] {
  const has = (one: string | number | null | undefined): one is string | number =>
    one !== null && one !== undefined && one !== '';
  return rows.toSorted((a, b) => {
    const [x, y] = [value(a), value(b)];
    if (!has(x) || !has(y)) return Number(has(y)) - Number(has(x));
    const order =
      typeof x === 'number' && typeof y === 'number'
        ? x - y
        : String(x).localeCompare(String(y), undefined, { numeric: true });
    return isDescending ? -order : order;
  });
}

/** What pressing a head does: from the smallest up, then from the largest down, then as the rows came. */
export function nextOrder(order: DataOrder | null, id: string): DataOrder | null {
  if (order?.id !== id) return { id, isDescending: false };
  return order.isDescending ? null : { id, isDescending: true };
}
