import { isFullSwing } from '../clubs/index.js';
import type { LadderClub } from '../spec/index.js';
import { BASELINE, type Conditions } from '../conditions/index.js';
import { carryCurve, type CarryCurve } from './carry-curve.js';

/**
 * Clubs with a place on the ladder for those whose full carry nobody knows: what the player's own other clubs foretell for their kind and loft,
 * marked as modelled, with its interval (about a third either way where no carry is known at all). What is known stays as it is; a club without
 * a loft, or with one no such club has, stays without.
 * @param conditions the air the carries are known in
 */
export function placedClubs(clubs: readonly LadderClub[], conditions: Conditions = BASELINE): LadderClub[] {
  let curve: CarryCurve | undefined;
  return clubs.map((club) => {
    const { kind, loftDeg, shots } = club;
    if (!isFullSwing(kind) || shots.full || loftDeg === undefined) return club;
    try {
      curve ??= carryCurve(clubs, conditions);
      const { carryM, apexM, landDeg } = curve.at(kind, loftDeg);
      return {
        ...club,
        shots: {
          ...shots,
          full: {
            carryM: carryM.value,
            plusMinusM: carryM.plusMinus,
            apexM: apexM.value,
            landDeg: landDeg.value,
            source: 'modelled',
          },
        },
      };
    } catch {
      return club;
    }
  });
}
