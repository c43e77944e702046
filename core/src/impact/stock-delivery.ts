import type { ClubKind } from '../clubs/index.js';
import type { Delivery } from './impact.js';

/**
 * How a player of a given swing usually delivers a club of a kind and loft: the speed, attack and shaft lean
 * of remembered tour averages (common trade practice, remembered, no source) drawn through by straight lines
 * and one exponential. It is where a player's curve starts from, not where it ends: `carryCurve` bends it to
 * what was measured.
 * @param sevenIronSpeedMps head speed of the player's 7 iron, m/s
 * @param attackDeg of a player who comes at the ball otherwise; up is positive
 */
export function stockDelivery(
  kind: ClubKind,
  loftDeg: number,
  sevenIronSpeedMps: number,
  attackDeg = attack(kind, loftDeg),
): Delivery {
  const faster = sevenIronSpeedMps - TOUR_SEVEN_IRON_MPS;
  return {
    kind,
    loftDeg,
    clubSpeedMps: sevenIronSpeedMps * speedRatio(kind, loftDeg),
    attackDeg,
    shaftLeanDeg:
      lean(kind, loftDeg) +
      LEAN_PER_MPS * Math.min(MAX_FASTER_MPS, Math.max(-MAX_SLOWER_MPS, faster)) -
      LOFT_PER_ATTACK * (attackDeg - attack(kind, loftDeg)),
  };
}

/**
 * Degrees a faster swing leans the shaft more, per m/s of the 7 iron: the women's stock table is launched 1.4
 * to 2.7 degrees higher than the men's from 5.5 m/s less. It is carried a little beyond both tables and no
 * farther: leant on for ever, a fast swing would drive the ball into the ground.
 */
const LEAN_PER_MPS = 0.3;
const MAX_SLOWER_MPS = 10;
const MAX_FASTER_MPS = 4;
/**
 * Whether a full swing is so slow that no table says how it is delivered or flies: what is moved by the model
 * then, by wind above all, is a guess.
 */
export function isSlowerThanTables({
  kind,
  loftDeg,
  clubSpeedMps,
}: Pick<Delivery, 'kind' | 'loftDeg' | 'clubSpeedMps'>): boolean {
  return clubSpeedMps / speedRatio(kind, loftDeg) < TOUR_SEVEN_IRON_MPS - MAX_SLOWER_MPS;
}

/**
 * Share of a change of attack that the delivered loft follows: who hits up on it has the ball farther
 * forward. From memory.
 */
const LOFT_PER_ATTACK = 0.6;

/** Club-head speed of the tour's 7 iron, m/s: 90 mph, remembered. */
export const TOUR_SEVEN_IRON_MPS = 40.2;

/** Against a 7 iron of 34 degrees. */
function speedRatio(kind: ClubKind, loftDeg: number): number {
  switch (kind) {
    case 'driver':
      return 1.256 - 0.004 * (loftDeg - 10.5);
    case 'fairway':
      return 1.189 - 0.0115 * (loftDeg - 15);
    case 'hybrid':
      return 1.111 - 0.004 * (loftDeg - 18);
    case 'driving iron':
      return 1.105 - 0.008 * (loftDeg - 18);
    case 'wedge':
      return 0.947 - 0.003 * (loftDeg - 46);
    default:
      return 1 - (loftDeg < 34 ? 0.0067 : 0.0043) * (loftDeg - 34);
  }
}

function attack(kind: ClubKind, loftDeg: number): number {
  switch (kind) {
    case 'driver':
      return -1.3;
    case 'fairway':
      return -3.1;
    case 'hybrid':
      return -3.5;
    default:
      return -4.1 - 0.06 * (loftDeg - 34);
  }
}

/** Long irons are leant less, or they would not get up; wedges more, to keep them down. */
function lean(kind: ClubKind, loftDeg: number): number {
  switch (kind) {
    case 'driver':
      return -2.2;
    case 'fairway':
      return 4.2 + 0.25 * (loftDeg - 16.5);
    case 'hybrid':
      return 4.3 + 0.5 * (loftDeg - 18);
    default:
      return 11.4 - 3.4 * Math.exp(-(loftDeg - 22) / 8) + 0.13 * Math.max(0, loftDeg - 34);
  }
}
