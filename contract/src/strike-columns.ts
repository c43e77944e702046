import type { StrikePart } from '@tasche/core';
import { clubOfLine } from './club-of-line.js';
import { MAX_HEAD_CHARACTERS, splitBracket, withoutBrackets } from './head-words.js';

/** What a column of a launch monitor's file may hold. */
export type StrikeField = StrikePart | 'smash' | 'club' | 'shot' | 'at' | 'time';

/** Units a column may be in; what is kept is metres, m/s, degrees and rpm. */
export type StrikeUnit = 'yd' | 'm' | 'ft' | 'mph' | 'm/s' | 'km/h' | 'deg' | 'rpm';

/**
 * The factor from a unit to what is kept. Mile and yard are exact (international yard and pound agreement of
 * 1959).
 */
export const STRIKE_UNIT_FACTORS: Record<StrikeUnit, number> = {
  yd: 0.9144,
  m: 1,
  ft: 0.3048,
  mph: 0.44704,
  'm/s': 1,
  'km/h': 1 / 3.6,
  deg: 1,
  rpm: 1,
};

const DISTANCE: readonly StrikeUnit[] = ['yd', 'm', 'ft'];
const SPEED: readonly StrikeUnit[] = ['mph', 'm/s', 'km/h'];

interface FieldKind {
  field: StrikeField;
  label: string;
  units: readonly StrikeUnit[];
  heads: RegExp;
}

/** The first field whose pattern a head meets is the guess, so the narrower ones stand first. */
export const STRIKE_FIELDS: readonly FieldKind[] = [
  {
    field: 'clubSpeedMps',
    label: 'Club speed',
    units: SPEED,
    heads: /^(club|head|clubhead|swing|schl[äa]ger) ?(head)? ?(speed|velocity|vel|geschw.*)$/,
  },
  {
    field: 'ballSpeedMps',
    label: 'Ball speed',
    units: SPEED,
    heads: /^(ball)\s*(speed|velocity|vel|geschw.*)$|^speed$/,
  },
  {
    field: 'smash',
    label: 'Smash',
    units: [],
    heads: /^smash( ?factor)?$/,
  },
  {
    field: 'attackDeg',
    label: 'Attack angle',
    units: ['deg'],
    heads: /^(club |head )?(attack( angle)?|angle of attack|aoa)$|^(angriffs|eintreff)winkel$/,
  },
  { field: 'spinAxisDeg', label: 'Spin axis', units: ['deg'], heads: /axis|^(spin|dreh) ?achse$/ },
  { field: 'spinRpm', label: 'Spin', units: ['rpm'], heads: /^(total|back)?\s*spin\s*(rate)?$/ },
  {
    field: 'azimuthDeg',
    label: 'Start direction',
    units: ['deg'],
    heads:
      /azimuth|^launch h$|^(launch|start|horizontal|ball) ?(launch ?)?(direction|dir|line|hla)$|^direction$|^hla$|^(horizontal|side) (launch )?angle$|^(start|abflug)richtung$/,
  },
  {
    field: 'launchDeg',
    label: 'Launch',
    units: ['deg'],
    heads: /^(launch|take ?off|vertical) ?(launch)? ?(angle|ang|v|vla)?$|^vla$|^(start|abflug)winkel$/,
  },
  {
    field: 'descentDeg',
    label: 'Landing angle',
    units: ['deg'],
    heads: /(land|descent|attack on green).*(angle|ang)?$|^(lande|eintritts|auftreff)winkel$/,
  },
  {
    field: 'apexM',
    label: 'Apex',
    units: ['ft', 'yd', 'm'],
    heads: /apex|max\s*height|peak|^height$|h[öo]he/,
  },
  {
    field: 'offlineM',
    label: 'Side',
    units: DISTANCE,
    heads:
      /^(carry )?(flat )?(side|lateral|off ?line|offline|deviation|from (pin|line))( carry| total)?( distance)?$|^(seite|seitlich|abweichung|seitenabweichung)$/,
  },
  {
    field: 'totalM',
    label: 'Total',
    units: DISTANCE,
    heads: /^(est |estimated )?total( flat)?(\s*(dist|distance|length|yards|m))?$|gesamt/,
  },
  {
    field: 'carryM',
    label: 'Carry',
    units: DISTANCE,
    heads: /^carry( flat)?(\s*(dist|distance|length|yards))?$|^distance$|^weite$/,
  },
  { field: 'shot', label: 'Shot kind', units: [], heads: /^(shot|swing)\s*(type|kind)$/ },
  { field: 'club', label: 'Club', units: [], heads: /^club(\s*(name|type|id|used))?$|^schl[äa]ger$/ },
  {
    field: 'at',
    label: 'Date (and time)',
    units: [],
    heads: /^(date|day|datum|time ?stamp|date ?time|shot (date|time))$/,
  },
  { field: 'time', label: 'Time of day', units: [], heads: /^(time|uhrzeit|hour)$/ },
];

