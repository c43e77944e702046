import { isFullSwing, type Shot, type ShotKind, usualShotOf, type UsualShotKind } from '../clubs/index.js';
import { scatterOf, wholeAlongM } from '../skill/index.js';
import type { LadderClub } from '../spec/index.js';

/** The shot a fitting or practice is to bring. */
export interface ExpectedShot {
  shot: ShotKind;
  /** Metres; as it is today where it is not given, and of a new shot the usual share of the full one. */
  carryM?: number | undefined;
  /** What is left of today's scatter, 1 for all of it. */
  scatterShare?: number | undefined;
}

/** What a newly learnt shot carries of the full one where it is not given. Our choice. */
const USUAL_SHARE: Record<UsualShotKind, number> = {
  full: 1,
  hard: 1.03,
  soft: 0.95,
  choked: 0.95,
  'three-quarter': 0.86,
  half: 0.65,
};
/** An expected scatter is used as it is, not drawn towards the usual one: as if so many shots had shown it. */
const AS_IF_SHOTS = 10_000;

/**
 * A club as a fitting or practice is expected to make it: with another carry or less scatter, or with a shot
 * more. Nothing expected is the club of today.
 * @param club with a full carry, measured, stated or modelled
 * @param handicap of the player, by which shots scatter that were not measured
 * @returns undefined where the club has no full carry, or is a putter
 */
export function withExpectedShot(
  club: LadderClub,
  { shot: kind, carryM, scatterShare = 1 }: ExpectedShot,
  handicap: number,
): LadderClub | undefined {
  const { full } = club.shots;
  if (!full || !isFullSwing(club.kind)) return undefined;
  const today: Shot = club.shots[kind] ?? scaled(full, full.carryM * USUAL_SHARE[usualShotOf(kind)]);
  const moved = carryM === undefined ? today : scaled(today, carryM);
  const { sampleSize: _shots, plusMinusM: _plusMinus, spreadM: _along, sideSpreadM: _side, ...rest } = moved;
  const scatter = scatterOf(club.kind, club.loftDeg, moved, handicap);
  const expected: Shot = {
    ...rest,
    // Held against today's like with like: a mean with its mis-hits where that was measured, else a good
    // strike's carry.
    source: today.source === 'modelled' ? 'stated' : today.source,
    sampleSize: AS_IF_SHOTS,
    spreadM: wholeAlongM(scatter) * scatterShare,
    sideSpreadM: scatter.acrossM * scatterShare,
  };
  return { ...club, shots: { ...club.shots, [kind]: expected } };
}

/** The same shot to another carry: its run as it was, its height and spread in proportion. */
function scaled(shot: Shot, carryM: number): Shot {
  const share = carryM / shot.carryM;
  return {
    ...shot,
    carryM,
    ...(shot.totalM !== undefined && { totalM: carryM + shot.totalM - shot.carryM }),
    ...(shot.apexM !== undefined && { apexM: shot.apexM * share }),
    ...(shot.spreadM !== undefined && { spreadM: shot.spreadM * share }),
    ...(shot.sideSpreadM !== undefined && { sideSpreadM: shot.sideSpreadM * share }),
  };
}
