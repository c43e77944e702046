import { carryErrorM, isFullSwing, type Shot, type ShotKind } from '../clubs/index.js';
import type { BuildChange, LadderClub } from '../spec/index.js';
import { BASELINE, type Conditions } from '../conditions/index.js';
import { NORMAL_95 } from '../statistics/index.js';
import { carryCurve, modelledShot, predictedOf, type CarryCurve } from './carry-curve.js';
import { whatIf } from './what-if.js';

/**
 * Clubs with a place on the ladder for those whose full carry is not known: what the player's own other clubs
 * predict for their kind and loft, marked as modelled, with its interval (about a third either way where no
 * carry is known at all). A shot taken before the club was bent or rebuilt is moved by the model and
 * marked as modelled. What is known stays as it is; a club without a loft has the one usual for its name, and one
 * of which that says nothing, or whose loft no such club has, stays without.
 * @param conditions the air the carries are known in
 */
export function placedClubs(clubs: readonly LadderClub[], conditions: Conditions = BASELINE): LadderClub[] {
  let curve: CarryCurve | undefined;
  const standing = clubs.map((club) => changedClub(club, conditions));
  return standing.map((club) => {
    const { kind, shots } = club;
    if (!isFullSwing(kind) || shots.full) return club;
    try {
      curve ??= carryCurve(standing, conditions);
      const predicted = predictedOf(curve, club);
      return predicted ? { ...club, shots: { ...shots, full: modelledShot(predicted) } } : club;
    } catch {
      return club;
    }
  });
}

/**
 * The model's word on a bend or a length is good to this share of it; a new shaft or a sleeve may do this
 * share of the carry either way. One standard deviation; our choice.
 */
const MOVED_ERROR = 0.25;
const REBUILT_ERROR = 0.02;

/** A club whose shots were taken before it was changed, with them as they are expected now. */
function changedClub(club: LadderClub, conditions: Conditions): LadderClub {
  if (!club.changed || !isFullSwing(club.kind)) return club;
  return {
    ...club,
    shots: {
      ...club.shots,
      ...Object.fromEntries(
        (Object.entries(club.changed) as [ShotKind, BuildChange][]).map(([kind, change]) => [
          kind,
          shotAfter(club, club.shots[kind]!, change, conditions),
        ]),
      ),
    },
  };
}

function shotAfter(club: LadderClub, shot: Shot, change: BuildChange, conditions: Conditions): Shot {
  const { bendDeg = 0, longerIn = 0, shaft, setting } = change;
  const moved = effectOf();
  const error = Math.hypot(
    carryErrorM(shot),
    MOVED_ERROR * moved.carryM,
    shaft || setting ? REBUILT_ERROR * shot.carryM : 0,
  );
  const { sampleSize: _sampleSize, ...rest } = shot;
  return {
    ...rest,
    carryM: shot.carryM + moved.carryM,
    ...(shot.totalM !== undefined && { totalM: shot.totalM + moved.totalM }),
    ...(shot.apexM !== undefined && { apexM: shot.apexM + moved.apexM }),
    ...(shot.descentDeg !== undefined && { descentDeg: shot.descentDeg + moved.descentDeg }),
    source: 'modelled',
    plusMinusM: NORMAL_95 * error,
  };

  function effectOf() {
    const nothing = { carryM: 0, totalM: 0, apexM: 0, descentDeg: 0 };
    if (club.loftDeg === undefined || (bendDeg === 0 && longerIn === 0)) return nothing;
    try {
      const thenDeg = club.loftDeg - bendDeg;
      return whatIf({ kind: club.kind, loftDeg: thenDeg }, shot, { bendDeg, longerIn }, conditions);
    } catch {
      return nothing; // No swing of such a club makes that carry: it stays as it was written.
    }
  }
}
