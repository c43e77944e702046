import type { BagChoosing } from './bag-choosing.js';
import { costOf } from './choosing-model.js';

/** One bag, and what it costs, in strokes a round. */
export interface ChosenBag {
  ids: readonly string[];
  strokes: number;
  forNeeds: number;
  forSteps: number;
  price: number;
}

/** A bag by the places of its clubs, with what it costs. */
export function chosenBag({ model, clubs }: BagChoosing, chosen: readonly number[]): ChosenBag {
  const { total, needs: forNeeds, steps: forSteps, price } = costOf(model, chosen);
  return { ids: chosen.map((c) => clubs[c]!.id), strokes: total, forNeeds, forSteps, price };
}

/** What another bag costs more than the best, in strokes a round. */
export interface BagLoss {
  /** With what having its clubs costs; by this they are told apart. */
  costs: number;
  /** As it is played: without a change, comfort or money. */
  onTheCourse: number;
}

export function lossOf(bag: ChosenBag, best: ChosenBag): BagLoss {
  const costs = bag.strokes - best.strokes;
  return { costs, onTheCourse: costs - bag.price + best.price };
}

/** The same of clubs of the locker. @returns null where none of them is there */
export function lossOfClubs(choosing: BagChoosing, ids: readonly string[], best: ChosenBag): BagLoss | null {
  const places = choosing.clubs.flatMap(({ id }, c) => (ids.includes(id) ? [c] : []));
  return places.length === 0 ? null : lossOf(chosenBag(choosing, places), best);
}
