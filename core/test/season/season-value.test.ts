import { describe, expect, it } from 'vitest';
import {
  BASELINE,
  CALM,
  DEFAULT_PREFERENCES,
  MEDIUM_FAIRWAY,
  USUAL_GROUND,
  costOfBag,
  roundChoosing,
  seasonValue,
  seasonSentence,
  seasonVerdict,
  usualHole,
  type LadderClub,
  type RoundAir,
  type RoundDay,
  type SeasonValue,
  type ValuedRound,
} from '../../src/index.js';
import { club } from '../bag-of-clubs.js';

const holes = Array.from({ length: 9 }, (_one, i) => ({
  ...usualHole([4, 3, 5][i % 3]!, [[380, 150, 490][i % 3]!]),
  bearingDeg: i * 40,
}));
const dayIn = (air: Partial<RoundAir>): RoundDay => ({
  course: { tees: ['Back'], holes, altitudeM: 0 },
  tee: 0,
  air: { ...CALM, ...air },
  ground: USUAL_GROUND,
});
const clubs: LadderClub[] = [
  club('Driver', 'driver', 10, 245),
  club('5 wood', 'fairway', 18, 212),
  club('Driving iron', 'driving iron', 18, 208),
  club('6 iron', 'iron', 28, 172),
  club('8 iron', 'iron', 36, 148),
  club('PW', 'wedge', 46, 120),
  club('56', 'wedge', 56, 88),
];
const LIMIT = 5;
const preferences = { ...DEFAULT_PREFERENCES, limit: LIMIT, changeStrokes: 0 };
const gamerIds = ['Driver', '5 wood', '6 iron', '8 iron', '56'];
const rules = { preferences, school: 'even-carries' as const, gamerIds };
const valued = (id: string, air: Partial<RoundAir>, times: number, known = clubs): ValuedRound => ({
  id,
  name: id,
  times,
  rules,
  round: roundChoosing({
    day: dayIn(air),
    clubs: known,
    from: { conditions: BASELINE, surface: MEDIUM_FAIRWAY },
    preferences,
    handicap: 4,
  }),
});
const rounds = [valued('calm', {}, 3), valued('gale', { windMps: 13, windFromDeg: 200, temperatureC: 5 }, 2)];

/** Every bag of at most so many clubs, by their ids. */
function everyBag(of: readonly LadderClub[] = clubs): string[][] {
  const bags: string[][] = [];
  for (let mask = 1; mask < 1 << of.length; mask++) {
    const bag = of.filter((_club, i) => mask & (1 << i)).map(({ id }) => id);
    if (bag.length <= LIMIT) bags.push(bag);
  }
  return bags;
}

