import fc from 'fast-check';
import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import {
  choose,
  searchTravelSets,
  smallestTravelSet,
  travelSet,
  type BagChoosing,
  type Scenario,
} from '../../src/index.js';
import type { ChoosingModel } from '../../src/choosing/choosing-model.js';
import { club } from '../bag-of-clubs.js';
import { travelProgram } from './integer-program.js';
import { randomModel, randomScenarios } from './random-model.js';

describe('the clubs that travel', () => {
  const choosingOf = (model: ChoosingModel): BagChoosing => ({
    model,
    clubs: model.clubs.map(({ id }) => club(id, 'iron', 30, 150)),
    needs: [],
    shots: [],
  });
  const scenarios = (seed: number, count: number, clubs: number, limit: number): Scenario[] =>
    Array.from({ length: count }, (_one, s) => ({
      name: `day ${s + 1}`,
      weight: 1 + (s % 2),
      choosing: choosingOf(ruled(randomModel(seed * 100 + s, { clubs, needs: 10, limit }))),
    }));
  /** One of three at most, and one of two at least: what the first bound chooses often breaks them. */
  const ruled = (model: ChoosingModel): ChoosingModel => ({
    ...model,
    rules: [
      { name: 'one of three', members: [2, 3, 4], least: 0, most: 1 },
      { name: 'one of two', members: [0, 5], least: 1, most: 1 },
    ],
  });
  /** Every set of so many clubs tried, every scenario's best bag from it. */
  function triedAll(all: readonly Scenario[], size: number): number {
    const n = all[0]!.choosing.clubs.length;
    const whole = all.reduce((sum, { weight }) => sum + weight, 0);
    let best = Infinity;
    for (let mask = 1; mask < 2 ** n; mask++) {
      const inside = Array.from({ length: n }, (_one, c) => (mask >> c) & 1);
      if (inside.reduce((sum, one) => sum + one, 0) !== size) continue;
      let strokes = 0;
      for (const {
        choosing: { model },
        weight,
      } of all)
        strokes +=
          (weight / whole) *
          (choose(model, { settled: Int8Array.from(inside.map((one) => (one ? 0 : -1))) })?.cost ?? Infinity);
      best = Math.min(best, strokes);
    }
    return best;
  }
  it('are the best of all sets tried one by one, and proved to be', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5000 }),
        fc.integer({ min: 2, max: 4 }),
        fc.integer({ min: 4, max: 6 }),
        (seed, count, size) => {
          const all = scenarios(seed, count, 8, 4);
          const best = triedAll(all, size);
          const set = travelSet(all, size);
          expect(set).toMatchObject({ proved: true });
          expect(set.ids).toHaveLength(size);
          expect(set.strokes).toBeCloseTo(best, 6);
          expect(set.bound).toBeLessThanOrEqual(best + 1e-9);
          for (const bag of set.bags) for (const id of bag.ids) expect(set.ids).toContain(id);
        },
      ),
      { numRuns: 25, seed: 7 },
    );
  });
  it('are reported before they are proved, with a lower bound that only rises', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), (seed) => {
        const all = scenarios(seed, 3, 8, 4);
        const best = triedAll(all, 5);
        const search = searchTravelSets(all, 5);
        let [strokes, bound] = [Infinity, -Infinity];
        for (let goesOn = true; goesOn;) {
          goesOn = search.advance();
          const found = search.found();
          if (!found) continue;
          expect(found.bound).toBeLessThanOrEqual(best + 1e-9);
          expect(found.strokes).toBeGreaterThanOrEqual(best - 1e-9);
          expect(found.strokes).toBeLessThanOrEqual(strokes + 1e-12);
          expect(found.bound).toBeGreaterThanOrEqual(Math.min(bound, found.strokes) - 1e-9);
          ({ strokes, bound } = found);
        }
        expect(strokes).toBeCloseTo(best, 6);
        expect(search.isComplete()).toBe(true);
      }),
      { numRuns: 25 },
    );
  });
  it.each([1, 2, 3])('are those HiGHS finds, a general integer-programming solver: days %i', async (seed) => {
    const highs = await loadHighs();
    const models = randomScenarios(seed, 3, { clubs: 12, needs: 16, limit: 6, putters: 1 }).map(ruled);
    const all = models.map((model, d) => ({
      name: `day ${d + 1}`,
      weight: d + 1,
      choosing: choosingOf(model),
    }));
    const solved = highs.solve(
      travelProgram(
        models.map((model, d) => ({ model, share: (d + 1) / 6 })),
        8,
      ),
      { mip_rel_gap: 0, mip_abs_gap: 0, time_limit: 200 },
    );
    expect(solved.Status).toBe('Optimal');
    const set = travelSet(all, 8);
    expect(set).toMatchObject({ proved: true });
    expect(set.strokes).toBeCloseTo(solved.ObjectiveValue, 7);
  });
  it("enough to hold every day's bag are proved at once", () => {
    const set = travelSet(scenarios(3, 3, 8, 3), 8);
    expect(set).toMatchObject({ proved: true });
    expect(set.bags.every(({ regret }) => regret === 0)).toBe(true);
  });
  it('as few as lose no more than is said are the fewest, and proved to be', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 1, max: 5000 }),
        fc.integer({ min: 2, max: 3 }),
        fc.double({ min: 0, max: 0.6, noNaN: true }),
        async (seed, count, loss) => {
          const all = scenarios(seed, count, 7, 3);
          const whole = triedAll(all, 7);
          const fewest = [3, 4, 5, 6, 7].find((size) => triedAll(all, size) - whole <= loss + 1e-9)!;
          const { set, sizes, smallest } = await smallestTravelSet(all, loss);
          expect(set.wholeLocker).toBeCloseTo(whole, 9);
          expect(set.strokes - set.wholeLocker).toBeLessThanOrEqual(loss + 1e-9);
          expect(smallest).toBe(true);
          expect(set.ids).toHaveLength(fewest);
          expect(sizes.at(-1)!.size).toBe(set.ids.length);
          for (const { size, loses, losesAtLeast } of sizes) {
            const best = triedAll(all, size) - whole;
            expect(losesAtLeast).toBeLessThanOrEqual(best + 1e-9);
            expect(loses).toBeGreaterThanOrEqual(best - 1e-9);
          }
        },
      ),
      { numRuns: 20, seed: 11 },
    );
  });
  it('of which smaller sets hold no bag for some day are proved the fewest', async () => {
    const [day, other] = scenarios(5, 2, 7, 3) as [Scenario, Scenario];
    const asking = (one: Scenario, members: readonly number[]): Scenario => ({
      ...one,
      choosing: {
        ...one.choosing,
        model: {
          ...one.choosing.model,
          rules: [{ name: 'all of these', members, least: members.length, most: members.length }],
        },
      },
    });
    // Six clubs are asked for by the rules of the two days together; three, four and five cannot hold both.
    const { set, smallest } = await smallestTravelSet(
      [asking(day, [0, 1, 2]), asking(other, [4, 5, 6])],
      100,
    );
    expect([...set.ids].sort()).toEqual(['0', '1', '2', '4', '5', '6']);
    expect(smallest).toBe(true);
  });
  it('of one club, or of more clubs than there are, are what there is', () => {
    const one = choosingOf(randomModel(3, { clubs: 1, needs: 5, limit: 14 }));
    const alone: Scenario[] = [{ name: 'day', weight: 1, choosing: one }];
    expect(travelSet(alone, 18)).toMatchObject({ ids: ['0'], proved: true });
    const day = choosingOf(randomModel(4, { clubs: 30, needs: 20, limit: 14 }));
    expect(travelSet([{ name: 'day', weight: 2, choosing: day }], 40).ids).toHaveLength(30);
  });
  it('refuse no days and a set of zero, by name', async () => {
    await expect(smallestTravelSet(scenarios(1, 2, 6, 3), -0.1)).rejects.toThrow('loss must be zero or more');
    await expect(smallestTravelSet(scenarios(1, 2, 6, 3), 0.1, () => false)).rejects.toThrow(
      'search was ended',
    );
    expect(() => travelSet([], 4)).toThrow('scenarios are none');
    expect(() => travelSet(scenarios(1, 2, 6, 3), 0)).toThrow('size must be a whole number');
  });
});
