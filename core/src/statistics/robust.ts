import { medianOf } from './sample.js';

/** Makes the median absolute deviation of a normal sample its standard deviation. */
const NORMAL_CONSISTENCY = 1.4826;

/**
 * Median absolute deviation about the median, scaled to be a standard deviation where the sample is normal.
 * F. R. Hampel, JASA 69 (1974) 383-393.
 */
export function medianDeviationOf(values: readonly number[], median = medianOf(values)): number {
  return NORMAL_CONSISTENCY * medianOf(values.map((value) => Math.abs(value - median)));
}

/** Where Huber's weights begin to fall, in deviations: the usual 1.5. */
const HUBER_K = 1.5;
const NEAR_ENOUGH = 1e-9;

/**
 * A mean that a few wild values do not move: Huber's M-estimator of location with the scale held at the
 * median absolute deviation. P. J. Huber, Annals of Mathematical Statistics 35 (1964) 73-101. Where more than
 * half the values are the same it is their median.
 */
export function robustMeanOf(values: readonly number[]): number {
  const median = medianOf(values);
  const scale = medianDeviationOf(values, median);
  if (scale === 0) return median;
  let centre = median;
  for (let i = 0; i < 100; i++) {
    const [low, high] = [centre - HUBER_K * scale, centre + HUBER_K * scale];
    let sum = 0;
    for (const value of values) sum += Math.min(high, Math.max(low, value));
    const next = sum / values.length;
    if (Math.abs(next - centre) < NEAR_ENOUGH * scale) return next;
    centre = next;
  }
  return centre;
}

/**
 * From here on a value is an outlier. B. Iglewicz and D. C. Hoaglin, How to Detect and Handle Outliers (ASQC,
 * 1993): 3.5 modified z-scores.
 */
const OUTLIER_FROM = 3.5;
/** Fewer say nothing of each other. Our choice. */
export const FEWEST_FOR_OUTLIERS = 5;

/**
 * How many scaled deviations each value is from the median; zero everywhere when there are too few, or no
 * deviation.
 */
export function outlyingness(values: readonly number[]): number[] {
  if (values.length < FEWEST_FOR_OUTLIERS) return values.map(() => 0);
  const median = medianOf(values);
  const scale = medianDeviationOf(values, median);
  return values.map((value) => (scale === 0 ? 0 : Math.abs(value - median) / scale));
}

export function isOutlying(deviations: number): boolean {
  return deviations > OUTLIER_FROM;
}
