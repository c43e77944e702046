import { kindFromName } from '@tasche/core';
import {
  planImport,
  readClubTable,
  readHeads,
  type ClubTable,
  type ImportPlan,
  type TableOptions,
} from './club-rows.js';
import { isPlainClub } from './club-line-parts.js';
import { asClubLines } from './club-lines.js';
import { underSpacedHeads } from './one-club-a-line.js';
import { isRemark } from './remark.js';
import { personKeys } from './same-name.js';
import { PLAYER_WORDS } from './heads-in-other-languages.js';
import { columnOf, type RecognisedColumn } from './columns.js';
import { TableError, isBlankRow, splitTable } from './split-table.js';

/** A title, a date, an empty line: no more than so many stand above the heads. */
const MAX_LINES_ABOVE = 20;
const MAX_ROWS = 2000;
/** This many names are looked at, to tell whether a column names clubs. */
const SAMPLED_NAMES = 40;
const PLAYER_HEAD = new RegExp(`^(${PLAYER_WORDS})s?('?s? name)?$`, 'i');
const FIRST_NAME_HEAD = /^((first|given) ?name|vorname|prénom)$/i;
const LAST_NAME_HEAD = /^((last|family|sur) ?name|nachname|familienname|nom)$/i;

/** Cells under the heads that name their columns. */
export interface HeadedCells {
  heads: readonly string[];
  columns: readonly (RecognisedColumn | undefined)[];
  cells: readonly (readonly string[])[];
  /** The line of the text the first of the cells stands in, from 1. */
  firstLine: number;
  /** The line each of the cells stands in, where some stand in one. */
  lines?: readonly number[];
  /** The clubs stood side by side, their values beneath each other. */
  isTurned: boolean;
  /** The column that says whose club a row is, where there is one. */
  playerColumn: number | undefined;
  /** What is said around the lines of a message, and was left out. */
  remarks?: readonly string[];
}

/**
 * The heads of a table, which may stand under a title or down its side; undefined where nothing names its
 * columns.
 */
export function findHeads(cells: readonly (readonly string[])[]): HeadedCells | undefined {
  const spaced = underSpacedHeads(cells);
  if (spaced) return findHeads(spaced);
  const known = (heads: readonly string[] | undefined) => readHeads(heads ?? [])?.filter(Boolean).length ?? 0;
  const line = cells.slice(0, MAX_LINES_ABOVE).findIndex((row) => known(row) > 0);
  const upright = line === -1 ? 0 : known(cells[line]);
  if (upright > 1) return headed(cells, line, false);
  const rows = cells.filter((row) => !isBlankRow(row));
  // A title stands alone in its line.
  const side = rows.slice(rows.findIndex((row) => row.filter((cell) => cell.trim() !== '').length > 1));
  const widest = Math.max(0, ...side.map((row) => row.length));
  const turned = Array.from({ length: widest }, (_none, column) => side.map((row) => row[column] ?? ''));
  // "Club, Driver, 3 wood": one head is known beside the clubs' names, and more beneath it.
  if (known(turned[0]) > upright) return headed(turned, 0, true);
  return upright > 0 ? headed(cells, line, false) : undefined;
}

/**
 * Rows without heads that read as lines of clubs: a name with a loft, a carry or both; undefined where they do
 * not.
 */
export function findClubLines(cells: readonly (readonly string[])[]): HeadedCells | undefined {
  const lines = asClubLines(cells);
  // No line of the text is the heads.
  const remarks = cells.map((row) => row.join(', ').trim()).filter((line) => line !== '' && isRemark(line));
  return (
    lines && {
      ...headed([lines.heads, ...lines.rows], 0, false),
      firstLine: 1,
      lines: lines.from.map((i) => i + 1),
      remarks,
    }
  );
}

/** The line under the heads of a table drawn in text: "|---|:--:|". */
function isRule(row: readonly string[]): boolean {
  const said = row.map((cell) => cell.trim()).filter((cell) => cell !== '');
  return said.length > 0 && said.every((cell) => /^:?-{2,}:?$/.test(cell));
}

/** First and last names in columns of their own, as one name in the first of them. */
function withWholeNames(rows: readonly (readonly string[])[]): (readonly string[])[] {
  const [heads = [], ...cells] = rows;
  const columnOfHead = (head: RegExp) => heads.findIndex((one) => head.test(one.trim()));
  const [first, last] = [columnOfHead(FIRST_NAME_HEAD), columnOfHead(LAST_NAME_HEAD)];
  if (first === -1 || last === -1) return [...rows];
  const put = (row: readonly string[], name: string) =>
    row.map((cell, i) => (i === first ? name : i === last ? '' : cell));
  const nameIn = (row: readonly string[]) => `${row[first] ?? ''} ${row[last] ?? ''}`.trim();
  return [put(heads, 'Player'), ...cells.map((row) => put(row, nameIn(row)))];
}

/** A player named once stands for the rows beneath, as in a sheet whose cells were merged. */
function filledDown(
  cells: readonly (readonly string[])[],
  playerColumn: number | undefined,
): readonly (readonly string[])[] {
  if (playerColumn === undefined) return cells;
  let player = '';
  return cells.map((row) => {
    if (isBlankRow(row)) return row;
    const said = row[playerColumn]?.trim() ?? '';
    if (said !== '') player = said;
    if (said !== '' || player === '') return row;
    // The row may end before that column.
    return Array.from({ length: Math.max(row.length, playerColumn + 1) }, (_cell, i) =>
      i === playerColumn ? player : (row[i] ?? ''),
    );
  });
}

