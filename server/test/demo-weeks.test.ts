import { readFileSync } from 'node:fs';
import { planImport, readSheetCsv } from '@tasche/contract';
import {
  BASELINE,
  MEDIUM_FAIRWAY,
  DEFAULT_PREFERENCES,
  ROUND_REMEDY_KINDS,
  alternatives,
  chooseBag,
  choose,
  choosingOfRound,
  clubsOfIds,
  costOf,
  costOfBag,
  howSure,
  howSureSentence,
  ladderClub,
  playRounds,
  playingBounceDeg,
  roundChoosing,
  roundRemedies,
  type Fact,
  type LadderClub,
  type RoundDay,
  type Spec,
  type BagPreferences,
} from '@tasche/core';
import loadHighs from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { integerProgram } from '../../core/test/choosing/integer-program.js';
import { DEMO_COURSES } from '../src/demo/meridian-courses.js';
import { DEMO_PLAYERS } from '../src/demo/meridian-swing.js';

const FROM = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };

function lockerOf(name: string): { clubs: LadderClub[]; gamerIds: readonly string[] } {
  const player = DEMO_PLAYERS.find((one) => one.name === name)!;
  const { adds } = planImport(
    readSheetCsv(readFileSync(new URL(`../src/demo/${player.file}`, import.meta.url), 'utf8'), {
      distanceUnit: player.distanceUnit,
      takenOn: '2026-09-26',
    }),
    [],
  );
  const clubs = adds.flatMap(({ name: id, kind, readings }) => {
    const spec: Spec = Object.fromEntries(
      readings.map(({ key, value, takenOn }) => [key, { value, takenOn } as Fact]),
    );
    return spec.state?.value === 'retired' || spec.state?.value === 'on loan'
      ? []
      : [ladderClub({ id, name: id, kind, spec })];
  });
  return { clubs, gamerIds: player.bags[0]!.clubs };
}
function dayOn(name: string, season: string): RoundDay {
  const course = DEMO_COURSES.find((one) => one.name === name)!;
  const { air, ground } = course.seasons.find((one) => one.name === season)!;
  return { course, tee: 0, air, ground };
}
function week(player: string, course: string, season: string, wishes: Partial<BagPreferences> = {}) {
  const { clubs, gamerIds } = lockerOf(player);
  const wanted = { ...DEFAULT_PREFERENCES, ...wishes };
  const order = { day: dayOn(course, season), clubs, from: FROM, wishes: wanted };
  const round = roundChoosing(order);
  const taste = { wishes: wanted, school: 'even-carries' as const, gamerIds };
  const choosing = choosingOfRound(round, taste);
  return { order, round, taste, choosing, answer: chooseBag(choosing, 1)!, clubs };
}

