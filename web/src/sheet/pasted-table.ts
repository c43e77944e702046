import {
  columnOf,
  isBlankRow,
  lineOfRow,
  planImport,
  readClubTable,
  type ClubView,
  type HeadedCells,
  type ImportPlan,
  type RecognisedColumn,
  type TableOptions,
} from '@tasche/contract';
import { LOFT_KEYS, type LoftKey } from '@tasche/core';
import type { SheetColumn } from './sheet-columns';

/** Rows of clubs from elsewhere: pasted, from a file, or fixed after they were refused. */
export interface PastedTable {
  heads: readonly string[];
  columns: readonly (RecognisedColumn | undefined)[];
  rows: readonly PastedRow[];
  /** Its lofts do not say which of a club's lofts they are. */
  looseLofts: boolean;
  /** What is said around the lines of a message, and is no club. */
  remarks?: readonly string[];
}

export interface PastedRow {
  cells: readonly string[];
  /** The line of the text it stood in, from 1. */
  line: number;
}

export function isLoftKey(key: string): key is LoftKey {
  return (LOFT_KEYS as readonly string[]).includes(key);
}

/** Whether a table has one column of lofts, which does not say what they are. */
function namesLoftOnly({ heads, columns }: Pick<PastedTable, 'heads' | 'columns'>): boolean {
  const lofts = columns.flatMap((found, i) => (found && isLoftKey(found.column.id) ? [heads[i]!] : []));
  return lofts.length === 1 && /^lofts?\b(?!.*stamp)/i.test(lofts[0]!.trim());
}

const named = (id: 'clubId' | 'name'): RecognisedColumn => ({ column: columnOf(id)!, units: {} });

/**
 * Cells under heads, row by row; empty ones, and those of other players, are none. Where no column names the
 * club there is one more, in which it can be given.
 */
export function withHeads({ cells, ...given }: HeadedCells): PastedTable {
  const names = given.columns.some((found) => found?.column.id === 'name' || found?.column.id === 'clubId');
  const heads = names ? given.heads : [...given.heads, 'club'];
  const columns = names ? given.columns : [...given.columns, named('name')];
  const rows = cells
    .map((row, i): PastedRow => ({ cells: row, line: lineOfRow(given, i) }))
    .filter((row) => !isBlankRow(row.cells));
  const { remarks = [] } = given;
  return { heads, columns, rows, looseLofts: namesLoftOnly({ heads, columns }), remarks };
}

/**
 * Lines up bare cells with the columns on screen; rows that name no club belong to the clubs they were pasted
 * over.
 * @param row the row of the sheet the first of them goes to, and `column` the column
 */
export function withoutHeads(
  cells: readonly (readonly string[])[],
  row: number,
  column: number,
  clubs: readonly ClubView[],
  columns: readonly SheetColumn[],
): PastedTable {
  const shown = columns.slice(column);
  const club = clubs[row] ?? clubs[0];
  const written = shown.map((one): RecognisedColumn | undefined => {
    const to =
      one.id === 'loft' ? columnOf('loftStampedDeg') : club ? one.writes(club, '') : columnOf(one.id);
    return to && { column: to, units: {} };
  });
  const heads = shown.map((one) => one.head);
  const filled = (rows: PastedRow[]) => rows.filter(({ line }) => !isBlankRow(cells[line - 1]!));
  if (written[0]?.column.id === 'name')
    return {
      heads,
      columns: written,
      rows: filled(cells.map((line, i) => ({ cells: line, line: i + 1 }))),
      looseLofts: true,
    };
  return {
    heads: ['club id', 'club', ...heads],
    columns: [named('clubId'), named('name'), ...written],
    // A row below the last club has no club: its name can be given.
    rows: filled(cells.map((line, i) => ({ cells: [clubs[row + i]?.id ?? '', '', ...line], line: i + 1 }))),
    looseLofts: true,
  };
}

/** What a table would do to the clubs there are; its rows count as in the table. */
export function planOf(
  { heads, columns, rows, looseLofts }: PastedTable,
  clubs: readonly ClubView[],
  options: TableOptions,
): ImportPlan {
  const cells = rows.map((row) => row.cells);
  return planImport(readClubTable(cells, columns, heads, options), clubs, { looseLofts });
}
