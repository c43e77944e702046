/** What a list of numbers shows. Every function takes at least one number and leaves its list as it was. */

export function meanOf(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

/** Standard deviation with n - 1 below; zero for a single number. */
export function deviationOf(values: readonly number[], mean = meanOf(values)): number {
  if (values.length < 2) return 0;
  return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1));
}

/**
 * The value below which a share `p` of the list lies, between two neighbours in proportion.
 * Definition 7 of R. J. Hyndman and Y. Fan, The American Statistician 50 (1996) 361-365.
 */
export function quantileOf(values: readonly number[], p: number): number {
  // Numbers in an array of their own are sorted several times faster than a list is.
  const sorted = Float64Array.from(values).sort();
  const place = (sorted.length - 1) * p;
  const below = Math.floor(place);
  const above = Math.min(sorted.length - 1, below + 1);
  return sorted[below]! + (place - below) * (sorted[above]! - sorted[below]!);
}

export function medianOf(values: readonly number[]): number {
  return quantileOf(values, 0.5);
}
