import {
  personKeys,
  planImport,
  readClubTable,
  type PlayerCells,
  type RejectedCell,
  type TableOptions,
} from '@tasche/contract';
import type { NewClub } from './new-player';

/** A player of a list of bags, with what is read of their clubs. */
export interface ListedPlayer {
  name: string;
  clubs: readonly NewClub[];
  /** Cells that cannot be taken, by the lines of the file. */
  rejected: readonly (RejectedCell & { line: number; club: string })[];
  /** A player with that name is on the roster already. */
  isKnown: boolean;
}

/**
 * The players of a list, in its order.
 * @param known names on the roster
 */
export function listedPlayers(
  players: readonly PlayerCells[],
  known: readonly string[],
  options: TableOptions,
): ListedPlayer[] {
  const onRoster = new Set(known.flatMap(personKeys));
  return players.map(({ player, table: { heads, columns, cells }, lineOf }) => {
    const { adds, rejected } = planImport(readClubTable(cells, columns, heads, options), []);
    const clubColumn = columns.findIndex((found) => found?.column.id === 'name');
    return {
      name: player,
      clubs: adds,
      rejected: rejected.map((cell) => ({
        ...cell,
        line: lineOf(cell.row),
        club: cells[cell.row]?.[clubColumn] ?? '',
      })),
      isKnown: personKeys(player).some((key) => onRoster.has(key)),
    };
  });
}
