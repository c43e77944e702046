/**
 * Two bags nearer than this are a tie: with other seeds, and with the carries redrawn, either comes out
 * ahead. Strokes a round; measured on the demo's weeks (see docs/numbers.md).
 */
export const TIE_STROKES = 0.03;

/**
 * Whether what one bag costs more than another is too little to say which is better. @param strokes a round;
 * of either sign
 */
export function isTie(strokes: number): boolean {
  return Math.abs(strokes) < TIE_STROKES;
}