describe('what bags are worth over a season', () => {
  it('is what trying every bag finds: round by round, and for one bag for all of them', async () => {
    const value = await seasonValue(rounds, gamerIds, { draws: 2 });
    const costs = rounds.map(({ round }) => {
      const cost = costOfBag(round, rules);
      return (ids: readonly string[]) => cost(round.clubs.filter(({ id }) => ids.includes(id)));
    });
    const over = (of: (r: number) => number) => rounds.reduce((sum, { times }, r) => sum + times * of(r), 0);
    const now = over((r) => costs[r]!(gamerIds));
    const bags = everyBag();
    const changed = now - over((r) => Math.min(...bags.map((bag) => costs[r]!(bag))));
    const fixed = now - Math.min(...bags.map((bag) => over((r) => costs[r]!(bag))));
    expect(value.changed.strokes).toBeCloseTo(changed, 6);
    expect(value.fixed.strokes).toBeCloseTo(fixed, 6);
    expect(value.fixed.short).toBeGreaterThanOrEqual(0);
    expect(value.swapping.strokes).toBeCloseTo(changed - fixed, 6);
    expect(value.played).toBe(5);
    expect(value.rounds.reduce((sum, { saves, times }) => sum + saves * times, 0)).toBeCloseTo(changed, 6);
  });

  it('is what trying every bag finds for a wish, alone, and for bags the player has made', async () => {
    const wish = club('4 iron, wished for', 'iron', 23, 190);
    const other = club('48, wished for', 'wedge', 48, 114);
    const all = [...clubs, wish, other];
    const wider = [valued('calm', {}, 3, all), valued('gale', { windMps: 13, windFromDeg: 200 }, 2, all)];
    const named = [
      { id: 'short', clubIds: ['Driver', '6 iron', '56'] },
      { id: 'gamer', clubIds: gamerIds },
      { id: 'too many', clubIds: clubs.map(({ id }) => id) },
    ];
    const value = await seasonValue(wider, gamerIds, { draws: 2, bags: named, wishIds: [wish.id, other.id] });
    const costs = wider.map(({ round }) => {
      const cost = costOfBag(round, rules);
      return (ids: readonly string[]) => cost(round.clubs.filter(({ id }) => ids.includes(id)));
    });
    const over = (of: (r: number) => number) => wider.reduce((sum, { times }, r) => sum + times * of(r), 0);
    const best = (ids: readonly string[][]) => over((r) => Math.min(...ids.map((bag) => costs[r]!(bag))));
    const owned = best(everyBag());
    for (const one of [wish, other]) {
      const found = value.wishes.find(({ id }) => id === one.id)!;
      expect(found.strokes).toBeCloseTo(owned - best(everyBag([...clubs, one])), 6);
      expect(found.low).toBeLessThanOrEqual(found.strokes);
    }
    // What is only wished for is in no bag of what is owned.
    expect(value.changed.strokes).toBeCloseTo(over((r) => costs[r]!(gamerIds)) - owned, 6);
    expect(value.fixed.ids.some((id) => /wished/.test(id))).toBe(false);
    expect(value.bags.map(({ id }) => id).sort()).toEqual(['gamer', 'short']);
    expect(value.bags.find(({ id }) => id === 'gamer')!.strokes).toBeCloseTo(0, 9);
    expect(value.bags.find(({ id }) => id === 'short')!.strokes).toBeCloseTo(
      over((r) => costs[r]!(gamerIds) - costs[r]!(named[0]!.clubIds)),
      6,
    );
  });

  it('where a round allows fewer clubs than the gamer holds, takes the best so many of it there', async () => {
    // Steps cost nothing here, so that a bag costs what its shots do.
    const stepless = { ...rules, preferences: { ...preferences, unevenStrokes: 0 } };
    const [whole, few] = [
      { ...rounds[0]!, rules: stepless },
      { ...rounds[1]!, rules: { ...stepless, limits: { clubs: gamerIds.length - 2, lengthIn: 48 } } },
    ];
    const season = [whole, few];
    const tooMany = { id: 'short', clubIds: ['Driver', '6 iron', '56'] };
    const value = await seasonValue(season, gamerIds, { draws: 1, bags: [tooMany] });
    const cost = costOfBag(few.round, few.rules);
    const costs = (ids: readonly string[]) => cost(few.round.clubs.filter(({ id }) => ids.includes(id)));
    const part = everyBag(clubs.filter(({ id }) => gamerIds.includes(id))).filter(
      (ids) => ids.length <= gamerIds.length - 2,
    );
    expect(value.rounds[0]!.gamerIds).toEqual(gamerIds);
    const taken = value.rounds[1]!.gamerIds;
    expect(taken.length).toBeLessThanOrEqual(gamerIds.length - 2);
    expect(costs(taken)).toBeCloseTo(Math.min(...part.map(costs)), 6);
    // A bag for each round is never worse than what is taken of the gamer, nor than one bag for all.
    for (const { saves } of value.rounds) expect(saves).toBeGreaterThan(-1e-9);
    expect(value.changed.strokes).toBeGreaterThanOrEqual(value.fixed.strokes - 1e-9);
    // The one bag is as large as the largest round allows.
    expect(value.fixed.ids.length).toBeGreaterThan(gamerIds.length - 2);
    expect(value.bags.map(({ id }) => id)).toEqual(['short']);
  });

  it('an only club is worth more than any number', async () => {
    const only = [clubs[0]!];
    const value = await seasonValue([valued('calm', {}, 1, only)], [only[0]!.id], { draws: 1 });
    expect(value.clubs).toEqual([{ id: only[0]!.id, rounds: 1, strokes: Infinity }]);
    expect(value.changed).toEqual({ strokes: 0, low: 0, high: 0 });
  });

  it('counts in how many rounds each club earns its place', async () => {
    const { clubs: worth, rounds: each } = await seasonValue(rounds, gamerIds, { draws: 1 });
    for (const { id, rounds: count } of worth)
      expect(count).toBe(
        each.filter(({ bestIds }) => bestIds.includes(id)).reduce((sum, { times }) => sum + times, 0),
      );
    expect(worth.every(({ strokes }) => strokes > -1e-9)).toBe(true);
  });

  it('is nothing for a player who already plays the best bag, and wider the less is known', async () => {
    const best = (await seasonValue([rounds[0]!], gamerIds, { draws: 1 })).rounds[0]!.bestIds;
    const value = await seasonValue([rounds[0]!], best, { draws: 6 });
    expect(value.changed.strokes).toBeCloseTo(0, 9);
    expect(value.swapping.strokes).toBeCloseTo(0, 9);
    expect(seasonVerdict(value)).toBe('gamer');
    const close = clubs.map((one) => ({
      ...one,
      shots: { full: { ...one.shots.full!, source: 'measured' as const, sampleSize: 200, spreadM: 4 } },
    }));
    const width = ({ changed }: SeasonValue) => changed.high - changed.low;
    const measured = await seasonValue([valued('calm', {}, 3, close)], gamerIds, { draws: 8 });
    const stated = await seasonValue([valued('calm', {}, 3)], gamerIds, { draws: 8 });
    expect(width(measured)).toBeLessThan(width(stated));
  });

  it('reports progress, stops when asked, and is the same again', async () => {
    const shares: number[] = [];
    const whole = await seasonValue([rounds[0]!], gamerIds, {
      draws: 3,
      onProgress: (share) => void shares.push(share),
    });
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(shares.at(-1)).toBeCloseTo(1, 9);
    expect(await seasonValue([rounds[0]!], gamerIds, { draws: 3 })).toEqual(whole);
    let left = 1;
    const some = await seasonValue([rounds[0]!], gamerIds, { draws: 9, shouldContinue: () => left-- > 0 });
    expect(some.draws).toBe(1);
  });

  it('says in words what to do', () => {
    const of = (changed: [number, number, number], swapping: [number, number, number]) => {
      const strokes = ([value, low, high]: [number, number, number]) => ({ strokes: value, low, high });
      return seasonSentence({
        played: 10,
        changed: strokes(changed),
        swapping: strokes(swapping),
        fixed: { ...strokes([1, 0.5, 1.5]), ids: [], short: 0 },
      } as unknown as SeasonValue);
    };
    expect(of([0.1, -0.3, 0.5], [0, 0, 0])).toBe(
      'The gamer will do: the best bags save 0.1 strokes (−0.3 to 0.5) over 10 rounds, no more than chance.',
    );
    expect(of([0.01, -0.02, 0.04], [0, 0, 0])).toBe(
      'The gamer will do: no bag saves anything over 10 rounds.',
    );
    expect(of([1.2, 0.6, 1.8], [0.2, -0.1, 0.5])).toContain('One bag for all of them will do');
    expect(of([1.2, 0.6, 1.8], [0, 0, 0.01])).toContain('swapping from round to round adds nothing.');
    expect(of([2, 1, 3], [1, 0.5, 1.5])).toContain(
      'Swapping is worth it: 1.0 strokes (0.5 to 1.5) over 10 rounds',
    );
  });
});
