import {
  DEFAULT_PREFERENCES,
  REMEDY_KINDS,
  alternatives,
  choose,
  choosingOfRound,
  clubsOfIds,
  costOfBag,
  gaps,
  howSure,
  howSureSentence,
  playingBounceDeg,
  roundChoosing,
  remedies,
  type LadderClub,
} from '@tasche/core';
import { describe, expect, it } from 'vitest';
import { FROM, lockerOf, dayOn, week } from './demo-week.js';

describe('the weeks of the demo', () => {
  it('firm windy links bring the low long club and low bounce; a soft high course the high one and more bounce', () => {
    const [links, high] = [
      week('Maren Tveit', 'Skarvoy Links', 'spring'),
      week('Maren Tveit', 'Hochfirn', 'summer'),
    ];
    expect(links.answer.best.ids).toContain('Driving iron');
    expect(links.rules.gamerIds).not.toContain('Driving iron');
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
        preferences: DEFAULT_PREFERENCES,
      };
      const rules = { preferences: DEFAULT_PREFERENCES, school: 'even-carries' as const, gamerIds };
      const pick = (drawn: readonly LadderClub[]) => {
        const choosing = choosingOfRound(roundChoosing({ ...order, clubs: drawn }), rules);
        return choose(choosing.model)!.chosen.map((c) => choosing.clubs[c]!.id);
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
  });

  it('a freeze is a freeze, two changes are two, and the best near the gamer is never better than the best', () => {
    const { round, rules, answer } = week('Davor Kolar', 'Lagoa Funda', 'summer');
    const others = alternatives(round, rules);
    const changed = (ids: readonly string[]) => ids.filter((id) => !rules.gamerIds.includes(id)).length;
    expect(changed(others.withinOne!.ids)).toBeLessThanOrEqual(1);
    expect(changed(others.withinTwo!.ids)).toBeLessThanOrEqual(2);
    expect(others.five[0]!.ids).toEqual(answer.best.ids);
    expect(others.withinTwo!.strokes).toBeGreaterThanOrEqual(answer.best.strokes - 1e-9);
    expect(others.withinOne!.strokes).toBeGreaterThanOrEqual(others.withinTwo!.strokes - 1e-9);
    expect(others.gamer!.strokes).toBeGreaterThanOrEqual(others.withinOne!.strokes - 1e-9);
    expect(others.ten!.ids.length).toBeLessThanOrEqual(10);
    // Three of the gamer of which one may go cannot all but one stay: there is no bag one swap away, and the
    // others are told all the same.
    const torn = week('Davor Kolar', 'Lagoa Funda', 'summer', { oneOf: [['7 iron', '8 iron', '9 iron']] });
    const rest = alternatives(torn.round, torn.rules);
    expect(rest.withinOne).toBeUndefined();
    expect(rest.five).toHaveLength(5);
    expect(
      week('Davor Kolar', 'Lagoa Funda', 'summer', { mostChanges: 0 }).answer.best.ids.filter(
        (id) => !rules.gamerIds.includes(id),
      ),
    ).toEqual([]);
  });
});

describe('the cheapest remedy', () => {
  it('is given by kind, cheapest first, each gaining what the bag it makes costs less', () => {
    const { round, rules } = week('Davor Kolar', 'Hochfirn', 'summer');
    const costOfIt = costOfBag(round, rules);
    const bag = clubsOfIds(round.clubs, rules.gamerIds);
    const before = gaps(bag);
    const found = remedies({
      bag,
      leftOut: round.clubs.filter(({ id }) => !rules.gamerIds.includes(id)),
      costOf: costOfIt,
      limit: 14,
    });
    expect(found.length).toBeGreaterThan(0);
    const places = found.map(({ kind }) => REMEDY_KINDS.indexOf(kind));
    expect(places).toEqual([...places].sort((a, b) => a - b));
    for (const { gain, bag: made, kind, after } of found) {
      expect(gain, kind).toBeCloseTo(costOfIt(bag) - costOfIt(made), 9);
      expect(gain, kind).toBeGreaterThan(0);
      expect(after.faults, kind).toBeLessThanOrEqual(before.faults);
    }
    // Where there is room nothing has to go.
    const few = bag.filter(({ name }) => name !== '7 iron');
    const roomy = remedies({
      bag: few,
      leftOut: round.clubs.filter((club) => !few.includes(club)),
      costOf: costOfIt,
      limit: 14,
    });
    const { inId } = roomy.find(({ kind }) => kind === 'swap')!;
    expect(['7 iron', '48']).toContain(round.clubs.find(({ id }) => id === inId)!.name);
    for (const { kind, bag: made, outId, insteadOfId } of roomy) {
      expect(made, kind).toHaveLength(few.length + (kind === 'swap' || kind === 'buy' ? 1 : 0));
      expect([outId, insteadOfId], kind).toEqual([undefined, undefined]);
    }
    // What is locked in does not go.
    const keep = bag.map(({ id }) => id);
    expect(
      remedies({
        bag,
        leftOut: round.clubs.filter(({ id }) => !keep.includes(id)),
        costOf: costOfIt,
        limit: 14,
        keep,
      }).map(({ kind }) => kind),
    ).not.toContain('swap');
    // A partial shot learnt, or a loft bent, is no change from the gamer: the wish that a change must gain is
    // not asked of it.
    const dear = costOfBag(round, { ...rules, preferences: { ...rules.preferences, changeStrokes: 1 } });
    for (const { kind, bag: made, gain } of found)
      if (kind !== 'swap' && kind !== 'buy') expect(dear(bag) - dear(made)).toBeCloseTo(gain, 9);
  });
});
