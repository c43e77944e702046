import {
  SHOT_KINDS,
  isShotKind,
  STRIKE_BOUNDS,
  SMASH_BOUNDS,
  isEnough,
  type ShotKind,
  type Strike,
  type StrikePart,
} from '@tasche/core';
import { clubOfLine } from './club-of-line.js';
import { strikeField, type StrikeField } from './strike-fields.js';
import { isBackSpin } from './strike-heads.js';
import type { FileMapping } from './strike-mapping.js';
import { STRIKE_UNIT_FACTORS, isUnitRow, strikeUnitOf } from './strike-units.js';

/** A row of a launch monitor's file, read. */
export interface StrikeRow {
  /** As it stands in the file; empty where neither a column nor a line names the club. */
  club: string;
  shot: ShotKind | undefined;
  /** YYYY-MM-DD and HH:MM:SS where the file gives them, in the clock of the place. */
  day: string | undefined;
  time: string | undefined;
  given: Strike;
  /** Whose shot it is, where a column says it. */
  player?: string;
  /** Ball speed over club speed, where a column says it. */
  smash?: number;
  /** Spin about the upright axis, to the right where positive, where a column says it. */
  sideSpinRpm?: number;
  /** The spin is that backwards alone, as its column says. */
  isBackSpin?: boolean;
}

/** What a row may say that is not kept, but worked into what is. */
const WORKED_IN_BOUNDS = {
  smash: SMASH_BOUNDS,
  sideSpinRpm: [-STRIKE_BOUNDS.spinRpm[1], STRIKE_BOUNDS.spinRpm[1]],
} as const;
type WorkedIn = keyof typeof WORKED_IN_BOUNDS;

/** A row that cannot be taken: the column, what stands there, and why. */
export interface RowRefusal {
  column: string;
  text: string;
  reason: string;
}

/** Null is a line that is no row of shots, and no fault: one that names a club, or the heads once more. */
type ReadRow =
  { ok: true; row: StrikeRow } | { ok: false; refusal: RowRefusal; player?: string | undefined } | null;

/** What devices write where they saw nothing. */
const NOTHING = /^(|-+|–|—|n\/?a|nan|null|none|\?+)$/i;
/** Bytes that were no text in the file's encoding, and signs no number, name or date holds. */
const GARBAGE = /[\uFFFD\u0000-\u0008\u000b\u000c\u000e-\u001f]/;
/**
 * What devices call the lines in which they sum shots up, in English and other languages, from memory; the least
 * and the most only where a row is numbered.
 */
const SUMMARY = new RegExp(
  `^(${[
    'avg|averages?|mean|median|std|std ?dev|standard deviation|deviation|consistency',
    'mittel|mittelwert|durchschnitt|schnitt|standardabweichung|streuung|konsistenz',
    'moyenne|écart[- ]type|promedio|media|média|desviación( estándar| típica)?|deviazione standard|desvio padrão',
    'gemiddelde?|standaardafwijking|medel|medelvärde|genomsnitt|gennemsnit|gjennomsnitt|snitt|standardav(vikelse|vik)',
  ].join('|')})\\.?$`,
  'i',
);
const FIRST_SUMMARY = /^(min|max|minimum|maximum|total|totals|sum|summe|gesamt)\.?$/i;

/** The reason why a line about the shots, such as their average, is not imported. */
export const SUMMARY_ROW = 'a line about the shots, not a shot';

/** Whether a line is about the shots, such as their average, and not a shot. */
export function isSummaryRow(cells: readonly string[]): boolean {
  return cells.some((cell, i) => {
    if (cell === '' || cell.length > 30 || cell <= '9') return false;
    const words = cell.trim().replace('.', '');
    return SUMMARY.test(words) || (i === 0 && FIRST_SUMMARY.test(words));
  });
}

/** No cell of a device is longer. */
const MAX_CELL_CHARACTERS = 200;

/** Anything a number with a decimal point and no more does not hold. */
const NOT_PLAIN = /[^\d.-]/;

interface Reader {
  column: number;
  field: StrikeField;
  isNumber: boolean;
  head: string;
  factor: number;
  unit: string;
  least: number;
  most: number;
}

/**
 * Makes the function that reads a file's rows; made once, called for each in their order, and for the lines
 * above them where lines name the club.
 * @param heads of the columns, for naming what is refused
 */
