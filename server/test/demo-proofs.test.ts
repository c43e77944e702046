import { clubsOfIds, costOf, playRounds } from '@tasche/core';
import loadHighs from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { integerProgram } from '../../core/test/choosing/integer-program.js';
import { lockerOf, week } from './demo-week.js';

const WEEKS = [
  ['Davor Kolar', 'Skarvoy Links', 'spring'],
  ['Maren Tveit', 'Hochfirn', 'summer'],
  ['Oluchi Nwosu', 'Lagoa Funda', 'spring'],
  ['Pim Hoekstra', 'Erg Chebka', 'winter'],
] as const;

describe('the proofs', () => {
  let highs: Awaited<ReturnType<typeof loadHighs>>;
  beforeAll(async () => {
    highs = await loadHighs();
  });

  it.each(WEEKS)(
    '%s at %s in %s: the same optimum as HiGHS to 1e-9',
    (player, course, season) => {
      const {
        choosing: { model },
        answer,
      } = week(player, course, season);
      const solved = highs.solve(integerProgram(model), { mip_rel_gap: 0, mip_abs_gap: 0, time_limit: 100 });
      expect(solved.Status).toBe('Optimal');
      const chosen = model.clubs.flatMap((_club, c) =>
        (solved.Columns[`y${c}`] as { Primal: number }).Primal > 0.5 ? [c] : [],
      );
      expect(Math.abs(costOf(model, chosen).total - answer.best.strokes)).toBeLessThan(1e-9);
    },
    110_000,
  );

  /** What the needs claim of the chosen bag against another, and what whole rounds say of the two. */
  async function played(
    player: string,
    course: string,
    season: string,
    other: (best: readonly string[]) => readonly string[],
    rounds: number,
  ) {
    const {
      round,
      choosing: { model, clubs: order },
      answer,
    } = week(player, course, season);
    const second = other(answer.best.ids);
    const claim =
      costOf(
        model,
        order.flatMap(({ id }, c) => (second.includes(id) ? [c] : [])),
      ).needs - answer.best.forNeeds;
    const bag = (ids: readonly string[]) => ({ clubs: clubsOfIds(round.clubs, ids), besides: 0 });
    return {
      claim,
      ...(await playRounds(round.day, round.played, [bag(answer.best.ids), bag(second)], rounds, {
        seed: 5,
      })),
    };
  }

  it('whole rounds say of the chosen and the second-best bag what the plan says, where they can tell them apart', async () => {
    for (const [player, course, season] of WEEKS) {
      const { answer } = week(player, course, season);
      const one = await played(player, course, season, () => answer.runnersUp[0]!.ids, 1500);
      console.log(
        `${player}, ${course}: the needs say ${one.claim.toFixed(3)}, ${one.rounds} rounds say ${one.difference.toFixed(3)} ± ${one.plusMinus!.toFixed(3)}`,
      );
      if (Math.abs(one.difference) > one.plusMinus! && Math.abs(one.claim) > 0.02)
        expect(Math.sign(one.difference), `${player}, ${course}`).toBe(Math.sign(one.claim));
      expect(Math.abs(one.difference - one.claim), `${player}, ${course}`).toBeLessThan(
        one.plusMinus! + 0.04,
      );
    }
  }, 180_000);

  it('and of the chosen bag and the gamer too', async () => {
    for (const [player, course, season] of WEEKS) {
      const { gamerIds } = lockerOf(player);
      const one = await played(player, course, season, () => gamerIds, 1500);
      console.log(
        `${player}, ${course}, the gamer: the needs say ${one.claim.toFixed(3)}, ${one.rounds} rounds say ${one.difference.toFixed(3)} ± ${one.plusMinus!.toFixed(3)}`,
      );
      if (Math.abs(one.difference) > one.plusMinus! && Math.abs(one.claim) > 0.02)
        expect(Math.sign(one.difference), `${player}, ${course}`).toBe(Math.sign(one.claim));
    }
  }, 180_000);

  it('and of a bag that lacks a club they tell it clearly', async () => {
    const one = await played(
      'Maren Tveit',
      'Hochfirn',
      'summer',
      (best) => best.filter((id) => id !== '6 iron'),
      2000,
    );
    expect(one.claim).toBeGreaterThan(0.1);
    expect(one.difference).toBeGreaterThan(one.plusMinus!);
  });
});
