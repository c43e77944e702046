import { carryStandardErrorM } from '../clubs/index.js';
import { normalCdf, studentTQuantile, welchInterval } from '../statistics/index.js';
import type { Step } from './ladder.js';

/** The interval of a step's true size, in metres. */
export interface StepInterval {
  lowM: number;
  highM: number;
}

/** How sure the size of a step is; undefined when a carry was only stated or its spread is not recorded. */
export function intervalOf(step: Step, confidence: number): StepInterval | undefined {
  const [upper, lower] = [step.upper.full, step.lower.full];
  if (step.modelledVariance !== undefined) {
    const of = { mean: step.carryM, standardError: Math.sqrt(step.modelledVariance) };
    const { low, high } = welchInterval(of, EXACT, confidence);
    return { lowM: low, highM: high };
  }
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

const EXACT = { mean: 0, standardError: 0 };

function sampleSize(shot: Step['upper']['full']): { n?: number } {
  return shot.source === 'measured' ? { n: shot.sampleSize! } : {};
}

/** Past this many more shots a club, hitting more will not tell. */
export const MAX_MORE_SHOTS = 40;
/** The chance that so many more shots settle a step. */
const POWER = 0.8;

/**
 * Whether a step is at its limit, either way: nearer to it than matters, and known well enough for that to be
 * said.
 * @param offM how far the step lies from its limit, metres
 * @param halfM half its interval
 * @param zoneM nearer than this it does not matter
 */
function isAtLimit(offM: number, halfM: number, zoneM: number): boolean {
  return offM <= zoneM && halfM <= KNOWN_WITHIN_ZONES * zoneM;
}
/** A step whose interval is wider than so many zones may lie anywhere. Our choice. */
const KNOWN_WITHIN_ZONES = 2;

/** Whether what was hit so far says that a step is at its limit, either way. */
export function atLimit(step: Step, offM: number, zoneM: number, confidence: number): boolean {
  const { standardErrorM, df } = errorAfter([step.upper.full, step.lower.full], 0);
  return isAtLimit(offM, studentTQuantile(0.5 + confidence / 2, df) * standardErrorM, zoneM);
}

/**
 * The fewest more shots with each club after which the verdict on a step is settled in four cases of five, at
 * the spreads seen so far: its interval leaves the limit out, or it is at the limit, either way. Undefined
 * when neither club was measured, or `MAX_MORE_SHOTS` would not do. The chance is that of the shots still to
 * be hit, the true step being spread about what was seen as the shots so far leave it open.
 * @param offM how far the step lies from its limit, metres
 * @param zoneM nearer to the limit than this it does not matter
 */
export function moreShotsFor(
  step: Step,
  offM: number,
  zoneM: number,
  confidence: number,
): number | undefined {
  const both = [step.upper.full, step.lower.full];
  if (!both.some((shot) => shot.source === 'measured')) return undefined;
  const now = errorAfter(both, 0).standardErrorM;
  const settles = (more: number) => {
    const { standardErrorM, df } = errorAfter(both, more);
    const half = studentTQuantile(0.5 + confidence / 2, df) * standardErrorM;
    const moved = Math.sqrt(Math.max(1e-12, now ** 2 - standardErrorM ** 2));
    const within = (reach: number) => normalCdf((reach - offM) / moved) - normalCdf((-reach - offM) / moved);
    const leftOut = 1 - within(half);
    return leftOut + (half <= KNOWN_WITHIN_ZONES * zoneM ? within(Math.min(half, zoneM)) : 0) >= POWER;
  };
  for (let more = 1; more <= MAX_MORE_SHOTS; more++) if (settles(more)) return more;
  return undefined;
}

/** Variance of a step's size from the shots it is known by, m2; 0 where nothing is known of it. */
export function stepVariance({ upper, lower, modelledVariance }: Step): number {
  if (modelledVariance !== undefined) return modelledVariance;
  return [upper.full, lower.full].reduce((sum, shot) => sum + (carryStandardErrorM(shot) ?? 0) ** 2, 0);
}

function errorAfter(
  both: readonly Step['upper']['full'][],
  more: number,
): { standardErrorM: number; df: number } {
  let variance = 0;
  let df = 0;
  for (const shot of both) {
    if (shot.source === 'measured') {
      const n = shot.sampleSize! + more;
      variance += shot.spreadM! ** 2 / n;
      df += n - 1;
    } else variance += carryStandardErrorM(shot)! ** 2;
  }
  return { standardErrorM: Math.sqrt(variance), df };
}
