import { requireWithin, type Bounds } from '../invalid-input-error.js';

/**
 * How a ball leaves the club. Angles in degrees; azimuth positive starts right of the target, spin axis
 * positive curves right.
 */
export interface Launch {
  ballSpeedMps: number;
  launchDeg: number;
  azimuthDeg?: number;
  spinRpm: number;
  /** Tilt of the spin axis about the line of launch; 0 is pure backspin. */
  spinAxisDeg?: number;
}

export const LAUNCH_BOUNDS: Bounds<keyof Launch> = {
  ballSpeedMps: [1, 110],
  launchDeg: [-10, 80],
  azimuthDeg: [-60, 60],
  spinRpm: [0, 15_000],
  spinAxisDeg: [-90, 90],
};

/** @throws InvalidInputError naming the field */
export function requireLaunch(launch: Launch): void {
  requireWithin(launch, LAUNCH_BOUNDS, ['azimuthDeg', 'spinAxisDeg']);
}