export function strikeRowReader(
  mapping: FileMapping,
  heads: readonly string[],
): (cells: readonly string[]) => ReadRow {
  const readers = mapping.columns.map(({ column, field, unit }): Reader => {
    const [min, max] = STRIKE_BOUNDS[field as StrikePart] ?? WORKED_IN_BOUNDS[field as WorkedIn] ?? [0, 0];
    return {
      column,
      field,
      isNumber: field in STRIKE_BOUNDS,
      head: heads[column] ?? strikeField(field).label,
      factor: (unit ? STRIKE_UNIT_FACTORS[unit] : 1) * (isSideways(field) && mapping.leftIsPositive ? -1 : 1),
      unit: unit ?? '',
      least: min,
      most: max,
    };
  });
  // Whose row it is must be known before anything in it is complained of.
  readers.sort((a, b) => Number(b.field === 'player') - Number(a.field === 'player'));
  const spin = mapping.columns.find(({ field }) => field === 'spinRpm');
  const saysBackSpin = spin !== undefined && isBackSpin(heads[spin.column] ?? '');
  const [firstHead] = heads;
  const areHeads = (cells: readonly string[]) =>
    cells[0]?.trim() === firstHead &&
    heads.every((head, i) => (cells[i] ?? '').trim().slice(0, 200) === head);
  /** The club the rows are of, as the last line that named one says. */
  let named = '';
  /** A player named once stands for the rows beneath, as in a sheet whose cells were merged. */
  let player = '';
  /** Where heads come again, their units may come again under them. */
  let isUnderHeads = false;
  return (cells) => {
    const isUnits = isUnderHeads && isUnitRow(cells);
    isUnderHeads = areHeads(cells);
    if (isUnderHeads || isUnits) return null;
    const club = mapping.clubLines ? clubOfLine(cells) : undefined;
    if (club !== undefined) {
      named = club;
      return null;
    }
    if (isSummaryRow(cells)) return { ok: false, refusal: { column: '', text: '', reason: SUMMARY_ROW } };
    const row: StrikeRow = { club: named, shot: undefined, day: undefined, time: undefined, given: {} };
    for (const reader of readers) {
      const text = (cells[reader.column] ?? '').trim();
      const reason = take(row, reader, text, mapping);
      if (reason)
        return {
          ok: false,
          refusal: { column: reader.head, text: text.slice(0, 80).replace(GARBAGE, '?'), reason },
          player: row.player,
        };
      if (reader.field === 'player') player = row.player ||= player;
    }
    if (!isEnough(row.given))
      return {
        ok: false,
        refusal: { column: '', text: '', reason: 'no carry, total, ball speed or club speed' },
        player: row.player,
      };
    if (saysBackSpin) row.isBackSpin = true;
    return { ok: true, row };
  };
}

/**
 * What was given, with what follows from it: the speed from the other one and the smash, the axis of the spin
 * from that to the side, which is one of its two parts; that backwards is the other.
 */
export function givenOf(row: StrikeRow): Strike {
  return withSmash(withSideSpin(row), row.smash);
}

function withSideSpin({ given, sideSpinRpm: side, isBackSpin: isBack }: StrikeRow): Strike {
  const { spinRpm: spin, spinAxisDeg } = given;
  if (side === undefined || spinAxisDeg !== undefined || !spin) return given;
  const whole = isBack ? Math.round(Math.hypot(spin, side) * 1e4) / 1e4 : spin;
  // More to the side than there is, or more than a ball has, was misread.
  if (Math.abs(side) > whole || whole > STRIKE_BOUNDS.spinRpm[1]) return given;
  return {
    ...given,
    spinRpm: whole,
    spinAxisDeg: Math.round((Math.asin(side / whole) * 180e4) / Math.PI) / 1e4,
  };
}

function withSmash(given: Strike, smash: number | undefined): Strike {
  if (smash === undefined) return given;
  const { clubSpeedMps, ballSpeedMps } = given;
  const round = (value: number) => Math.round(value * 1e4) / 1e4;
  if (clubSpeedMps === undefined && ballSpeedMps !== undefined)
    return { ...given, clubSpeedMps: round(ballSpeedMps / smash) };
  return ballSpeedMps === undefined && clubSpeedMps !== undefined
    ? { ...given, ballSpeedMps: round(clubSpeedMps * smash) }
    : given;
}

const SIDEWAYS: readonly StrikeField[] = ['offlineM', 'azimuthDeg', 'spinAxisDeg', 'sideSpinRpm'];

function isSideways(field: StrikeField): boolean {
  return SIDEWAYS.includes(field);
}

/** Puts a cell into the row, or says why it cannot be. */
function take(row: StrikeRow, reader: Reader, text: string, mapping: FileMapping): string | undefined {
  // Most cells of most files are plain numbers; they need none of the questions below.
  if (reader.isNumber && mapping.decimal === '.' && text !== '' && !NOT_PLAIN.test(text)) {
    const value = Number(text) * reader.factor;
    if (value >= reader.least && value <= reader.most) {
      row.given[reader.field as StrikePart] = Math.round(value * 1e4) / 1e4;
      return undefined;
    }
  }
  if (GARBAGE.test(text)) return 'holds bytes that are not text; is it in another encoding?';
  if (text.length > MAX_CELL_CHARACTERS) return `is longer than ${MAX_CELL_CHARACTERS} characters`;
  switch (reader.field) {
    case 'club':
      row.club = text;
      return undefined;
    case 'shot':
      row.shot =
        SHOT_KINDS.find((kind) => kind === text.toLowerCase().replace(/\s+/g, '-')) ??
        (isShotKind(text) ? text : undefined);
      return undefined;
    case 'at':
    case 'time':
      return takeMoment(row, text, mapping);
    case 'player':
      row.player = text;
      return undefined;
    case 'smash':
    case 'sideSpinRpm':
      return takeNumber(row, reader, reader.field, text, mapping.decimal);
    default:
      return takeNumber(row.given, reader, reader.field, text, mapping.decimal);
  }
}

