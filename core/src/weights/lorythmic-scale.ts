/*
 * The lorythmic scale: the moment of a club about a fulcrum 14 in from the butt, in inch-ounces. A point is
 * 1.75 in-oz, D0 is 213.5 in-oz. Common practice, no source.
 */
const FULCRUM_IN = 14;
const POINT_IN_OZ = 1.75;
const D0_IN_OZ = 213.5;
const D0_POINTS = 30;
const G_PER_OZ = 28.349523125;

/** Points above A0 (D0 is 30) of a moment about the fulcrum, in inch-ounces. */
export function pointsOfMoment(inOz: number): number {
  return D0_POINTS + (inOz - D0_IN_OZ) / POINT_IN_OZ;
}

/** Moment about the fulcrum, in inch-ounces, of a swing weight in points above A0. */
export function momentOfPoints(points: number): number {
  return D0_IN_OZ + (points - D0_POINTS) * POINT_IN_OZ;
}

/**
 * What a weight adds to a swing weight, in points: below 14 in from the butt more, above it less. Grams, and
 * inches from the butt.
 */
export function pointsOfWeight(grams: number, atIn: number): number {
  return ((atIn - FULCRUM_IN) * grams) / G_PER_OZ / POINT_IN_OZ;
}

/**
 * Grams that add so many points at a place, negative to take away; Infinity at the fulcrum, where nothing
 * does. Inches from the butt.
 */
export function gramsForPoints(points: number, atIn: number): number {
  if (points === 0) return 0;
  return (points * POINT_IN_OZ * G_PER_OZ) / (atIn - FULCRUM_IN);
}
