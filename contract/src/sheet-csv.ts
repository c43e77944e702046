import type { numberIn } from '@tasche/core';
import { shotIn, type DistanceUnit, type Spec } from '@tasche/core';
import Papa from 'papaparse';
import { writeCell, type CellValue } from './cells.js';
import { readClubTable, readHeads, type ClubTable, type TableOptions } from './club-rows.js';
import { COLUMNS, columnHead, type Column } from './columns.js';
import type { ClubView } from './views.js';

/** A file that cannot be read as a table at all. */
export class TableError extends Error {
  override readonly name = 'TableError';
}

const MAX_ROWS = 2000;
/** Every column there is, and as many that are not ours. */
const MAX_COLUMNS = 300;
/** Lines of one quoted cell: a note may have some. */
const MAX_CELL_LINES = 100;

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

/** Cells of a comma-, semicolon- or tab-separated text. */
export function splitTable(text: string): string[][] {
  const clean = text.replace(/^\uFEFF/, '');
  const { data, errors } = Papa.parse<string[]>(clean, {
    skipEmptyLines: 'greedy',
    delimitersToGuess: ['\t', ';', ',', '|'],
  });
  const broken = errors.find((error) => error.type === 'Quotes');
  if (broken) throw new TableError(`row ${(broken.row ?? 0) + 1}: ${broken.message}`);
  const wide = data.findIndex((row) => row.length > MAX_COLUMNS);
  if (wide !== -1)
    throw new TableError(`row ${wide + 1} holds ${data[wide]!.length} cells, at most ${MAX_COLUMNS}`);
  const long = data.findIndex((row) =>
    row.some((cell) => cell.split('\n', MAX_CELL_LINES + 2).length > MAX_CELL_LINES),
  );
  if (long !== -1)
    throw new TableError(`row ${long + 1}: a quote is opened and not closed within ${MAX_CELL_LINES} lines`);
  return data;
}

/**
 * Reads a file with heads in its first row.
 * @throws TableError when it has none, or too many rows
 */
export function readSheetCsv(text: string, options: TableOptions): ClubTable {
  const [heads, ...rows] = splitTable(text);
  const columns = heads && readHeads(heads);
  if (!heads || !columns) throw new TableError('the first row must name the columns, one of them "club"');
  if (!columns.some((found) => found?.column.id === 'name' || found?.column.id === 'clubId')) {
    throw new TableError('no column names the club; call one "club"');
  }
  const twice = columns.find(
    (found, i) => found && columns.findIndex((other) => other?.column.id === found.column.id) !== i,
  );
  if (twice) throw new TableError(`two columns are the ${twice.column.label}`);
  if (rows.length > MAX_ROWS) throw new TableError(`${rows.length} rows, at most ${MAX_ROWS} at a time`);
  return readClubTable(rows, columns, heads, options);
}
