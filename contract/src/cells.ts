import {
  CLUB_KINDS,
  SHOT_SOURCES,
  fromMetres,
  formatSwingWeight,
  swingWeightPoints,
  type ClubKind,
  type DistanceUnit,
  type Fact,
  type Quantity,
  type QuantityKey,
} from '@tasche/core';
import * as yup from './yup.js';
import {
  exactDistance,
  isDistancePart,
  usualUnits,
  type Column,
  type ColumnUnits,
  type ShotPart,
} from './columns.js';
import {
  isRange,
  readCarry,
  readDay,
  readDistance,
  readInches,
  readMoney,
  readPlainNumber,
  withDecimals,
  withoutAbout,
  type DistanceTextUnit,
  type Read,
} from './numbers-in-text.js';
import { dateSchema, quantitySchema, shotSchema, textSchema } from './schemas.js';

export type CellValue = string | number;

/** A cell that is longer is refused before its text is looked at. Notes are the longest thing a cell holds. */
export const MAX_CELL_CHARACTERS = 4000;
/** Cells that hold no free text are shorter still. */
const MAX_VALUE_CHARACTERS = 80;

/** Reads what was typed, pasted or found in a file into a column's value, checked as the server would. */
export function readCell(
  column: Column,
  text: string,
  distanceUnit: DistanceUnit,
  units: Partial<ColumnUnits> = {},
): Read<CellValue> {
  const max = isFreeText(column) ? MAX_CELL_CHARACTERS : MAX_VALUE_CHARACTERS;
  if (text.length > max) return { ok: false, reason: `is longer than ${max} characters` };
  const trimmed = unguarded(text.trim());
  const { distance, length } = { ...usualUnits(column, distanceUnit), ...units };
  if (column.type === 'club') {
    if (column.id !== 'kind') return checked(textSchema(80), trimmed, column.label);
    const kind =
      CLUB_KINDS.find((known) => known === trimmed.toLowerCase()) ?? KIND_WORDS[trimmed.toLowerCase()];
    return kind
      ? { ok: true, value: kind }
      : { ok: false, reason: `"${trimmed}" is no kind of club; use one of: ${CLUB_KINDS.join(', ')}` };
  }
  if (column.type === 'quantity') {
    const read = readQuantity(column.quantity, trimmed, length);
    return read.ok ? checked(quantitySchema(column.quantity), read.value, column.quantity.label) : read;
  }
  const { part } = column;
  const read: Read<CellValue> = isDistancePart(part)
    ? readDistance(trimmed, distance)
    : part === 'descentDeg'
      ? readPlainNumber(trimmed, /^(°|deg|degrees?)$/i)
      : part === 'sampleSize'
        ? readPlainNumber(trimmed, /^shots?$/i)
        : part === 'takenOn'
          ? readDay(trimmed)
          : part === 'source'
            ? readChoice(trimmed, SHOT_SOURCES)
            : { ok: true, value: trimmed };
  if (!read.ok) return read;
  const schema = part === 'takenOn' ? dateSchema : (yup.reach(shotSchema, part) as yup.Schema);
  const found = checked(schema, read.value, column.label);
  const bounds = !found.ok && isDistancePart(part) && distance !== 'm' ? boundsInMetres(schema) : undefined;
  return bounds ? { ok: false, reason: `${column.label} must be ${boundsText(bounds, distance)}` } : found;
}

const KIND_WORDS: Record<string, ClubKind> = {
  wood: 'fairway',
  'fairway wood': 'fairway',
  irons: 'iron',
  wedges: 'wedge',
  hybrids: 'hybrid',
  utility: 'driving iron',
};

/** "2 flat", "1 up", "+1/2", "std +1": relative to an unknown standard. */
const AGAINST_STANDARD = new RegExp(
  [
    String.raw`^st(?:d|andard)\b|\bst(?:d|andard)$|^[+−-]`,
    String.raw`^[\d½¼¾][\d.,/½¼¾]*(?:["”″]|°|in)? ?(?:flat|up|upright|over|under|long|short)$`,
  ].join('|'),
  'i',
);
const OF_STANDARD: Partial<Record<QuantityKey, string>> = {
  lieDeg: 'a standard lie; write the angle itself, such as 62',
  lengthIn: 'a standard length; write the length itself, such as 37.5',
};

function readQuantity(quantity: Quantity, text: string, length: 'in' | 'cm'): Read<CellValue> {
  switch (quantity.type) {
    case 'number':
      const ofStandard = OF_STANDARD[quantity.key];
      if (ofStandard && AGAINST_STANDARD.test(text))
        return { ok: false, reason: `"${text}" is against ${ofStandard}` };
      if (quantity.unit === 'in') return readInches(text, length);
      if (quantity.unit === 'money') return readMoney(withoutAbout(text));
      return readPlainNumber(
        withDecimals(text),
        quantity.unit === 'deg' ? /^(°|\*|deg|degrees?)$/i : /^(g|gr|grams?|layers?|wraps?|x)$/i,
      );
    case 'choice':
      return readChoice(text, quantity.choices);
    case 'date':
      return readDay(text);
    case 'swingWeight': {
      const points = swingWeightPoints(text.replace(/ ?(?:½|1\/2)$/, '.5'));
      return points === undefined
        ? { ok: false, reason: `"${text}" is not a swing weight; write it like D3` }
        : { ok: true, value: formatSwingWeight(points) };
    }
    case 'text':
      return { ok: true, value: text };
  }
}

