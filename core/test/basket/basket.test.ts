import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  BASELINE,
  DEFAULT_PREFERENCES,
  MEDIUM_FAIRWAY,
  USUAL_GROUND,
  allocateBalls,
  basketReasonSentence,
  basketSentence,
  leftOutOfBasketSentence,
  carryCovariance,
  nextBasket,
  openShots,
  randomFrom,
  roundChoosing,
  knownEnough,
  usualHole,
  usualRules,
  usualRoundChoosing,
  type BasketPart,
  type LadderClub,
} from '../../src/index.js';
import { afterBalls } from '../../src/basket/after-balls.js';
import { club, strongSetWedge } from '../bag-of-clubs.js';
import { compareSharings, decisionOf, someLocker, wonByHitting } from './simulated-lockers.js';

const FROM = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };

function basketFor(clubs: readonly LadderClub[], balls: number, limit = 14) {
  const bagIds = clubs.slice(0, limit).map(({ id }) => id);
  const question = { bagIds, options: {}, limit };
  const round = usualRoundChoosing({ clubs, from: FROM })!;
  return nextBasket({ round, rules: usualRules(question), bagIds, balls })!;
}
const short = (clubs: readonly LadderClub[], ...names: string[]) =>
  clubs.filter(({ name }) => names.includes(name));

describe('what balls will tell', () => {
  it('one shot alone: the variance left is that of the textbook, 1 / (1/s² + n/σ²)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.005, max: 0.2, noNaN: true }),
        fc.double({ min: 0.02, max: 0.2, noNaN: true }),
        fc.integer({ min: 1, max: 60 }),
        (known, ball, balls) => {
          const { left, moves } = afterBalls([[known ** 2]], [ball], [balls]);
          expect(left[0]! ** 2).toBeCloseTo(1 / (1 / known ** 2 + balls / ball ** 2), 8);
          // What is left and how far it may move make up what was unknown: the law of total variance.
          expect(left[0]! ** 2 + moves[0]![0]! ** 2).toBeCloseTo(known ** 2, 10);
        },
      ),
    );
  });

  it('more balls leave less unknown of every shot, those beside it too', () => {
    const clubs = [
      club('7', 'iron', 32, 160),
      club('6', 'iron', 28, undefined),
      club('8', 'iron', 36, undefined),
      club('D', 'driver', 10, undefined),
    ];
    const covariance = carryCovariance(clubs);
    const spread = clubs.map(() => 0.08);
    const left = (balls: number) => afterBalls(covariance, spread, [0, balls, 0, 0]).left;
    for (const [few, many] of [
      [3, 6],
      [6, 20],
    ] as const)
      left(many).forEach((one, i) => expect(one).toBeLessThan(left(few)[i]!));
    const shrunk = left(20).map((one, i) => one / Math.sqrt(covariance[i]![i]!));
    // The 8 iron learns more of the 6 iron than the driver does.
    expect(shrunk[2]).toBeLessThan(shrunk[3]!);
  });

  it('an unknown carry is as uncertain as the curve, a measured one as its shots', () => {
    const [stated, unknown, measured] = carryCovariance([
      club('7', 'iron', 32, 160),
      club('5', 'iron', 25, undefined),
      club('9', 'iron', 41, 132, { shots: 30, spreadYd: 6 }),
    ]).map((row, i) => Math.sqrt(row[i]!)) as [number, number, number];
    expect(measured).toBeLessThan(6 / Math.sqrt(30) / 132 + 1e-9);
    expect(stated).toBeGreaterThan(measured);
    expect(stated).toBeLessThan(0.04);
    expect(unknown).toBeGreaterThan(0.018);
  });
});

