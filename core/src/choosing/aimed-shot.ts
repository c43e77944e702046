import { type ClubKind, type ShotKind, usualShotOf, type UsualShotKind } from '../clubs/index.js';
import { LIES, lieHurts } from '../plays-like/index.js';
import type { Slope, Hazard } from '../courses/index.js';
import { TOUR_HANDICAP, scatterOf } from '../skill/index.js';
import type { HoleOutLie } from '../strokes/index.js';
import type { ShotDemand } from './shot-demand.js';
import type { PlayedClub, PlayedShot } from './played-shot.js';

/** A usual green and fairway where a need says nothing of its own; our choice. */
const USUAL_HALF_M = { green: 13, fairway: 15 } as const;
const USUAL_LEFT_M = 130;
/** What is not known of a shot: run, descent. From memory of tour players. */
const USUAL_RUN_M = 3;
const USUAL_LAND_DEG = 47;
/**
 * A shot asked to do more, or less, than a full swing is a little likelier to go wrong. Strokes; our choice.
 */
const EFFORT: Record<UsualShotKind, number> = {
  full: 0,
  hard: 0.03,
  soft: 0.01,
  choked: 0.01,
  'three-quarter': 0.02,
  half: 0.03,
};
/** Speed lost is carry lost, and a little more. */
const CARRY_PER_SPEED = 1.4;
/** A drive off the ground always loses something. Strokes; our choice. */
const DRIVER_OFF_THE_GROUND = 0.25;
/**
 * A strong deep-faced wood is for the tee: what each degree under this loft costs off the ground. Common
 * practice, no source; the size is our choice.
 */
const GROUND_WOOD_DEG = 15;
const STRONG_WOOD_STROKES = 0.03;
/** A tilt towards the player holds a ball, one away lets it go: factors of the run. Our choice. */
export const SLOPE_RUN: Record<Slope, number> = { towards: 0.65, flat: 1, away: 1.35 };
/**
 * Flags stand off the middle and are played at: so much of a green's half width is left around the shot, on
 * average. Our choice; held to whole rounds.
 */
const GREEN_AROUND_FLAG = 0.78;
/** What guards a green lies within so far of its edge; shorter than that, on line, is fairway. Our choice. */
export const FRONT_M = 25;
const APRON_HALF_M = 15;
/** A ball dropped behind the water before a green. Our choice. */
const DROP_M = 20;
/** Among trees a stroke is half lost. Our choice. */
const TREES_STROKES = 0.5;
/** A hazard at a side begins with the edge of the corridor and is so deep. Our choice. */
const HAZARD_DEPTH_M = 30;

/** Where a shot leaves the ball: what it lies in, how far from the hole, and strokes lost besides. */
export interface Outcome {
  lie: HoleOutLie;
  leftM: number;
  lost: number;
}

/**
 * A shot for a need: how far a good strike carries and runs from that lie, how it scatters, what share of
 * strikes is mis-hit and how much shorter those carry.
 */
export interface Aimed {
  carryM: number;
  fairwayRunM: number;
  greenRunM: number;
  alongM: number;
  acrossM: number;
  mishitShare: number;
  mishitShortM: number;
  strokes: number;
  /** Of the player, for the strokes that follow. */
  handicap: number;
}

/**
 * How much shorter a ball carries to ground that is higher: it is met earlier on the way down. Metres; less
 * than zero downhill.
 * @param descentDeg the usual one where it is not known
 */
export function riseLossM(elevationChangeM = 0, descentDeg = USUAL_LAND_DEG): number {
  return elevationChangeM / Math.tan((Math.max(20, descentDeg) * Math.PI) / 180);
}

/**
 * What a lie leaves of a carry, what the rise of the ground takes off it, and by what factor it scatters more.
 */
export function fromLie(
  demand: Pick<ShotDemand, 'lie' | 'elevationChangeM'>,
  kind: ClubKind,
  shot: PlayedShot,
): { carryShare: number; riseLossM: number; scatter: number } {
  const { spread, speed } = LIES[demand.lie];
  const hurt = lieHurts(kind, demand.lie);
  return {
    carryShare: (1 - (1 - speed) * hurt) ** CARRY_PER_SPEED,
    scatter: 1 + (spread - 1) * hurt,
    riseLossM: riseLossM(demand.elevationChangeM, shot.descentDeg),
  };
}

/** How far a shot runs on a fairway, metres; a usual run where its total is not known. */
export function fairwayRunOf(shot: PlayedShot): number {
  return Math.max(0, (shot.totalM ?? shot.carryM + USUAL_RUN_M) - shot.carryM);
}

