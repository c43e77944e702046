import { clubOfLine } from './club-of-line.js';
import { strikeField, type StrikeField } from './strike-fields.js';
import { isBackSpin, strikeFieldOf } from './strike-heads.js';
import {
  SPEED_UNITS,
  STRIKE_UNIT_FACTORS,
  isUnitRow,
  splitHead,
  strikeUnitOf,
  type StrikeUnit,
} from './strike-units.js';

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
  /** Its dates could be read with the day or with the month first. */
  areDatesUnsure: boolean;
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
 * Metres of carry for each metre a second, in the middle of a bag. From memory: a driver has 3.3 of ball speed and
 * 4.7 of club speed, a wedge 2 and 2.2, while a wrong unit is out by half and more. Of a file of lob wedges alone the
 * guess may be wrong; it is shown as one.
 */
const CARRY_PER_SPEED: Partial<Record<StrikeField, number>> = { ballSpeedMps: 2.8, clubSpeedMps: 3.7 };

/** The unit in which a speed goes with how far the balls carried. */
function speedUnit(field: StrikeField, speed: number, carryM: number): StrikeUnit {
  const off = (unit: StrikeUnit) =>
    Math.abs(Math.log(carryM / (speed * STRIKE_UNIT_FACTORS[unit]) / CARRY_PER_SPEED[field]!));
  return [...SPEED_UNITS].sort((a, b) => off(a) - off(b))[0]!;
}

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
  const fields = fieldsOfHeads(heads);
  const spins: readonly (StrikeField | undefined)[] = ['spinRpm', 'sideSpinRpm'];
  const decimal = guessDecimal(body, (column) => spins.includes(fields[column]));
  const columns: ColumnMapping[] = [];
  const unsure: StrikeField[] = [];
  const said = (column: number) =>
    splitHead(heads[column]!).unit ??
    (unitRows > 0
      ? strikeUnitOf(rows[0]![column]?.replace(/[[\]()]/g, '') ?? '')
      : unitInCells(body, column));
  const units = fields.map((field, column) => (field ? said(column) : undefined));
  // Who measures one distance in metres measures the others in them.
  const distance = units.find((unit) => unit === 'm' || unit === 'yd') ?? distanceUnit;
  const carry = fields.indexOf('carryM');
  const carries = carry === -1 ? undefined : medianIn(body, carry, decimal);
  const carryM = carries && carries * STRIKE_UNIT_FACTORS[units[carry] ?? distance];
  for (const [column, field] of fields.entries()) {
    if (!field) continue;
    const { units: possible } = strikeField(field);
    const unit = units[column];
    if (possible.length === 0) columns.push({ column, field });
    else if (unit && possible.includes(unit)) columns.push({ column, field, unit });
    else {
      const median = medianIn(body, column, decimal);
      const guess = guessUnit(field, median, carryM, distance);
      if (possible.length > 1) unsure.push(field);
      columns.push({ column, field, unit: possible.includes(guess) ? guess : possible[0]! });
    }
  }
  return {
    heads,
    columns,
    decimal,
    ...guessDates(body, columns),
    unitRows,
    leftIsPositive: false,
    clubLines:
      !columns.some(({ field }) => field === 'club') &&
      [...above, ...rows].some((row) => clubOfLine(row) !== undefined),
    unsure,
  };
}

/** The unit of a column that says none, from the size of its numbers. */
function guessUnit(
  field: StrikeField,
  median: number | undefined,
  carryM: number | undefined,
  distanceUnit: 'yd' | 'm',
): StrikeUnit {
  if (median === undefined) return distanceUnit;
  if (carryM && field in CARRY_PER_SPEED) return speedUnit(field, median, carryM);
  return SIZE_GUESSES[field]?.(median) ?? distanceUnit;
}

/**
 * What each column holds, by its head. Side spin is used where no column gives the axis; beside back spin and total
 * spin it goes with back spin.
 */
