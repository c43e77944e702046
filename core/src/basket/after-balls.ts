import { cholesky, forward } from '../statistics/index.js';

/**
 * What balls still to be hit will tell: what stays unknown after them, and how far they may move what is known.
 */
interface Learning {
  /** One standard deviation of what is left unknown, shot by shot. */
  left: readonly number[];
  /**
   * What is known of each shot moves by this matrix times as many independent standard normal numbers as
   * shots are hit.
   */
  moves: readonly (readonly number[])[];
}

/**
 * A normal prior of several means and balls on some of them: how the posterior will be spread before it is
 * known where it will lie. Source: the conditional normal distribution, as in Rasmussen and Williams,
 * Gaussian Processes for Machine Learning, 2006, A.6; the pre-posterior view of it: Raiffa and Schlaifer,
 * Applied Statistical Decision Theory, 1961, part 2 (from memory).
 * @param covariance of the true means about what is known
 * @param ballDeviation one standard deviation of a single ball, shot by shot
 * @param balls on each
 */
export function afterBalls(
  covariance: readonly (readonly number[])[],
  ballDeviation: readonly number[],
  balls: readonly number[],
): Learning {
  const hit = balls.flatMap((count, i) => (count > 0 ? [i] : []));
  const factor = cholesky(
    hit.map((a) => hit.map((b) => covariance[a]![b]! + (a === b ? ballDeviation[a]! ** 2 / balls[a]! : 0))),
  );
  const moves = covariance.map((row) =>
    forward(
      factor,
      hit.map((shot) => row[shot]!),
    ),
  );
  return {
    moves,
    left: moves.map((row, i) =>
      Math.sqrt(Math.max(0, covariance[i]![i]! - row.reduce((sum, one) => sum + one * one, 0))),
    ),
  };
}