function headed(all: readonly (readonly string[])[], line: number, isTurned: boolean): HeadedCells {
  const [heads, ...rows] = withWholeNames(all.slice(line)) as [readonly string[], ...(readonly string[])[]];
  const cells = rows.map((row) => (isRule(row) ? [] : row));
  const columns = [...readHeads(heads)!];
  const names = columns.flatMap((found, i) => (found?.column.id === 'name' ? [i] : []));
  // "Name, Club, Loft": the name is the player's.
  const namesPlayer = names.length === 2 ? names.find((i) => /^name$/i.test(heads[i]!.trim())) : undefined;
  const playerHead = heads.findIndex(
    (head, i) => !columns[i] && (PLAYER_HEAD.test(head.trim()) || LAST_NAME_HEAD.test(head.trim())),
  );
  const playerColumn = namesPlayer ?? (playerHead === -1 ? undefined : playerHead);
  if (namesPlayer !== undefined) columns[namesPlayer] = undefined;
  if (!columns.some((found) => found?.column.id === 'name' || found?.column.id === 'clubId')) {
    const shares = heads.map((_head, i) => (columns[i] || i === playerColumn ? 0 : clubNamesIn(cells, i)));
    const most = Math.max(...shares);
    if (most >= 0.5) columns[shares.indexOf(most)] = { column: columnOf('name')!, units: {} };
  }
  return {
    heads,
    columns,
    cells: filledDown(cells, playerColumn),
    firstLine: line + 2,
    isTurned,
    playerColumn,
  };
}

/**
 * The share of what stands in a column that is the name of a club, from 0 to 1. A bare number may be anything,
 * and a letter a flex.
 */
function clubNamesIn(cells: readonly (readonly string[])[], column: number): number {
  const said = cells.map((row) => row[column]?.trim() ?? '').filter((name) => name !== '');
  const sample = said.slice(0, SAMPLED_NAMES);
  return (
    sample.filter((name) => !/^(\d+|.)$/.test(name) && kindFromName(name)).length / Math.max(sample.length, 1)
  );
}

const plainName = (name: string) => personKeys(name)[0]!;

/** The players the rows are of, each as they are first written; empty where nothing says so. */
export function playersOf({ cells, playerColumn }: HeadedCells): string[] {
  if (playerColumn === undefined) return [];
  const found = new Map<string, string>();
  for (const row of cells) {
    const name = row[playerColumn]?.trim() ?? '';
    if (name !== '' && !found.has(plainName(name))) found.set(plainName(name), name);
  }
  return [...found.values()];
}

/**
 * The table with the rows of one player: those of others are left empty. One of a single player stays as it is.
 * @throws TableError where rows are of several players and none of them is the one wanted
 */
export function ofPlayer(table: HeadedCells, player = ''): HeadedCells {
  const { playerColumn } = table;
  if (playerColumn === undefined) return table;
  const heads = table.heads.map((head, i) => (i === playerColumn ? '' : head));
  const players = playersOf(table);
  if (players.length < 2) return { ...table, heads };
  if (!players.some((name) => plainName(name) === plainName(player)))
    throw new TableError(
      `the rows are of ${players.length} players (${players.slice(0, 5).join(', ')}${players.length > 5 ? '…' : ''}), none of them called “${player}”`,
    );
  const cells = table.cells.map((row) =>
    plainName(row[playerColumn] ?? '') === plainName(player) ? row : [],
  );
  return { ...table, heads, cells };
}

/**
 * The table in the text of a file whose columns are named.
 * @throws TableError when nothing names its columns, no column names the club, or there are too many rows
 */
export function headedText(text: string): HeadedCells {
  const cells = splitTable(text);
  const table = findHeads(cells) ?? findClubLines(cells);
  if (!table) throw new TableError('no row names the columns, one of them "club"');
  const ids = table.columns.map((found) => found?.column.id);
  if (!ids.includes('name') && !ids.includes('clubId'))
    throw new TableError('no column names the club; call one "club"');
  const twice = table.columns.find((found, i) => found && ids.indexOf(found.column.id) !== i);
  if (twice) throw new TableError(`two columns are the ${twice.column.label}`);
  const rows = table.cells.filter((row) => !isBlankRow(row)).length;
  if (rows > MAX_ROWS) throw new TableError(`${rows} rows, at most ${MAX_ROWS} at a time`);
  return table;
}

/**
 * Reads the text of a file whose columns are named.
 * @param player whose rows are wanted, where they are of several
 * @throws TableError as `headedText` and `ofPlayer` do
 */
export function readClubText(text: string, options: TableOptions, player?: string): ClubTable {
  const { heads, columns, cells, firstLine, lines } = ofPlayer(headedText(text), player);
  return { ...readClubTable(cells, columns, heads, options), firstLine, ...(lines && { lines }) };
}

/**
 * One club typed with how far it goes: "Driver 10.5 245", "7i 155".
 * @returns undefined where no carry is said, so that "SW 56" and "Hybrid 22" stay names, and where a part of the
 * line cannot be read or may be something else: "7 iron Rohr 120"
 */
export function readTypedClub(text: string, options: TableOptions): ImportPlan['adds'][number] | undefined {
  const table = findClubLines(splitTable(text));
  if (!table) return undefined;
  const { adds, rejected } = planImport(readClubTable(table.cells, table.columns, table.heads, options), []);
  const [club, ...others] = adds;
  const saysCarry = club?.readings.some(({ key }) => key === 'shot.full');
  const isSure = club !== undefined && isPlainClub(club.name) && others.length + rejected.length === 0;
  return isSure && saysCarry ? club : undefined;
}
