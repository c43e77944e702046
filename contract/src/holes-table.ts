import { HOLE_BOUNDS, fromMetres, toMetres, type DistanceUnit } from '@tasche/core';
import Papa from 'papaparse';
import { MAX_CELL_CHARACTERS, guarded, unguarded } from './cells.js';
import { MAX_HEAD_CHARACTERS, splitBracket, withoutBrackets } from './head-words.js';
import { distanceUnitOf } from './numbers-in-text.js';
import { isParMissing, readHole, round1, unreadHoles, type KnownHoles, type ReadHoles } from './read-hole.js';
import { inputShown } from './schemas.js';
import { findScorecard, isHoleHead, type Scorecard } from './scorecard.js';
import { TableError } from './split-table.js';

type Part = 'hole' | 'par' | 'bearingDeg' | 'elevationChangeM' | 'corridorM' | 'greenM' | 'front' | 'slope';
const HEADS: Readonly<Record<string, Part>> = {
  par: 'par',
  bearing: 'bearingDeg',
  direction: 'bearingDeg',
  rise: 'elevationChangeM',
  elevation: 'elevationChangeM',
  corridor: 'corridorM',
  fairway: 'corridorM',
  width: 'corridorM',
  green: 'greenM',
  'green depth': 'greenM',
  front: 'front',
  slope: 'slope',
};
const MAX_ROWS = 200;
const LENGTHS: readonly string[] = ['elevationChangeM', 'corridorM', 'greenM'];

/**
 * A scorecard or yardage list, however it stands (`findScorecard`): `hole`, `par`, a column a tee, and if you
 * like `bearing`, `rise`, `corridor`, `green`, `front`, `slope`. A head may name its unit ("White [m]", "White
 * yards"); else it is `unit`. Commas, semicolons or tabs; decimal points or commas.
 */
export function readHolesTable(text: string, known: KnownHoles, unit: DistanceUnit): ReadHoles {
  const nothing = (problem: string) => unreadHoles(known, problem);
  if (text.trim() === '') return nothing('The list is empty.');
  let card: Scorecard | undefined;
  try {
    card = findScorecard(text);
  } catch (error) {
    if (!(error instanceof TableError)) throw error;
    return nothing(`The list is not a table: ${error.message}.`);
  }
  if (!card) {
    const [first] = text.trim().split('\n', 1);
    return nothing(`No column is headed "hole"; the list begins with ${inputShown(first!)}.`);
  }
  if (card.rows.length === 0) return nothing('The list holds no rows under its headers.');
  if (card.rows.length > MAX_ROWS)
    return nothing(`The list holds ${card.rows.length} rows; a course has at most 18 holes.`);
  const columns = columnsOf(card, unit);
  const tees = columns.filter(({ isTee }) => isTee);
  if (tees.length === 0) return nothing('No column holds lengths; head one with the name of a tee.');
  const problems: string[] = [];
  const passed = columns
    .filter(({ part, isTee, name }) => !part && !isTee && name !== '')
    .map(({ name }) => `column "${name}"`);
  const said = rowsByHole(card, columns, problems, passed);
  const numbers = [...said.keys()].sort((a, b) => a - b);
  if (numbers.length !== 9 && numbers.length !== 18)
    problems.unshift(`holes must be 9 or 18, not ${numbers.length}`);
  const names = tees.map(({ name }) => name);
  const holes = numbers.map((number) =>
    readHole(number, { tees: names, holes: known.holes }, said.get(number)!, problems, unit),
  );
  const isParGuessed = numbers.some((number) => isParMissing(number, known, said.get(number)!));
  const isUnitGuessed = tees.some(({ isUnitNamed }) => !isUnitNamed);
  return { tees: names, holes, place: null, problems, passed, isUnitGuessed, isParGuessed };
}

/** A column of a card: a fact of its holes, the lengths from a tee, or neither. */
interface CardColumn {
  name: string;
  part: Part | undefined;
  isTee: boolean;
  unit: DistanceUnit;
  isUnitNamed: boolean;
}

function columnsOf({ heads, rows }: Scorecard, unit: DistanceUnit): CardColumn[] {
  return heads.map((head, at) => {
    const short = unguarded(head.slice(0, MAX_HEAD_CHARACTERS));
    const said = distanceUnitOf(splitBracket(short).bracketed || (UNIT_AT_END.exec(short)?.[1] ?? ''));
    const isUnitNamed = said === 'm' || said === 'yd';
    const name = withoutBrackets(short).trim().replace(RATING_AT_END, '').trim();
    const numbers = rows.map((row) => numberIn(row[at]));
    const partNamed = partOf(name, heads);
    // Tees are called "Front" and "Green" too: what no front and no green can be is a length from them.
    const part =
      partNamed && TEE_NAMES_TOO[partNamed] && areLengths(numbers, TEE_NAMES_TOO[partNamed])
        ? undefined
        : partNamed;
    const isTee = !part && name !== '' && areLengths(numbers, HOLE_BOUNDS.lengthM[0]);
    return { name, part, isTee, unit: isUnitNamed ? said : unit, isUnitNamed };
  });
}
/** Facts of a hole a tee may be named after, and what none of them reaches. */
const TEE_NAMES_TOO: Partial<Record<Part, number>> = {
  front: HOLE_BOUNDS.lengthM[0],
  greenM: HOLE_BOUNDS.greenM[1] + 10,
};
/** "Blue 73.1/134": what the course is rated from there. */
const RATING_AT_END = /\s\d{2}(?:\.\d)?\s?\/\s?\d{2,3}$/;
const UNIT_AT_END = /(?:^|\s)(yds?|yards|met(?:re|er)s?)\s*$/i;

