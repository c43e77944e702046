import { carryCurve, predictedOf, type CarryCurve } from '../carry/index.js';
import { isFullSwing, type Shot, type ShotKind, shotsIn, ownShotName } from '../clubs/index.js';
import type { LadderClub } from '../spec/index.js';
import { BASELINE, type Conditions } from '../conditions/index.js';

const TWIN_DEG = 1.5;

/**
 * Clubs as a choice can hold them against each other: what is not known of a full shot is filled in from the
 * player's own other clubs, so that nothing gains by not being known. A carry that is missing is the one they
 * predict, marked as modelled, with its interval (with no club known about a third either way); height from
 * the same curve; the run of the nearest club that has one. What is known stays as it is; a club whose carry
 * nothing predicts stays without. A partial or hard shot is the player's, not the head's: a club that shows
 * none of its own is given those of another of its kind and loft, in proportion to their full shots, marked
 * as modelled.
 */
export function withModelledCarries(
  clubs: readonly LadderClub[],
  conditions: Conditions = BASELINE,
): LadderClub[] {
  /** Heads of one kind within a degree and a half are swung alike. Our choice. */
  const withTwinsShots = (club: LadderClub): LadderClub => {
    const { full } = club.shots;
    if (!full || club.loftDeg === undefined || Object.keys(club.shots).length > 1) return club;
    const twin = clubs.find(
      (one) =>
        one !== club &&
        one.kind === club.kind &&
        one.shots.full &&
        Object.keys(one.shots).length > 1 &&
        Math.abs((one.loftDeg ?? Infinity) - club.loftDeg!) <= TWIN_DEG,
    );
    if (!twin) return club;
    const share = full.carryM / twin.shots.full!.carryM;
    const lent = shotsIn(twin.shots)
      .filter(([kind]) => kind !== 'full' && ownShotName(kind) === undefined)
      .map(([kind, { carryM, totalM, spreadM }]): [string, Shot] => [
        kind,
        {
          carryM: carryM * share,
          source: 'modelled',
          ...(totalM !== undefined && { totalM: totalM * share }),
          ...(spreadM !== undefined && { spreadM: spreadM * share }),
        },
      ]);
    return { ...club, shots: { full, ...(Object.fromEntries(lent) as Partial<Record<ShotKind, Shot>>) } };
  };
  const known = clubs.flatMap(({ kind, shots }) => (isFullSwing(kind) && shots.full ? [shots.full] : []));
  const runs = known
    .filter(({ totalM }) => totalM !== undefined)
    .map(({ carryM, totalM }) => ({ carryM, runM: totalM! - carryM }));
  const nearestTo = <T extends { carryM: number }>(list: readonly T[], carryM: number): T | undefined =>
    [...list].sort((a, b) => Math.abs(a.carryM - carryM) - Math.abs(b.carryM - carryM))[0];
  let curve: CarryCurve | undefined;
  const curveOf = () => (curve ??= carryCurve(clubs, conditions));
  return clubs.map(withTwinsShots).map((club) => {
    const {
      kind,
      shots: { full },
    } = club;
    if (!isFullSwing(kind) || (full && full.totalM !== undefined && full.apexM !== undefined)) return club;
    try {
      const predicted = predictedOf(curveOf(), club);
      if (!full && !predicted) return club;
      const carryM = full?.carryM ?? predicted!.carryM.value;
      const nearest = nearestTo(runs, carryM);
      const filled: Shot = {
        ...(full ?? { carryM, plusMinusM: predicted!.carryM.plusMinus, source: 'modelled' as const }),
        ...(predicted && {
          apexM: full?.apexM ?? predicted.apexM.value,
          descentDeg: full?.descentDeg ?? predicted.descentDeg.value,
        }),
        ...(nearest && { totalM: full?.totalM ?? carryM + nearest.runM }),
      };
      return { ...club, shots: { ...club.shots, full: filled } };
    } catch {
      return club; // A loft no such club has.
    }
  });
}
