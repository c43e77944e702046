import { kindFromName } from '@tasche/core';
import { asClubLines } from './club-lines.js';
import { findHeads, headedText, ofPlayer, playersOf, type HeadedCells } from './club-text.js';
import { lineOfRow, SAYS_NOTHING } from './club-rows.js';
import { columnOf, recogniseHead, type RecognisedColumn } from './columns.js';
import { PLAYER_WORDS } from './heads-in-other-languages.js';
import { TableError, isBlankRow, splitTable } from './split-table.js';

type Cells = readonly (readonly string[])[];

/** A player of a list, with a table of their clubs. */
export interface PlayerCells {
  player: string;
  table: HeadedCells;
  /** The line of the text a row of that table stands in, from 1. */
  lineOf: (row: number) => number;
}

/** The bags of several players in one text. */
export interface SeveralPlayers {
  players: readonly PlayerCells[];
  /** Lines that are of no player: they stand above the first. */
  unnamedLines: readonly number[];
}

/**
 * The clubs of several players as people keep them: a column that says whose a row is; each player's name above
 * their clubs; or a table of carries with the players along one side and the clubs along the other.
 * @throws TableError where it is no table of clubs, or nothing says whose club a row is
 */
export function severalPlayers(text: string): SeveralPlayers {
  const all = splitTable(text);
  const grid = carryGrid(all);
  if (grid) return { players: grid, unnamedLines: [] };
  const table =
    withoutHeads(findHeads(all) ? all : withNamesApart(all)) ?? withNamedParts(headedText(text), all);
  const { playerColumn, cells } = table;
  if (playerColumn === undefined)
    throw new TableError(
      'no column says whose club a row is; call one "player". One player’s clubs are imported on their bag’s page',
    );
  const isNamed = (row: readonly string[]) => (row[playerColumn] ?? '').trim() !== '';
  const named = { ...table, cells: cells.map((row) => (isNamed(row) ? row : [])) };
  return {
    players: playersOf(named).map((player) => ({
      player,
      table: ofPlayer(named, player),
      lineOf: (row) => lineOfRow(table, row),
    })),
    unnamedLines: cells.flatMap((row, i) => (isBlankRow(row) || isNamed(row) ? [] : [lineOfRow(table, i)])),
  };
}

/** So many of the cells that should name clubs, or hold carries, must do so. Our choice. */
const MIN_SHARE = 0.6;
const share = <T>(list: readonly T[], isOne: (one: T) => boolean) =>
  list.filter(isOne).length / Math.max(1, list.length);

/** A longer line is a sentence. */
const MAX_NAME_CHARACTERS = 60;
/** What parts of one player's bag are called. */
const PART_OF_BAG =
  /\b(bags?|gamers?|lockers?|back-?ups?|spares?|reserves?|others?|rest|clubs?|set|notes?)\b/i;

const NAMED_PLAYER = new RegExp(`^(${PLAYER_WORDS}|name)\\s*:`, 'i');
/** What stands behind a heading, or makes it bold. */
const MARKS = '#*_: ';

