import type { numberIn } from '@tasche/core';
import { shotIn, type DistanceUnit, type Spec } from '@tasche/core';
import Papa from 'papaparse';
import { writeCell, type CellValue } from './cells.js';
import { COLUMNS, columnHead, type Column } from './columns.js';
import type { ClubView } from './views.js';

/**
 * The sheet as CSV: a row a club, a column for everything that is known of any, units in the heads.
 * Reading it back gives the same values.
 */
export function writeSheetCsv(clubs: readonly ClubView[], distanceUnit: DistanceUnit): string {
  const columns = COLUMNS.filter((column) => clubs.some((club) => cellOf(club, column) !== undefined));
  const rows = clubs.map((club) =>
    columns.map((column) => {
      const value = cellOf(club, column);
      return value === undefined ? '' : writeCell(column, value, distanceUnit);
    }),
  );
  return Papa.unparse(
    { fields: columns.map((column) => columnHead(column, distanceUnit)), data: rows },
    { newline: '\r\n' },
  );
}

/** What a club says in a column, or undefined. */
function cellOf(
  club: Pick<ClubView, 'id' | 'name' | 'kind' | 'spec'>,
  column: Column,
): CellValue | undefined {
  switch (column.type) {
    case 'club':
      return column.id === 'clubId' ? club.id : club[column.id as 'name' | 'kind'];
    case 'quantity':
      return quantityCell(club.spec, column.id);
    case 'shot': {
      const key = `shot.${column.shotKind}` as const;
      return column.part === 'takenOn' ? club.spec[key]?.takenOn : shotIn(club.spec, key)?.[column.part];
    }
  }
}

function quantityCell(spec: Spec, key: Parameters<typeof numberIn>[1]): CellValue | undefined {
  const value = spec[key]?.value;
  return typeof value === 'object' ? undefined : value;
}
