/** One swap of a plan: a club out, a club in, or both. */
export interface Swap {
  outId?: string;
  inId?: string;
  why?: string;
}

/** A swap that cannot be made, by its place in the list. */
export class SwapError extends Error {
  constructor(
    readonly index: number,
    message: string,
  ) {
    super(message);
    this.name = 'SwapError';
  }
}

/**
 * The bag after the swaps, in order; the club that comes in takes the place of the one that goes out.
 * @throws SwapError when a club goes out that is not in, or comes in that is in already
 */
export function applySwaps(clubIds: readonly string[], swaps: readonly Swap[]): string[] {
  const bag = [...clubIds];
  swaps.forEach(({ outId, inId }, index) => {
    if (outId === undefined && inId === undefined)
      throw new SwapError(index, `swap ${index + 1} names no club`);
    const place = outId === undefined ? bag.length : bag.indexOf(outId);
    if (place < 0) throw new SwapError(index, `swap ${index + 1} takes out a club that is not in the bag`);
    if (inId !== undefined && bag.includes(inId))
      throw new SwapError(index, `swap ${index + 1} puts in a club that is in the bag already`);
    bag.splice(place, outId === undefined ? 0 : 1, ...(inId === undefined ? [] : [inId]));
  });
  return bag;
}
