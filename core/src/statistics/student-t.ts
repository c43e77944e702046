/**
 * Student's t distribution, as far as intervals need it.
 * The distribution function goes through the regularised incomplete beta function, by its continued fraction
 * (NIST Digital Library of Mathematical Functions, 8.17.22) evaluated with the modified Lentz method.
 */

const TINY = 1e-300;
const ENOUGH = 1e-15;
const MAX_TERMS = 500;

/**
 * Natural logarithm of the gamma function for x > 0; Lanczos approximation, g = 7, nine terms (coefficients
 * from memory).
 */
export function logGamma(x: number): number {
  const coefficients = [
    0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
    12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
  ];
  const shifted = x - 1;
  const base = shifted + 7.5;
  let sum = coefficients[0]!;
  for (let i = 1; i < coefficients.length; i++) sum += coefficients[i]! / (shifted + i);
  return 0.5 * Math.log(2 * Math.PI) + (shifted + 0.5) * Math.log(base) - base + Math.log(sum);
}

/** Regularised incomplete beta function I_x(a, b) for a, b > 0 and x in 0..1. */
export function incompleteBeta(a: number, b: number, x: number, logBeta = logBetaOf(a, b)): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  if (x > (a + 1) / (a + b + 2)) return 1 - incompleteBeta(b, a, 1 - x, logBeta);
  const front = Math.exp(a * Math.log(x) + b * Math.log1p(-x) - logBeta) / a;
  let c = 1;
  let d = 1 / guarded(1 - ((a + b) * x) / (a + 1));
  let fraction = d;
  for (let m = 1; m <= MAX_TERMS; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / guarded(1 + even * d);
    c = guarded(1 + even / c);
    fraction *= d * c;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / guarded(1 + odd * d);
    c = guarded(1 + odd / c);
    const change = d * c;
    fraction *= change;
    if (Math.abs(change - 1) < ENOUGH) break;
  }
  return front * fraction;
}

/** Natural logarithm of the complete beta function. */
function logBetaOf(a: number, b: number): number {
  return logGamma(a) + logGamma(b) - logGamma(a + b);
}

function guarded(value: number): number {
  return Math.abs(value) < TINY ? TINY : value;
}

/** Probability that t with `df` degrees of freedom (df > 0, not necessarily whole) is at most `t`. */
export function studentTCdf(t: number, df: number, logBeta = logBetaOf(df / 2, 0.5)): number {
  const tail = incompleteBeta(df / 2, 0.5, df / (df + t * t), logBeta) / 2;
  return t > 0 ? 1 - tail : tail;
}

/**
 * The t below which a share `p` of the distribution lies.
 * @param p between 0 and 1, both excluded
 * @param df degrees of freedom, above 0
 * @throws RangeError outside those bounds
 */
export function studentTQuantile(p: number, df: number): number {
  if (!(p > 0 && p < 1)) throw new RangeError(`p must lie between 0 and 1, got ${p}`);
  if (!(df > 0)) throw new RangeError(`df must be above 0, got ${df}`);
  if (p < 0.5) return -studentTQuantile(1 - p, df);
  if (p === 0.5) return 0;
  const logBeta = logBetaOf(df / 2, 0.5);
  let high = 1;
  while (studentTCdf(high, df, logBeta) < p) high *= 2;
  let low = 0;
  // Newton's steps from inside a bracket; where one would leave it, the bracket is halved instead.
  let t = Math.min(high, roughNormalQuantile(p));
  for (let i = 0; i < 100; i++) {
    const off = studentTCdf(t, df, logBeta) - p;
    if (off > 0) high = t;
    else low = t;
    const next = t - off / studentTDensity(t, df, logBeta);
    const step = next > low && next < high ? next : (low + high) / 2;
    if (Math.abs(step - t) <= 1e-10 * Math.max(1, t)) return step;
    t = step;
  }
  return t;
}

/** Probability density of t with `df` degrees of freedom. */
function studentTDensity(t: number, df: number, logBeta = logBetaOf(df / 2, 0.5)): number {
  return Math.exp(-logBeta - 0.5 * Math.log(df) - ((df + 1) / 2) * Math.log1p((t * t) / df));
}

/** Somewhere near the normal quantile for p > 0.5; Abramowitz and Stegun 26.2.22, good to 0.003. */
function roughNormalQuantile(p: number): number {
  const r = Math.sqrt(-2 * Math.log(1 - p));
  return Math.max(0.01, r - (2.30753 + 0.27061 * r) / (1 + 0.99229 * r + 0.04481 * r * r));
}
