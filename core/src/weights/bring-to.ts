import { numberIn, type Spec } from '../spec/index.js';
import { gramsForPoints, pointsOfWeight } from './lorythmic-scale.js';
import { knownSwingWeight, partsOf, placeIn, weightOfParts, type WeightPlace } from './club-parts.js';

/** What brings one club to a swing weight. */
interface BringTo {
  clubId: string;
  /** Points above A0, and where that is known from; undefined where it is not. */
  nowPoints?: number;
  from?: 'measured' | 'parts';
  /** Grams to put on, negative to take off, and where; undefined where nothing can be said. */
  grams?: number;
  place?: WeightPlace;
  /**
   * Where grams have to come off the head and no lead is on it: as many under the grip do the same, at this
   * price in total weight.
   */
  insteadG?: number;
  /** Why nothing can be said. */
  missing?: string;
}

/** Nearer than half a point a scale cannot tell. Our choice. */
const SAME_POINTS = 0.25;

/**
 * Grams to bring each club to a swing weight, and where: lead at the head where it is too light; where it is
 * too heavy, lead that is on the head comes off first, and for the rest a heavier grip or weight under it.
 * Whole half grams.
 */
export function bringTo(clubs: readonly { id: string; spec: Spec }[], targetPoints: number): BringTo[] {
  return clubs.map(({ id, spec }) => {
    const lengthIn = numberIn(spec, 'lengthIn');
    const now = knownSwingWeight(spec);
    if (!now) return { clubId: id, missing: 'no swing weight, and not all parts are weighed' };
    if (lengthIn === undefined)
      return { clubId: id, nowPoints: now.points, from: now.from, missing: 'no length recorded' };
    const known = { clubId: id, nowPoints: now.points, from: now.from };
    const points = targetPoints - now.points;
    if (Math.abs(points) < SAME_POINTS) return { ...known, grams: 0, place: 'head' as const };
    const headG = gramsForPoints(points, placeIn('head', lengthIn));
    if (headG > 0) return { ...known, grams: halfGrams(headG), place: 'head' as const };
    const onHeadG = numberIn(spec, 'leadG') ?? 0;
    const insteadG = halfGrams(gramsForPoints(points, placeIn('under the grip', lengthIn)));
    if (-headG <= onHeadG + 1e-9) return { ...known, grams: halfGrams(headG), place: 'head' as const };
    return { ...known, grams: halfGrams(headG), place: 'head' as const, insteadG };
  });
}

function halfGrams(grams: number): number {
  return Math.round(grams * 2) / 2;
}

/**
 * Points a length adds: about six an inch (common practice, no source), or what the parts say where they are
 * known.
 */
const POINTS_PER_IN = 6;

/** What a change of length, weight or grip does to a club. Positive is longer, heavier. */
export interface BuildTweak {
  longerIn?: number;
  headG?: number;
  shaftG?: number;
  gripG?: number;
  counterweightG?: number;
}

interface BuildTweakEffect {
  points: number;
  totalG: number;
  /** Inches towards the head, where the parts are known. */
  balanceIn?: number;
  inertiaKgCm2?: number;
}

/**
 * A shaft heavier by 9.5 g is about a point (common practice, no source); the place its weight seems to sit.
 */
const SHAFT_POINT_G = 9.5;

/** Weighed exactly where all parts of a club are recorded, by the rules of thumb where they are not. */
export function buildTweakEffect(spec: Spec, tweak: BuildTweak): BuildTweakEffect {
  const { longerIn = 0, headG = 0, shaftG = 0, gripG = 0, counterweightG = 0 } = tweak;
  const totalG = headG + shaftG + gripG + counterweightG;
  const parts = partsOf(spec);
  if (parts) {
    const now = weightOfParts(parts);
    const then = weightOfParts({
      ...parts,
      lengthIn: parts.lengthIn + longerIn,
      headG: parts.headG + headG,
      shaftG: parts.shaftG + shaftG,
      gripG: parts.gripG + gripG,
      counterweightG: Math.max(0, (parts.counterweightG ?? 0) + counterweightG),
    });
    return {
      points: then.points - now.points,
      totalG: then.totalG - now.totalG,
      balanceIn: then.balanceIn - now.balanceIn,
      inertiaKgCm2: then.inertiaKgCm2 - now.inertiaKgCm2,
    };
  }
  const lengthIn = numberIn(spec, 'lengthIn') ?? USUAL_LENGTH_IN;
  return {
    points:
      POINTS_PER_IN * longerIn +
      pointsOfWeight(headG, placeIn('head', lengthIn)) +
      shaftG / SHAFT_POINT_G +
      pointsOfWeight(gripG, placeIn('under the grip', lengthIn)) +
      pointsOfWeight(counterweightG, placeIn('butt', lengthIn)),
    totalG,
  };
}

/** Of a club whose length is not recorded: a 7 iron's. */
const USUAL_LENGTH_IN = 37;

/**
 * Grams at the head that bring a club of known parts to a moment of inertia about the butt, kg cm^2; negative
 * to take off.
 */
export function gramsForInertia(spec: Spec, targetKgCm2: number): number | undefined {
  const parts = partsOf(spec);
  if (!parts) return undefined;
  const armCm = placeIn('head', parts.lengthIn) * 2.54;
  return ((targetKgCm2 - weightOfParts(parts).inertiaKgCm2) * 1000) / armCm ** 2;
}
