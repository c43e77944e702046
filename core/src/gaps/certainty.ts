import { carryStandardErrorM } from '../clubs/shot.js';
import { roughNormalQuantile, studentTQuantile } from '../statistics/student-t.js';
import { welchInterval } from '../statistics/welch.js';
import type { Step } from './ladder.js';

/** The interval of a step's true size, in metres. */
export interface StepInterval {
  lowM: number;
  highM: number;
}

/** How sure the size of a step is; undefined when a carry was only stated or its spread is not recorded. */
export function intervalOf(step: Step, confidence: number): StepInterval | undefined {
  const [upper, lower] = [step.upper.full, step.lower.full];
  const upperError = carryStandardErrorM(upper);
  const lowerError = carryStandardErrorM(lower);
  if (upperError === undefined || lowerError === undefined) return undefined;
  const { low, high } = welchInterval(
    { mean: upper.carryM, standardError: upperError, ...sampleSize(upper) },
    { mean: lower.carryM, standardError: lowerError, ...sampleSize(lower) },
    confidence,
  );
  return { lowM: low, highM: high };
}

function sampleSize(shot: Step['upper']['full']): { n?: number } {
  return shot.source === 'measured' ? { n: shot.shots! } : {};
}

/** Past this many more shots a club, no range session settles it. */
export const MOST_MORE_SHOTS = 200;

/**
 * How many more shots with each club would bring a step's interval within `marginM` of its middle,
 * at the spreads seen so far; undefined when neither club was measured or `MOST_MORE_SHOTS` would not do.
 */
export function moreShotsFor(step: Step, marginM: number, confidence: number): number | undefined {
  const both = [step.upper.full, step.lower.full];
  if (!both.some((shot) => shot.source === 'measured')) return undefined;
  const p = 0.5 + confidence / 2;
  const normal = roughNormalQuantile(p);
  // Student's t is wider than the normal, so what is too few for the normal is too few.
  let tooFew = 0;
  let perhaps = MOST_MORE_SHOTS + 1;
  while (perhaps - tooFew > 1) {
    const middle = Math.floor((tooFew + perhaps) / 2);
    if (normal * errorAfter(both, middle).standardErrorM <= marginM) perhaps = middle;
    else tooFew = middle;
  }
  const surelyTooFew = Math.max(0, tooFew - 1);
  for (let more = surelyTooFew + 1; more <= MOST_MORE_SHOTS; more++) {
    const { standardErrorM, df } = errorAfter(both, more);
    if (studentTQuantile(p, df) * standardErrorM <= marginM) return more;
  }
  return undefined;
}

function errorAfter(both: readonly Step['upper']['full'][], more: number): { standardErrorM: number; df: number } {
  let variance = 0;
  let df = 0;
  for (const shot of both) {
    if (shot.source === 'measured') {
      const n = shot.shots! + more;
      variance += shot.spreadM! ** 2 / n;
      df += n - 1;
    } else variance += carryStandardErrorM(shot)! ** 2;
  }
  return { standardErrorM: Math.sqrt(variance), df };
}