const NUMBER_POINT = /^([LR])?\s*([-+−]?(?:\d+(?:,\d{3})*(?:\.\d*)?|\.\d+))\s*([a-z°/%]*)$/i;
const NUMBER_COMMA = /^([LR])?\s*([-+−]?(?:\d+(?:\.\d{3})*(?:,\d*)?|,\d+))\s*([a-z°/%]*)$/i;

function takeNumber<Part extends string>(
  into: Partial<Record<Part, number>>,
  reader: Reader,
  field: Part,
  text: string,
  decimal: '.' | ',',
): string | undefined {
  if (NOTHING.test(text)) return undefined;
  const { unit, least: min, most: max } = reader;
  const match = (decimal === ',' ? NUMBER_COMMA : NUMBER_POINT).exec(text);
  if (!match) return 'is not a number';
  const plain =
    decimal === ',' ? match[2]!.replace(/\./g, '').replace(',', '.') : match[2]!.replace(/,/g, '');
  // A unit behind the number is that of the number, whatever the column's is.
  const saidUnit = strikeUnitOf(match[3] ?? '');
  const isOther =
    saidUnit !== undefined && saidUnit !== unit && strikeField(reader.field).units.includes(saidUnit);
  const unitHere = isOther ? saidUnit : unit;
  const factor = isOther ? STRIKE_UNIT_FACTORS[saidUnit] * Math.sign(reader.factor) : reader.factor;
  let value = Number(plain.replace('−', '-')) * factor;
  // "3.2 L": a side said by its letter is left or right whatever its sign.
  const side = (match[1] ?? match[3] ?? '').toUpperCase();
  if (side === 'L' || side === 'R') value = Math.abs(value) * (side === 'L' ? -1 : 1);
  if (!(value >= min && value <= max)) return between(min, max, Math.abs(factor), unitHere);
  // A tenth of a millimetre is more than any device sees.
  into[field] = Math.round(value * 1e4) / 1e4;
  return undefined;
}

/** @param factor from what is kept to what is written */
function between(min: number, max: number, factor: number, unit: string): string {
  return `must be between ${shown(min / factor)} and ${shown(max / factor)}${unit && ` ${unit}`}`;
}

function shown(value: number): string {
  return String(Math.round(value * 10) / 10);
}

const YEAR_FIRST = /^(\d{4})[-./](\d{1,2})[-./](\d{1,2})/;
const YEAR_LAST = /^(\d{1,2})[-./](\d{1,2})[-./](\d{4}|\d{2})(?!\d)/;
const CLOCK = /(?:^|[ T])(\d{1,2}):(\d{2})(?::(\d{2}))?(?:\.\d+)?\s*([AP]M)?/i;

function takeMoment(row: StrikeRow, text: string, { dates }: FileMapping): string | undefined {
  if (NOTHING.test(text)) return undefined;
  const first = YEAR_FIRST.exec(text);
  const last = first ? null : YEAR_LAST.exec(text);
  const clock = CLOCK.exec(text);
  if (!first && !last && !clock) return 'is not a date or time of day';
  if (first || last) {
    const [year, month, day] = first
      ? [first[1]!, first[2]!, first[3]!]
      : ([
          last![3]!.length === 2 ? `20${last![3]!}` : last![3]!,
          ...(dates === 'day first' ? [last![2]!, last![1]!] : [last![1]!, last![2]!]),
        ] as [string, string, string]);
    const written = `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
    if (!isDayOfCalendar(Number(year), Number(month), Number(day)))
      return 'is not a date; does the day or the month come first?';
    row.day = written;
  }
  if (clock) {
    const hour = (Number(clock[1]) % (clock[4] ? 12 : 24)) + (clock[4]?.toUpperCase() === 'PM' ? 12 : 0);
    if (Number(clock[2]) > 59 || Number(clock[3] ?? 0) > 59) return 'is not a time of day';
    row.time = `${String(hour).padStart(2, '0')}:${clock[2]!}:${clock[3] ?? '00'}`;
  }
  return undefined;
}

const MONTH_DAYS = [31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

function isDayOfCalendar(year: number, month: number, day: number): boolean {
  if (year < 1990 || year > 2199 || month < 1 || month > 12 || day < 1 || day > MONTH_DAYS[month - 1]!)
    return false;
  return month !== 2 || day < 29 || (year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0));
}
