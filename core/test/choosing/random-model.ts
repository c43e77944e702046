import { randomFrom } from '../../src/index.js';
import type { ChoosingModel, ChoosingRule } from '../../src/choosing/choosing-model.js';

/**
 * A made-up choice: clubs down a ladder, needs somewhere along it, steps as even as can be, rules drawn at
 * random. The same for one seed.
 */
export function randomModel(
  seed: number,
  {
    clubs: n,
    needs: m,
    limit,
    rules: asked = 0,
    putters = 0,
  }: { clubs: number; needs: number; limit: number; rules?: number; putters?: number },
): ChoosingModel {
  const uniform = randomFrom(seed);
  const ladderClubs = n - putters;
  const carries = Array.from({ length: ladderClubs }, () => 70 + uniform() * 200).sort((a, b) => b - a);
  const target = ladderClubs > 1 ? (carries[0]! - carries.at(-1)!) / Math.max(1, limit - 1) : 1;
  const needs = Array.from({ length: m }, () => {
    const distance = 70 + uniform() * 200;
    const weight = 0.1 + uniform() * 0.4;
    const onLadder = carries.map(
      (carry) => weight * (2.5 + Math.min(1.5, ((carry - distance) / 18) ** 2 * 0.3) + uniform() * 0.15),
    );
    return [...onLadder, ...Array.from({ length: putters }, () => weight * (4.2 + uniform() * 0.1))];
  });
  const rules = Array.from({ length: asked }, (_one, i): ChoosingRule => {
    const members = Array.from({ length: n }, (_club, c) => c).filter(() => uniform() < 0.25);
    const min = members.length > 0 && uniform() < 0.5 ? 1 : 0;
    return { name: `rule ${i + 1}`, members, least: min, most: Math.max(min, Math.floor(uniform() * 4)) };
  });
  return {
    clubs: Array.from({ length: n }, (_one, i) => ({ id: String(i), price: 0.02 * uniform() })),
    ladderClubs,
    needs,
    steps: carries.map((upper, i) =>
      carries.map((lower, j) => (j > i ? 0.05 * ((upper - lower) / target - 1) ** 2 : 0)),
    ),
    begins: carries.map((carry) => (carries[0]! - carry) * 0.001),
    ends: carries.map((carry) => (carry - carries.at(-1)!) * 0.001),
    limit,
    rules,
  };
}

/**
 * The same clubs on so many days: each day's needs lie elsewhere along the ladder, and every club plays a
 * little otherwise.
 */
export function randomScenarios(
  seed: number,
  days: number,
  { clubs, needs, limit, putters }: { clubs: number; needs: number; limit: number; putters: number },
): ChoosingModel[] {
  const base = randomModel(seed, { clubs, needs: 0, limit, putters });
  const carries = Array.from(
    { length: base.ladderClubs },
    (_one, i) => 270 - (200 * i) / Math.max(1, base.ladderClubs - 1),
  );
  return Array.from({ length: days }, (_day, d) => {
    const uniform = randomFrom(seed * 1000 + d);
    const shift = carries.map(() => (uniform() - 0.5) * 8);
    const middle = 110 + uniform() * 90;
    return {
      ...base,
      needs: Array.from({ length: needs }, () => {
        const distance = uniform() < 0.5 ? middle + (uniform() - 0.5) * 60 : 70 + uniform() * 200;
        const weight = 0.1 + uniform() * 0.4;
        return [
          ...carries.map(
            (carry, c) =>
              weight *
              (2.5 + Math.min(1.5, ((carry + shift[c]! - distance) / 18) ** 2 * 0.3) + uniform() * 0.1),
          ),
          ...Array.from({ length: putters }, () => weight * 4.2),
        ];
      }),
    };
  });
}

/** Every choice tried. @returns the cheapest cost, Infinity when nothing keeps the rules */
export function triedAll(
  model: ChoosingModel,
  costOf: (model: ChoosingModel, chosen: readonly number[]) => { total: number },
  rulesBroken: (model: ChoosingModel, chosen: readonly number[]) => readonly unknown[],
): number {
  let best = Infinity;
  const n = model.clubs.length;
  for (let mask = 1; mask < 2 ** n; mask++) {
    const chosen: number[] = [];
    for (let c = 0; c < n; c++) if ((mask >> c) & 1) chosen.push(c);
    if (chosen.length > model.limit || rulesBroken(model, chosen).length > 0) continue;
    best = Math.min(best, costOf(model, chosen).total);
  }
  return best;
}
