import { meanOf } from './sample.js';

/**
 * Where points scatter: their centre, and the half axes and turn of the ellipse of their covariance at one
 * standard deviation.
 */
export interface Ellipse {
  x: number;
  y: number;
  /** Longer and shorter half axis, one standard deviation each. */
  major: number;
  minor: number;
  /** Of the longer axis from the x axis to the y axis, radians, -pi/2 to pi/2. */
  turn: number;
}

/**
 * The covariance ellipse of points; undefined for fewer than three. K. Pearson's principal axes,
 * Philosophical Magazine 2 (1901) 559-572.
 */
export function ellipseOf(xs: readonly number[], ys: readonly number[]): Ellipse | undefined {
  const n = xs.length;
  if (n < 3) return undefined;
  const [x, y] = [meanOf(xs), meanOf(ys)];
  let [xx, xy, yy] = [0, 0, 0];
  for (let i = 0; i < n; i++) {
    const [dx, dy] = [xs[i]! - x, ys[i]! - y];
    xx += dx * dx;
    xy += dx * dy;
    yy += dy * dy;
  }
  [xx, xy, yy] = [xx / (n - 1), xy / (n - 1), yy / (n - 1)];
  const middle = (xx + yy) / 2;
  const apart = Math.hypot((xx - yy) / 2, xy);
  return {
    x,
    y,
    major: Math.sqrt(middle + apart),
    minor: Math.sqrt(Math.max(0, middle - apart)),
    turn: Math.atan2(2 * xy, xx - yy) / 2,
  };
}

/**
 * How many deviations of its axes an ellipse from n points must have to hold the next shot with probability
 * `share`: Hotelling's prediction region, (n - 1)(n + 1) 2 / (n (n - 2)) times the F quantile with 2 and n -
 * 2 degrees of freedom, which has a closed form. H. Hotelling, Annals of Mathematical Statistics 2 (1931)
 * 360-378. For many points it is the square root of -2 ln(1 - share).
 * @param n at least 3
 * @param share between 0 and 1
 */
export function holdingScale(n: number, share: number): number {
  const df = n - 2;
  const f = (df / 2) * ((1 - share) ** (-2 / df) - 1);
  return Math.sqrt(((2 * (n - 1) * (n + 1)) / (n * df)) * f);
}

/** Points around an ellipse at a scale, first and last the same. */
export function ellipseOutline(
  { x, y, major, minor, turn }: Ellipse,
  scale: number,
  steps = 60,
): (readonly [number, number])[] {
  return Array.from({ length: steps + 1 }, (_one, i) => {
    const t = (i / steps) * 2 * Math.PI;
    const [a, b] = [major * scale * Math.cos(t), minor * scale * Math.sin(t)];
    return [
      x + a * Math.cos(turn) - b * Math.sin(turn),
      y + a * Math.sin(turn) + b * Math.cos(turn),
    ] as const;
  });
}