function fieldsOfHeads(heads: readonly string[]): (StrikeField | undefined)[] {
  const fields: (StrikeField | undefined)[] = [];
  for (const head of heads)
    fields.push(
      strikeFieldOf(
        head,
        fields.filter((field) => field !== undefined),
      ),
    );
  const side = fields.indexOf('sideSpinRpm');
  if (side === -1) return fields;
  if (fields.includes('spinAxisDeg')) fields[side] = undefined;
  else {
    const back = heads.findIndex((head) => isBackSpin(head) && strikeFieldOf(head) === 'spinRpm');
    const total = fields.indexOf('spinRpm');
    if (back !== -1 && total !== -1) [fields[total], fields[back]] = [undefined, 'spinRpm'];
  }
  return fields;
}

/** The unit most of the numbers in a column have behind them, "165 yd". */
function unitInCells(rows: readonly (readonly string[])[], column: number): StrikeUnit | undefined {
  const cells = rows.slice(0, 200).map((row) => (row[column] ?? '').trim());
  const numbers = cells.filter((cell) => /\d/.test(cell));
  const said = numbers.map((cell) => strikeUnitOf(/\d ?([a-z°/]{1,5})$/i.exec(cell)?.[1] ?? ''));
  return said.find((unit) => unit && said.filter((one) => one === unit).length > said.length / 2);
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
    areDatesUnsure: false,
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
    .map((row) => {
      // A unit may stand behind the number.
      const cell = (row[column] ?? '').trim().replace(/ ?[a-z°/]{1,5}$/i, '');
      return Number(cell.replace(decimal === ',' ? ',' : /[, ]/g, decimal === ',' ? '.' : ''));
    })
    .filter((value) => Number.isFinite(value) && value !== 0)
    .sort((a, b) => a - b);
  return numbers[Math.floor(numbers.length / 2)];
}

/** Day, month and year of a date that does not begin with its year; which of the first two is the day is to be told. */
const DAY_AND_MONTH = /^(\d{1,2})[./-](\d{1,2})[./-](\d{2,4})/;

/**
 * Whether the day or the month stands first. Where both could be, it is that by which the days lie closer together;
 * of one day alone, the month before a time with AM or PM, which are written in the same country.
 */
function guessDates(
  rows: readonly (readonly string[])[],
  columns: readonly ColumnMapping[],
): Pick<MappingGuess, 'dates' | 'areDatesUnsure'> {
  const cellsOf = (field: StrikeField) => {
    const column = columns.find((one) => one.field === field)?.column;
    return column === undefined ? [] : rows.slice(0, 200).map((row) => (row[column] ?? '').trim());
  };
  const days = cellsOf('at');
  const parts = days.flatMap((cell) => {
    const match = DAY_AND_MONTH.exec(cell);
    return match ? [[Number(match[1]), Number(match[2]), Number(match[3])] as const] : [];
  });
  // With points between, the day is first wherever dates are written so.
  const isPointed = days.some((cell) => /^\d+\./.test(cell));
  if (parts.length === 0 || isPointed || parts.some(([first]) => first > 12))
    return { dates: 'day first', areDatesUnsure: false };
  if (parts.some(([, second]) => second > 12)) return { dates: 'month first', areDatesUnsure: false };
  const span = (monthOf: 0 | 1) => {
    const sorted = parts
      .map((part) => Date.UTC(part[2], part[monthOf] - 1, part[1 - monthOf]!))
      .sort((a, b) => a - b);
    return sorted.at(-1)! - sorted[0]!;
  };
  const [asDayFirst, asMonthFirst] = [span(1), span(0)];
  const hasHalves = [...days, ...cellsOf('time')].some((cell) => /\d ?[ap]m$/i.test(cell));
  const isMonthFirst = asDayFirst === asMonthFirst ? hasHalves : asMonthFirst < asDayFirst;
  // 1/1 is one day in either order.
  const isSame = parts.every(([first, second]) => first === second);
  return { dates: isMonthFirst ? 'month first' : 'day first', areDatesUnsure: !isSame };
}
