/**
 * Regression by a Gaussian process of mean zero: the usual equations, solved by Cholesky's factorisation.
 * Source: Rasmussen and Williams, Gaussian Processes for Machine Learning, MIT Press 2006, algorithm 2.1.
 */
interface GaussianProcess<X> {
  /** Mean and variance of the function at a place, without the noise of a new measurement. */
  at(place: X): { mean: number; variance: number };
  /** Covariance of the function at two places, given what was measured. */
  covariance(a: X, b: X): number;
}

/**
 * @param places where it was measured; none is allowed and gives the prior
 * @param values what was measured
 * @param noise variance of each measurement, positive
 * @param kernel covariance of the function at two places
 */
export function gaussianProcess<X>(
  places: readonly X[],
  values: readonly number[],
  noise: readonly number[],
  kernel: (a: X, b: X) => number,
): GaussianProcess<X> {
  const factor = cholesky(
    places.map((a, i) => places.map((b, k) => kernel(a, b) + (i === k ? noise[i]! : 0))),
  );
  const weights = backward(factor, forward(factor, values));
  return {
    at(place) {
      const shared = places.map((one) => kernel(one, place));
      const mean = shared.reduce((sum, k, i) => sum + k * weights[i]!, 0);
      const explained = forward(factor, shared).reduce((sum, v) => sum + v * v, 0);
      return { mean, variance: Math.max(0, kernel(place, place) - explained) };
    },
    covariance(a, b) {
      const [fromA, fromB] = [a, b].map((place) =>
        forward(
          factor,
          places.map((one) => kernel(one, place)),
        ),
      ) as [number[], number[]];
      return kernel(a, b) - fromA.reduce((sum, v, i) => sum + v * fromB[i]!, 0);
    },
  };
}

/** Lower triangle L with L L' = matrix, which must be symmetric and positive definite. */
export function cholesky(matrix: readonly (readonly number[])[]): number[][] {
  const lower = matrix.map((row) => row.map(() => 0));
  for (let i = 0; i < matrix.length; i++) {
    for (let k = 0; k <= i; k++) {
      let sum = matrix[i]![k]!;
      for (let j = 0; j < k; j++) sum -= lower[i]![j]! * lower[k]![j]!;
      if (i === k && sum <= 0) throw new RangeError('the covariance is not positive definite');
      lower[i]![k] = i === k ? Math.sqrt(sum) : sum / lower[k]![k]!;
    }
  }
  return lower;
}

/** Solves L x = right. @param lower L, as `cholesky` gives it */
export function forward(lower: readonly (readonly number[])[], right: readonly number[]): number[] {
  const solved: number[] = [];
  for (let i = 0; i < right.length; i++) {
    let sum = right[i]!;
    for (let k = 0; k < i; k++) sum -= lower[i]![k]! * solved[k]!;
    solved.push(sum / lower[i]![i]!);
  }
  return solved;
}

function backward(lower: readonly (readonly number[])[], right: readonly number[]): number[] {
  const solved = [...right];
  for (let i = right.length - 1; i >= 0; i--) {
    for (let k = i + 1; k < right.length; k++) solved[i]! -= lower[k]![i]! * solved[k]!;
    solved[i]! /= lower[i]![i]!;
  }
  return solved;
}
