import loadHighs from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { chooseWithin, costOf, randomFrom } from '../../src/index.js';
import { integerProgram } from './integer-program.js';
import { randomModel } from './random-model.js';

const INSTANCES = 200;

describe('the best use of a sum of money', () => {
  let highs: Awaited<ReturnType<typeof loadHighs>>;
  beforeAll(async () => {
    highs = await loadHighs();
  });

  it(`is that of HiGHS, a general integer-programming solver, on ${INSTANCES} random lists`, () => {
    let tight = 0;
    for (let seed = 0; seed < INSTANCES; seed++) {
      const model = randomModel(seed, {
        clubs: 6 + (seed % 8),
        needs: 5 + (seed % 8),
        limit: 4 + (seed % 4),
        rules: seed % 2,
      });
      const uniform = randomFrom(seed + 5000);
      const moneyOf = model.clubs.map(() => (uniform() < 0.6 ? Math.round(20 + uniform() * 280) : 0));
      const money = Math.round(uniform() * 500);
      const spending = `budget: ${moneyOf.map((price, c) => `${price} y${c}`).join(' + ')} <= ${money}`;
      const program = integerProgram(model).replace('Subject To\n', `Subject To\n ${spending}\n`);
      const solved = highs.solve(program, { mip_rel_gap: 0, mip_abs_gap: 0 });
      let ours;
      try {
        ours = chooseWithin(model, moneyOf, money);
      } catch {
        ours = undefined; // Two rules that no choice can keep.
      }
      if (!ours) {
        expect(solved.Status, `seed ${seed}`).toBe('Infeasible');
        continue;
      }
      expect(solved.Status, `seed ${seed}`).toBe('Optimal');
      const chosen = model.clubs.flatMap((_club, c) =>
        (solved.Columns[`y${c}`] as { Primal: number }).Primal > 0.5 ? [c] : [],
      );
      expect(Math.abs(costOf(model, chosen).total - ours.cost), `seed ${seed}`).toBeLessThan(1e-9);
      expect(ours.money).toBeLessThanOrEqual(money);
      if (costOf(model, chosen).total > chooseWithin(model, moneyOf, Infinity)!.cost + 1e-9) tight += 1;
    }
    // Most sums must bite, or nothing of it was tried.
    expect(tight).toBeGreaterThan(INSTANCES / 4);
  });
});
