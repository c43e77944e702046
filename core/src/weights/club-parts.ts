import { numberIn, textIn, swingWeightPoints, type Spec } from '../spec/index.js';
import { requireWithin, type Bounds } from '../invalid-input-error.js';
import { pointsOfMoment, pointsOfWeight } from './lorythmic-scale.js';

/** What a club is put together from. Inches and grams. */
export interface ClubParts {
  lengthIn: number;
  headG: number;
  shaftG: number;
  gripG: number;
  /** Lead or a screw at the head. */
  leadG?: number;
  /** At the butt end. */
  counterweightG?: number;
  /** Where the shaft balances, as a share of its length from the butt. */
  shaftBalance?: number;
}

const PART_BOUNDS: Bounds<keyof ClubParts> = {
  lengthIn: [10, 60],
  headG: [100, 600],
  shaftG: [20, 200],
  gripG: [10, 200],
  leadG: [0, 60],
  counterweightG: [0, 150],
  shaftBalance: [0.35, 0.65],
};

/*
 * Where the parts balance, inches. A head hangs about 0.9 in above the sole line a club is measured to; a
 * shaft ends 1 in short of it and balances in its middle; a grip of 10.5 in balances 4.5 in down; a
 * counterweight sits an inch inside. From memory; a measured swing weight goes before what they predict.
 */
const HEAD_ABOVE_IN = 0.9;
const SHAFT_SHORT_IN = 1;
const SHAFT_BALANCE = 0.5;
const GRIP_BALANCE_IN = 4.5;
const COUNTERWEIGHT_AT_IN = 1;
/** Ferrule, glue and tape, which are not weighed. From memory. */
const SMALL_PARTS_G = 4;

/** Where weight may be put on a club, inches from the butt. */
export type WeightPlace = 'head' | 'shaft tip' | 'under the grip' | 'butt';

export function placeIn(place: WeightPlace, lengthIn: number): number {
  switch (place) {
    case 'head':
      return lengthIn - HEAD_ABOVE_IN;
    case 'shaft tip':
      return lengthIn - HEAD_ABOVE_IN - 2;
    case 'under the grip':
      return GRIP_BALANCE_IN;
    case 'butt':
      return COUNTERWEIGHT_AT_IN;
  }
}

interface Point {
  grams: number;
  atIn: number;
}

/** The parts as weights on a line, the shaft as its balance point. */
function pointsOf({
  lengthIn,
  headG,
  shaftG,
  gripG,
  leadG = 0,
  counterweightG = 0,
  shaftBalance,
}: ClubParts): Point[] {
  return [
    { grams: headG + leadG + SMALL_PARTS_G, atIn: placeIn('head', lengthIn) },
    { grams: shaftG, atIn: (lengthIn - SHAFT_SHORT_IN) * (shaftBalance ?? SHAFT_BALANCE) },
    { grams: gripG, atIn: GRIP_BALANCE_IN },
    { grams: counterweightG, atIn: COUNTERWEIGHT_AT_IN },
  ];
}

/** A club's weight as the parts predict it. */
interface ClubWeight {
  /** Swing weight, points above A0. */
  points: number;
  totalG: number;
  /** Where the whole club balances, inches from the butt. */
  balanceIn: number;
  /** Moment of inertia about the butt end, kg cm^2: what the hands feel when the club is swung. */
  inertiaKgCm2: number;
}

const CM_PER_IN = 2.54;

/**
 * Swing weight, total weight, balance point and moment of inertia of a club put together from its parts. Good
 * to about two points where nothing was measured.
 * @throws InvalidInputError naming the part
 */
export function weightOfParts(parts: ClubParts): ClubWeight {
  requireWithin(parts, PART_BOUNDS, ['leadG', 'counterweightG', 'shaftBalance']);
  const points = pointsOf(parts);
  const totalG = points.reduce((sum, { grams }) => sum + grams, 0);
  const momentGIn = points.reduce((sum, { grams, atIn }) => sum + grams * atIn, 0);
  const shaftCm = (parts.lengthIn - SHAFT_SHORT_IN) * CM_PER_IN;
  const inertia =
    points.reduce((sum, { grams, atIn }) => sum + grams * (atIn * CM_PER_IN) ** 2, 0) +
    (parts.shaftG * shaftCm ** 2) / 12;
  return {
    points: pointsOfMoment(0) + points.reduce((sum, { grams, atIn }) => sum + pointsOfWeight(grams, atIn), 0),
    totalG,
    balanceIn: momentGIn / totalG,
    inertiaKgCm2: inertia / 1000,
  };
}

/** Parts of a club as far as its sheet tells them; undefined where a weight that counts is not recorded. */
export function partsOf(spec: Spec): ClubParts | undefined {
  const lengthIn = numberIn(spec, 'lengthIn');
  const headG = numberIn(spec, 'headWeightG');
  const shaftG = numberIn(spec, 'shaftWeightG');
  const gripG = numberIn(spec, 'gripWeightG');
  if (lengthIn === undefined || headG === undefined || shaftG === undefined || gripG === undefined)
    return undefined;
  return {
    lengthIn,
    headG,
    shaftG,
    gripG,
    leadG: numberIn(spec, 'leadG') ?? 0,
    counterweightG: numberIn(spec, 'counterweightG') ?? 0,
  };
}

/** A club's swing weight in points above A0: measured, or else from its parts; and which of the two. */
export function knownSwingWeight(spec: Spec): { points: number; from: 'measured' | 'parts' } | undefined {
  const points = swingWeightPoints(textIn(spec, 'swingWeight') ?? '');
  if (points !== undefined) return { points, from: 'measured' };
  const parts = partsOf(spec);
  return parts && { points: weightOfParts(parts).points, from: 'parts' };
}
