/**
 * Swing weight as it is written: a letter and points, ten points to a letter: C9, D0, D3.5. What a point
 * weighs is in `weights`.
 */
const PATTERN = /^([A-G])\s?(\d(?:[.,]\d)?)$/i;

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