describe('the weeks of the demo', () => {
  it('firm windy links bring the low long club and low bounce; a soft high course the high one and more bounce', () => {
    const [links, high] = [
      week('Maren Tveit', 'Skarvoy Links', 'spring'),
      week('Maren Tveit', 'Hochfirn', 'summer'),
    ];
    expect(links.answer.best.ids).toContain('Driving iron');
    expect(links.taste.gamerIds).not.toContain('Driving iron');
    expect(high.answer.best.ids).not.toContain('Driving iron');
    const longHigh = high.answer.best.ids.filter((id) => ['7 wood', 'Hybrid 4', '5 wood'].includes(id));
    expect(longHigh.length).toBeGreaterThanOrEqual(2);
    const lob = ({ answer, clubs }: typeof links) =>
      playingBounceDeg(
        clubsOfIds(clubs, answer.best.ids)
          .filter(({ kind }) => kind === 'wedge')
          .sort((a, b) => b.loftDeg! - a.loftDeg!)[0]!,
      )!;
    expect(lob(links)).toBeLessThan(10);
    expect(lob(high)).toBeGreaterThan(lob(links) + 4);
    // A player of one bounce for everywhere, or of low bounce always, is not argued with.
    const low = week('Maren Tveit', 'Hochfirn', 'summer', { bounce: 'low' });
    expect(lob(low)).toBeLessThan(10);
  });

  it('the winter bag holds ten clubs or fewer, and the ten are proved', () => {
    const { answer } = week('Pim Hoekstra', 'Skarvoy Links', 'winter', { limit: 10 });
    expect(answer.best.ids.length).toBeLessThanOrEqual(10);
    expect(answer.proof.proved).toBe(true);
    expect(answer.best.ids).toContain('Putter');
  });

  it('a player without data gets a plan that says how unsure it is, and one with data is surer', async () => {
    const { clubs, gamerIds } = lockerOf('Davor Kolar');
    const silent = clubs.map((club): LadderClub => ({ ...club, shots: {} }));
    const sureOf = async (some: LadderClub[]) => {
      const order = {
        day: dayOn('Skarvoy Links', 'spring'),
        clubs: some,
        from: FROM,
        wishes: DEFAULT_PREFERENCES,
      };
      const taste = { wishes: DEFAULT_PREFERENCES, school: 'even-carries' as const, gamerIds };
      const pick = (drawn: readonly LadderClub[]) => {
        const choosing = choosingOfRound(roundChoosing({ ...order, clubs: drawn }), taste);
        return choose(choosing.model)!.chosen.map((c) => choosing.order[c]!.id);
      };
      const round = roundChoosing(order);
      return howSure(round.clubs, pick(round.clubs), pick, 8);
    };
    const [unsure, surer] = [await sureOf(silent), await sureOf(clubs)];
    expect(unsure.modelled).toBeGreaterThan(10);
    expect(unsure.measured).toBe(0);
    expect(howSureSentence(unsure)).toMatch(
      /Carries of the bag: 1\d modelled\. Redrawn 8 times .* It is unsure: measure before trusting it\./,
    );
    const firm = (one: typeof unsure) =>
      Object.values(one.share).filter((share) => share === 0 || share === 1).length;
    expect(firm(surer)).toBeGreaterThan(firm(unsure));
  }, 120_000);

  it('a freeze is a freeze, two changes are two, and the best near the gamer is never better than the best', () => {
    const { round, taste, answer } = week('Davor Kolar', 'Lagoa Funda', 'summer');
    const others = alternatives(round, taste);
    const changed = (ids: readonly string[]) => ids.filter((id) => !taste.gamerIds.includes(id)).length;
    expect(changed(others.withinOne!.ids)).toBeLessThanOrEqual(1);
    expect(changed(others.withinTwo!.ids)).toBeLessThanOrEqual(2);
    expect(others.five[0]!.ids).toEqual(answer.best.ids);
    expect(others.withinTwo!.strokes).toBeGreaterThanOrEqual(answer.best.strokes - 1e-9);
    expect(others.withinOne!.strokes).toBeGreaterThanOrEqual(others.withinTwo!.strokes - 1e-9);
    expect(others.gamer!.strokes).toBeGreaterThanOrEqual(others.withinOne!.strokes - 1e-9);
    expect(others.ten!.ids.length).toBeLessThanOrEqual(10);
    // Three of the gamer of which one may go cannot all but one stay: there is no bag one swap away, and the others are told all the same.
    const torn = week('Davor Kolar', 'Lagoa Funda', 'summer', { oneOf: [['7 iron', '8 iron', '9 iron']] });
    const rest = alternatives(torn.round, torn.taste);
    expect(rest.withinOne).toBeUndefined();
    expect(rest.five).toHaveLength(5);
    expect(
      week('Davor Kolar', 'Lagoa Funda', 'summer', { mostChanges: 0 }).answer.best.ids.filter(
        (id) => !taste.gamerIds.includes(id),
      ),
    ).toEqual([]);
  }, 60_000);
});

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
      choosing: { model, order },
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
  }, 60_000);
});

describe('the cheapest remedy', () => {
  it('is told by kind, cheapest first, each gaining what the bag it makes costs less', () => {
    const { round, taste } = week('Davor Kolar', 'Hochfirn', 'summer');
    const costOfIt = costOfBag(round, taste);
    const bag = clubsOfIds(round.clubs, taste.gamerIds);
    const found = roundRemedies(
      bag,
      round.clubs.filter(({ id }) => !taste.gamerIds.includes(id)),
      costOfIt,
      { limit: 14, unit: 'yd' },
    );
    expect(found.length).toBeGreaterThan(1);
    const places = found.map(({ kind }) => ROUND_REMEDY_KINDS.indexOf(kind));
    expect(places).toEqual([...places].sort((a, b) => a - b));
    for (const { gain, clubs, text } of found) {
      expect(gain, text).toBeCloseTo(costOfIt(bag) - costOfIt(clubs), 9);
      expect(gain, text).toBeGreaterThan(0);
      expect(clubs).toHaveLength(bag.length);
    }
    // Where there is room nothing has to go.
    const few = bag.filter(({ name }) => name !== '7 iron');
    const roomy = roundRemedies(
      few,
      round.clubs.filter((club) => !few.includes(club)),
      costOfIt,
      { limit: 14, unit: 'yd' },
    );
    expect(roomy.find(({ kind }) => kind === 'swap')).toMatchObject({ text: 'the 7 iron as well' });
    for (const { kind, clubs, text } of roomy) {
      expect(clubs, text).toHaveLength(few.length + (kind === 'swap' || kind === 'buy' ? 1 : 0));
      expect(text).not.toMatch(/, for the/);
    }
    // What is locked in does not go.
    const keep = bag.map(({ id }) => id);
    expect(
      roundRemedies(
        bag,
        round.clubs.filter(({ id }) => !keep.includes(id)),
        costOfIt,
        { limit: 14, unit: 'yd', keep },
      ).map(({ kind }) => kind),
    ).not.toContain('swap');
    // A partial shot learnt, or a loft bent, is no change from the gamer: the wish that a change must gain is not asked of it.
    const dear = costOfBag(round, { ...taste, wishes: { ...taste.wishes, changeStrokes: 1 } });
    for (const { kind, clubs, gain } of found)
      if (kind !== 'swap' && kind !== 'buy') expect(dear(bag) - dear(clubs)).toBeCloseTo(gain, 9);
  });
});