const FIELD_OF = new Map(STRIKE_FIELDS.map((kind) => [kind.field, kind]));

export function strikeField(field: StrikeField): FieldKind {
  return FIELD_OF.get(field)!;
}

const UNIT_WORDS: readonly [RegExp, StrikeUnit][] = [
  [/^(yd|yds|yard|yards|y)$/, 'yd'],
  [/^(ft|feet|foot)$/, 'ft'],
  [/^(mph|mi\/h|miles per hour)$/, 'mph'],
  [/^(m\/s|mps|m s-1)$/, 'm/s'],
  [/^(km\/h|kmh|kph)$/, 'km/h'],
  [/^(rpm|1\/min|u\/min)$/, 'rpm'],
  [/^(deg|degrees?|°|grad)$/, 'deg'],
  [/^(m|mtr|metres?|meters?)$/, 'm'],
];

/** The unit a word means, or undefined. */
function strikeUnitOf(word: string): StrikeUnit | undefined {
  const plain = word.toLowerCase().trim();
  return UNIT_WORDS.find(([pattern]) => pattern.test(plain))?.[1];
}

/**
 * A column's head without its unit, and that unit: "Carry Distance [yd]", "Ball Speed (mph)", "spin_rate, rpm".
 */
export function splitHead(head: string): { words: string; unit: StrikeUnit | undefined } {
  const { words, bracketed } = splitBracket(head);
  const unit = strikeUnitOf(bracketed);
  if (unit) return { words: plainWords(words), unit };
  // "spin_rate, rpm": the unit after a sign of its own.
  for (const sign of [',', ':', '-', '/']) {
    const cut = words.lastIndexOf(sign);
    const last = cut === -1 ? undefined : strikeUnitOf(words.slice(cut + 1));
    if (last) return { words: plainWords(words.slice(0, cut)), unit: last };
  }
  return { words: plainWords(withoutBrackets(head.slice(0, MAX_HEAD_CHARACTERS))), unit: undefined };
}

function plainWords(text: string): string {
  return text
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .replace(/[_.\-\s]+/g, ' ')
    .trim()
    .toLowerCase();
}

/** One column of a file, as it is to be read. */
export interface ColumnMapping {
  column: number;
  field: StrikeField;
  unit?: StrikeUnit;
}

/** How a file is to be read, apart from what its clubs are. */
export interface FileMapping {
  columns: readonly ColumnMapping[];
  /** The sign between whole and part of a number. */
  decimal: '.' | ',';
  /** Which part of a date stands first where it is not the year. */
  dates: 'day first' | 'month first';
  /** Rows under the heads that hold units, not shots. */
  unitRows: number;
  /** Left is positive in this file. */
  leftIsPositive: boolean;
  /** Lines over some rows name the club of these rows; not so where it is not given. */
  clubLines?: boolean;
}

/** A mapping with what it was guessed from, for a person to look over. */
export interface MappingGuess extends FileMapping {
  heads: readonly string[];
  /** Columns whose unit was guessed from the size of their numbers. */
  unsure: readonly StrikeField[];
}

/**
 * Above these medians a column's numbers cannot be in the smaller unit, for most players. From memory of what
 * players hit.
 */
const SIZE_GUESSES: Partial<Record<StrikeField, (median: number) => StrikeUnit>> = {
  ballSpeedMps: (median) => (median > 82 ? 'mph' : 'm/s'),
  clubSpeedMps: (median) => (median > 58 ? 'mph' : 'm/s'),
  apexM: (median) => (median > 48 ? 'ft' : 'm'),
};

/**
 * A first reading of a file: which column is what, in which unit, with which decimal sign, from its heads and
 * some of its rows.
 * @param distanceUnit for distances whose unit nothing gives away
 * @param above lines over the heads
 */
export function guessMapping(
  heads: readonly string[],
  rows: readonly (readonly string[])[],
  distanceUnit: 'yd' | 'm',
  above: readonly (readonly string[])[] = [],
): MappingGuess {
  const unitRows = rows[0] && isUnitRow(rows[0]) ? 1 : 0;
  const body = rows.slice(unitRows);
  const spins = heads.map((head) => /spin/.test(splitHead(head).words) && !/axis|achse/i.test(head));
  const decimal = guessDecimal(body, (column) => spins[column] ?? false);
  const columns: ColumnMapping[] = [];
  const unsure: StrikeField[] = [];
  for (const [column, head] of heads.entries()) {
    const { words, unit } = splitHead(head);
    const kind = STRIKE_FIELDS.find(
      ({ field, heads: pattern }) => pattern.test(words) && !columns.some((one) => one.field === field),
    );
    if (!kind) continue;
    if (kind.units.length === 0) {
      columns.push({ column, field: kind.field });
      continue;
    }
    const said =
      unit ?? (unitRows > 0 ? strikeUnitOf(rows[0]![column]?.replace(/[[\]()]/g, '') ?? '') : undefined);
    if (said && kind.units.includes(said)) {
      columns.push({ column, field: kind.field, unit: said });
      continue;
    }
    const fromSize = SIZE_GUESSES[kind.field];
    const median = medianIn(body, column, decimal);
    const guess =
      kind.units.length === 1
        ? kind.units[0]!
        : fromSize && median !== undefined
          ? fromSize(median)
          : distanceUnit;
    if (kind.units.length > 1) unsure.push(kind.field);
    columns.push({ column, field: kind.field, unit: kind.units.includes(guess) ? guess : kind.units[0]! });
  }
  return {
    heads,
    columns,
    decimal,
    dates: guessDates(body, columns),
    unitRows,
    leftIsPositive: false,
    clubLines:
      !columns.some(({ field }) => field === 'club') &&
      [...above, ...rows].some((row) => clubOfLine(row) !== undefined),
    unsure,
  };
}

