/** The ball of the Equipment Rules: the heaviest and smallest that conforms. kg and m. */
export const BALL = { massKg: 0.04593, radiusM: 0.021335 } as const;

/**
 * Drag and lift of a spinning golf ball, one set of coefficients for every club.
 *
 *     Cd = still + spun S / (1 + S / spunHalf) + crisis (1 - w / sqrt(1 + w^2)) / 2,        w = (Re - crisisRe) / crisisWidth
 *     Cl = liftMost S^2 / (S^2 + liftHalf^2) (1 + liftRe x / (1 + |x|)),                         x = Re / LIFT_RE - 1
 *
 * S = r omega / V is the spin ratio, Re = rho V D / mu the Reynolds number. Both forms are bounded for any S
 * and Re, so wedges (S of 0.5 and more) and the dying end of a flight stay sane. The shape follows what Bearman
 * and Harvey (Aeronautical Quarterly 27, 1976), Smits and Smith (Science and Golf II, 1994) and Lyu, Kensrud
 * and Smith (Proc. ISEA 2018) measured: drag that grows with spin and falls through the critical Reynolds
 * number, lift that grows with spin, levels off, and is less at higher speed. The values are fitted (`./tasche
 * fit`; docs/numbers.md says against what).
 */
export interface Aerodynamics {
  /** Drag coefficient past the crisis, without spin. */
  still: number;
  /** How fast drag grows with a small spin ratio. */
  spun: number;
  /** The spin ratio at which half of what spin can add to the drag is there. */
  spunHalf: number;
  /** Drag that goes when the flow turns turbulent, the Reynolds number it goes at, and how sharply. */
  crisis: number;
  crisisRe: number;
  crisisWidth: number;
  /** Lift coefficient of a very large spin ratio at `LIFT_RE`. */
  liftMost: number;
  /** The spin ratio at which half of it is there. */
  liftHalf: number;
  /** How lift changes with the Reynolds number: negative is less at high speed. */
  liftRe: number;
  /** Spin decay: d omega / dt = -spinDecay * omega * V / r. Smits and Smith 1994, from memory; not fitted. */
  spinDecay: number;
}

export const AERODYNAMICS: Readonly<Aerodynamics> = {
  still: 0.1841,
  spun: 0.9005,
  spunHalf: 0.2069,
  crisis: 0.2394,
  crisisRe: 72_440,
  crisisWidth: 12_200,
  liftMost: 0.3239,
  liftHalf: 0.08975,
  liftRe: -0.3536,
  spinDecay: 2e-5,
};

/** The Reynolds number of a middle of a mid-iron's flight: what lift is told at. */
const LIFT_RE = 120_000;

/** @param spinRatio r omega / V @param reynolds rho V D / mu */
export function dragCoefficient(
  spinRatio: number,
  reynolds: number,
  aero: Aerodynamics = AERODYNAMICS,
): number {
  const past = (reynolds - aero.crisisRe) / aero.crisisWidth;
  return (
    aero.still +
    (aero.spun * spinRatio * aero.spunHalf) / (aero.spunHalf + spinRatio) +
    0.5 * aero.crisis * (1 - past / Math.sqrt(1 + past * past))
  );
}

/** @param spinRatio r omega / V @param reynolds rho V D / mu */
export function liftCoefficient(
  spinRatio: number,
  reynolds: number,
  aero: Aerodynamics = AERODYNAMICS,
): number {
  const spun = spinRatio * spinRatio;
  const x = reynolds / LIFT_RE - 1;
  const fast = 1 + (aero.liftRe * x) / (1 + Math.abs(x));
  return (aero.liftMost * spun * fast) / (spun + aero.liftHalf * aero.liftHalf);
}