describe('the next basket', () => {
  it('wins more than even sharing and than fewest shots first, and as much as it predicts, in lockers drawn at random', () => {
    const lockers = [1, 2, 3, 4, 5, 6].map((seed) => compareSharings(seed, 8, 7, 30, 60));
    const mean = (key: keyof (typeof lockers)[number]) =>
      lockers.reduce((sum, one) => sum + one[key], 0) / lockers.length;
    expect(mean('basket')).toBeGreaterThan(mean('even sharing'));
    expect(mean('basket')).toBeGreaterThan(mean('fewest shots first'));
    expect(Math.abs(mean('basket') - mean('predicted'))).toBeLessThan(0.25 * mean('predicted'));
  });

  it('more balls win no less, and none wins more than knowing everything', () => {
    const decision = decisionOf(someLocker(7, randomFrom(3)), 6);
    let last = 0;
    for (const each of [1, 3, 8, 25, 100]) {
      const gain = decision.gainOf(decision.open.shots.map(() => each));
      expect(gain).toBeGreaterThanOrEqual(last - 0.004);
      last = gain;
    }
    const everything = wonByHitting(
      decision,
      decision.open.shots.map(() => 100_000),
      200,
    );
    expect(decision.perfectGain).toBeGreaterThan(0.6 * everything);
    expect(decision.perfectGain).toBeLessThan(1.6 * everything);
  });

  it('is at least as good as any way to put few balls on two of few shots', () => {
    const decision = decisionOf(someLocker(5, randomFrom(8)), 4);
    const found = allocateBalls(decision, 12);
    const { shots } = decision.open;
    const best = Math.max(
      ...shots.flatMap((_a, a) =>
        shots.flatMap((_b, b) =>
          [3, 6, 9, 12].map((first) =>
            decision.expectedGain(shots.map((_s, i) => (i === a ? first : 0) + (i === b ? 12 - first : 0))),
          ),
        ),
      ),
    );
    expect(found.gain).toBeGreaterThan(0.85 * best);
  });

  it('asks for the clubs that are not known, not for those that are', () => {
    const clubs = [
      club('Driver', 'driver', 10.5, 240, { shots: 80, spreadYd: 14 }),
      club('5 iron', 'iron', 25, undefined),
      club('6 iron', 'iron', 28, undefined),
      club('7 iron', 'iron', 32, 160, { shots: 120, spreadYd: 7 }),
      club('8 iron', 'iron', 36, 148, { shots: 120, spreadYd: 7 }),
      club('9 iron', 'iron', 41, 135, { shots: 120, spreadYd: 6 }),
    ];
    const { parts, gain, perfectGain } = basketFor(clubs, 20);
    expect(['5 iron', '6 iron']).toContain(parts[0]!.clubId);
    const unknown = parts.filter(({ clubId }) => clubId === '5 iron' || clubId === '6 iron');
    const hit = (list: typeof parts) => list.reduce((sum, { balls }) => sum + balls, 0);
    expect(hit(unknown)).toBeGreaterThan(hit(parts) / 2);
    for (const { nowM, thenM } of parts) expect(thenM).toBeLessThan(nowM);
    expect(gain).toBeLessThanOrEqual(perfectGain);
  });

  it('is for the round it is asked for: one of short holes is decided by its short irons and wedges, not by a wood', () => {
    const clubs = [
      club('Driver', 'driver', 10.5, undefined),
      club('3 wood', 'fairway', 15, undefined),
      club('5 iron', 'iron', 25, undefined),
      club('7 iron', 'iron', 32, 160, { shots: 40, spreadYd: 7 }),
      club('8 iron', 'iron', 36, undefined),
      club('9 iron', 'iron', 41, undefined),
      club('PW', 'wedge', 46, undefined),
      club('56', 'wedge', 56, undefined),
    ];
    const bagIds = clubs.map(({ id }) => id);
    const holes = Array.from({ length: 9 }, (_one, i) => usualHole(3, [95 + 5 * i]));
    const short = roundChoosing({
      day: {
        course: { tees: ['Front'], holes, altitudeM: 0 },
        tee: 0,
        air: { temperatureC: 20, humidityPct: 50, windMps: 0, windFromDeg: 0 },
        ground: USUAL_GROUND,
      },
      clubs,
      from: FROM,
      preferences: DEFAULT_PREFERENCES,
    });
    const rules = usualRules({ bagIds, options: {}, limit: 14 });
    /** Woods that are hit to be decided about, not for what they tell of the clubs beside them. */
    const woods = (parts: readonly BasketPart[]) =>
      parts.filter(
        ({ clubId, reason }) => ['Driver', '3 wood'].includes(clubId) && reason.code !== 'neighbours',
      );
    const basket = nextBasket({ round: short, rules, bagIds, balls: 60 })!;
    expect(basket.parts.length).toBeGreaterThan(1);
    expect(woods(basket.parts)).toEqual([]);
    const balls = (ids: readonly string[]) =>
      basket.parts.filter(({ clubId }) => ids.includes(clubId)).reduce((sum, one) => sum + one.balls, 0);
    expect(balls(['8 iron', '9 iron', 'PW', '56'])).toBeGreaterThan(40);
    expect(basket.gain).toBeGreaterThan(0);
    expect(woods(basketFor(clubs, 60).parts)).not.toEqual([]);
  });

  it('where only lofts are known, puts the balls on many clubs: one club alone leaves too much open', () => {
    const clubs = [
      club('Driver', 'driver', 10.5, undefined),
      club('3 wood', 'fairway', 15, undefined),
      club('5 hybrid', 'hybrid', 24, undefined),
      ...[28, 32, 36, 40].map((loftDeg, i) => club(`${6 + i} iron`, 'iron', loftDeg, undefined)),
      ...[45, 50, 56].map((loftDeg) => club(`${loftDeg}`, 'wedge', loftDeg, undefined)),
    ];
    const { parts, spare, gain, perfectGain } = basketFor(clubs, 60);
    expect(parts.length).toBeGreaterThan(4);
    expect(spare).toBeLessThan(4);
    // 18 balls on the 7 iron alone win 1.47 of 1.85.
    expect(gain).toBeGreaterThan(0.85 * perfectGain);
  });

  it('says that nothing is left to settle where every carry is known', () => {
    const known = strongSetWedge().map((one) =>
      one.shots.full
        ? {
            ...one,
            shots: { full: { ...one.shots.full, source: 'measured' as const, sampleSize: 4000, spreadM: 5 } },
          }
        : one,
    );
    const basket = basketFor(known, 60);
    expect(basket.parts).toEqual([]);
    expect(basket.spare).toBe(60);
    expect(basketSentence(basket)).toMatch(/^Nothing is left to settle/);
  });

  it('takes one club, and a locker of nothing but a putter', () => {
    const putter = club('Putter', 'putter', 3, undefined);
    expect(usualRoundChoosing({ clubs: [putter], from: FROM })).toBeUndefined();
    const one = basketFor([club('7 iron', 'iron', 32, undefined), putter], 10);
    expect(one.spare).toBe(10);
    expect(one.parts).toEqual([]);
  });

  it.each([2, 2.5, 301, NaN])('refuses %s balls by name', (balls) => {
    expect(() => basketFor(short(strongSetWedge(), '7 iron', 'PW'), balls)).toThrow('balls');
  });

  it('tries the partial that would fill a step at fault, where the player has none', () => {
    const clubs = short(strongSetWedge(), '8 iron', '9 iron', 'PW', '56', '60');
    const open = openShots(
      clubs,
      clubs.map(({ id }) => id),
      5,
      {},
    );
    const tried = open.shots.filter(({ isOwned }) => !isOwned);
    expect(tried.map(({ clubId, shotKind }) => `${shotKind} ${clubId}`)).toEqual(['three-quarter PW']);
    expect(tried[0]!.shot.carryM).toBeLessThan(clubs[2]!.shots.full!.carryM);
    expect(tried[0]!.shot.carryM).toBeGreaterThan(clubs[3]!.shots.full!.carryM);
  });
});

