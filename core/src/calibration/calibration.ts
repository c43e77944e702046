import { NORMAL_95, binomialInterval, deviationOf, meanHalfWidth, meanOf } from '../statistics/index.js';
import type { Prediction } from './predicted-carries.js';

type CalibrationVerdict = 'too few' | 'too sure' | 'too careful' | 'right';

/** How far what was said before held. */
export interface Calibration {
  predictions: number;
  /** That came within the interval said to hold in 95 of 100, and in half of all cases. */
  within95: number;
  within50: number;
  /**
   * What share of all such predictions would come within the 95 % interval, going by these; 95 % interval.
   */
  share95: readonly [low: number, high: number];
  /**
   * How much farther than expected, as a share of it: the mean with half its 95 % interval; null for one
   * alone.
   */
  bias: { mean: number; plusMinus: number } | null;
  /**
   * By what factor every interval would have had to be wider for the whole to be right: the root mean square
   * of the deviations.
   */
  stretch: number;
  verdict: CalibrationVerdict;
}

/** Fewer say nothing of how sure to be. Our choice. */
export const FEWEST_TO_JUDGE = 8;
/** Half of all normal deviates lie within this many standard deviations. */
const NORMAL_50 = 0.6745;

/**
 * Whether what was said came true as often as was said. Clubs of one session share the day, the ball and the
 * monitor, and are counted here as if they did not: the verdict is drawn only where the counts leave no
 * doubt.
 * @param predictions at least one
 */
export function calibrationOf(predictions: readonly Prediction[]): Calibration {
  const off = predictions.map(({ expectedM, foundM, deviationM }) => (foundM - expectedM) / deviationM);
  const shares = predictions.map(({ expectedM, foundM }) => (foundM - expectedM) / expectedM);
  const within = (limit: number) => off.filter((z) => Math.abs(z) <= limit).length;
  const [n, within95, within50] = [off.length, within(NORMAL_95), within(NORMAL_50)];
  const share95 = binomialInterval(within95, n);
  const mean = meanOf(shares);
  const plusMinus = meanHalfWidth(deviationOf(shares, mean), n);
  return {
    predictions: n,
    within95,
    within50,
    share95,
    bias: plusMinus === undefined ? null : { mean, plusMinus },
    stretch: Math.sqrt(meanOf(off.map((z) => z * z))),
    verdict: verdictOf(n, share95, binomialInterval(within50, n)),
  };
}

function verdictOf(
  n: number,
  [, high95]: readonly [number, number],
  [low50]: readonly [number, number],
): CalibrationVerdict {
  if (n < FEWEST_TO_JUDGE) return 'too few';
  if (high95 < 0.95) return 'too sure';
  return low50 > 0.5 ? 'too careful' : 'right';
}
