import { studentTQuantile } from './student-t.js';

/**
 * Half the width of a mean's interval from a normal sample of n at a confidence; undefined for a single
 * value. Student, Biometrika 6 (1908) 1-25.
 */
export function meanHalfWidth(deviation: number, n: number, confidence = 0.95): number | undefined {
  return n < 2 ? undefined : (tOf(confidence, n - 1) * deviation) / Math.sqrt(n);
}

/** Past this many no session settles it. */
const MAX_SHOTS_NEEDED = 2000;

/**
 * How many shots in all bring a mean within `margin` of the truth at a confidence, at a spread seen so far;
 * undefined past `MAX_SHOTS_NEEDED`.
 */
export function shotsForMean(deviation: number, margin: number, confidence = 0.95): number | undefined {
  let [few, enough] = [1, MAX_SHOTS_NEEDED + 1];
  while (enough - few > 1) {
    const middle = Math.floor((few + enough) / 2);
    if (meanHalfWidth(deviation, middle, confidence)! <= margin) enough = middle;
    else few = middle;
  }
  return enough > MAX_SHOTS_NEEDED ? undefined : enough;
}

const known = new Map<string, number>();

/** The quantile is asked for over and over at the same few degrees of freedom. */
function tOf(confidence: number, df: number): number {
  const key = `${confidence} ${df}`;
  let t = known.get(key);
  if (t === undefined) known.set(key, (t = studentTQuantile(0.5 + confidence / 2, df)));
  return t;
}
