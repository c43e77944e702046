import { meanHalfWidth, meanOf, deviationOf, quantileOf, type MeanWithError } from '../statistics/index.js';
import type { CompleteStrike, Middle, StrikePart } from '../strikes/index.js';

/**
 * What builds are compared by. Metres, degrees, rpm; in the air and on the ground of the
 * player's baseline.
 */
export type Measure = 'carryM' | 'totalM' | 'apexM' | 'spinRpm' | 'descentDeg' | 'firmGreenRunM' | 'missM';

/** The launch of a ball, from which all the rest of its flight follows. */
const LAUNCH: readonly StrikePart[] = ['ballSpeedMps', 'launchDeg', 'spinRpm'];

/** Whether that of a strike was measured, or follows from a launch that was. */
function isMeasured({ modelled, isSideKnown }: CompleteStrike, measure: Measure): boolean {
  const hasLaunch = LAUNCH.every((part) => !modelled.includes(part));
  switch (measure) {
    case 'spinRpm':
      return !modelled.includes('spinRpm');
    case 'firmGreenRunM':
      return hasLaunch;
    case 'missM':
      return isSideKnown && (hasLaunch || !modelled.includes('carryM'));
    default:
      return hasLaunch || !modelled.includes(measure);
  }
}

/** Fewer say nothing of a spread. */
export const FEWEST_STRIKES = 3;

/** A measure of a build, over the strikes it was measured of. */
export interface Measured extends Pick<Middle, 'mean' | 'spread' | 'plusMinus'> {
  n: number;
}

/**
 * What is known of a measure; undefined where fewer than three strikes tell it: what was typed or modelled is
 * never judged as if it had been measured. The miss is how far a ball pitches from the middle of its build,
 * the medians along and across; means of such distances tell spreads apart whatever their shape (M. B. Brown
 * and A. B. Forsythe, Journal of the American Statistical Association 69 (1974) 364-367).
 */
export function measuredOf(strikes: readonly CompleteStrike[], measure: Measure): Measured | undefined {
  const known = strikes.filter((strike) => isMeasured(strike, measure));
  if (known.length < FEWEST_STRIKES) return undefined;
  const values = measure === 'missM' ? missesOf(known) : known.map((strike) => valueOf(strike, measure));
  const mean = meanOf(values);
  const spread = deviationOf(values, mean);
  return { n: values.length, mean, spread, plusMinus: meanHalfWidth(spread, values.length) };
}

function valueOf({ spinRpm, atBaseline }: CompleteStrike, measure: Exclude<Measure, 'missM'>): number {
  return measure === 'spinRpm' ? spinRpm : atBaseline[measure];
}

function missesOf(strikes: readonly CompleteStrike[]): number[] {
  const along = quantileOf(
    strikes.map(({ atBaseline }) => atBaseline.carryM),
    0.5,
  );
  const across = quantileOf(
    strikes.map(({ atBaseline }) => atBaseline.offlineM),
    0.5,
  );
  // A middle of few shots lies nearer to them than the true one, by this on average.
  const few = Math.sqrt(strikes.length / (strikes.length - 1));
  return strikes.map(
    ({ atBaseline }) => few * Math.hypot(atBaseline.carryM - along, atBaseline.offlineM - across),
  );
}

/** Its mean as statistics have it. */
export function errorOf({ mean, spread, n }: Measured): MeanWithError {
  return { mean, standardError: spread / Math.sqrt(n), n };
}
