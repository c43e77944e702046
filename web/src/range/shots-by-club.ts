import { isNumberCell, isSummaryRow, splitHead, strikeFieldOf, type StrikeField } from '@tasche/contract';
import { kindFromName } from '@tasche/core';

/** The last columns of a list with a row a shot. */
const SHOT_HEADS = ['Club', 'Carry'] as const;
type Rows = readonly (readonly string[])[];

/** Columns that may stand beside those of the clubs: what they say is of every shot in the row. */
const OF_THE_ROW: readonly StrikeField[] = ['shot', 'at', 'time', 'player'];
/** A column that counts the shots. */
const COUNT = /^(#|nr?o?\.?|num(ber)?|shots?|balls?|schlag|coup|golpe|tiro|)$/i;
/** Fewer numbers behind a club may be its carry and its total. */
const MIN_SHOTS_IN_A_ROW = 3;
/** Shots of one club lie no farther apart than this, most over least; a speed, a spin and a carry do. Our choice. */
const MAX_SPREAD = 1.35;

/**
 * Carries as people write them down by hand, as a list with a row a shot, `SHOT_HEADS` its last columns: a column a
 * club, the shots under its name, or a row a club, the shots behind it; or lines of a message, "7i: 165, 163 170".
 * @param rows of a table, its heads among them
 * @param text the table itself
 * @returns undefined where it is neither, or where a cell that should be a carry is none
 */
export function shotsByClub(rows: Rows, text: string): string[][] | undefined {
  const filled = rows.filter((row) => row.some((cell) => cell.trim() !== '') && !isSummaryRow(row));
  return inColumns(filled) ?? inRows(filled) ?? inRows(linesOf(text));
}

const isClub = (cell: string) => /\p{L}/u.test(cell) && kindFromName(splitHead(cell).words) !== undefined;

function inColumns([heads = [], ...body]: Rows): string[][] | undefined {
  const fields = heads.map((head) => strikeFieldOf(head));
  const isOfOthers = fields.some((field) => field !== undefined && !OF_THE_ROW.includes(field));
  if (heads.filter(isClub).length < 2 || isOfOthers) return undefined;
  // "60" beside clubs is one; what the app does not know is left out by whoever imports it, not here.
  const clubs = heads.flatMap((head, i) => (fields[i] === undefined && !COUNT.test(head.trim()) ? [i] : []));
  const ofRow = heads.flatMap((_head, i) => (fields[i] === undefined ? [] : [i]));
  const at = (row: readonly string[], column: number) => (row[column] ?? '').trim();
  return listed(
    ofRow.map((column) => at(heads, column)),
    body.flatMap((row) =>
      clubs.map((column) => [...ofRow.map((other) => at(row, other)), at(heads, column), at(row, column)]),
    ),
  );
}

/** A club and numbers behind a colon or a dash, whatever parts them. */
const LINE = /^([^:=]{1,40}?) ?[:=–-] ((?:\d{2,3}(?:[.,]\d(?!\d))?(?:[ ,;/]{1,3}|$))+)$/;
function linesOf(text: string): string[][] {
  const lines = text.split('\n').map((line) => line.trim());
  return lines
    .filter((line) => line !== '')
    .map((line) => {
      const [, club = '', shots = ''] = LINE.exec(line) ?? [];
      return [club, ...(shots.match(/\d+(?:[.,]\d(?!\d))?/g) ?? [])];
    });
}

function inRows(rows: Rows): string[][] | undefined {
  const isOfOne = (cells: readonly string[]) => {
    const numbers = cells.map((cell) => Number(cell.replace(',', '.')));
    return cells.length >= MIN_SHOTS_IN_A_ROW && Math.max(...numbers) <= Math.min(...numbers) * MAX_SPREAD;
  };
  const shots = rows.map(([, ...cells]) => cells.map((cell) => cell.trim()).filter((cell) => cell !== ''));
  const areClubs = rows.length > 0 && rows.every(([name = '']) => isClub(name));
  return areClubs &&
    shots.some(isOfOne) &&
    shots.every((cells) => cells.length < MIN_SHOTS_IN_A_ROW || isOfOne(cells))
    ? listed(
        [],
        rows.flatMap(([name = ''], i) => shots[i]!.map((cell) => [name.trim(), cell])),
      )
    : undefined;
}

/** @param shots the carry last */
function listed(headsOfRow: readonly string[], shots: readonly string[][]): string[][] | undefined {
  const hit = shots.filter((shot) => shot.at(-1) !== '');
  const areNumbers = hit.length > 0 && hit.every((shot) => isNumberCell(shot.at(-1)!));
  return areNumbers ? [[...headsOfRow, ...SHOT_HEADS], ...hit] : undefined;
}
