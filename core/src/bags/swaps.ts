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

/**
 * The swaps that can be made of a bag, in order: those that take out what is in, and put in what is not.
 * @param clubIds the bag before them
 */
export function swapsThatApply(clubIds: readonly string[], swaps: readonly Swap[]): Swap[] {
  const kept: Swap[] = [];
  let bag: readonly string[] = clubIds;
  for (const swap of swaps) {
    try {
      bag = applySwaps(bag, [swap]);
      kept.push(swap);
    } catch (error) {
      if (!(error instanceof SwapError)) throw error;
    }
  }
  return kept;
}

/**
 * Swaps that make one bag of another, a club out for a club in while there are both. A club that comes in keeps
 * the reason it has in `known`.
 */
export function swapsBetween(
  from: readonly string[],
  to: readonly string[],
  known: readonly Swap[] = [],
): Swap[] {
  const out = from.filter((id) => !to.includes(id));
  const into = to.filter((id) => !from.includes(id));
  return Array.from({ length: Math.max(out.length, into.length) }, (_one, i): Swap => {
    const [outId, inId] = [out[i], into[i]];
    const why = known.find((swap) => swap.inId !== undefined && swap.inId === inId)?.why;
    return {
      ...(outId !== undefined && { outId }),
      ...(inId !== undefined && { inId }),
      ...(why !== undefined && { why }),
    };
  });
}
