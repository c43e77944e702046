import { knownShare, placedClubs } from '../carry/index.js';
import { carryErrorM, type Shot } from '../clubs/index.js';
import { BASELINE, type Conditions } from '../conditions/index.js';
import type { LadderClub } from '../spec/index.js';

/**
 * What an expected carry stood on; `moved` is one taken before the club was bent or rebuilt, moved by the
 * model.
 */
export const PREDICTION_BASES = ['measured', 'stated', 'moved', 'modelled'] as const;
export type PredictionBasis = (typeof PREDICTION_BASES)[number];

/**
 * The mean full carry of a club as a session found it, in the air the player's carries are known in. Metres.
 */
export interface FoundCarry {
  clubId: string;
  meanM: number;
  /** One standard deviation of a shot. */
  spreadM: number;
  shots: number;
}

/** A carry as it was expected before a session, beside what the session found. Metres. */
export interface Prediction {
  clubId: string;
  clubName: string;
  basis: PredictionBasis;
  expectedM: number;
  foundM: number;
  shots: number;
  /**
   * Of the difference: what was not known of the club, and what so few shots tell; one standard deviation.
   */
  deviationM: number;
}

/**
 * What the sheet said of the clubs of a session before it, compared with what it found. A club without a loft
 * or a carry was not spoken of, and is left out.
 * @param clubs as they were known before, all of the player's: those that were not hit predict those that were
 * @param conditions the air the carries are known in
 */
export function predictedCarries(
  clubs: readonly LadderClub[],
  found: readonly FoundCarry[],
  conditions: Conditions = BASELINE,
): Prediction[] {
  const placed = placedClubs(clubs, conditions);
  return found.flatMap(({ clubId, meanM, spreadM, shots }): Prediction[] => {
    const i = clubs.findIndex(({ id }) => id === clubId);
    const expected = placed[i]?.shots.full;
    if (!expected) return [];
    const measured: Shot = { carryM: meanM, spreadM, sampleSize: shots, source: 'measured' };
    return [
      {
        clubId,
        clubName: clubs[i]!.name,
        basis: basisOf(clubs[i]!, expected),
        expectedM: expected.carryM,
        foundM: meanM,
        shots,
        deviationM: Math.hypot(
          expected.source === 'modelled' ? carryErrorM(expected) : knownShare(expected) * expected.carryM,
          knownShare(measured) * meanM,
        ),
      },
    ];
  });
}

function basisOf(before: LadderClub, expected: Shot): PredictionBasis {
  if (expected.source !== 'modelled') return expected.source;
  return before.shots.full && before.shots.full.source !== 'modelled' ? 'moved' : 'modelled';
}
