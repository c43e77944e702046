import { normalCdf } from './normal.js';

/** One turn of the golden section: steps of it spread most evenly over an interval. */
const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** Standard normal quantile of a share between 0 and 1, to 1e-10, by halving. */
export function normalQuantile(share: number): number {
  let [low, high] = [-9, 9];
  while (high - low > 1e-10) {
    const middle = (low + high) / 2;
    if (normalCdf(middle) < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * Points along and across, each `[along0, across0, along1, ...]`, in standard deviations; made once for each
 * count.
 */
const made = { whole: [] as Float64Array[], half: [] as Float64Array[] };

/**
 * Points that stand for a round scatter with equal weight: a Fibonacci lattice (Niederreiter, Random Number
 * Generation and Quasi-Monte Carlo Methods, 1992, chapter 5) through the normal quantiles. An edge across it
 * is met to about one share in `count`, where a square grid of as many points meets it to one in the root of
 * them.
 * @param half only the right half, for what is the same at both sides
 */
export function normalPlaces(count: number, half: boolean): Float64Array {
  const byCount = made[half ? 'half' : 'whole'];
  const known = byCount[count];
  if (known) return known;
  const places = new Float64Array(count * 2);
  for (let i = 0; i < count; i++) {
    const across = ((i + 0.5) * GOLDEN) % 1;
    places[2 * i] = normalQuantile((i + 0.5) / count);
    places[2 * i + 1] = normalQuantile(half ? 0.5 + across / 2 : across);
  }
  byCount[count] = places;
  return places;
}
