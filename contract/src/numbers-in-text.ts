import { oneDayIn } from './days-in-text.js';
import { HANDICAP_BOUNDS, toMetres, withDegreeSign, type DistanceUnit } from '@tasche/core';

/** What a piece of typed text turned out to be. */
export type Read<T> = { ok: true; value: T } | { ok: false; reason: string };

const good = <T>(value: T): Read<T> => ({ ok: true, value });
const bad = (reason: string): Read<never> => ({ ok: false, reason });

const NUMBER = /^[-+−–]?\s*(\d+(?:[.,]\d*)?|[.,]\d+)/;

/** "1.200,50" and "1,200.50": where both marks stand, the last is the decimal's. */
function withoutThousands(text: string): string {
  const [grouped] = /^[-−+]?\d{1,3}(?:(?:\.\d{3})+(?=,\d)|(?:,\d{3})+(?=\.\d))/.exec(text) ?? [''];
  return grouped === '' ? text : grouped.replace(/[.,]/g, '') + text.slice(grouped.length);
}

/** A number at the start of the text, decimal point or comma, and what follows it. */
function leadingNumber(given: string): { value: number; rest: string } | undefined {
  const text = withoutThousands(given);
  const match = NUMBER.exec(text);
  if (!match) return undefined;
  const sign = /^[-−–]/.test(text) ? -1 : 1;
  return { value: sign * Number(match[1]!.replace(',', '.')), rest: text.slice(match[0].length).trim() };
}

function notANumber(text: string): Read<never> {
  return bad(
    /\d/.test(text) ? `"${text}" is more than a number; write the number alone` : `"${text}" is not a number`,
  );
}

const FRACTION = /^(\d+)(?:[\s-]+(\d+)\/(\d+))(?!\d)/;
const VULGAR: Record<string, string> = {
  '¼': ' 1/4',
  '½': ' 1/2',
  '¾': ' 3/4',
  '⅛': ' 1/8',
  '⅜': ' 3/8',
  '⅝': ' 5/8',
  '⅞': ' 7/8',
};

/** "37½" and "37 1/2" as "37.5", whatever follows; other text as it is. */
export function withDecimals(text: string): string {
  const whole = text.replace(/^(?=[¼½¾⅛⅜⅝⅞])/, '0');
  const plain = whole.replace(/(?<=\d) ?[¼½¾⅛⅜⅝⅞]/g, (sign) => VULGAR[sign.trim()]!);
  return plain.replace(FRACTION, (found, whole: string, above: string, below: string) =>
    Number(below) === 0 ? found : String(Number(whole) + Number(above) / Number(below)),
  );
}

/**
 * "44", "44,5", "44.5°", "44.5 deg". A comma before exactly three digits is refused where thousands are
 * possible.
 */
export function readPlainNumber(text: string, suffixes: RegExp, thousandsPossible = false): Read<number> {
  const number = leadingNumber(text);
  if (!number) return notANumber(text);
  if (thousandsPossible && /^\D*\d{1,3}[.,]\d{3}$/.test(text.trim())) {
    return bad(`"${text}" could be thousands or decimals; write it without the separator`);
  }
  if (number.rest !== '' && !suffixes.test(withDegreeSign(number.rest))) return notANumber(text);
  return good(number.value);
}

