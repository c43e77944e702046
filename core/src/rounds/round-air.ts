import type { Course, Hole } from '../courses/index.js';
import { CONDITION_BOUNDS, type Conditions } from '../conditions/index.js';
import { requireWithin, type Bounds } from '../invalid-input-error.js';

/** The air of a round, as a forecast gives it; the wind by the compass, so that it blows hole by hole. */
export interface RoundAir {
  temperatureC: number;
  humidityPct: number;
  /** At 10 m. */
  windMps: number;
  /** Where it comes from, clockwise from north. */
  windFromDeg: number;
  /** At the place, where it is known; else the standard atmosphere's at the course. */
  pressureHpa?: number;
}

export const ROUND_AIR_BOUNDS: Bounds<keyof RoundAir> = {
  temperatureC: CONDITION_BOUNDS.temperatureC,
  humidityPct: CONDITION_BOUNDS.humidityPct,
  windMps: CONDITION_BOUNDS.windMps,
  windFromDeg: [0, 360],
  pressureHpa: CONDITION_BOUNDS.pressureHpa,
};

export const CALM: RoundAir = { temperatureC: 21, humidityPct: 50, windMps: 0, windFromDeg: 0 };

/** @throws InvalidInputError naming the field */
export function requireRoundAir(air: RoundAir): void {
  requireWithin(air, ROUND_AIR_BOUNDS, ['pressureHpa']);
}

/**
 * Of a hole whose bearing is not recorded: the bearings of such holes are taken to go round evenly, by the
 * golden angle. Our choice.
 */
const GOLDEN_DEG = 137.5;

export function bearingOf(hole: Pick<Hole, 'bearingDeg'>, at: number): number {
  return hole.bearingDeg ?? (at * GOLDEN_DEG) % 360;
}

/** The air at the height of the course, still. */
export function stillAir(
  { temperatureC, humidityPct, pressureHpa }: RoundAir,
  { altitudeM }: Pick<Course, 'altitudeM'>,
): Conditions {
  return {
    temperatureC,
    humidityPct,
    altitudeM,
    windMps: 0,
    windFromDeg: 0,
    targetElevationM: 0,
    ...(pressureHpa !== undefined && { pressureHpa }),
  };
}

/** Where the wind comes from as the player on that hole sees it: 0 in the face, 90 from the right. */
export function windOnHole(
  air: RoundAir,
  hole: Pick<Hole, 'bearingDeg'>,
  at: number,
): { windMps: number; windFromDeg: number } {
  return {
    windMps: air.windMps,
    windFromDeg: Math.round((((air.windFromDeg - bearingOf(hole, at)) % 360) + 360) % 360),
  };
}
