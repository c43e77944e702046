import fc from 'fast-check';
import loadHighs from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import {
  bendAnswerWords,
  bendPlan,
  bendPlanWords,
  gaps,
  placedClubs,
  toMetres,
  type GapOptions,
  type LadderClub,
  type LoftChoice,
} from '../../src/index.js';
import { bestTwoByEffort } from '../../src/bend/best-two.js';
import { club, strongSetWedge } from '../bag-of-clubs.js';
import { bendProgram } from './bend-program.js';

const halves = (strongerDeg: number, weakerDeg: number): LoftChoice[] => {
  const choices: LoftChoice[] = [];
  for (let byDeg = -strongerDeg; byDeg <= weakerDeg; byDeg += 0.5)
    choices.push({ byDeg, effort: Math.abs(byDeg) / 0.5 });
  return choices;
};
const everyIron = (clubs: readonly LadderClub[], deg = 2) =>
  new Map(
    clubs.filter(({ kind }) => kind === 'iron' || kind === 'wedge').map(({ id }) => [id, halves(deg, deg)]),
  );
const planFor = (clubs: readonly LadderClub[], options: GapOptions = {}, deg = 2) =>
  bendPlan({ clubs, choices: everyIron(clubs, deg), options });

describe('a bend plan', () => {
  it('fixes the step under a strong set wedge', () => {
    const bag = strongSetWedge();
    const { now, chosen } = planFor(bag);
    expect(now.report.faults).toBeGreaterThan(0);
    expect(chosen.report.faults).toBeLessThan(now.report.faults);
    expect(chosen.offTarget).toBeLessThan(now.offTarget);
    const of = (id: string) => chosen.bends.find(({ clubId }) => clubId === id);
    expect(of('PW')!.byDeg).toBeGreaterThan(0);
    expect(of('52')!.byDeg).toBeLessThan(0);
  });

  it('leaves an even bag alone, whatever its step', () => {
    for (const step of [9, 12, 18]) {
      const bag = Array.from({ length: 10 }, (_one, i) => club(`${i}`, 'iron', 20 + 4 * i, 220 - step * i));
      const answer = planFor(bag);
      expect(answer.chosen).toBe(answer.now);
      expect(bendAnswerWords(answer, 'yd').title).toMatch(/^Nothing/);
    }
  });

  it('takes the least bending that does: no plan of less effort comes as near', () => {
    const { plans, chosen } = planFor(strongSetWedge());
    const best = plans.at(-1)!;
    for (const plan of plans)
      if (plan.effort < chosen.effort) expect(plan.offTarget).toBeGreaterThan(best.offTarget + 0.5);
    expect(plans.map(({ effort }) => effort)).toEqual(
      [...plans.map(({ effort }) => effort)].sort((a, b) => a - b),
    );
  });

  it('bends to lofts under a school of lofts, and leaves exact six-degree wedges alone', () => {
    const exact = [44, 50, 56].map((loft, i) => club(`${loft}`, 'wedge', loft, 130 - 14 * i));
    expect(planFor(exact, { school: 'even-lofts-6' }).chosen.bends).toEqual([]);
    const off = [44, 51, 56].map((loft, i) => club(`${loft}`, 'wedge', loft, 130 - 14 * i));
    const { unit, chosen } = planFor(off, { school: 'even-lofts-6' });
    expect(unit).toBe('deg');
    expect(chosen.bends.map(({ clubId, toDeg }) => [clubId, toDeg])).toEqual([['51', 50]]);
  });

  it('bends nothing for a carry that is only modelled', () => {
    const bag = strongSetWedge().map((one) =>
      one.name === 'PW'
        ? {
            ...one,
            shots: { full: { carryM: toMetres(125, 'yd'), plusMinusM: 8, source: 'modelled' as const } },
          }
        : one,
    );
    const { plans } = planFor(bag);
    for (const plan of plans) expect(plan.bends.map(({ clubId }) => clubId)).not.toContain('PW');
  });

  it('says what prevents it: unknown carries, or partial shots that bridge', () => {
    const lofts = strongSetWedge().map((one) => (one.shots.full ? { ...one, shots: {} } : one));
    const placed = planFor(
      placedClubs([...lofts.slice(0, 1), ...strongSetWedge().slice(1, 2), ...lofts.slice(2)]),
    );
    expect(placed.unmeasured).toBe(9);
    expect(bendAnswerWords(placed, 'yd')).toEqual({
      title: 'Nothing to bend yet',
      text: '9 clubs could be bent, but it is not known how far they carry. Enter carries, or space the bag by lofts.',
    });
    const minimal = planFor(strongSetWedge(), { school: 'minimal' });
    expect(minimal.chosen).toBe(minimal.now);
    expect(bendAnswerWords(minimal, 'yd').text).toContain('Partial shots bridge');
  });

  it('says so where an error of half a degree would leave nothing gained', () => {
    const lofts = [44, 50.5, 56, 62].map((loft, i) => club(`${loft}`, 'wedge', loft, 130 - 14 * i));
    const answer = planFor(lofts, { school: 'even-lofts-6' });
    expect(answer.chosen.bends).toHaveLength(1);
    expect(bendAnswerWords(answer, 'yd').text).toContain('nothing is gained');
  });

  it.each([0, 1, 2, 3])('has an answer for %i clubs', (count) => {
    const answer = planFor(strongSetWedge().slice(6, 6 + count));
    expect(answer.chosen).toBe(answer.now);
    expect(bendAnswerWords(answer, 'm').title).toMatch(/^N/);
  });

  it('never makes a report worse, and says at worst no better than as planned', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ step: fc.integer({ min: 4, max: 26 }), loft: fc.integer({ min: 2, max: 7 }) }), {
          minLength: 3,
          maxLength: 8,
        }),
        (rows) => {
          let [carry, loft] = [230, 20];
          const bag = rows.map(({ step, loft: up }, i) => {
            carry -= step;
            loft += up;
            return club(`club ${i}`, loft > 46 ? 'wedge' : 'iron', loft, carry);
          });
          const { now, chosen, nextBest } = planFor(bag, {}, 1);
          expect(chosen.report.faults).toBeLessThanOrEqual(now.report.faults);
          expect(chosen.offTarget).toBeLessThanOrEqual(now.offTarget + 1e-9);
          expect(chosen.offTargetAtWorst).toBeGreaterThanOrEqual(chosen.offTarget - 1e-9);
          if (nextBest) expect(nextBest.effort).toBeLessThanOrEqual(chosen.effort);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('says what it bends as a builder would', () => {
    const bends = ['7', '8', '9', '54'].map((clubId) => ({
      clubId,
      byDeg: clubId === '54' ? -1 : 0.5,
      fromDeg: 40,
      toDeg: 40.5,
      carryFromM: 100,
      carryToM: 99,
    }));
    const ladder = ['6', '7', '8', '9', '50', '54'].map((name) => ({ clubId: name, name }));
    expect(bendPlanWords({ bends }, ladder)).toBe('7 to 9 ½° weak, 54 1° strong');
  });

  it('is measured by the targets of the bag it began with', () => {
    const bag = strongSetWedge();
    const targets = gaps(bag).steps.flatMap(({ targetM }) => targetM ?? []);
    const { now } = planFor(bag);
    const carried = now.report.steps.filter(({ targetM }) => targetM !== undefined);
    const mean =
      carried.reduce((sum, { carryM }, i) => sum + (carryM - targets[i]!) ** 2, 0) / carried.length;
    expect(now.offTarget).toBeCloseTo(Math.sqrt(mean), 9);
  });
});

