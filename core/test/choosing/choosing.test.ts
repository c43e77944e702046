import fc from 'fast-check';
import loadHighs from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { InvalidInputError, choose, costOf } from '../../src/index.js';
import { nextBest } from '../../src/choosing/next-best.js';
import { rulesBroken, type ChoosingModel } from '../../src/choosing/choosing-model.js';
import { integerProgram } from './integer-program.js';
import { randomModel, triedAll } from './random-model.js';

const sizes = fc
  .record({
    seed: fc.integer({ min: 0, max: 2 ** 30 }),
    clubs: fc.integer({ min: 2, max: 10 }),
    needs: fc.integer({ min: 0, max: 12 }),
    limit: fc.integer({ min: 1, max: 7 }),
    rules: fc.integer({ min: 0, max: 3 }),
    putters: fc.integer({ min: 0, max: 2 }),
  })
  .map(({ seed, ...size }) =>
    randomModel(seed, { ...size, putters: Math.min(size.putters, size.clubs - 1) }),
  );

/** What is chosen, or undefined where the rules allow nothing. */
function chosenFrom(model: ChoosingModel) {
  try {
    return choose(model);
  } catch (error) {
    if (error instanceof InvalidInputError && error.field === 'rules') return undefined;
    throw error;
  }
}

describe('the cheapest choice', () => {
  it('is the cheapest of all choices tried one by one, rules and putters and all', () => {
    fc.assert(
      fc.property(sizes, (model) => {
        const best = triedAll(model, costOf, rulesBroken);
        const choice = chosenFrom(model);
        if (best === Infinity) {
          expect(choice).toBeUndefined();
          return;
        }
        expect(choice!.cost).toBeCloseTo(best, 9);
        expect(costOf(model, choice!.chosen).total).toBeCloseTo(choice!.cost, 9);
        expect(choice).toMatchObject({ proved: true });
        expect(rulesBroken(model, choice!.chosen)).toEqual([]);
      }),
      { numRuns: 250 },
    );
  });

  it('is the same whatever it begins with: the prices of another choice for the same needs, or any', () => {
    fc.assert(
      fc.property(sizes, fc.boolean(), (model, isWild) => {
        const cold = chosenFrom(model);
        if (!cold) return;
        const { prices } = choose({ ...model, rules: [] })!;
        const begun = isWild ? prices.map((price, i) => price * Math.sin(i * 7 + 1)) : prices;
        const kept = begun.slice();
        const warm = choose(model, { prices: begun });
        expect(warm!.cost).toBe(cold.cost);
        expect(warm).toMatchObject({ proved: true });
        expect(begun).toEqual(kept);
      }),
      { numRuns: 150 },
    );
  });

  it('a club that is another’s equal changes nothing of what it costs', () => {
    fc.assert(
      fc.property(sizes, fc.nat(), (model, pick) => {
        const c = pick % model.ladderClubs;
        /** The same list with its entry of that place twice. */
        const twice = <T>(list: readonly T[]) => [...list.slice(0, c + 1), ...list.slice(c)];
        const steps = twice(model.steps.map(twice));
        // Nobody carries both for nothing.
        const apart = steps.map((row, i) => row.map((cost, j) => (i === c && j === c + 1 ? 0.05 : cost)));
        const moved = (place: number) => (place > c ? [place + 1] : place === c ? [c, c + 1] : [place]);
        const beside = {
          ...model,
          ladderClubs: model.ladderClubs + 1,
          clubs: twice(model.clubs),
          needs: model.needs.map(twice),
          steps: apart,
          begins: twice(model.begins),
          ends: twice(model.ends),
          rules: model.rules.map((rule) => ({ ...rule, members: rule.members.flatMap(moved) })),
        };
        const alone = chosenFrom({ ...model, rules: [] })!;
        expect(chosenFrom({ ...beside, rules: [] })!.cost).toBeCloseTo(alone.cost, 9);
        const ruled = chosenFrom(model);
        if (ruled) expect(chosenFrom(beside)!.cost).toBeLessThanOrEqual(ruled.cost + 1e-9);
      }),
      { numRuns: 150 },
    );
  });

  it('another club in the locker never makes it dearer, a banned club is never in it, a locked one always', () => {
    fc.assert(
      fc.property(sizes, fc.nat(), (model, pick) => {
        const choice = chosenFrom(model);
        if (!choice) return;
        const c = pick % model.clubs.length;
        const without = chosenFrom({
          ...model,
          rules: [...model.rules, { name: 'never', members: [c], least: 0, most: 0 }],
        });
        if (without) {
          expect(without.chosen).not.toContain(c);
          expect(without.cost).toBeGreaterThanOrEqual(choice.cost - 1e-9);
        }
        const locked = chosenFrom({
          ...model,
          rules: [...model.rules, { name: 'always', members: [c], least: 1, most: 1 }],
        });
        if (locked) expect(locked.chosen).toContain(c);
        if (without && locked) expect(Math.min(without.cost, locked.cost)).toBeCloseTo(choice.cost, 9);
      }),
      { numRuns: 150 },
    );
  });

  it('and the ones after it are the next cheapest of all, each another', () => {
    fc.assert(
      fc.property(sizes, (model) => {
        const first = chosenFrom(model);
        if (!first) return;
        const all: number[] = [];
        for (let mask = 1; mask < 2 ** model.clubs.length; mask++) {
          const chosen = model.clubs.flatMap((_club, c) => ((mask >> c) & 1 ? [c] : []));
          if (rulesBroken(model, chosen).length === 0) all.push(costOf(model, chosen).total);
        }
        all.sort((a, b) => a - b);
        const next = nextBest(model, first, 4);
        expect(next).toHaveLength(Math.min(4, all.length - 1));
        next.forEach(({ cost }, i) => expect(cost).toBeCloseTo(all[i + 1]!, 9));
        expect(new Set([first, ...next].map(({ chosen }) => chosen.join())).size).toBe(next.length + 1);
      }),
      { numRuns: 60 },
    );
  });

  it('does not depend on the unit of cost', () => {
    fc.assert(
      fc.property(sizes, (model) => {
        const choice = chosenFrom(model);
        if (!choice) return;
        const twice = (values: readonly number[]) => values.map((value) => 2 * value);
        const doubled = chosenFrom({
          ...model,
          clubs: model.clubs.map((club) => ({ ...club, price: 2 * club.price })),
          needs: model.needs.map(twice),
          steps: model.steps.map(twice),
          begins: twice(model.begins),
          ends: twice(model.ends),
        })!;
        expect(doubled.cost).toBeCloseTo(2 * choice.cost, 8);
      }),
      { numRuns: 80 },
    );
  });

  it('names two rules that contradict each other, and refuses a model that does not fit together', () => {
    const model = randomModel(1, { clubs: 8, needs: 5, limit: 4 });
    const rule = (name: string, members: number[], min: number, max: number) => ({
      name,
      members,
      least: min,
      most: max,
    });
    expect(() =>
      choose({
        ...model,
        rules: [rule('always the Driver', [0], 1, 1), rule('never the Driver', [0], 0, 0)],
      }),
    ).toThrow(/"always the Driver" and "never the Driver"/);
    expect(() => choose({ ...model, rules: [rule('five wedges', [3, 4, 5, 6, 7], 5, 5)] })).toThrow(
      /"at most 4 clubs" and "five wedges"/,
    );
    expect(() => choose({ ...model, needs: [[1, 2]] })).toThrow(/needs must hold a number for each club/);
    expect(() => choose({ ...model, limit: 0 })).toThrow(/limit/);
    // Three rules that only together allow nothing: there is no choice, and no two are to blame.
    expect(
      choose({
        ...model,
        rules: [
          rule('a', [0, 1], 1, 1),
          rule('b', [1, 2], 1, 1),
          rule('c', [0, 2], 1, 1),
          rule('d', [0, 1, 2], 1, 1),
        ],
      }),
    ).toBeUndefined();
  });

  it('when stopped it gives what it has, unproved, with what is left to prove', () => {
    const model = randomModel(77, { clubs: 30, needs: 150, limit: 14 });
    const whole = choose(model)!;
    const early = choose(model, { stop: () => true })!;
    expect(early.cost).toBeGreaterThanOrEqual(whole.cost - 1e-9);
    expect(early.bound).toBeLessThanOrEqual(whole.cost + 1e-9);
    if (early.nodes < whole.nodes) expect(early.proved).toBe(false);
  });
});

