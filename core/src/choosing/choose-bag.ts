import type { BagChoosing } from './bag-choosing.js';
import { choose } from './choose.js';
import { chosenBag, type ChosenBag } from './chosen-bag.js';
import { nextBest } from './next-best.js';
import { whyChosen, type ClubReason, type LeftOut } from './why-chosen.js';

export interface BagAnswer {
  best: ChosenBag;
  /** The next best bags, cheapest first. */
  runnersUp: readonly ChosenBag[];
  reasons: readonly ClubReason[];
  leftOut: readonly LeftOut[];
  proof: {
    proved: boolean;
    bound: number;
    nodes: number;
    /** Sets of at most so many clubs there are. */
    sets: number;
  };
}

/**
 * The best bag, the next best, and why.
 * @param runnersUp how many
 * @returns undefined when the rules together allow no bag
 * @throws InvalidInputError
 */
export function chooseBag(choosing: BagChoosing, runnersUp = 4, stop?: () => boolean): BagAnswer | undefined {
  const { model, clubs } = choosing;
  const options = { ...(stop && { stop }), ...(choosing.prices && { prices: choosing.prices }) };
  const best = choose(model, options);
  if (!best) return undefined;
  return {
    best: chosenBag(choosing, best.chosen),
    runnersUp: nextBest(model, best, runnersUp, options).map(({ chosen }) => chosenBag(choosing, chosen)),
    ...whyChosen(choosing, best),
    proof: {
      proved: best.proved,
      bound: best.bound,
      nodes: best.nodes,
      sets: setsOf(clubs.length, model.limit),
    },
  };
}

/** How many sets of at least one and at most `limit` of n clubs there are. */
function setsOf(n: number, limit: number): number {
  let sets = 0,
    of = 1;
  for (let k = 1; k <= Math.min(n, limit); k++) {
    of = (of * (n - k + 1)) / k;
    sets += of;
  }
  return Math.round(sets);
}
