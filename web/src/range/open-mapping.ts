import type { ColumnMapping, FileMapping } from '@tasche/contract';

/** How a file is read, while the user sets it. */
export type OpenMapping = { columns: readonly ColumnMapping[] } & Omit<FileMapping, 'columns'>;

export const NO_MAPPING: OpenMapping = {
  columns: [],
  decimal: '.',
  dates: 'day first',
  unitRows: 0,
  leftIsPositive: false,
};