/**
 * The same for a list without a line of heads: its first column of words is the club, and where it has one
 * column of numbers, that is the carry.
 */
export function guessWithoutHeads(
  rows: readonly (readonly string[])[],
  distanceUnit: 'yd' | 'm',
): MappingGuess {
  const all = Array.from({ length: Math.max(...rows.map((row) => row.length)) }, (_one, column) => column);
  const numbers = all.filter((column) => isMostly(rows, column, isNumberCell));
  const club = all.find((column) => isMostly(rows, column, (cell) => /\p{L}/u.test(cell)));
  const [carry] = numbers.length === 1 ? numbers : [];
  return {
    heads: all.map((column) => `column ${column + 1}`),
    columns: [
      ...(club === undefined ? [] : [{ column: club, field: 'club' as const }]),
      ...(carry === undefined ? [] : [{ column: carry, field: 'carryM' as const, unit: distanceUnit }]),
    ],
    decimal: guessDecimal(rows, () => true),
    dates: 'day first',
    unitRows: 0,
    leftIsPositive: false,
    unsure: carry === undefined ? [] : ['carryM'],
  };
}

/** Whether a cell is a number and no more. */
export function isNumberCell(cell: string): boolean {
  return /^[-+−]?\d+([.,]\d+)?$/.test(cell.trim());
}

function isMostly(
  rows: readonly (readonly string[])[],
  column: number,
  is: (cell: string) => boolean,
): boolean {
  const filled = rows.map((row) => (row[column] ?? '').trim()).filter((cell) => cell !== '');
  return filled.length > 0 && filled.filter(is).length > filled.length / 2;
}

/** Units stand under the heads in some files, and not a shot. */
export function isUnitRow(row: readonly string[]): boolean {
  const filled = row.map((cell) => cell.replace(/[[\]()]/g, '').trim()).filter((cell) => cell !== '');
  return filled.length > 0 && filled.every((cell) => strikeUnitOf(cell) !== undefined);
}

/**
 * @param maySpin whether a column may be a spin, the one thing of a shot that is counted in thousands: "6,900"
 * there is no decimal comma, and "6.900" no decimal point
 */
function guessDecimal(rows: readonly (readonly string[])[], maySpin: (column: number) => boolean): '.' | ',' {
  let [commas, points] = [0, 0];
  for (const row of rows.slice(0, 200))
    for (const [column, cell] of row.entries()) {
      // A side by its letter, a unit behind the number.
      const match = /^[lr]? ?[-+−]?(\d*)([.,])(\d+) ?[a-z°/%]{0,6}$/i.exec(cell.trim());
      if (!match) continue;
      const [, whole, sign, part] = match;
      const isThousands = maySpin(column) && part!.length === 3 && /^[1-9]\d?$/.test(whole!);
      if ((sign === ',') !== isThousands) commas += 1;
      else points += 1;
    }
  return commas > points ? ',' : '.';
}

function medianIn(
  rows: readonly (readonly string[])[],
  column: number,
  decimal: '.' | ',',
): number | undefined {
  const numbers = rows
    .slice(0, 200)
    .map((row) =>
      Number((row[column] ?? '').replace(decimal === ',' ? ',' : /[, ]/g, decimal === ',' ? '.' : '')),
    )
    .filter((value) => Number.isFinite(value) && value !== 0)
    .sort((a, b) => a - b);
  return numbers[Math.floor(numbers.length / 2)];
}

function guessDates(
  rows: readonly (readonly string[])[],
  columns: readonly ColumnMapping[],
): FileMapping['dates'] {
  const at = columns.find(({ field }) => field === 'at')?.column;
  if (at === undefined) return 'day first';
  const parts = rows.slice(0, 200).flatMap((row) => {
    const match = /^(\d{1,2})[./-](\d{1,2})[./-]\d{2,4}/.exec(row[at] ?? '');
    return match ? [[Number(match[1]), Number(match[2]), row[at]!.includes('/') ? 1 : 0] as const] : [];
  });
  if (parts.some(([first]) => first > 12)) return 'day first';
  if (parts.some(([, second]) => second > 12)) return 'month first';
  return 'day first';
}
