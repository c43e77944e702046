/**
 * Swing weight on the lorythmic scale, 14 in fulcrum: one point is 1.75 in-oz and D0 is 213.5 in-oz
 * (common practice, no source). Written as a letter and points: C9, D0, D3.5.
 */
const PATTERN = /^([A-G])\s?(\d(?:[.,]\d)?)$/i;
const POINT_IN_OZ = 1.75;
const D0_IN_OZ = 213.5;
const D0_POINTS = 30;

/** Points above A0, so that D3 is 33; undefined when the text is no swing weight. */
export function swingWeightPoints(text: string): number | undefined {
  const match = PATTERN.exec(text.trim());
  if (!match) return undefined;
  return (match[1]!.toUpperCase().charCodeAt(0) - 65) * 10 + Number(match[2]!.replace(',', '.'));
}

/** Points above A0 written the trade's way: 33 is "D3". */
export function formatSwingWeight(points: number): string {
  const letter = String.fromCharCode(65 + Math.floor(points / 10));
  return `${letter}${Number((points % 10).toFixed(1))}`;
}

/** Moment about the fulcrum in inch-ounces. */
export function swingWeightInOz(points: number): number {
  return D0_IN_OZ + (points - D0_POINTS) * POINT_IN_OZ;
}
