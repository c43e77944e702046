import { carryStandardErrorM } from '../clubs/shot.js';
import { studentTQuantile } from '../statistics/student-t.js';
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
  if (halfWidthAfter(both, MOST_MORE_SHOTS, confidence) > marginM) return undefined;
  let tooFew = 0;
  let enough = MOST_MORE_SHOTS;
  while (enough - tooFew > 1) {
    const middle = Math.floor((tooFew + enough) / 2);
    if (halfWidthAfter(both, middle, confidence) <= marginM) enough = middle;
    else tooFew = middle;
  }
  return enough;
}

function halfWidthAfter(both: readonly Step['upper']['full'][], more: number, confidence: number): number {
  let variance = 0;
  let df = 0;
  for (const shot of both) {
    if (shot.source === 'measured') {
      const n = shot.shots! + more;
      variance += shot.spreadM! ** 2 / n;
      df += n - 1;
    } else variance += carryStandardErrorM(shot)! ** 2;
  }
  return studentTQuantile(0.5 + confidence / 2, df) * Math.sqrt(variance);
}