describe('its words', () => {
  const nameOf = (id: string) => id;
  const part = { clubId: '5 iron', shotKind: 'full' as const, carryM: 160 };

  it.each([
    [
      { code: 'in the bag' as const, share: 0.31, otherId: '4 iron' },
      'Decides whether the 5 iron is carried: these balls change that in 31 of 100 cases, mostly against the 4 iron.',
    ],
    [
      { code: 'which shot' as const, otherId: '6 iron', otherShot: 'hard' as const, aroundM: 152.4 },
      'Decides which to hit from about 152 m: this or the hard 6 iron.',
    ],
    [
      { code: 'new shot' as const },
      'This shot has no carry yet; at 160 m the 5 iron would fill the step below the club.',
    ],
    [
      { code: 'neighbours' as const },
      'Tells most about the clubs beside it, whose carries are modelled from the same curve.',
    ],
  ])('%o', (reason, sentence) => {
    expect(basketReasonSentence({ ...part, reason }, nameOf, 'm')).toBe(sentence);
  });

  it('counts the balls, and says what is spare', () => {
    const parts = [
      { ...part, balls: 12, nowM: 9, thenM: 4, ballM: 8, gain: 0.1, reason: { code: 'neighbours' as const } },
    ];
    expect(basketSentence({ parts, gain: 0.1, perfectGain: 0.2, spare: 0 })).toBe(
      '12 balls on 1 shot are worth about 0.10 strokes a round; knowing every carry exactly would be worth 0.20.',
    );
    expect(basketSentence({ parts, gain: 0.1, perfectGain: 0.2, spare: 8 })).toMatch(
      / 8 balls are over: hit what you like\.$/,
    );
    expect(basketSentence({ parts: [], gain: 0, perfectGain: 0.1, spare: 3 })).toMatch(/So few balls/);
    expect(leftOutOfBasketSentence(['3w', '6i'])).toBe(
      'Left out: the 3w and the 6i; nothing says how far they go. Hit 5 balls with each first, or type their carries or lofts.',
    );
    expect(leftOutOfBasketSentence(['6i'])).toMatch(
      /Hit 5 balls with it first, or type its carry or its loft\.$/,
    );
  });
});

describe('a shot that is known well enough', () => {
  const line = { nowM: 10, thenM: 4.5, balls: 12 };

  it('is done sooner by a player who hits it evenly', () => {
    const even = [150, 151, 149, 150, 151, 150, 149];
    const ragged = [140, 160, 133, 166, 151, 143, 170];
    expect(knownEnough(line, 8, even).isEnough).toBe(true);
    expect(knownEnough(line, 8, ragged).isEnough).toBe(false);
  });

  it('needs three balls at least, and is done when all are hit', () => {
    expect(knownEnough({ ...line, thenM: 9.9 }, 1, [150, 150]).isEnough).toBe(false);
    expect(
      knownEnough(
        { ...line, thenM: 0.1 },
        30,
        Array.from({ length: 12 }, (_one, i) => 100 + i),
      ).isEnough,
    ).toBe(true);
  });

  it('is known better with every ball, whatever they are', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 20 }),
        fc.double({ min: 2, max: 20, noNaN: true }),
        (shots, usualM) => {
          const same = (count: number) => knownEnough(line, usualM, new Array<number>(count).fill(150)).halfM;
          expect(same(shots + 1)).toBeLessThan(same(shots));
        },
      ),
    );
  });
});
