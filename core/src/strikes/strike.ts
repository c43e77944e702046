import type { ClubKind } from '../clubs/index.js';
import type { Bounds } from '../invalid-input-error.js';

/**
 * One ball hit in a session, as a device or a person gave it; whatever they did not give is left out. Metres,
 * m/s, degrees, rpm. Sideways right of the target line is positive, so are a start to the right and a spin
 * axis that curves right.
 */
export interface Strike {
  clubSpeedMps?: number;
  ballSpeedMps?: number;
  launchDeg?: number;
  azimuthDeg?: number;
  spinRpm?: number;
  spinAxisDeg?: number;
  carryM?: number;
  totalM?: number;
  /** Off the target line where it lands. */
  offlineM?: number;
  apexM?: number;
  descentDeg?: number;
  /** Angle of attack of the head, upwards positive. */
  attackDeg?: number;
}

export type StrikePart = keyof Strike;

/**
 * Outside these a number is a device's or a typing error: 900 yd is not a shot. From memory of what is
 * possible, and then some.
 */
export const STRIKE_BOUNDS: Bounds<StrikePart> = {
  clubSpeedMps: [1, 75],
  ballSpeedMps: [1, 110],
  launchDeg: [-10, 80],
  azimuthDeg: [-60, 60],
  spinRpm: [0, 15_000],
  spinAxisDeg: [-90, 90],
  carryM: [1, 411],
  totalM: [1, 500],
  offlineM: [-200, 200],
  apexM: [0, 80],
  descentDeg: [0, 90],
  attackDeg: [-20, 20],
};

/**
 * Ball speed over club speed: outside these a device misread one of them. From memory of what is possible,
 * and then some.
 */
export const SMASH_BOUNDS = [0.7, 1.6] as const;

/** Ball speed over club speed of a strike both were measured of. */
export function smashOf({ clubSpeedMps, ballSpeedMps }: Strike): number | undefined {
  return clubSpeedMps === undefined || ballSpeedMps === undefined ? undefined : ballSpeedMps / clubSpeedMps;
}

export const STRIKE_PARTS = Object.keys(STRIKE_BOUNDS) as readonly StrikePart[];

/** What a flight can be worked out from: one of these is enough. */
export const ENOUGH_FOR_A_FLIGHT: readonly StrikePart[] = [
  'carryM',
  'totalM',
  'ballSpeedMps',
  'clubSpeedMps',
];

export function isEnough(strike: Strike): boolean {
  return ENOUGH_FOR_A_FLIGHT.some((part) => strike[part] !== undefined);
}

/** The club that hit it, as the flight model needs to know it. */
export interface StrikeClub {
  kind: ClubKind;
  loftDeg?: number | undefined;
}
