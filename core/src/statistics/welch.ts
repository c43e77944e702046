import { studentTQuantile } from './student-t.js';

/**
 * A sample seen from outside: its standard error and, where it was measured, how many shots stand behind it.
 */
export interface MeanWithError {
  mean: number;
  standardError: number;
  /** Undefined for a modelled mean, whose error is taken as known. */
  n?: number;
}

/**
 * Two-sided interval of the difference of two means with unequal variances, a - b. Degrees of freedom after
 * B. L. Welch, Biometrika 34 (1947) 28-35, and F. E. Satterthwaite, Biometrics Bulletin 2 (1946) 110-114.
 * @param confidence such as 0.8 or 0.95
 */
export function welchInterval(
  a: MeanWithError,
  b: MeanWithError,
  confidence: number,
): { low: number; high: number; df: number } {
  const varianceA = a.standardError ** 2;
  const varianceB = b.standardError ** 2;
  const spread = (varianceA: number, n: number | undefined) =>
    n === undefined ? 0 : varianceA ** 2 / (n - 1);
  const below = spread(varianceA, a.n) + spread(varianceB, b.n);
  const df = below === 0 ? KNOWN_ERROR_DF : Math.min(KNOWN_ERROR_DF, (varianceA + varianceB) ** 2 / below);
  const half = studentTQuantile(0.5 + confidence / 2, df) * Math.sqrt(varianceA + varianceB);
  const difference = a.mean - b.mean;
  return { low: difference - half, high: difference + half, df };
}

/** With the errors known, t is normal; a million degrees of freedom is normal to six digits. */
const KNOWN_ERROR_DF = 1e6;
