import { InvalidInputError } from '../invalid-input-error.js';

/**
 * The interval of a share of which a sample was counted: exact, and so never too narrow.
 * C. J. Clopper and E. S. Pearson, Biometrika 26 (1934) 404-413.
 * @param hits of `n`
 * @param level 0.95 unless told
 * @throws InvalidInputError where there are more hits than tries, or either is no whole number
 */
export function binomialInterval(
  hits: number,
  n: number,
  level = 0.95,
): readonly [low: number, high: number] {
  if (!Number.isInteger(n) || n < 1) throw new InvalidInputError('n', 'must be a whole number from 1');
  if (!Number.isInteger(hits) || hits < 0 || hits > n)
    throw new InvalidInputError('hits', `must be a whole number from 0 to ${n}`);
  const tail = (1 - level) / 2;
  const low = hits === 0 ? 0 : shareWhere((p) => atLeast(hits, n, p) < tail);
  const high = hits === n ? 1 : shareWhere((p) => 1 - atLeast(hits + 1, n, p) > tail);
  return [low, high];
}

/** The share up to which something holds, from 0 on. */
function shareWhere(holds: (p: number) => boolean): number {
  let [low, high] = [0, 1];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (holds(middle)) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** How likely so many hits or more are. */
function atLeast(hits: number, n: number, p: number): number {
  if (hits <= 0) return 1;
  let sum = 0;
  let logTerm = logChoose(n, hits) + hits * Math.log(p) + (n - hits) * Math.log1p(-p);
  for (let k = hits; k <= n; k++) {
    sum += Math.exp(logTerm);
    if (k < n) logTerm += Math.log((n - k) / (k + 1)) + Math.log(p) - Math.log1p(-p);
  }
  return Math.min(1, sum);
}

function logChoose(n: number, k: number): number {
  let sum = 0;
  for (let i = 1; i <= k; i++) sum += Math.log((n - k + i) / i);
  return sum;
}
