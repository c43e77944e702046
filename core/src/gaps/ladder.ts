import type { LadderClub } from '../spec/index.js';
import {
  STATED_CARRY_SHARE,
  carryErrorM,
  isFullSwing,
  shotKindsIn,
  usualLoftOf,
  type Shot,
  type ShotKind,
} from '../clubs/index.js';

/** A club on the carry ladder: it has a full shot. */
export interface Rung extends LadderClub {
  carryM: number;
  full: Shot;
  /** Its loft, or the one usual for its name: enough to tell that a carry must be wrong. */
  loftOrUsualDeg: number | undefined;
}

/** The space between two neighbours on the carry ladder; `upper` is the longer club. */
export interface Step {
  upper: Rung;
  lower: Rung;
  carryM: number;
  /**
   * Loft of the lower club less loft of the upper; negative when loft and carry disagree, undefined when one
   * is unknown.
   */
  loftDeg?: number | undefined;
  /** Clubs without a carry that usually stand between the two. */
  betweenIds?: readonly string[];
  /** Variance of its size, m2, where a carry of it is only modelled: the two are wrong together. */
  modelledVariance?: number;
}

/** The space between two neighbours on the loft ladder; `upper` is the stronger club. */
export interface LoftStep {
  upper: LadderClub;
  lower: LadderClub;
  loftDeg: number;
}

/** The clubs that have a stock carry, longest first. Equal carries keep the stronger loft above. */
export function carryLadder(clubs: readonly LadderClub[]): Rung[] {
  const rungs: Rung[] = [];
  for (const { id, name, kind, loftDeg, lengthIn, hitsPerRound, shots } of clubs) {
    const { full } = shots;
    if (!full || !isFullSwing(kind)) continue;
    const { carryM } = full;
    const loftOrUsualDeg = loftDeg ?? usualLoftOf({ kind, name });
    // Written out: a spread of every club of every bag that is tried costs more than the rest of the ladder.
    rungs.push({ id, name, kind, loftDeg, lengthIn, hitsPerRound, shots, full, carryM, loftOrUsualDeg });
  }
  return rungs.sort(
    (a, b) => b.carryM - a.carryM || (a.loftDeg ?? 0) - (b.loftDeg ?? 0) || a.name.localeCompare(b.name),
  );
}

/** Steps between neighbours of the carry ladder; one fewer than rungs. */
export function stepsOf(rungs: readonly Rung[]): Step[] {
  return rungs.slice(1).map((lower, i) => {
    const upper = rungs[i]!;
    const loftDeg =
      lower.loftDeg !== undefined && upper.loftDeg !== undefined ? lower.loftDeg - upper.loftDeg : undefined;
    return { upper, lower, carryM: upper.carryM - lower.carryM, loftDeg };
  });
}

/** The clubs whose loft is known, strongest first, and the steps between them. Carries play no part. */
export function loftLadder(clubs: readonly LadderClub[]): { rungs: LadderClub[]; steps: LoftStep[] } {
  const rungs = clubs
    .filter((club) => isFullSwing(club.kind) && club.loftDeg !== undefined)
    .sort((a, b) => a.loftDeg! - b.loftDeg! || a.name.localeCompare(b.name));
  const steps = rungs.slice(1).map((lower, i) => ({
    upper: rungs[i]!,
    lower,
    loftDeg: lower.loftDeg! - rungs[i]!.loftDeg!,
  }));
  return { rungs, steps };
}

/** A partial or hard shot that lies inside a step. */
export interface Cover {
  clubId: string;
  clubName: string;
  shotKind: ShotKind;
  carryM: number;
  /** What remains above and below it. */
  leavesM: readonly [number, number];
}

/** The share of a step around its middle in which a shot counts as covering it. */
const MIDDLE_SHARE = 0.5;

/**
 * The owned shot nearest the middle of a step, if one lies in its middle half.
 * Owned means stated, or known well enough (see `ownedShots`); a modelled partial is a hope.
 */
export function coverOf(step: Step, owned: readonly OwnedShot[]): Cover | undefined {
  const middleM = (step.upper.carryM + step.lower.carryM) / 2;
  let best: Cover | undefined;
  for (const { club, shotKind, shot } of owned) {
    if (shotKind === 'full' || Math.abs(shot.carryM - middleM) > (step.carryM * MIDDLE_SHARE) / 2) continue;
    if (best && Math.abs(best.carryM - middleM) <= Math.abs(shot.carryM - middleM)) continue;
    best = {
      clubId: club.id,
      clubName: club.name,
      shotKind,
      carryM: shot.carryM,
      leavesM: [step.upper.carryM - shot.carryM, shot.carryM - step.lower.carryM],
    };
  }
  return best;
}

/** The widest stretch of a step that no owned shot reaches. */
export function widestGapOf(step: Step, owned: readonly OwnedShot[]): number {
  let widestM = 0;
  let lastM = step.upper.carryM;
  for (const { shot } of owned) {
    if (shot.carryM >= step.upper.carryM) continue;
    if (shot.carryM <= step.lower.carryM) break;
    widestM = Math.max(widestM, lastM - shot.carryM);
    lastM = shot.carryM;
  }
  return Math.max(widestM, lastM - step.lower.carryM);
}

export interface OwnedShot {
  club: LadderClub;
  shotKind: ShotKind;
  shot: Shot;
}

/** A spread needs as many. */
const FEWEST_SHOTS = 3;

/**
 * Whether a shot can be counted on: stated by the player; or measured so often that its carry is known as
 * closely as a stated one, which is a matter of its spread and not of a number of shots.
 * @param enoughShots so many are enough, however they spread
 */
function isOwned(shot: Shot, enoughShots: number): boolean {
  if (shot.source !== 'measured') return shot.source === 'stated';
  const count = shot.sampleSize ?? 0;
  if (count >= enoughShots) return true;
  return (
    count >= FEWEST_SHOTS &&
    shot.spreadM !== undefined &&
    carryErrorM(shot) <= STATED_CARRY_SHARE * shot.carryM
  );
}

/** Every shot that can be counted on, longest first. */
export function ownedShots(clubs: readonly LadderClub[], reliableShots: number): OwnedShot[] {
  const owned: OwnedShot[] = [];
  for (const club of clubs) {
    for (const shotKind of shotKindsIn(club.shots)) {
      const shot = club.shots[shotKind];
      if (shot && isOwned(shot, reliableShots)) owned.push({ club, shotKind, shot });
    }
  }
  return owned.sort((a, b) => b.shot.carryM - a.shot.carryM);
}
