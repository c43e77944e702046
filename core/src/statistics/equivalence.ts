import { studentTCdf, studentTQuantile } from './student-t.js';
import type { MeanWithError } from './welch.js';
import { welchInterval } from './welch.js';

/** Whether two means are the same to within a margin. */
interface Equivalence {
  /** The larger of the two one-sided p values: below alpha, they are equivalent. */
  p: number;
  /** Interval of the difference at 1 - 2 alpha: inside the margin just when p is below alpha. */
  low: number;
  high: number;
  df: number;
}

/**
 * Two one-sided tests of the difference a - b against -margin and +margin, variances unequal. D. J.
 * Schuirmann, Journal of Pharmacokinetics and Biopharmaceutics 15 (1987) 657-680; degrees of freedom after
 * Welch and Satterthwaite.
 * @param alpha of each test, such as 0.05
 */
export function equivalence(a: MeanWithError, b: MeanWithError, margin: number, alpha = 0.05): Equivalence {
  const { low, high, df } = welchInterval(a, b, 1 - 2 * alpha);
  const error = Math.hypot(a.standardError, b.standardError);
  const difference = a.mean - b.mean;
  if (error === 0) return { p: Math.abs(difference) < margin ? 0 : 1, low, high, df };
  const p = Math.max(
    studentTCdf((difference - margin) / error, df),
    1 - studentTCdf((difference + margin) / error, df),
  );
  return { p, low, high, df };
}

/** Of a normal test of one side that rejects at 0.05 or 0.025 with four chances in five. */
const CHANCE = 0.8;
const MANY = 1e6;

/**
 * How many shots with each of two clubs tell a true distance `delta` from zero four times in five, at the
 * spreads seen so far. The usual normal approximation, (z(1 - alpha) + z(0.8))^2 (s1^2 + s2^2) / delta^2,
 * plus one for Student's wider tails.
 * @param alpha of one side
 */
export function shotsToTell(deviationA: number, deviationB: number, delta: number, alpha: number): number {
  if (delta <= 0) return Infinity;
  const z = studentTQuantile(1 - alpha, MANY) + studentTQuantile(CHANCE, MANY);
  return Math.max(2, Math.ceil((z * z * (deviationA ** 2 + deviationB ** 2)) / (delta * delta)) + 1);
}
