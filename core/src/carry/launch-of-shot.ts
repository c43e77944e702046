import type { ClubKind } from '../clubs/index.js';
import type { Air } from '../conditions/index.js';
import { fly, type Flight, type Launch } from '../flight/index.js';
import { impact, type Delivery, stockDelivery, TOUR_SEVEN_IRON_MPS } from '../impact/index.js';
import { InvalidInputError } from '../invalid-input-error.js';
import { solveRising } from '../statistics/index.js';

/** The swing behind a known carry, and the flight it makes. */
interface KnownShot {
  delivery: Delivery;
  launch: Launch;
  flight: Flight;
}

/** 7-iron speeds of a swing, from a chip to faster than any player. m/s */
export const SWING_SPEEDS_MPS = [5, 58] as const;
const NEAR_M = 1e-3;
/** Carry grows a little faster than speed: near enough for a first guess. */
const SPEED_PER_CARRY = 0.8;
const GUESSES = 6;
/** An apex is met by leaning the shaft more or less, within what players do. Degrees. */
const LEAN_MAX_DEG = 7;

/** A loft for a club whose own is not known. Common practice, no source. */
export const USUAL_LOFT_DEG: Record<ClubKind, number> = {
  driver: 10.5,
  fairway: 16,
  hybrid: 21,
  'driving iron': 18,
  iron: 30,
  wedge: 54,
  chipper: 36,
  putter: 3,
};

/**
 * The launch that carries a club's ball just as far as it is known to carry, and as high where that is known:
 * the stock delivery of its kind and loft, swung faster or slower and leant more or less until it fits. A
 * partial shot comes out as a slower swing.
 * @param apexM met as nearly as a believable lean allows
 * @throws InvalidInputError where no swing carries so far
 */
export function launchOfShot(
  kind: ClubKind,
  loftDeg: number | undefined,
  carryM: number,
  air: Air,
  apexM?: number,
): KnownShot {
  const loft = loftDeg ?? USUAL_LOFT_DEG[kind];
  const at = (speedMps: number, leanMoreDeg: number): KnownShot => {
    const stock = stockDelivery(kind, loft, speedMps);
    const delivery = { ...stock, shaftLeanDeg: stock.shaftLeanDeg + leanMoreDeg };
    const launch = impact(delivery);
    return { delivery, launch, flight: fly(launch, air) };
  };
  let speedMps = TOUR_SEVEN_IRON_MPS;
  /**
   * Guesses by the secant first, for one step from the last swing is nearly always enough; the whole range
   * where that fails.
   */
  const withLean = (leanMoreDeg: number): KnownShot => {
    let before: { speed: number; off: number } | undefined;
    for (let i = 0; i < GUESSES; i++) {
      const shot = at(speedMps, leanMoreDeg);
      const off = shot.flight.carryM - carryM;
      if (Math.abs(off) <= NEAR_M) return shot;
      const slope = before && (off - before.off) / (speedMps - before.speed);
      const next =
        slope !== undefined && slope > 0
          ? speedMps - off / slope
          : speedMps * (carryM / Math.max(1, shot.flight.carryM)) ** SPEED_PER_CARRY;
      if (!(next > SWING_SPEEDS_MPS[0] && next < SWING_SPEEDS_MPS[1])) break;
      before = { speed: speedMps, off };
      speedMps = next;
    }
    speedMps = solveRising(
      (speed) => at(speed, leanMoreDeg).flight.carryM,
      carryM,
      ...SWING_SPEEDS_MPS,
      NEAR_M,
    );
    return at(speedMps, leanMoreDeg);
  };
  const plain = withLean(0);
  if (plain.flight.carryM < carryM - 0.5)
    throw new InvalidInputError(
      'carryM',
      `is farther than any ${kind} of ${loft} degrees carries in this air`,
    );
  if (apexM === undefined || plain.flight.carryM > carryM + 0.5) return plain;
  // More lean flies lower at the same carry; four steps of the secant are within centimetres.
  let [a, b] = [plain, withLean(plain.flight.apexM > apexM ? 2 : -2)];
  let [la, lb] = [0, plain.flight.apexM > apexM ? 2 : -2];
  for (let i = 0; i < 3 && Math.abs(b.flight.apexM - apexM) > 0.05; i++) {
    const slope = (b.flight.apexM - a.flight.apexM) / (lb - la);
    if (!(slope < -1e-3)) break;
    const next = Math.min(LEAN_MAX_DEG, Math.max(-LEAN_MAX_DEG, lb + (apexM - b.flight.apexM) / slope));
    [a, la] = [b, lb];
    [b, lb] = [withLean(next), next];
    if (Math.abs(next) === LEAN_MAX_DEG) break;
  }
  return Math.abs(b.flight.carryM - carryM) < 0.5 ? b : plain;
}
