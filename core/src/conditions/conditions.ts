import { airDensity, airViscosity, ZERO_CELSIUS_K, standardAtmosphere } from '../air/index.js';
import { requireWithin, type Bounds } from '../invalid-input-error.js';

/**
 * The air a ball flies in, and how much higher or lower it comes down. The pressure is the standard
 * atmosphere's at the altitude unless it is given (as it is at the place, not reduced to sea level).
 */
export interface Conditions {
  temperatureC: number;
  altitudeM: number;
  pressureHpa?: number;
  humidityPct: number;
  /** At 10 m above the ground, as forecasts give it. */
  windMps: number;
  /** Seen by the player: 0 in the face, 90 from the right, 180 from behind, 270 from the left. */
  windFromDeg: number;
  /** Height of the target above the ball; negative below. */
  targetElevationM: number;
}

/** Where a number is from when not given: calm, 21 C, sea level, half humid, level. The stock tables' air. */
export const BASELINE: Conditions = {
  temperatureC: 21,
  altitudeM: 0,
  humidityPct: 50,
  windMps: 0,
  windFromDeg: 0,
  targetElevationM: 0,
};

export const CONDITION_BOUNDS: Bounds<keyof Conditions> = {
  temperatureC: [-20, 50],
  altitudeM: [-430, 4500],
  pressureHpa: [500, 1100],
  humidityPct: [0, 100],
  windMps: [0, 30],
  windFromDeg: [-360, 360],
  targetElevationM: [-60, 60],
};

/** @throws InvalidInputError naming the field */
export function requireConditions(conditions: Conditions): void {
  requireWithin(conditions, CONDITION_BOUNDS, ['pressureHpa']);
}

/**
 * Air as the flight feels it. Density in kg/m3, viscosity in Pa s; the wind's parts along the line of play
 * and across it, m/s at 10 m.
 */
export interface Air {
  densityKgM3: number;
  viscosityPaS: number;
  /** Along the line of play; positive blows towards the target. */
  windAlongMps: number;
  /** Across it; positive blows to the right. */
  windAcrossMps: number;
}

/**
 * The air of these conditions. Density is taken at the ball and kept over the flight: 40 m up it is 0.4 %
 * thinner.
 */
export function airOf(conditions: Conditions): Air {
  const temperatureK = conditions.temperatureC + ZERO_CELSIUS_K;
  const pressurePa =
    conditions.pressureHpa === undefined
      ? standardAtmosphere(conditions.altitudeM).pressurePa
      : conditions.pressureHpa * 100;
  const from = (conditions.windFromDeg * Math.PI) / 180;
  return {
    densityKgM3: airDensity(temperatureK, pressurePa, conditions.humidityPct / 100),
    viscosityPaS: airViscosity(temperatureK),
    windAlongMps: -conditions.windMps * Math.cos(from),
    windAcrossMps: -conditions.windMps * Math.sin(from),
  };
}