const CURRENCY = new RegExp(
  String.raw`^(?:\p{Sc}|(?:kr|fr|sfr|rs|r|euros?|zł|kč|ft|${Intl.supportedValuesOf('currency').join('|')})\.?)$`,
  'iu',
);
/** Groups of three digits behind a mark; no price has three decimals. */
const GROUPED = /^\d{1,3}(?:([.,'’ \u00a0\u202f])\d{3}(?:\1\d{3})*)(?!\d)/u;

/** A price: "310", "€ 310", "1,200 kr", "1 200,50", "300,-". Which money it is in does not matter. */
export function readMoney(text: string): Read<number> {
  const trimmed = text.trim();
  const start = Math.max(0, trimmed.search(/[-+−–]?[.,]?\d/));
  const before = trimmed.slice(0, start).trim();
  if (before !== '' && !CURRENCY.test(before)) return notANumber(text);
  // "Fr.300" is no price of 0.3.
  const amount = before === '' ? trimmed : trimmed.slice(start).replace(/^[.,]/, '');
  const plain = amount
    .replace(/[.,][-–—]+/u, '')
    .replace(GROUPED, (found) => found.replace(/[.,'’\s]/gu, ''));
  const number = leadingNumber(plain);
  if (!number) return notANumber(text);
  const [, thousand = '', currency = ''] = /^(k(?![a-zč]))?\s?(.*)$/iu.exec(number.rest) ?? [];
  if (currency !== '' && !CURRENCY.test(currency)) return notANumber(text);
  return good(thousand === '' ? number.value : number.value * 1000);
}

export type DistanceTextUnit = DistanceUnit | 'ft';

/** Stored metres are kept to a tenth of a millimetre, so that a trip through yards and back changes nothing. */
export function storedMetres(value: number, unit: DistanceTextUnit): number {
  return Math.round(toMetres(value, unit) * 1e4) / 1e4;
}

const DISTANCE_UNITS: readonly [RegExp, DistanceTextUnit][] = [
  [/^(y|yd|yds|yards?|yardas?|verges?)\.?$/i, 'yd'],
  [/^(m|mt|mtrs?|m[eè]tres?|meters?|metros?|metri)\.?$/i, 'm'],
  [/^(ft|feet|foot|')\.?$/i, 'ft'],
];

/** The distance unit a word means, or undefined. */
export function distanceUnitOf(word: string): DistanceTextUnit | undefined {
  return DISTANCE_UNITS.find(([pattern]) => pattern.test(word.trim()))?.[1];
}

/** Metres from "150", "150 yd", "137,5m"; without a unit in the text, `unit` is meant. */
export function readDistance(text: string, unit: DistanceTextUnit): Read<number> {
  const number = leadingNumber(text);
  if (!number) return notANumber(text);
  if (/^\W*\d/.test(number.rest)) return bad(`"${text}" holds more than one number`);
  const said = number.rest === '' ? unit : distanceUnitOf(number.rest);
  return said
    ? good(storedMetres(number.value, said))
    : bad(`"${number.rest}" is not a unit of distance; use yd, m or ft`);
}

/** A carry as people say it: a distance, or the two it lies between. */
interface StatedCarry {
  carryM: number;
  /** Half of what it was said to lie between. */
  plusMinusM?: number;
}

const RANGE =
  /^(\d+(?:[.,]\d+)?)(?:\s?(?:y|yds?|yards|m|metres|meters))?\s*(?:-|–|—|to|bis)\s*(\d+(?:[.,]\d+)?)([^\d.,].*)?$/i;
/** Whether two distances are written. */
export function isRange(text: string): boolean {
  return RANGE.test(text.trim());
}
/** Wider than this share of its middle a range is no carry. */
const WIDEST_RANGE = 0.3;
/** Shots of one swing lie this near each other; "90/80/70" are a full, a three-quarter and a half one. Our choice. */
const WIDEST_SHOTS = 0.1;

/** Words that stand before a number that is not exact. */
export const ABOUT_WORDS = String.raw`(?:[~≈]|\b(?:ca|circa|about|around|approx|etwa|rund)\b\.?)\s*(?=\d)`;
const ABOUT_BEFORE = new RegExp(`^${ABOUT_WORDS}`, 'i');
const ABOUT_AFTER = /(?<=[\da-z])\s?(?:ish|approx\.?|or so|\+)$/i;
/**
 * A stated carry without the words for "about": "~150", "ca. 150 yd", "150ish". It is never taken for exact.
 */
export function withoutAbout(text: string): string {
  return text.trim().replace(ABOUT_BEFORE, '').replace(ABOUT_AFTER, '');
}

/** Several shots of a club, three or more: "150 155 148", "150/155/148 yd". Two may be a carry and a total. */
const SEVERAL = /^\d{2,3}(?:\.\d)?(?:(?:\s*[/;]\s*|,?\s+)\d{2,3}(?:\.\d)?){2,19}\s*(\p{L}{0,6})$/u;

/**
 * "250", "250 yd", "about 250"; "250-255" or "230 to 240 m": the middle, and half the width; "150 155 148": the
 * mean, and half of what they lie apart.
 */
export function readCarry(given: string, unit: DistanceTextUnit): Read<StatedCarry> {
  const text = withoutAbout(given);
  const several = SEVERAL.exec(text);
  if (several) return readSeveral(text, several[1]!, unit);
  const around = AROUND.exec(text);
  if (around) return readAround(text, around, unit);
  const range = RANGE.exec(text);
  if (!range) {
    const one = readDistance(text, unit);
    return one.ok ? good({ carryM: one.value }) : one;
  }
  const [from, to] = [range[1]!, range[2]!].map((number) =>
    readDistance(`${number} ${(range[3] ?? '').trim()}`.trim(), unit),
  );
  if (!from!.ok) return from!;
  if (!to!.ok) return to!;
  if (to!.value <= from!.value) return bad(`"${text}" ends before it begins`);
  return between(text, (from!.value + to!.value) / 2, to!.value - from!.value);
}

/** "265 ±8", "265 +/- 8 yd". */
const AROUND = /^(\d+(?:[.,]\d+)?) ?(\p{L}{0,6}) ?(?:±|\+ ?\/? ?[-−–]) ?(\d+(?:[.,]\d+)?) ?(\p{L}{0,6})$/u;
function readAround(
  text: string,
  [, middle, unitBefore, half, unitBehind]: RegExpExecArray,
  unit: DistanceTextUnit,
): Read<StatedCarry> {
  const [carry, within] = [middle, half].map((number) =>
    readDistance(`${number} ${unitBehind || unitBefore}`.trim(), unit),
  );
  if (!carry!.ok) return carry!;
  return within!.ok ? between(text, carry!.value, 2 * within!.value) : within!;
}

function readSeveral(text: string, unitWord: string, unit: DistanceTextUnit): Read<StatedCarry> {
  const metres: number[] = [];
  for (const [number] of text.matchAll(/\d+(?:\.\d)?/g)) {
    const shot = readDistance(`${number} ${unitWord}`.trim(), unit);
    if (!shot.ok) return shot;
    metres.push(shot.value);
  }
  const mean = metres.reduce((sum, one) => sum + one, 0) / metres.length;
  const widthM = Math.max(...metres) - Math.min(...metres);
  return widthM > mean * WIDEST_SHOTS
    ? bad(`"${text}" may be several swings; give each its own column`)
    : between(text, mean, widthM);
}

/** A carry that was said to lie within so much. Metres. */
function between(text: string, carryM: number, widthM: number): Read<StatedCarry> {
  const stored = (metres: number) => Math.round(metres * 1e4) / 1e4;
  if (widthM > carryM * WIDEST_RANGE) return bad(`"${text}" is too wide a range for one shot`);
  return good({ carryM: stored(carryM), ...(widthM > 0 && { plusMinusM: stored(widthM / 2) }) });
}

/** Inches from '37.25', '37,25', '37 1/4', '37¼"', '94.6 cm', '946 mm'; without a unit in the text, `unit` is meant. */
export function readInches(text: string, unit: 'in' | 'cm' = 'in'): Read<number> {
  const plain = withDecimals(text.trim());
  // A phone makes a curly mark of a straight one.
  const bare = plain.replace(/("|″|[“”„]|''|’’|in|in\.|inch|inches)$/i, '').trim();
  const number = leadingNumber(bare);
  if (!number) return notANumber(text);
  if (/^mm$/i.test(number.rest)) return good(Math.round((number.value / 25.4) * 1e4) / 1e4);
  const centimetres = /^cm$/i.test(number.rest) || (number.rest === '' && unit === 'cm' && bare === plain);
  if (centimetres) return good(Math.round((number.value / 2.54) * 1e4) / 1e4);
  return number.rest === '' ? good(number.value) : notANumber(text);
}

const DAY_MONTH_YEAR = /^(\d{1,2})[./](\d{1,2})[./](\d{4})$/;

/**
 * A day from "2026-11-03", "3.11.2026" or "3 Nov 2026"; with slashes day and month are told apart only where one is over 12.
 */
export function readDay(text: string): Read<string> {
  if (/^\d{4}-\d\d-\d\d$/.test(text)) return good(text);
  const match = DAY_MONTH_YEAR.exec(text);
  if (!match) {
    const named = /\p{L}{3}/u.test(text) ? oneDayIn(text, false) : undefined;
    return named?.year === undefined
      ? bad(`"${text}" is not a date; write it as YYYY-MM-DD`)
      : good(dayOf(String(named.year), named.month, named.day));
  }
  let [day, month] = [Number(match[1]), Number(match[2])];
  if (text.includes('/')) {
    if (day <= 12 && month <= 12 && day !== month)
      return bad(`"${text}" could be two dates; write it as YYYY-MM-DD`);
    if (month > 12) [day, month] = [month, day];
  }
  return good(dayOf(match[3]!, month, day));
}
const dayOf = (year: string, month: number, day: number) =>
  `${year}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`;

/**
 * A handicap index as golfers write it: "12", "7,4", "+4" for a plus handicap (stored as -4); nothing where
 * it is empty.
 */
export function readHandicap(text: string): Read<number | null> {
  const written = text.trim().replace(/^hcp\s*/i, '');
  if (written === '') return good(null);
  const number = readPlainNumber(written, /^hcp$/i);
  if (!number.ok) return bad(`“${text.trim()}” is not a handicap; write 12, or +4 for a plus handicap`);
  const value = written.startsWith('+') ? -number.value : number.value;
  const [min, max] = HANDICAP_BOUNDS;
  return value < min || value > max
    ? bad(`A handicap is between +${-min} and ${max}`)
    : good(Math.round(value * 10) / 10 || 0);
}
