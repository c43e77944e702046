import { choose, chooseIfAny, type Choice } from './choose.js';
import type { ChoosingModel } from './choosing-model.js';

/** A choice that costs no more money than there is. */
interface AffordableChoice extends Choice {
  /** What its clubs cost. */
  money: number;
}

/**
 * The cheapest choice, in strokes, whose clubs cost no more money than there is; exact. Branch and bound over
 * what is bought: where the best choice costs too much, every affordable one leaves out at least one of the
 * clubs it buys, so each is forbidden in turn; a set that cannot be cheaper than the best affordable one is
 * not looked into.
 * @param moneyOf what each club of the model costs, by its place; 0 for one that is owned
 * @returns undefined where nothing keeps the rules for that money
 * @throws InvalidInputError as `choose`
 */
export function chooseWithin(
  model: ChoosingModel,
  moneyOf: readonly number[],
  money: number,
): AffordableChoice | undefined {
  let best: AffordableChoice | undefined;
  const seen = new Set<string>();
  const open: (readonly number[])[] = [[]];
  while (open.length > 0) {
    const forbidden = open.pop()!;
    const key = forbidden.join();
    if (seen.has(key)) continue;
    seen.add(key);
    const below = best?.cost ?? Infinity;
    const found =
      forbidden.length === 0 ? choose(model, { below }) : chooseIfAny(without(model, forbidden), { below });
    if (!found) continue;
    const bought = found.chosen.filter((c) => moneyOf[c]! > 0);
    const spent = bought.reduce((sum, c) => sum + moneyOf[c]!, 0);
    if (spent <= money + 1e-9) best = { ...found, money: spent };
    else for (const c of bought) open.push([...forbidden, c].sort((a, b) => a - b));
  }
  return best;
}

/** The same choice with some clubs out of reach. */
function without(model: ChoosingModel, forbidden: readonly number[]): ChoosingModel {
  return forbidden.length === 0
    ? model
    : { ...model, rules: [...model.rules, { name: 'not bought', members: forbidden, least: 0, most: 0 }] };
}
