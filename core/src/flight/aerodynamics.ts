/** The ball of the Equipment Rules: the heaviest and smallest that conforms. kg and m. */
export const BALL = { massKg: 0.04593, radiusM: 0.021335 } as const;

/**
 * Drag and lift of a spinning golf ball, one set of coefficients for every club.
 *
 *     Cd = still + spun * S / (1 + S) + crisis / (1 + exp((Re - crisisRe) / crisisWidth))
 *     Cl = liftMost * S / (S + liftHalf)
 *
 * S = r omega / V is the spin ratio, Re = rho V D / mu the Reynolds number. Both forms are bounded for any S, so wedges (S of 0.5 and more)
 * and the dying end of a flight stay sane. The shape follows what Bearman and Harvey (Aeronautical Quarterly 27, 1976), Smits and Smith
 * (Science and Golf II, 1994) and Lyu, Kensrud and Smith (Proc. ISEA 2018) measured: drag that grows with spin and falls through the
 * critical Reynolds number, lift that grows with spin and levels off. The values are calibrated (docs/numbers.md says against what).
 */
export interface Aerodynamics {
  /** Drag coefficient past the crisis, without spin. */
  still: number;
  spun: number;
  crisis: number;
  crisisRe: number;
  crisisWidth: number;
  liftMost: number;
  liftHalf: number;
  /** Spin decay: d omega / dt = -spinDecay * omega * V / r. Smits and Smith 1994, from memory. */
  spinDecay: number;
}

export const AERODYNAMICS: Readonly<Aerodynamics> = {
  still: 0.214, spun: 0.326, crisis: 0.135, crisisRe: 81_000, crisisWidth: 12_000, liftMost: 0.406, liftHalf: 0.123, spinDecay: 2e-5,
};

export function dragCoefficient(spinRatio: number, reynolds: number, aero: Aerodynamics = AERODYNAMICS): number {
  return aero.still + (aero.spun * spinRatio) / (1 + spinRatio) + aero.crisis / (1 + Math.exp((reynolds - aero.crisisRe) / aero.crisisWidth));
}

export function liftCoefficient(spinRatio: number, aero: Aerodynamics = AERODYNAMICS): number {
  return (aero.liftMost * spinRatio) / (spinRatio + aero.liftHalf);
}