/** How a shot plays for a need. */
export function aimed(
  demand: Pick<ShotDemand, 'lie' | 'elevationChangeM' | 'slope'>,
  { kind, loftDeg, handicap = TOUR_HANDICAP }: Pick<PlayedClub, 'kind' | 'loftDeg' | 'handicap'>,
  shotKind: ShotKind,
  shot: PlayedShot,
): Aimed {
  const { carryShare, riseLossM, scatter } = fromLie(demand, kind, shot);
  const { middleM, alongM, acrossM, mishitShare, mishitShortM } = scatterOf(kind, loftDeg, shot, handicap);
  const fairwayRunM = fairwayRunOf(shot);
  // What a player knows of a club on a tee is of its full swing; a driver's carry is one from a tee.
  const isOffTee = demand.lie === 'tee' && shotKind === 'full' && kind !== 'driver';
  const offTheTee = isOffTee ? (shot.teeGainM ?? 0) : 0;
  const strong =
    kind === 'fairway' && loftDeg !== undefined && loftDeg < GROUND_WOOD_DEG
      ? STRONG_WOOD_STROKES * (GROUND_WOOD_DEG - loftDeg)
      : 0;
  return {
    carryM: middleM * carryShare + offTheTee - riseLossM,
    fairwayRunM,
    greenRunM: (shot.greenRunM ?? fairwayRunM) * SLOPE_RUN[demand.slope ?? 'flat'],
    alongM: Math.hypot(alongM * scatter, shot.gustAlongM ?? 0),
    acrossM: Math.hypot(acrossM * scatter, shot.gustAcrossM ?? 0),
    mishitShare,
    mishitShortM,
    handicap,
    strokes:
      1 +
      (shot.effortStrokes ?? EFFORT[usualShotOf(shotKind)]) +
      (demand.lie === 'tee' ? 0 : kind === 'driver' ? DRIVER_OFF_THE_GROUND : strong),
  };
}

/** What says where an aimed shot comes to rest: what it is aimed at, what lies around that, the hole beyond. */
export type ShotTarget = Pick<
  ShotDemand,
  'to' | 'distanceM' | 'leftM' | 'halfM' | 'mustHold' | 'front' | 'missStrokes' | 'hazards'
>;

/** Half the width of what a shot is aimed at. */
export function halfOf(demand: ShotTarget): number {
  return demand.halfM ?? USUAL_HALF_M[demand.to];
}

/** From a shot down a fairway to the hole. */
export function toHoleOf(demand: ShotTarget): number {
  return (demand.leftM ?? USUAL_LEFT_M) + demand.distanceM;
}

/** How far from the flag a ball still lies on a green so wide. */
export function onGreenM(halfM: number): number {
  return halfM * GREEN_AROUND_FLAG;
}

/** From where a ball is dropped behind the water before a green to its flag. */
export function frontWaterLeftM(halfM: number): number {
  return halfM + FRONT_M + DROP_M;
}

/**
 * What becomes of an aimed shot that comes down `along` farther and `across` to the right of where it was meant
 * to.
 */
export function outcomeOf(
  demand: ShotTarget,
  { carryM, fairwayRunM, greenRunM }: Aimed,
  along: number,
  across: number,
): Outcome {
  const halfM = halfOf(demand);
  const missed = demand.missStrokes ?? 0;
  if (demand.to === 'fairway') {
    const landsM = carryM + along;
    const restM = landsM + fairwayRunM;
    const toHoleM = toHoleOf(demand);
    for (const hazard of demand.hazards ?? [])
      if (isIn(hazard, landsM, restM, across, halfM)) return afterHazard(hazard, toHoleM, restM, across);
    const leftM = Math.max(1, Math.hypot(toHoleM - restM, across));
    return Math.abs(across) <= halfM
      ? { lie: 'fairway', leftM, lost: 0 }
      : { lie: 'rough', leftM, lost: missed };
  }
  const lands = carryM + along - demand.distanceM;
  // What comes down before the green runs as the fairway lets it, what comes down on it as the green does.
  const rest = lands + (lands < -halfM ? fairwayRunM : greenRunM);
  if (demand.mustHold && lands < -halfM && lands > -halfM - FRONT_M && Math.abs(across) <= halfM + FRONT_M) {
    return demand.front === 'water'
      ? { lie: 'rough', leftM: frontWaterLeftM(halfM), lost: 1 }
      : { lie: 'sand', leftM: Math.hypot(lands, across), lost: 0 };
  }
  const off = Math.hypot(rest, across);
  if (off <= onGreenM(halfM)) return { lie: 'green', leftM: off, lost: 0 };
  if (rest < -halfM && Math.abs(across) <= APRON_HALF_M) return { lie: 'fairway', leftM: off, lost: 0 };
  return { lie: 'rough', leftM: off, lost: missed };
}

function isIn(
  { side, fromM, toM }: Hazard,
  landsM: number,
  restM: number,
  across: number,
  halfM: number,
): boolean {
  if (side === 'across') return landsM < toM && restM > fromM;
  const out = side === 'left' ? -across : across;
  return out > halfM && out <= halfM + HAZARD_DEPTH_M && restM >= fromM && landsM <= toM;
}

/** Where a shot that ended in a hazard goes on from. Metres. */
export function afterHazard(
  { kind, fromM }: Hazard,
  toHoleM: number,
  restM: number,
  across: number,
): Outcome {
  const leftM = Math.max(1, Math.hypot(toHoleM - restM, across));
  switch (kind) {
    case 'bunker':
      return { lie: 'sand', leftM, lost: 0 };
    case 'trees':
      return { lie: 'rough', leftM, lost: TREES_STROKES };
    case 'water':
      return { lie: 'rough', leftM: Math.max(1, toHoleM - Math.max(0, fromM - DROP_M)), lost: 1 };
    case 'out of bounds':
      return { lie: 'tee', leftM: toHoleM, lost: 1 };
  }
}
