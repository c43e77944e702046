import {
  PLAYER_FILE_FORMAT,
  PLAYER_FILE_ROWS,
  PLAYER_FILE_ROW_NAMES,
  PLAYER_FILE_VERSION,
  type PlayerFileHead,
  type PlayerFileRow,
  type PlayerFileRowName,
  type PlayerFileRows,
} from '@tasche/contract';
import { v4 as newId } from 'uuid';
import type { Played, PlayerRows, Row } from './player-rows.js';

/** A player with everything, as it is in the database. */
export interface WholePlayer {
  rows: PlayerRows;
  played: Played;
}

/** Lines sent to anyone who takes the file out before others have a turn. */
const LINES_A_TURN = 500;
/** Fields that go by another name than their column. */
const OTHER_NAMES: Readonly<Record<string, string>> = { diffs: 'images' };

/** The column a field of the file is kept in: `takenOn` in `taken_on`. */
function columnOf(field: string): string {
  return OTHER_NAMES[field] ?? field.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
}

/** The fields a row of the file may have, with their columns. */
const FIELDS = Object.fromEntries(
  PLAYER_FILE_ROW_NAMES.map((name) => [
    name,
    Object.keys(PLAYER_FILE_ROWS[name].fields).map((field): [string, string] => [field, columnOf(field)]),
  ]),
) as Record<PlayerFileRowName, [field: string, column: string][]>;

function tableRows({ rows, played }: WholePlayer, name: PlayerFileRowName): readonly Row[] {
  switch (name) {
    case 'course':
      return played.courses;
    case 'event':
      return played.events;
    case 'bagClub':
      return rows.bag_club;
    case 'roundPlayed':
      return rows.round_played;
    default:
      return rows[name];
  }
}

/** The lines of a player's file, some at a time; docs/formats/player-file.md says what they hold. */
export function* playerFileText(whole: WholePlayer, takenOutAt: Date): Generator<string> {
  const head: PlayerFileHead = {
    format: PLAYER_FILE_FORMAT,
    version: PLAYER_FILE_VERSION,
    name: String(whole.rows.player[0]!.name),
    takenOutAt: takenOutAt.toISOString(),
    rows: Object.fromEntries(PLAYER_FILE_ROW_NAMES.map((name) => [name, tableRows(whole, name).length])),
  };
  yield `${JSON.stringify(head)}\n`;
  for (const name of PLAYER_FILE_ROW_NAMES) {
    const rows = tableRows(whole, name);
    for (let i = 0; i < rows.length; i += LINES_A_TURN)
      yield rows
        .slice(i, i + LINES_A_TURN)
        .map((row) => `${JSON.stringify(lineOf(name, row))}\n`)
        .join('');
  }
}

function lineOf(name: PlayerFileRowName, row: Row): PlayerFileRow {
  const known = FIELDS[name].flatMap(([field, column]): [string, unknown][] => {
    const value = row[column] ?? null;
    // A reading of null is one: it says that a quantity is not known any more.
    return value === null && !(name === 'reading' && field === 'value') ? [] : [[field, value]];
  });
  return { row: name, ...Object.fromEntries(known) };
}

/**
 * The rows of a checked file as the database keeps them; specs are worked out from the readings once they are
 * there.
 */
export function wholePlayerOf(file: PlayerFileRows): WholePlayer {
  const player_id = file.player[0]!.id;
  const of = (name: PlayerFileRowName, more: (place: number) => Row = () => ({})) =>
    file[name].map((row, place): Row => ({
      ...Object.fromEntries(FIELDS[name].map(([field, column]) => [column, row[field] ?? null])),
      ...more(place),
    }));
  const owned = () => ({ player_id });
  const rows: PlayerRows = {
    player: of('player'),
    club: of('club', (place) => ({ player_id, place, spec: {} })),
    bag: of('bag', (place) => ({ player_id, place })),
    plan: of('plan', owned),
    bag_club: of('bagClub', () => ({ id: newId() })),
    change: of('change'),
    reading: of('reading'),
    session: of('session', owned),
    strike: of('strike', owned),
    ticket: of('ticket', owned),
    wish: of('wish', owned),
    round_played: of('roundPlayed', owned),
  };
  return { rows, played: { courses: of('course'), events: of('event') } };
}
