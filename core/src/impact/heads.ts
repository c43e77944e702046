import type { ClubKind } from '../clubs/index.js';

/** A head as the impact feels it. */
interface Head {
  /** With the shaft's share, kg. */
  massKg: number;
  restitution: number;
  /** Tangential speed given to the ball against that of one that just grips. */
  tangential: number;
}

/**
 * Calibrated so that remembered club-head speeds and attack angles of tour players give the launches of the
 * stock table (common trade practice, remembered, no source). The table is pooled over many players, so these
 * are no measurement of any head.
 */
export const HEADS: Partial<Record<ClubKind, Head>> = {
  driver: { massKg: 0.2, restitution: 0.872, tangential: 0.69 },
  fairway: { massKg: 0.214, restitution: 0.855, tangential: 1.0 },
  hybrid: { massKg: 0.235, restitution: 0.824, tangential: 1.06 },
  'driving iron': { massKg: 0.24, restitution: 0.808, tangential: 1.1 },
  iron: { massKg: 0.26, restitution: 0.772, tangential: 1.18 },
  wedge: { massKg: 0.295, restitution: 0.79, tangential: 1.22 },
  chipper: { massKg: 0.29, restitution: 0.77, tangential: 1.15 },
};

/**
 * Club-head speed per inch of length, as a share: a longer club is swung a little faster. From memory, no
 * source.
 */
const SPEED_PER_IN = 0.01;

export function speedOfLength(longerIn: number): number {
  return 1 + SPEED_PER_IN * longerIn;
}
