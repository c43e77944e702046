import type { LadderClub } from '../clubs/ladder-club.js';
import { isFullSwing } from '../clubs/kinds.js';
import type { Shot, ShotKind } from '../clubs/shot.js';

/** A club on the carry ladder: it has a full shot. */
export interface Rung extends LadderClub {
  carryM: number;
  full: Shot;
}

/** The space between two neighbours on the carry ladder; `upper` is the longer club. */
export interface Step {
  upper: Rung;
  lower: Rung;
  carryM: number;
  /** Loft of the lower club less loft of the upper; negative when loft and carry disagree, undefined when one is unknown. */
  loftDeg?: number;
}

/** The space between two neighbours on the loft ladder; `upper` is the stronger club. */
export interface LoftStep {
  upper: LadderClub;
  lower: LadderClub;
  loftDeg: number;
}

/** The clubs that have a stock carry, longest first. Equal carries keep the stronger loft above. */
export function carryLadder(clubs: readonly LadderClub[]): Rung[] {
  return clubs
    .filter((club) => isFullSwing(club.kind) && club.shots.full)
    .map((club) => ({ ...club, full: club.shots.full!, carryM: club.shots.full!.carryM }))
    .sort((a, b) => b.carryM - a.carryM || (a.loftDeg ?? 0) - (b.loftDeg ?? 0) || a.name.localeCompare(b.name));
}

/** Steps between neighbours of the carry ladder; one fewer than rungs. */
export function stepsOf(rungs: readonly Rung[]): Step[] {
  return rungs.slice(1).map((lower, i) => {
    const upper = rungs[i]!;
    const loftDeg = lower.loftDeg !== undefined && upper.loftDeg !== undefined ? lower.loftDeg - upper.loftDeg : undefined;
    return { upper, lower, carryM: upper.carryM - lower.carryM, ...(loftDeg !== undefined && { loftDeg }) };
  });
}

/** The clubs whose loft is known, strongest first, and the steps between them. Carries play no part. */
export function loftLadder(clubs: readonly LadderClub[]): { rungs: LadderClub[]; steps: LoftStep[] } {
  const rungs = clubs
    .filter((club) => isFullSwing(club.kind) && club.loftDeg !== undefined)
    .sort((a, b) => a.loftDeg! - b.loftDeg! || a.name.localeCompare(b.name));
  const steps = rungs.slice(1).map((lower, i) => ({
    upper: rungs[i]!, lower, loftDeg: lower.loftDeg! - rungs[i]!.loftDeg!,
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
 * Owned means measured often enough; a stated or modelled partial is a hope.
 */
export function coverOf(step: Step, clubs: readonly LadderClub[], reliableShots: number): Cover | undefined {
  const middleM = (step.upper.carryM + step.lower.carryM) / 2;
  let best: Cover | undefined;
  for (const { club, shotKind, shot } of ownedShots(clubs, reliableShots)) {
    if (shotKind === 'full' || Math.abs(shot.carryM - middleM) > (step.carryM * MIDDLE_SHARE) / 2) continue;
    if (best && Math.abs(best.carryM - middleM) <= Math.abs(shot.carryM - middleM)) continue;
    best = {
      clubId: club.id, clubName: club.name, shotKind, carryM: shot.carryM,
      leavesM: [step.upper.carryM - shot.carryM, shot.carryM - step.lower.carryM],
    };
  }
  return best;
}

/** The widest stretch of a step that no owned shot reaches. */
export function widestHoleM(step: Step, clubs: readonly LadderClub[], reliableShots: number): number {
  const inside = ownedShots(clubs, reliableShots)
    .map(({ shot }) => shot.carryM)
    .filter((carryM) => carryM < step.upper.carryM && carryM > step.lower.carryM);
  const marks = [step.upper.carryM, ...inside, step.lower.carryM].sort((a, b) => b - a);
  return Math.max(0, ...marks.slice(1).map((mark, i) => marks[i]! - mark));
}

function ownedShots(clubs: readonly LadderClub[], reliableShots: number) {
  return clubs.flatMap((club) =>
    (Object.entries(club.shots) as [ShotKind, Shot][])
      .filter(([, shot]) => shot.source === 'measured' && (shot.shots ?? 0) >= reliableShots)
      .map(([shotKind, shot]) => ({ club, shotKind, shot })));
}