const INSTANCES = 300;

describe('against HiGHS, a general integer-programming solver', () => {
  let highs: Awaited<ReturnType<typeof loadHighs>>;
  beforeAll(async () => {
    highs = await loadHighs();
  });

  it(`has the same optimum to 1e-9 on ${INSTANCES} random choices with rules and putters`, () => {
    let none = 0;
    for (let seed = 0; seed < INSTANCES; seed++) {
      const model = randomModel(seed, {
        clubs: 6 + (seed % 8),
        needs: 4 + (seed % 10),
        limit: 3 + (seed % 5),
        rules: seed % 3,
        putters: seed % 2,
      });
      const choice = chosenFrom(model);
      const solved = highs.solve(integerProgram(model), { mip_rel_gap: 0, mip_abs_gap: 0 });
      if (!choice) {
        expect(solved.Status, `seed ${seed}`).toBe('Infeasible');
        none += 1;
        continue;
      }
      expect(solved.Status, `seed ${seed}`).toBe('Optimal');
      // The solver rounds to its own tolerance; the cost of what it chose is worked out here.
      const chosen = model.clubs.flatMap((_club, c) =>
        (solved.Columns[`y${c}`] as { Primal: number }).Primal > 0.5 ? [c] : [],
      );
      expect(Math.abs(costOf(model, chosen).total - choice.cost), `seed ${seed}`).toBeLessThan(1e-9);
    }
    expect(none).toBeLessThan(INSTANCES / 5);
  });
});
