/** The two units players give numbers in. */
export type DistanceUnit = 'yd' | 'm';

export const DISTANCE_UNITS: readonly DistanceUnit[] = ['yd', 'm'];

/** Metres in one unit. The yard is exact: international yard and pound agreement of 1959. */
const METRES_PER: Record<DistanceUnit | 'ft', number> = { yd: 0.9144, m: 1, ft: 0.3048 };

/** Metres from a number in yards, metres or feet. */
export function toMetres(value: number, unit: DistanceUnit | 'ft'): number {
  return value * METRES_PER[unit];
}

/** A number in yards, metres or feet from metres. */
export function fromMetres(metres: number, unit: DistanceUnit | 'ft'): number {
  return metres / METRES_PER[unit];
}

/**
 * Distance as a reader wants it, "150 yd" or "137 m".
 * Never "-0". `decimals` defaults to 0: a carry is not known to the inch.
 */
export function formatDistance(metres: number, unit: DistanceUnit | 'ft', decimals = 0): string {
  return `${distanceNumber(metres, unit, decimals)} ${unit}`;
}

/** The number of `formatDistance` without its unit. */
export function distanceNumber(metres: number, unit: DistanceUnit | 'ft', decimals = 0): string {
  const text = fromMetres(metres, unit).toFixed(decimals);
  return metres < 0 && Number(text) === 0 ? (0).toFixed(decimals) : text;
}

/** A distance as it was typed, to a tenth: "138 yd", "137.5 yd". */
export function typedDistance(metres: number, unit: DistanceUnit): string {
  return `${Number(distanceNumber(metres, unit, 1))} ${unit}`;
}

/** A shift as a reader wants it: "+4", "−12", "0". */
export function signedDistance(metres: number, unit: DistanceUnit | 'ft', decimals = 0): string {
  const text = distanceNumber(Math.abs(metres), unit, decimals);
  return Number(text) === 0 ? text : `${metres < 0 ? '−' : '+'}${text}`;
}
