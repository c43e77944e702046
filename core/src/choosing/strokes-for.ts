import type { ShotKind } from '../clubs/index.js';
import { TOUR_HANDICAP } from '../skill/index.js';
import { expectedStrokes } from '../strokes/index.js';
import { aimed, fairwayRunOf, fromLie, SLOPE_RUN, toHoleOf } from './aimed-shot.js';
import { partSwing } from './part-swing.js';
import type { PlayedClub, PlayedShot } from './played-shot.js';
import { TOUCH_M, type ShotDemand } from './shot-demand.js';
import { leastStrokesOfAim, PLACES, strokesOfAim } from './strokes-of-aim.js';

/** A club with no shot for it: as good as a stroke and a half lost. Our choice. */
const NO_SHOT_STROKES = 1.5;

/** The part swing that comes to rest as far as a need asks, or undefined where the club has none. */
export function partSwingFor(
  demand: ShotDemand,
  club: Pick<PlayedClub, 'kind' | 'loftDeg' | 'shots' | 'handicap'>,
): [ShotKind, PlayedShot] | undefined {
  const { full } = club.shots;
  if (!full) return undefined;
  const { carryShare, riseLossM } = fromLie(demand, club.kind, full);
  const runM =
    demand.to === 'green'
      ? (full.greenRunM ?? fairwayRunOf(full)) * SLOPE_RUN[demand.slope ?? 'flat']
      : fairwayRunOf(full);
  return partSwing(club, (demand.distanceM - runM + riseLossM) / carryShare, club.handicap ?? TOUR_HANDICAP);
}

/** Strokes from this shot to the hole (see `strokesOfAim`). */
export function strokesFor(
  demand: ShotDemand,
  club: Pick<PlayedClub, 'kind' | 'loftDeg' | 'handicap'>,
  shotKind: ShotKind,
  shot: PlayedShot,
  places = PLACES,
): number {
  return strokesOfAim(demand, aimed(demand, club, shotKind, shot), places);
}

/**
 * Loft a short shot is best played with, by what it lies in. Common practice, no source; what a degree less
 * costs is our choice.
 */
const TOUCH_LOFT = { sand: 57, rough: 58, fairway: 54 } as const;
const TOUCH_DEGREE_STROKES = 0.008;
/** Loft of a club without a recorded loft, as far as chipping goes. */
const SOME_LOFT_DEG = 35;

/** A short shot by feel: Broadie's strokes from there, and what the wrong loft costs. */
export function touchStrokes(
  demand: ShotDemand,
  { loftDeg, handicap }: Pick<PlayedClub, 'loftDeg' | 'handicap'>,
): number {
  const lie = demand.lie === 'sand' ? 'sand' : demand.lie.includes('rough') ? 'rough' : 'fairway';
  return (
    expectedStrokes(lie, demand.distanceM, handicap) +
    (lie === 'rough' ? (demand.missStrokes ?? 0) : 0) +
    TOUCH_DEGREE_STROKES * Math.max(0, TOUCH_LOFT[lie] - (loftDeg ?? SOME_LOFT_DEG))
  );
}

/** The shots a club has, by kind. */
export function shotsOf({ shots }: Pick<PlayedClub, 'shots'>): [ShotKind, PlayedShot][] {
  return Object.entries(shots) as [ShotKind, PlayedShot][];
}

/** A club's shots for a need: those it has, and the part swing that fits it. */
export function shotsFor(
  demand: ShotDemand,
  club: Pick<PlayedClub, 'kind' | 'loftDeg' | 'shots' | 'handicap'>,
): [ShotKind, PlayedShot][] {
  const part = partSwingFor(demand, club);
  return [...shotsOf(club), ...(part ? [part] : [])];
}

/**
 * What a need costs with a club: its best shot for it, or what is lost when it has none. A short shot is
 * not of a particular club.
 */
export function strokesWith(
  demand: ShotDemand,
  club: Pick<PlayedClub, 'kind' | 'loftDeg' | 'shots' | 'handicap'>,
  places = PLACES,
): { strokes: number; shot: ShotKind | undefined } {
  if (demand.to === 'green' && demand.distanceM <= TOUCH_M && club.kind !== 'putter')
    return { strokes: touchStrokes(demand, club), shot: undefined };
  let best: { strokes: number; shot: ShotKind | undefined } = { strokes: Infinity, shot: undefined };
  for (const [shotKind, shot] of shotsFor(demand, club)) {
    const aim = aimed(demand, club, shotKind, shot);
    if (best.shot && leastStrokesOfAim(demand, aim, places) >= best.strokes) continue;
    const strokes = strokesOfAim(demand, aim, places);
    if (strokes < best.strokes) best = { strokes, shot: shotKind };
  }
  if (best.shot) return best;
  return {
    strokes:
      1 +
      NO_SHOT_STROKES +
      expectedStrokes('rough', demand.to === 'green' ? demand.distanceM : toHoleOf(demand), club.handicap),
    shot: undefined,
  };
}