/** The name a line says and nothing else: "Ann Bell", "## Ann Bell", "Player: Ann Bell:". */
function nameInLine(row: readonly string[]): string | undefined {
  const said = row.map((cell) => cell.trim()).filter((cell) => cell !== '');
  if (said.length !== 1 || said[0]!.length > MAX_NAME_CHARACTERS) return undefined;
  const letters = [...said[0]!.replace(/^[#*_\s]+/, '').replace(NAMED_PLAYER, '')];
  const end = letters.findLastIndex((letter) => !MARKS.includes(letter));
  const name = letters
    .slice(0, end + 1)
    .join('')
    .trim();
  const isName = /\p{L}{2}/u.test(name) && !/\d/.test(name);
  return isName && !PART_OF_BAG.test(name) && kindFromName(name) === undefined ? name : undefined;
}

/** A table in which each player's name stands above their clubs, with a column that says it in each row. */
function withNamedParts(table: HeadedCells, all: Cells): HeadedCells {
  const clubColumn = table.columns.findIndex((found) => found?.column.id === 'name');
  if (table.playerColumn !== undefined || clubColumn === -1) return table;
  const isHeads = (row: readonly string[]) => row.join('\t').trim() === table.heads.join('\t').trim();
  const isClub = (row: readonly string[] | undefined) => kindFromName(row?.[clubColumn] ?? '') !== undefined;
  const nameAt = (rows: Cells, i: number) => {
    const name = nameInLine(rows[i]!);
    if (name === undefined) return undefined;
    const next = rows.slice(i + 1).find((row) => !isBlankRow(row) && !isHeads(row));
    return isClub(next) ? name : undefined;
  };
  const above = all.slice(0, table.firstLine - 1).findLastIndex((row) => !isBlankRow(row) && !isHeads(row));
  let player = (above === -1 ? undefined : nameAt(all, above)) ?? '';
  const named = new Set(player === '' ? [] : [player]);
  const cells = table.cells.map((row, i) => {
    const name = nameAt(table.cells, i);
    if (name !== undefined) {
      player = name;
      named.add(name);
    }
    if (name !== undefined || isBlankRow(row) || isHeads(row)) return [];
    return [...table.heads.map((_head, column) => row[column] ?? ''), player];
  });
  if (named.size < 2) return table;
  return {
    ...table,
    heads: [...table.heads, 'Player'],
    columns: [...table.columns, undefined],
    cells,
    playerColumn: table.heads.length,
  };
}

/** "Ann Bell: Driver 230, 7i 150": a player a line, the name in a cell of its own. */
function withNamesApart(all: Cells): Cells {
  const apart = all.map((row) => {
    const [, name = '', clubs = ''] =
      /^([^\d:]{3,60}?)(?: ?:| [-–—]) (.+)$/.exec(row.join(', ').trim().replace(/ {2,}/g, ' ')) ?? [];
    return nameInLine([name]) !== undefined && /\d/.test(clubs) ? [name.trim(), clubs] : undefined;
  });
  const filled = all.filter((row) => !isBlankRow(row)).length;
  const named = apart.filter((row) => row !== undefined).length;
  return named > 1 && named >= MIN_SHARE * filled ? all.map((row, i) => apart[i] ?? row) : all;
}

/** Rows without heads: a player, then a club as a line of a message says it. "Ann Bell, Driver, 10.5, 230" */
function withoutHeads(all: Cells): HeadedCells | undefined {
  const filled = all.filter((row) => !isBlankRow(row));
  const isClub = ([, club = '']: readonly string[]) => kindFromName(club) !== undefined;
  const isName = ([name = '']: readonly string[]) =>
    name.trim() === '' || (/\p{L}{2}/u.test(name) && kindFromName(name) === undefined);
  if (filled.length < 2 || findHeads(all) || !filled.every(isName) || share(filled, isClub) < MIN_SHARE)
    return undefined;
  const found = asClubLines(all.map((row) => row.slice(1)));
  if (!found) return undefined;
  const { heads, rows, from } = found;
  const table = findHeads([['Player', ...heads], ...rows.map((row, i) => [all[from[i]!]![0] ?? '', ...row])]);
  return table && { ...table, firstLine: 1, lines: from.map((i) => i + 1) };
}

const CORNER = new RegExp(`^(clubs?|players|name|${PLAYER_WORDS}|)$`, 'i');
const MAX_GRID_ROWS = 500;
const CARRY = /^~?\d{2,3}([.,]\d+)?(\s*[-–]\s*\d{2,3})?\s*(y|yd|yds|m)?$/i;

/** A grid of carries, players by clubs or clubs by players; undefined where it is none. */
function carryGrid(all: Cells): PlayerCells[] | undefined {
  const line = all.findIndex((row) => row.filter((cell) => cell.trim() !== '').length > 1);
  if (line === -1 || all.length > MAX_GRID_ROWS) return undefined;
  const rows = all.slice(line);
  const upright = clubsByPlayers(rows, (row) => row + line + 2);
  if (upright) return upright;
  const widest = Math.max(...rows.map((row) => row.length));
  const turned = Array.from({ length: widest }, (_none, i) => rows.map((row) => row[i]?.trim() ?? ''));
  return clubsByPlayers(turned, (_row, column) => line + 1 + column);
}

/** @param lineOf the line of the text a cell of the grid stands in, by its row under the heads and its column */
function clubsByPlayers(
  rows: Cells,
  lineOf: (row: number, column: number) => number,
): PlayerCells[] | undefined {
  const corner = rows[0]![0]?.trim() ?? '';
  // Empty columns beside the grid, or empty rows between its players, say nothing.
  const players = rows[0]!.flatMap((cell, column) =>
    column > 0 && cell.trim() !== '' ? [{ player: cell.trim(), column }] : [],
  );
  const body = rows.slice(1);
  const isUnknown = (head: string) => recogniseHead(head) === undefined && kindFromName(head) === undefined;
  if (!CORNER.test(corner) || players.length < 2 || !players.every(({ player }) => isUnknown(player)))
    return undefined;
  const clubs = body.map(([name = '']) => name.trim()).filter((name) => name !== '');
  const said = body.flatMap((row) => row.slice(1).map((cell) => cell.trim())).filter((cell) => cell !== '');
  if (share(clubs, (name) => kindFromName(name) !== undefined) < MIN_SHARE) return undefined;
  if (share(said, (cell) => CARRY.test(cell)) < MIN_SHARE) return undefined;
  const name: RecognisedColumn = { column: columnOf('name')!, units: {} };
  const carry = recogniseHead('Carry');
  return players.map(({ player, column }) => ({
    player,
    lineOf: (row) => lineOf(row, column),
    table: {
      heads: ['Club', 'Carry'],
      columns: [name, carry],
      // A club without a carry is not in that player's bag.
      cells: body.map((row) => {
        const cell = row[column]?.trim() ?? '';
        return cell === '' || SAYS_NOTHING.test(cell) ? [] : [row[0] ?? '', cell];
      }),
      firstLine: 1,
      isTurned: false,
      playerColumn: undefined,
    },
  }));
}
