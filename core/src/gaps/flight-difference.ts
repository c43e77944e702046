import type { Step } from './ladder.js';
import type { GapSettings } from './settings.js';

/** How two neighbours fly apart: upper less lower. Undefined parts are not known. */
export interface FlightDifference {
  apexM?: number;
  descentDeg?: number;
  /** 'differ' makes two clubs of one carry an either-or pair, 'same' a duplicate. */
  verdict: 'differ' | 'same' | 'unknown';
}

/** Compares the full shots' apex and landing angle against the player's either-or thresholds. */
export function flightDifference(
  { upper, lower }: Pick<Step, 'upper' | 'lower'>,
  settings: GapSettings,
): FlightDifference {
  const apexM = difference(upper.full.apexM, lower.full.apexM);
  const descentDeg = difference(upper.full.descentDeg, lower.full.descentDeg);
  const differ =
    Math.abs(apexM ?? 0) >= settings.eitherOrApexM - ROUNDING ||
    Math.abs(descentDeg ?? 0) >= settings.eitherOrDescentDeg - ROUNDING;
  // One of the two measures is enough to find a difference, but both are needed to say there is none.
  const known = apexM !== undefined && descentDeg !== undefined;
  const result: FlightDifference = { verdict: differ ? 'differ' : known ? 'same' : 'unknown' };
  if (apexM !== undefined) result.apexM = apexM;
  if (descentDeg !== undefined) result.descentDeg = descentDeg;
  return result;
}

/** Keeps 30 ft, stored as metres, at 30 ft. */
const ROUNDING = 1e-6;

function difference(a: number | undefined, b: number | undefined): number | undefined {
  return a === undefined || b === undefined ? undefined : a - b;
}
