/** Roughness of mown grass and open course, m. Common practice in wind engineering, from memory. */
export const ROUGHNESS_M = 0.03;

const AT_TEN_METRES = Math.log((10 + ROUGHNESS_M) / ROUGHNESS_M);

/**
 * The profile by the square root of the height, in hundredths, up to 144 m: a logarithm for every stage of
 * every flight is expensive.
 */
const PER_ROOT_M = 100;
const MAX_ROOT_M = 12;
const TABLE = Float64Array.from(
  { length: MAX_ROOT_M * PER_ROOT_M + 2 },
  (_zero, i) => Math.log(((i / PER_ROOT_M) ** 2 + ROUGHNESS_M) / ROUGHNESS_M) / AT_TEN_METRES,
);

/**
 * The share of the 10 m wind that blows at a height above the ground: the logarithmic profile of neutral air,
 * zero at the ground, read off a table good to 0.0002.
 */
export function windShare(heightM: number): number {
  if (heightM <= 0) return 0;
  const place = Math.min(MAX_ROOT_M, Math.sqrt(heightM)) * PER_ROOT_M;
  const at = Math.floor(place);
  const below = TABLE[at]!;
  return below + (place - at) * (TABLE[at + 1]! - below);
}