/** What each row says of its hole, by the hole's number; totals are passed over. */
function rowsByHole(
  { rows }: Scorecard,
  columns: readonly CardColumn[],
  problems: string[],
  passed: string[],
): Map<number, Record<string, unknown>> {
  const holeAt = columns.findIndex(({ part }) => part === 'hole');
  const found = new Map<number, Record<string, unknown>>();
  for (const row of rows) {
    const number = numberIn(row[holeAt]);
    if (number === undefined) passed.push(`row "${inputShown(row.slice(0, 3).join(' ').trim())}"`);
    else if (!Number.isInteger(number) || number < 1 || number > 18)
      problems.push(`hole must be between 1 and 18, not ${inputShown(row[holeAt] ?? '')}`);
    else if (found.has(number)) problems.push(`hole ${number} is there twice`);
    else
      found.set(
        number,
        saidOf(row, columns, (problem) => problems.push(`hole ${number}: ${problem}`)),
      );
  }
  return found;
}

function saidOf(
  row: readonly string[],
  columns: readonly CardColumn[],
  complain: (problem: string) => void,
): Record<string, unknown> {
  const lengths: number[] = [];
  const said: Record<string, unknown> = { lengths };
  columns.forEach(({ part, isTee, unit, name }, at) => {
    const text = (row[at] ?? '').trim();
    const number = numberIn(text);
    if (isTee) {
      if (number === undefined) complain(`${name} must be a length, not "${inputShown(text)}"`);
      lengths.push(number === undefined ? LENGTH_FOR_NONE : round1(toMetres(number, unit)));
    } else if (part && part !== 'hole' && text !== '') {
      const value = part === 'front' || part === 'slope' ? text.toLowerCase() : (number ?? text);
      said[part] =
        typeof value === 'number' && LENGTHS.includes(part) ? round1(toMetres(value, unit)) : value;
    }
  });
  return said;
}
/** Stands for one that could not be read, so that only that is complained of. */
const LENGTH_FOR_NONE = 300;

/**
 * What a column says of a hole. Where none is headed "par", the first of "men's par" and "ladies' par" is it.
 */
function partOf(head: string, heads: readonly string[]): Part | undefined {
  const plain = head.toLowerCase();
  if (isHoleHead(head)) return 'hole';
  if (HEADS[plain]) return HEADS[plain];
  const pars = heads
    .map((one) => withoutBrackets(one).trim().toLowerCase())
    .filter((one) => / par$/.test(one));
  return plain === pars[0] && !heads.some((one) => HEADS[withoutBrackets(one).trim().toLowerCase()] === 'par')
    ? 'par'
    : undefined;
}

/** Lengths are large numbers; a stroke index is not. One slip among them is a slip. */
function areLengths(values: readonly (number | undefined)[], min: number): boolean {
  const numbers = values.filter((value) => value !== undefined);
  return numbers.length > 0 && numbers.filter((value) => value >= min).length * 2 > numbers.length;
}

function numberIn(text: string | undefined): number | undefined {
  const plain = (text ?? '')
    .slice(0, MAX_CELL_CHARACTERS)
    .trim()
    .replace(/(m|yds?|°)$/i, '')
    .trim()
    .replace(',', '.');
  return plain !== '' && Number.isFinite(Number(plain)) ? Number(plain) : undefined;
}

/** The same list, written as CSV. */
export function writeHolesTable({ tees, holes }: KnownHoles, unit: DistanceUnit): string {
  const shown = (m: number) => String(round1(fromMetres(m, unit)));
  return `${Papa.unparse(
    {
      fields: [
        'hole',
        'par',
        ...tees.map((tee) => `${guarded(tee)} [${unit}]`),
        'bearing',
        `rise [${unit}]`,
        `corridor [${unit}]`,
        `green [${unit}]`,
        'front',
        'slope',
      ],
      data: holes.map(
        ({ par, lengthsM, bearingDeg, elevationChangeM, corridorM, greenM, front, slope }, i) => [
          i + 1,
          par,
          ...lengthsM.map(shown),
          bearingDeg ?? '',
          shown(elevationChangeM),
          shown(corridorM),
          shown(greenM),
          front,
          slope,
        ],
      ),
    },
    { newline: '\n' },
  )}\n`;
}
