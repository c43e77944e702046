import { withoutBrackets } from './head-words.js';
import { cardOfLines } from './hole-lines.js';
import { HOLE_WORDS } from './heads-in-other-languages.js';
import { TableError, isBlankRow, splitTable } from './split-table.js';

/** The holes of a card: a row each, or a total, under the heads of its columns. */
export interface Scorecard {
  heads: readonly string[];
  rows: readonly (readonly string[])[];
}

const HOLE_HEAD = new RegExp(`^(${HOLE_WORDS}|hole (no|nr|number)\\.?|no\\.?|nr\\.?|#)$`, 'i');
/** A title, a date, an address: no more than so many lines stand above the heads. */
const MAX_LINES_ABOVE = 20;
/** A card is no longer, however it is written. */
const MAX_SPACED_LINES = 200;
const MAX_SPACED_WORDS = 60;
/** So many numbers beside or under the word "hole" are the holes. */
const MIN_HOLES = 6;

/** Whether a head is of the column with the numbers of the holes. */
export const isHoleHead = (head: string): boolean => HOLE_HEAD.test(withoutBrackets(head).trim());

/**
 * The card in a text, wherever it stands in it and however: a row or a column a hole, under a title, its second
 * nine beside or under the first; or a line a hole, as in a message.
 * @returns undefined where nothing is headed "hole"
 * @throws TableError where the text is no table
 */
export function findScorecard(text: string): Scorecard | undefined {
  return cardOfLines(text) ?? cardIn(splitTable(text)) ?? cardIn(spacedLines(text));
}

function cardIn(all: readonly (readonly string[])[]): Scorecard | undefined {
  const cells = all.filter((row) => !isBlankRow(row));
  const line = cells.slice(0, MAX_LINES_ABOVE).findIndex((row) => row.some(isHoleHead));
  if (line === -1) return undefined;
  const upright = cells.slice(line);
  return joined((isRowOfHoles(upright[0]!) ? stacked(upright).map(turned) : [upright]).flatMap(sideBySide));
}

/**
 * The lines of a card with blanks between its cells; a line without totals has none under "Out" and "In"
 * either.
 */
function spacedLines(text: string): string[][] {
  let totals: readonly number[] = [];
  let holes = 0;
  return text.split('\n', MAX_SPACED_LINES).map((line) => {
    const cells = spacedCells(line);
    if (isRowOfHoles(cells)) {
      totals = cells.flatMap((cell, i) => (i > 0 && !/^\d+$/.test(cell) ? [i] : []));
      holes = cells.length - 1 - totals.length;
    } else if (holes > 0 && cells.length - 1 === holes) for (const at of totals) cells.splice(at, 0, '');
    return cells;
  });
}

/** "Blue 73.1/134 410 388": copied off a page there are blanks between the cells, and in their heads. */
function spacedCells(line: string): string[] {
  const words = line.trim().split(/\s+/, MAX_SPACED_WORDS);
  const first = words.findIndex((word) => /^\d+$/.test(word));
  return first < 1 ? words : [words.slice(0, first).join(' '), ...words.slice(first)];
}

/** Whether a text is a scorecard, or most of one. */
export function isScorecard(text: string): boolean {
  if (!/[\t\n]/.test(text.trim())) return false;
  try {
    const card = findScorecard(text);
    const at = card?.heads.findIndex(isHoleHead) ?? -1;
    return (card?.rows ?? []).filter((row) => /^\s*\d{1,2}\s*$/.test(row[at] ?? '')).length >= MIN_HOLES;
  } catch (error) {
    if (error instanceof TableError) return false;
    throw error;
  }
}

/** "Hole, 1, 2, 3…": the holes stand beside each other. */
function isRowOfHoles(row: readonly string[]): boolean {
  const numbers = row.filter((cell) => /^\d{1,2}$/.test(cell.trim()));
  return isHoleHead(row.find((cell) => cell.trim() !== '') ?? '') && numbers.length >= MIN_HOLES;
}

/** A turned card has its second nine under the first, below a row of holes of its own. */
function stacked(cells: readonly (readonly string[])[]): (readonly (readonly string[])[])[] {
  const starts = cells.flatMap((row, i) => (isRowOfHoles(row) ? [i] : []));
  return starts.map((from, i) => cells.slice(from, starts[i + 1]));
}

/** From the column with the heads on. */
function turned(cells: readonly (readonly string[])[]): string[][] {
  const columns = Math.max(...cells.map((row) => row.length));
  const rows = Array.from({ length: columns }, (_none, column) => cells.map((row) => row[column] ?? ''));
  return rows.slice(rows.findIndex((row) => row.some(isHoleHead)));
}

/** An upright card has its second nine beside the first, with heads of its own. */
function sideBySide(cells: readonly (readonly string[])[]): Scorecard[] {
  const [heads = [], ...rows] = cells;
  // "No." beside "Hole" begins no nine of its own.
  const begins = heads.find(isHoleHead)!;
  const starts = heads.flatMap((head, i) => (isSame(head, begins) ? [i] : []));
  return starts.map((at, i) => {
    const from = i === 0 ? 0 : at;
    const of = (row: readonly string[]) => row.slice(from, starts[i + 1]);
    return {
      heads: of(heads),
      rows: rows.map(of).filter((row) => !isBlankRow(row) && !row.some(isHoleHead)),
    };
  });
}

const isSame = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();

/** The nines as one: columns of one head are one column. */
function joined(nines: readonly Scorecard[]): Scorecard {
  const [first, ...others] = nines;
  return {
    heads: first!.heads,
    rows: [
      ...first!.rows,
      ...others.flatMap(({ heads, rows }) => {
        const places = first!.heads.map((head) => heads.findIndex((one) => isSame(one, head)));
        return rows.map((row) => places.map((at) => row[at] ?? ''));
      }),
    ],
  };
}
