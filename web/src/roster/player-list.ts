import {
  headedText,
  ofPlayer,
  planImport,
  playersOf,
  readClubTable,
  TableError,
  type HeadedCells,
  type RejectedCell,
  type TableOptions,
} from '@tasche/contract';
import type { NewClub } from './new-player';

/** A player of a list of bags, with what is read of their clubs. */
export interface ListedPlayer {
  name: string;
  clubs: readonly NewClub[];
  /** Cells that cannot be taken, by the lines of the file. */
  rejected: readonly (RejectedCell & { line: number })[];
  /** A player with that name is on the roster already. */
  isKnown: boolean;
}

/**
 * The table of a file that holds several players' clubs.
 * @throws TableError where it is no table of clubs, or nothing says whose club a row is
 */
export function listedCells(text: string): HeadedCells {
  const table = headedText(text);
  if (table.playerColumn === undefined)
    throw new TableError(
      'no column says whose club a row is; call one "player". One player’s clubs are imported on their bag’s page',
    );
  return table;
}

/**
 * The players of a list, in its order.
 * @param known names on the roster
 */
export function listedPlayers(
  table: HeadedCells,
  known: readonly string[],
  options: TableOptions,
): ListedPlayer[] {
  const plain = (name: string) => name.trim().toLowerCase();
  const onRoster = new Set(known.map(plain));
  return playersOf(table).map((name) => {
    const { heads, columns, cells, firstLine } = ofPlayer(table, name);
    const { adds, rejected } = planImport(readClubTable(cells, columns, heads, options), []);
    return {
      name,
      clubs: adds,
      rejected: rejected.map((cell) => ({ ...cell, line: cell.row + firstLine })),
      isKnown: onRoster.has(plain(name)),
    };
  });
}
