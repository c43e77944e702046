import type { ClubKind, Shot } from '../clubs/index.js';
import { airOf, BASELINE, type Conditions } from '../conditions/index.js';
import { fly } from '../flight/index.js';
import { impact } from '../impact/index.js';
import { requireWithin, type Bounds } from '../invalid-input-error.js';
import { run, groundOf, MEDIUM_FAIRWAY, type Surface } from '../run-out/index.js';
import { launchOfShot } from './launch-of-shot.js';

/** What might be done to a club. Degrees and inches; positive is weaker, longer, lofted up, more upright. */
export interface Tweak {
  bendDeg?: number;
  longerIn?: number;
  sleeveDeg?: number;
  lieDeg?: number;
}

export const TWEAK_BOUNDS: Bounds<keyof Tweak> = {
  bendDeg: [-6, 6],
  longerIn: [-3, 3],
  sleeveDeg: [-3, 3],
  lieDeg: [-6, 6],
};

/** The change a tweak is expected to make. */
export interface TweakEffect {
  carryM: number;
  totalM: number;
  apexM: number;
  descentDeg: number;
  spinRpm: number;
  bounceDeg: number;
  /** Where the ball starts against before; positive to the player's outside (right for a right-hander). */
  startLineDeg: number;
  /** How far off the line it then comes down, curve and all; positive to the outside. */
  offlineM: number;
  /** Swing weight points it gains; half an inch of length is about three. Common practice, no source. */
  swingWeightPoints: number;
}

/** Half an inch longer plays about a degree more upright. Common practice, no source. */
const UPRIGHT_DEG_PER_IN = 2;
/**
 * A sleeve turned a degree up shuts the face by about as much when the club is soled. Common practice, no
 * source; heads differ.
 */
export const SHUT_DEG_PER_SLEEVE_DEG = 1;
/** The ball starts mostly where the face points. From memory: 0.85 for a driver, 0.75 for an iron. */
const FACE_SHARE: Partial<Record<ClubKind, number>> = { driver: 0.85, fairway: 0.8, hybrid: 0.8 };
const SWING_WEIGHT_PER_IN = 6;
const DEG = Math.PI / 180;

/**
 * The tilt of the spin axis when a lofted face points off the line of the swing, degrees: the face's plane
 * and the path's tilt with it. Derived from the plane of face normal and path; the ball curves the way the
 * face points.
 * @param faceDeg off the path, positive to the outside
 * @param loftDeg delivered
 * @param attackDeg of the path, up positive
 */
function spinAxisOf(faceDeg: number, loftDeg: number, attackDeg: number): number {
  return (
    Math.atan((Math.sin(faceDeg * DEG) * Math.cos(loftDeg * DEG)) / Math.sin((loftDeg - attackDeg) * DEG)) /
    DEG
  );
}

/**
 * What a bend, a length or a turn of the sleeve is expected to do to a shot: the swing that makes the known
 * carry, with the club changed. The swing is taken to stay the same; people adapt, so it is measured again
 * afterwards.
 * @throws InvalidInputError naming the field
 */
export function whatIf(
  club: { kind: ClubKind; loftDeg: number },
  shot: Pick<Shot, 'carryM' | 'apexM'>,
  tweak: Tweak,
  conditions: Conditions = BASELINE,
  surface: Surface = MEDIUM_FAIRWAY,
): TweakEffect {
  requireWithin(tweak, TWEAK_BOUNDS, ['bendDeg', 'longerIn', 'sleeveDeg', 'lieDeg']);
  const { bendDeg = 0, longerIn = 0, sleeveDeg = 0, lieDeg = 0 } = tweak;
  const air = airOf(conditions);
  const ground = groundOf(surface);
  const now = launchOfShot(club.kind, club.loftDeg, shot.carryM, air, shot.apexM);
  const launch = impact({ ...now.delivery, loftDeg: club.loftDeg + bendDeg + sleeveDeg, longerIn });
  const then = fly(launch, air);
  const run0 = run(now.flight.landSpeedMps, now.flight.descentDeg, now.flight.landSpinRpm, ground).runM;
  const run1 = run(then.landSpeedMps, then.descentDeg, then.landSpinRpm, ground).runM;
  // Too upright points the face to the player's inside: atan(tan(loft) sin(lie error)).
  const lofted = (club.loftDeg + bendDeg + sleeveDeg) * DEG;
  const upright = (lieDeg + UPRIGHT_DEG_PER_IN * longerIn) * DEG;
  const faceDeg =
    -Math.atan(Math.tan(lofted) * Math.sin(upright)) / DEG - SHUT_DEG_PER_SLEEVE_DEG * sleeveDeg;
  const startLineDeg = faceDeg * (FACE_SHARE[club.kind] ?? 0.75);
  const { shaftLeanDeg, attackDeg } = now.delivery;
  const spinAxisDeg = spinAxisOf(faceDeg, club.loftDeg + bendDeg + sleeveDeg - shaftLeanDeg, attackDeg);
  const offLine = faceDeg === 0 ? then : fly({ ...launch, azimuthDeg: startLineDeg, spinAxisDeg }, air);
  return {
    carryM: then.carryM - now.flight.carryM,
    totalM: then.carryM + run1 - now.flight.carryM - run0,
    apexM: then.apexM - now.flight.apexM,
    descentDeg: then.descentDeg - now.flight.descentDeg,
    spinRpm: launch.spinRpm - now.launch.spinRpm,
    // Bending weaker adds bounce, degree for degree; turning the sleeve up does the same when the club is
    // soled square to the line.
    bounceDeg: bendDeg + sleeveDeg,
    startLineDeg: startLineDeg === 0 ? 0 : startLineDeg,
    offlineM: faceDeg === 0 ? 0 : offLine.lateralM - then.lateralM,
    swingWeightPoints: SWING_WEIGHT_PER_IN * longerIn,
  };
}
