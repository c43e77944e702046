import type { Hazard } from '../courses/index.js';
import { normalPlaces } from '../statistics/index.js';
import { expectedStrokes } from '../strokes/index.js';
import {
  afterHazard,
  FRONT_M,
  frontWaterLeftM,
  halfOf,
  onGreenM,
  outcomeOf,
  toHoleOf,
  type Aimed,
  type Outcome,
  type ShotTarget,
} from './aimed-shot.js';

/**
 * Points a shot's scatter is summed over, twice as many where one side differs from the other: within about
 * 0.01 strokes of 2,000.
 */
export const PLACES = 48;
/** Fewer do where a need is counted from several places. */
export const PLACES_OF_MANY = 24;
/** Mis-hits are short of what was aimed at wherever they end: a quarter of the points. */
const MISHIT_PLACES = 0.25;

/** Strokes after an outcome to the hole. */
export function strokesAfter({ lie, leftM, lost }: Outcome, handicap: number): number {
  return lost + expectedStrokes(lie, leftM, handicap);
}

/** Where a shot's scatter is looked at. Without hazards at one side, right is as good as left. */
function scatterPlaces({ hazards }: ShotTarget, count: number): Float64Array {
  let halves = true;
  if (hazards) for (const { side } of hazards) halves &&= side === 'across';
  return normalPlaces(halves ? count : 2 * count, halves);
}

/**
 * Strokes from this shot to the hole: the one that is hit, and what is expected after it, over where it may
 * come to rest (see `expectedStrokes`); good strikes and mis-hits scatter normally, each about its own
 * middle.
 */
export function strokesOfAim(demand: ShotTarget, aim: Aimed, places = PLACES): number {
  return withMishits(demand, aim, places, meanAfter);
}

/** The strike itself and what comes after, of good strikes and mis-hits by their shares. */
function withMishits(
  demand: ShotTarget,
  aim: Aimed,
  places: number,
  after: (demand: ShotTarget, aim: Aimed, count: number, shortM: number) => number,
): number {
  const good = after(demand, aim, places, 0);
  if (!(aim.mishitShortM > 0)) return aim.strokes + good;
  const mishit = after(demand, aim, Math.ceil(places * MISHIT_PLACES), aim.mishitShortM);
  return aim.strokes + (good + aim.mishitShare * (mishit - good));
}

/** Strokes after strikes that carry so much shorter, over so many places. */
function meanAfter(demand: ShotTarget, aim: Aimed, count: number, shortM: number): number {
  const points = scatterPlaces(demand, count);
  let sum = 0;
  for (let i = 0; i < points.length; i += 2)
    sum += strokesAfter(
      outcomeOf(demand, aim, points[i]! * aim.alongM - shortM, points[i + 1]! * aim.acrossM),
      aim.handicap,
    );
  return (2 * sum) / points.length;
}

/**
 * Strokes an aimed shot takes to the hole at the least: what `strokesOfAim` says is never less. It looks at how
 * far the ends of the scatter are from the hole and not at its points, so that a shot that cannot be the best
 * one is known without being summed.
 * @param places as many as it would be summed over
 */
export function leastStrokesOfAim(demand: ShotTarget, aim: Aimed, places: number): number {
  return withMishits(demand, aim, places, leastAfter);
}

/** As `meanAfter`, at the least. */
function leastAfter(demand: ShotTarget, aim: Aimed, count: number, shortM: number): number {
  const points = scatterPlaces(demand, count);
  const middleM = aim.carryM - shortM;
  const fromM = middleM + points[0]! * aim.alongM;
  const toM = middleM + points[points.length - 2]! * aim.alongM;
  return demand.to === 'green'
    ? leastAtGreen(demand, aim, fromM - demand.distanceM, toM - demand.distanceM)
    : leastDownFairway(demand, aim, fromM, toM);
}

/** How near to zero a number between two others may be. */
function nearestToZero(from: number, to: number): number {
  return from > 0 ? from : to < 0 ? -to : 0;
}

/** Beside a penalty nothing is better than the fairway as near as the ball may come: a law the tests hold. */
function leastDownFairway(
  demand: ShotTarget,
  { fairwayRunM, handicap }: Aimed,
  fromM: number,
  toM: number,
): number {
  const toHoleM = toHoleOf(demand);
  const nearestM = Math.max(1, nearestToZero(toHoleM - toM - fairwayRunM, toHoleM - fromM - fairwayRunM));
  let least = expectedStrokes('fairway', nearestM, handicap);
  for (const hazard of demand.hazards ?? [])
    if (isPenalty(hazard)) {
      const { lie, leftM, lost } = afterHazard(hazard, toHoleM, toM + fairwayRunM, 0);
      least = Math.min(least, lost + expectedStrokes(lie, leftM, handicap));
    }
  return least + Math.min(0, demand.missStrokes ?? 0);
}

function isPenalty({ kind }: Hazard): boolean {
  return kind === 'water' || kind === 'out of bounds';
}

/** @param fromM where it comes down, past the middle of the green */
function leastAtGreen(
  demand: ShotTarget,
  { fairwayRunM, greenRunM, handicap }: Aimed,
  fromM: number,
  toM: number,
): number {
  const halfM = halfOf(demand);
  const nearestM = nearestToZero(
    fromM + Math.min(fairwayRunM, greenRunM),
    toM + Math.max(fairwayRunM, greenRunM),
  );
  let least = expectedStrokes('fairway', nearestM, handicap);
  if (nearestM <= onGreenM(halfM)) least = Math.min(least, expectedStrokes('green', nearestM, handicap));
  if (demand.mustHold && fromM < -halfM && toM > -halfM - FRONT_M)
    least = Math.min(
      least,
      demand.front === 'water'
        ? 1 + expectedStrokes('rough', frontWaterLeftM(halfM), handicap)
        : expectedStrokes('fairway', halfM, handicap),
    );
  return least + Math.min(0, demand.missStrokes ?? 0);
}
