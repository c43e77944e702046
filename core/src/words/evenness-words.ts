import type { GapReport } from '../gaps/index.js';
import { fromMetres, type DistanceUnit } from '../units/index.js';

type Evenness = NonNullable<GapReport['evenness']>;

/**
 * Less than this, once the noise of the shots is taken out, is even as far as can be told: metres or
 * degrees.
 */
const EVEN = 0.05;
const NOT_KNOWN_YET = 'not known yet';

/** Whether a bag is as even as can be told. */
export const isEvenEnough = ({ rms }: Pick<Evenness, 'rms'>): boolean => rms < EVEN;

/** "uneven by 4.5 yd", or "even" where the shots can tell no more. */
export function unevenWords(evenness: Pick<Evenness, 'rms' | 'unit'>, unit: DistanceUnit): string {
  return isEvenEnough(evenness) ? 'even' : `uneven by ${evennessWords(evenness, unit)}`;
}

/**
 * How even a bag is; undefined where there is nothing to measure. Nothing is called even while it is not known.
 */
export function bagEvennessWords(
  { evenness, steps }: Pick<GapReport, 'evenness' | 'steps'>,
  unit: DistanceUnit,
): string | undefined {
  if (!evenness) return undefined;
  return evennessKnown({ evenness, steps }) === 'unknown' ? NOT_KNOWN_YET : unevenWords(evenness, unit);
}

/** What is known of how even a bag is: a bag is not even while most of its steps are unknown. */
function evennessKnown({
  evenness,
  steps,
}: Pick<GapReport, 'evenness' | 'steps'>): 'even' | 'uneven' | 'unknown' {
  if (evenness && !isEvenEnough(evenness)) return 'uneven';
  const unknown = steps.filter(({ severity }) => severity === 'unknown').length;
  return evenness && unknown <= steps.length / 2 ? 'even' : 'unknown';
}

/**
 * How even a bag was, and is after a change: "uneven by 4.5 yd" and "3.2 yd". Undefined where neither is known.
 */
export function evennessChangeWords(
  before: Pick<GapReport, 'evenness' | 'steps'>,
  after: Pick<GapReport, 'evenness' | 'steps'>,
  unit: DistanceUnit,
): { before: string; after: string } | undefined {
  const known = [before, after].map((report) => evennessKnown(report));
  if (!known.includes('even') && !known.includes('uneven')) return undefined;
  const [was, is] = [before, after].map((report) => bagEvennessWords(report, unit) ?? NOT_KNOWN_YET);
  return {
    before: was!,
    after: known.every((one) => one === 'uneven') ? evennessWords(after.evenness!, unit) : is!,
  };
}

/** "3.4 yd" or "0.8°". */
export function evennessWords(evenness: Pick<Evenness, 'rms' | 'unit'>, unit: DistanceUnit): string {
  return evenness.unit === 'deg'
    ? `${evenness.rms.toFixed(1)}°`
    : `${fromMetres(evenness.rms, unit).toFixed(1)} ${unit}`;
}
