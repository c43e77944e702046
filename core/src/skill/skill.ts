import { isFullSwing, loftOrUsual, type ClubKind, type Shot } from '../clubs/index.js';
import type { LadderClub } from '../spec/index.js';
import { NORMAL_95 } from '../statistics/index.js';
import { TOUR_HANDICAP, usualDirectionDeg, usualSpreadShare } from './scatter.js';

/** What a player's skill was taken from. */
export type SkillSource = 'stated' | 'measured' | 'length' | 'nothing';

/**
 * How well a player strikes the ball, as the handicap that usually goes with it; a plus handicap is negative.
 */
export interface Skill {
  handicap: number;
  /** Half its 95 % interval. */
  plusMinus: number;
  /** What it rests on, the weightiest first. */
  sources: readonly SkillSource[];
  /** Measured shots that had a say. */
  shots: number;
}

/** Handicaps a player may state: +8 to 54, the most the World Handicap System gives. */
export const HANDICAP_BOUNDS = [-8, 54] as const;

interface Evidence {
  source: SkillSource;
  handicap: number;
  variance: number;
}

/**
 * Players of one handicap strike as differently as those so many strokes apart, one standard deviation. Our
 * choice.
 */
const STATED_ERROR = 2;
/** Long hitters are better players, but loosely: standard deviation about the line below. Our choice. */
const LENGTH_ERROR = 8;
/**
 * A tour player carries a driver so far, and each stroke of handicap goes with so much less. From memory of
 * published averages; metres.
 */
const TOUR_DRIVER_M = 252;
const DRIVER_PER_STROKE_M = 3;
/**
 * A club other than a driver tells length by its share of the tour's stock carry with it, metres. Common
 * practice, no source.
 */
const TOUR_CARRY_M: Partial<
  Record<ClubKind, readonly [loftDeg: number, carryM: number, perDegreeM: number]>
> = {
  driver: [10.5, 252, 2],
  fairway: [15, 222, 3],
  hybrid: [19, 204, 3],
  'driving iron': [19, 200, 3],
  iron: [33, 157, 2.9],
  wedge: [46, 124, 2.4],
};
/** Nothing known: a club player. */
const ANYBODY: Evidence = { source: 'nothing', handicap: 12, variance: 10 ** 2 };
/**
 * One club's spread differs from the player's other clubs' by this share, one standard deviation. Our choice.
 */
const CLUBS_DIFFER = 0.3;
/**
 * A session's clubs share its day, its ball and its mat: together they tell no more than within so many
 * strokes. Our choice.
 */
const RANGE_ERROR = 6;
const SHOTS_MIN = 5;
const HANDICAP_SPAN = 19;

/**
 * A player's skill from what there is: a stated handicap, the spread of measured clubs, how far the clubs
 * carry. Each has a say by how much it tells; length has none where a handicap is stated.
 */
export function skillOf(clubs: readonly LadderClub[], statedHandicap?: number | null): Skill {
  const measured = measuredEvidence(clubs);
  const evidence: Evidence[] = [];
  if (statedHandicap != null)
    evidence.push({ source: 'stated', handicap: statedHandicap, variance: STATED_ERROR ** 2 });
  if (measured) evidence.push(measured);
  if (statedHandicap == null) evidence.push(lengthEvidence(clubs) ?? ANYBODY);
  const information = evidence.reduce((sum, { variance }) => sum + 1 / variance, 0);
  const handicap = evidence.reduce((sum, one) => sum + one.handicap / one.variance, 0) / information;
  return {
    handicap: Math.round(Math.min(HANDICAP_BOUNDS[1], Math.max(HANDICAP_BOUNDS[0], handicap)) * 10) / 10 || 0,
    plusMinus: NORMAL_95 / Math.sqrt(information),
    sources: evidence.sort((a, b) => a.variance - b.variance).map(({ source }) => source),
    shots: measured?.shots ?? 0,
  };
}

/** Every measured club's spread along and across as the handicap it is usual for, together. */
function measuredEvidence(clubs: readonly LadderClub[]): (Evidence & { shots: number }) | undefined {
  let sum = 0,
    information = 0,
    counted = 0;
  const take = (measured: number, usualTour: number, usualClub: number, shots: number) => {
    const strokesPerShare = HANDICAP_SPAN / (usualClub - usualTour);
    const error =
      strokesPerShare *
      Math.max(measured, usualTour) *
      Math.hypot(1 / Math.sqrt(2 * (shots - 1)), CLUBS_DIFFER);
    sum += (TOUR_HANDICAP + strokesPerShare * (measured - usualTour)) / error ** 2;
    information += 1 / error ** 2;
  };
  for (const one of clubs) {
    const { kind, shots } = one;
    const { full } = shots;
    const loftDeg = loftOrUsual(one);
    if (!isMeasured(kind, full)) continue;
    const [tour, club] = [TOUR_HANDICAP, TOUR_HANDICAP + HANDICAP_SPAN];
    const tangent = (handicap: number) =>
      Math.tan((usualDirectionDeg(kind, loftDeg, full.carryM, handicap) * Math.PI) / 180);
    if (full.spreadM !== undefined)
      take(
        full.spreadM / full.carryM,
        usualSpreadShare(tour, kind),
        usualSpreadShare(club, kind),
        full.sampleSize!,
      );
    if (full.sideSpreadM !== undefined)
      take(full.sideSpreadM / full.carryM, tangent(tour), tangent(club), full.sampleSize!);
    if (full.spreadM !== undefined || full.sideSpreadM !== undefined) counted += full.sampleSize!;
  }
  if (information === 0) return undefined;
  return {
    source: 'measured',
    handicap: Math.max(HANDICAP_BOUNDS[0], sum / information),
    variance: 1 / information + RANGE_ERROR ** 2,
    shots: counted,
  };
}

function isMeasured(kind: ClubKind, full: Shot | undefined): full is Shot {
  return isFullSwing(kind) && full?.source === 'measured' && (full.sampleSize ?? 0) >= SHOTS_MIN;
}

/** How far the clubs carry against the tour's, the middle club's share. */
function lengthEvidence(clubs: readonly LadderClub[]): Evidence | undefined {
  const shares = clubs
    .flatMap((club) => {
      const tour = TOUR_CARRY_M[club.kind];
      const { full } = club.shots;
      if (!tour || !full || full.source === 'modelled') return [];
      const [usualLoft, carryM, perDegreeM] = tour;
      const moreLoft = (loftOrUsual(club) ?? usualLoft) - usualLoft;
      return [full.carryM / Math.max(40, carryM - perDegreeM * moreLoft)];
    })
    .sort((a, b) => a - b);
  if (shares.length === 0) return undefined;
  const driverM = shares[shares.length >> 1]! * TOUR_DRIVER_M;
  return {
    source: 'length',
    handicap: TOUR_HANDICAP + (TOUR_DRIVER_M - driverM) / DRIVER_PER_STROKE_M,
    variance: LENGTH_ERROR ** 2,
  };
}