function readChoice(text: string, choices: readonly string[]): Read<string> {
  const wanted = text.toLowerCase();
  const starting = choices.filter((choice) => choice.startsWith(wanted));
  const choice = choices.find((one) => one === wanted) ?? (starting.length === 1 ? starting[0] : undefined);
  return choice
    ? { ok: true, value: choice }
    : { ok: false, reason: `"${text}" is none of: ${choices.join(', ')}` };
}

/** The metres a schema takes, from and to; undefined where it has no such bounds, or words of its own for them. */
function boundsInMetres(schema: yup.Schema): readonly [number, number] | undefined {
  const { tests, meta } = schema.describe();
  if ((meta as { unit?: string } | undefined)?.unit !== 'm') return undefined;
  const bound = (name: 'min' | 'max') => tests.find((test) => test.name === name)?.params?.[name];
  const [min, max] = [bound('min'), bound('max')];
  return typeof min === 'number' && typeof max === 'number' ? [min, max] : undefined;
}

/** Bounds in metres as a reader in yards or feet knows them. */
function boundsText([minM, maxM]: readonly [number, number], unit: DistanceTextUnit): string {
  const [min, max] = [fromMetres(minM, unit), fromMetres(maxM, unit)];
  return `between ${Math.ceil(min)} and ${Math.floor(max)} ${unit}`;
}

function checked(schema: yup.Schema, value: CellValue, label: string): Read<CellValue> {
  try {
    schema.label(label).validateSync(value, { strict: true });
    return { ok: true, value };
  } catch (error) {
    if (!(error instanceof yup.ValidationError)) throw error;
    return { ok: false, reason: error.errors[0]!.replace(/^this/, label) };
  }
}

/** A value as a file holds it: exact, and in the unit its head names. */
export function writeCell(column: Column, value: CellValue, distanceUnit: DistanceUnit): string {
  if (column.type === 'shot' && isDistancePart(column.part)) {
    return exactDistance(value as number, usualUnits(column, distanceUnit).distance);
  }
  return isFreeText(column) ? guarded(String(value)) : String(value);
}

function isFreeText(column: Column): boolean {
  return (
    column.type === 'club' ||
    (column.type === 'quantity' && column.quantity.type === 'text') ||
    (column.type === 'shot' && column.part === 'conditions')
  );
}

/**
 * Where a spreadsheet may begin a cell: at the start, and after whatever its reader's settings take for a
 * separator.
 */
const FORMULA = /(^|[,;|\t\r\n])('*)(?=[=+\-@])/g;
const GUARDED = /(^|[,;|\t\r\n])'('*)(?=[=+\-@])/g;

/**
 * A text that no spreadsheet runs as a formula: an apostrophe before whatever starts like one, also after a
 * semicolon or a bar, which other countries' spreadsheets take for the end of a cell. `unguarded` gives the
 * text back as it was.
 * @example guarded('=SUM(A1)') // "'=SUM(A1)"
 */
export function guarded(text: string): string {
  return text.replace(FORMULA, "$1'$2");
}

/** The text that `guarded` was given. */
export function unguarded(text: string): string {
  return text.replace(GUARDED, '$1$2');
}

/** A quantity's value as a reader sees it: "44.5°", "37.25 in", "D3". */
export function showQuantity(quantity: Quantity, value: Fact['value'], withUnit = true): string {
  if (quantity.type !== 'number' || typeof value !== 'number')
    return typeof value === 'object' ? '' : String(value);
  const shown = trimZeros(value, quantity.decimals);
  if (!withUnit) return shown;
  const unit = { deg: '°', in: ' in', g: ' g', Nm: ' Nm', layers: '', 'per round': '', money: '' }[
    quantity.unit
  ];
  return `${shown}${unit}`;
}

/** At least the decimals the trade writes, and more only where more were recorded. */
function trimZeros(value: number, decimals: number): string {
  const rounded = value.toFixed(decimals);
  return Math.abs(Number(rounded) - value) < 1e-9 ? rounded : String(Number(value.toFixed(4)));
}

/**
 * What a cell of a shot says of it: its one part, and of a carry written as a range its middle and half its
 * width.
 */
export function readShotCell(
  column: Extract<Column, { type: 'shot' }>,
  text: string,
  distanceUnit: DistanceUnit,
  units: Partial<ColumnUnits> = {},
): Read<Partial<Record<ShotPart, CellValue>>> {
  const isCarry = column.part === 'carryM';
  const said = isCarry ? withoutAbout(unguarded(text.trim())) : text;
  if (isCarry) {
    const { distance } = { ...usualUnits(column, distanceUnit), ...units };
    const range = readCarry(said, distance);
    if (range.ok && range.value.plusMinusM !== undefined) return { ok: true, value: { ...range.value } };
    if (!range.ok && isRange(said)) return range;
  }
  const read = readCell(column, said, distanceUnit, units);
  return read.ok ? { ok: true, value: { [column.part]: read.value } } : read;
}