describe('the search behind it, beside a general solver (HiGHS, the integer program in bend-program.ts)', () => {
  let highs: Awaited<ReturnType<typeof loadHighs>>;
  beforeAll(async () => {
    highs = await loadHighs();
  });

  it('finds the same best cost in 200 random chains, whatever the effort allowed', () => {
    const random = seeded(14);
    for (let i = 0; i < 200; i++) {
      const places = 2 + Math.floor(random() * 7);
      const efforts = Array.from({ length: places }, () =>
        Array.from({ length: 1 + Math.floor(random() * 5) }, (_one, k) =>
          k === 0 ? 0 : 1 + Math.floor(random() * 4),
        ),
      );
      const costs = efforts
        .slice(1)
        .map((next, place) => efforts[place]!.map(() => next.map(() => Math.round(random() * 400) / 10)));
      const maxEffort = Math.floor(random() * 10);
      const found = bestTwoByEffort({
        efforts,
        costOf: (place, choice, next) => costs[place]![choice]![next]!,
        maxEffort,
      });
      const ours = Math.min(...found.flatMap(([way]) => (way ? [way.cost] : [])));
      const solved = highs.solve(bendProgram(efforts, costs, maxEffort), { mip_rel_gap: 0, mip_abs_gap: 0 });
      expect(solved.Status).toBe('Optimal');
      expect(ours).toBeCloseTo(solved.ObjectiveValue, 6);
    }
  });

  it('gives the second best too: as an enumeration of every way has it', () => {
    const random = seeded(15);
    for (let i = 0; i < 100; i++) {
      const efforts = Array.from({ length: 4 }, () => [0, 1, 2].slice(0, 1 + Math.floor(random() * 3)));
      const costs = efforts
        .slice(1)
        .map((next, place) => efforts[place]!.map(() => next.map(() => random())));
      const ways = efforts.reduce<number[][]>(
        (list, each) => list.flatMap((way) => each.map((_effort, k) => [...way, k])),
        [[]],
      );
      const found = bestTwoByEffort({
        efforts,
        costOf: (place, a, b) => costs[place]![a]![b]!,
        maxEffort: 8,
      });
      found.forEach((two, effort) => {
        const all = ways
          .filter((way) => way.reduce((sum, k, place) => sum + efforts[place]![k]!, 0) === effort)
          .map((way) => way.slice(1).reduce((sum, k, place) => sum + costs[place]![way[place]!]![k]!, 0))
          .sort((a, b) => a - b);
        expect(two.map(({ cost }) => Number(cost.toFixed(9)))).toEqual(
          all.slice(0, 2).map((cost) => Number(cost.toFixed(9))),
        );
      });
    }
  });
});

function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}
