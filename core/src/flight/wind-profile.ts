/** Roughness of mown grass and open course, m. Common practice in wind engineering, from memory. */
export const ROUGHNESS_M = 0.03;

const AT_TEN_METRES = Math.log((10 + ROUGHNESS_M) / ROUGHNESS_M);

/** The share of the 10 m wind that blows at a height above the ground: the logarithmic profile of neutral air. Nought at the ground. */
export function windShare(heightM: number): number {
  return heightM <= 0 ? 0 : Math.log((heightM + ROUGHNESS_M) / ROUGHNESS_M) / AT_TEN_METRES;
}
