import { expectedStrokes } from './expected-strokes.js';

/** How shots scatter about what they are aimed at. Standard deviations along and across, metres. */
interface Scatter {
  alongM: number;
  acrossM: number;
}

/** A usual green and the ground about it, for putting a value on scatter; no course's own. Our choice. */
const GREEN_RADIUS_M = 13;
/** Half the width of a usual fairway. Our choice. */
const FAIRWAY_HALF_M = 15;
/** Length of a usual par four. Our choice. */
const PAR_FOUR_M = 390;
/** Of the normal sum over scatter: the middles of so many equal shares each way. */
const SHARES = 24;

/**
 * Strokes to hole out after an approach that scatters about the middle of a usual round green: putts from
 * where it holds the green, out of the rough from where it does not (Broadie's table, see `expectedStrokes`).
 */
export function strokesAfterApproach(scatter: Scatter): number {
  return overScatter(scatter, (along, across) => {
    const off = Math.hypot(along, across);
    return off <= GREEN_RADIUS_M ? expectedStrokes('green', off) : expectedStrokes('rough', off);
  });
}

/**
 * Strokes to hole out after a drive on a usual par four, from the fairway or the rough beside it; the length
 * of the drive counts too.
 */
export function strokesAfterDrive(totalM: number, scatter: Scatter): number {
  return overScatter(scatter, (along, across) =>
    expectedStrokes(
      Math.abs(across) <= FAIRWAY_HALF_M ? 'fairway' : 'rough',
      Math.max(20, Math.hypot(PAR_FOUR_M - totalM - along, across)),
    ),
  );
}

/**
 * The mean of a function of where a ball comes to rest, its offsets along and across normal; the sum over
 * equal shares each way.
 */
function overScatter(
  { alongM, acrossM }: Scatter,
  strokes: (along: number, across: number) => number,
  places = MIDDLES,
): number {
  let sum = 0;
  for (const z of places) for (const y of places) sum += strokes(z * alongM, y * acrossM);
  return sum / places.length ** 2;
}

/** Normal quantiles of the middles of equal shares, by bisection: made once. */
const MIDDLES = middlesOf(SHARES);

function middlesOf(shares: number): readonly number[] {
  const bell = Array.from({ length: 8001 }, (_one, i) => -4 + i / 1000);
  const heights = bell.map((z) => Math.exp((-z * z) / 2));
  const whole = heights.reduce((sum, height) => sum + height, 0);
  const places: number[] = [];
  let below = 0;
  for (const [i, height] of heights.entries()) {
    below += height / whole;
    while (places.length < shares && below >= (places.length + 0.5) / shares) places.push(bell[i]!);
  }
  return places;
}
