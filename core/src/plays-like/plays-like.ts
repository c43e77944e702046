import { SWING_SPEEDS_MPS, USUAL_LOFT_DEG } from '../carry/index.js';
import { loftOrUsual, type LoftedClub } from '../clubs/index.js';
import { fly } from '../flight/index.js';
import { ballSpeedRatio, impact, stockDelivery } from '../impact/index.js';
import { InvalidInputError } from '../invalid-input-error.js';
import { solveRising } from '../statistics/index.js';
import { airOf, BASELINE, requireConditions, type Conditions } from '../conditions/index.js';

/** What a distance asks for, and what each part of the day adds to it. Metres; positive plays longer. */
export interface PlaysLike {
  distanceM: number;
  playsLikeM: number;
  /**
   * One part at a time against the baseline; they need not add up to the whole, because they act on one
   * another.
   */
  parts: { elevationM: number; windM: number; temperatureM: number; altitudeM: number };
}

/**
 * The carry, in the baseline's air and on the level, of the swing that just carries `distanceM` in these
 * conditions.
 * @param club whose flight it is; a low ball loses less to the wind than a high one
 * @throws InvalidInputError naming the field, or `distanceM` where no swing of the club carries so far
 */
export function playsLike(
  club: LoftedClub,
  distanceM: number,
  conditions: Conditions,
  baseline: Conditions = BASELINE,
): PlaysLike {
  requireConditions(conditions);
  const level = { ...baseline, targetElevationM: 0 };
  const launchAt = (speedMps: number) =>
    impact(stockDelivery(club.kind, loftOrUsual(club) ?? USUAL_LOFT_DEG[club.kind], speedMps));
  const home = airOf(level);

  /** The same swing at home as carries the distance there. */
  const swung = (there: Conditions): number => {
    const air = airOf(there);
    const warmth = ballSpeedRatio(club.kind, there.temperatureC, level.temperatureC);
    const carryThere = (speedMps: number): number => {
      const launch = launchAt(speedMps);
      try {
        return fly({ ...launch, ballSpeedMps: launch.ballSpeedMps * warmth }, air, there.targetElevationM)
          .carryM;
      } catch (error) {
        if (error instanceof InvalidInputError && error.field === 'targetElevationM') return 0;
        throw error;
      }
    };
    const speedMps = solveRising(carryThere, distanceM, ...SWING_SPEEDS_MPS, 0.01);
    if (carryThere(speedMps) < distanceM - 1)
      throw new InvalidInputError(
        'distanceM',
        `is farther than any ${club.kind} carries in these conditions`,
      );
    return fly(launchAt(speedMps), home).carryM;
  };
  const part = (some: Partial<Conditions>) => swung({ ...level, ...some }) - distanceM;
  const { targetElevationM, windMps, windFromDeg, temperatureC, altitudeM, pressureHpa } = conditions;
  return {
    distanceM,
    playsLikeM: swung(conditions),
    parts: {
      elevationM: part({ targetElevationM }),
      windM: part({ windMps, windFromDeg }),
      temperatureM: part({ temperatureC }),
      altitudeM: part({ altitudeM, ...(pressureHpa !== undefined && { pressureHpa }) }),
    },
  };
}
