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

/** What a bag costs more, in words: "+0.12", or that it is a tie. */
export function lossWords(strokes: number): string {
  return isTie(strokes) ? 'a tie' : `${strokes < 0 ? '−' : '+'}${Math.abs(strokes).toFixed(2)}`;
}
