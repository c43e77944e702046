import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  BASELINE,
  InvalidInputError,
  MEDIUM_FAIRWAY,
  scatterOf,
  spinCost,
  wholeAlongM,
  wishWorths,
  withExpectedShot,
  type ExpectedShot,
  type LadderClub,
} from '../../src/index.js';
import { club, strongSetWedge, yards } from '../bag-of-clubs.js';

const bag = strongSetWedge();
const wish = (name: string, kind: LadderClub['kind'], loftDeg: number, price: number | null) => ({
  id: `wish ${name}`,
  club: { ...club(name, kind, loftDeg, undefined), id: `wished ${name}` },
  price,
});
const ask = (wishes: Parameters<typeof wishWorths>[0]['wishes'], money: number) =>
  wishWorths({
    request: { clubs: bag, from: { conditions: BASELINE, surface: MEDIUM_FAIRWAY } },
    question: { bagIds: bag.map(({ id }) => id), options: {}, limit: 14 },
    wishes,
    money,
  })!;

describe('what a wish is worth', () => {
  it('is most for the wedge that fills the gap, and nothing for one that is owned already', () => {
    const { worth } = ask([wish('48', 'wedge', 48, 150), wish('56 again', 'wedge', 56, 150)], 0);
    const [gap, again] = worth;
    expect(gap!.gain).toBeGreaterThan(0.02);
    expect(again!.gain).toBeLessThan(gap!.gain / 3);
    expect(gap!.bag).toContain('wished 48');
  });

  it('spends no more than there is, and buys nothing for nothing', () => {
    const wishes = [
      wish('48', 'wedge', 48, 150),
      wish('4 iron', 'iron', 21, 120),
      wish('7 wood', 'fairway', 21, 260),
    ];
    expect(ask(wishes, 0).best).toMatchObject({ buys: [], spent: 0, gain: 0 });
    const some = ask(wishes, 160).best!;
    expect(some.spent).toBeLessThanOrEqual(160);
    expect(some.buys).toEqual(['wish 48']);
    const all = ask(wishes, 1000);
    expect(all.best!.gain).toBeGreaterThanOrEqual(some.gain - 1e-9);
    // Every rung of the list of sums costs more than the one before, and gains more.
    all.ladder.slice(1).forEach((use, i) => {
      expect(use.spent).toBeGreaterThan(all.ladder[i]!.spent);
      expect(use.gain).toBeGreaterThan(all.ladder[i]!.gain);
    });
  });

  it('does not count two clubs for one job twice', () => {
    const { worth, best } = ask([wish('48', 'wedge', 48, 100), wish('48 too', 'wedge', 48, 100)], 1000);
    expect(best!.gain).toBeLessThan(worth[0]!.gain + worth[1]!.gain);
    expect(best!.buys).toHaveLength(1);
  });

  it('weighs a club that costs nothing as any other', () => {
    const { worth, best } = ask([wish('48', 'wedge', 48, 0)], 0);
    expect(worth[0]!.gain).toBeGreaterThan(0.02);
    expect(best).toMatchObject({ buys: ['wish 48'], spent: 0 });
  });

  it('does not buy what has no price', () => {
    expect(ask([wish('48', 'wedge', 48, null)], 1000).best!.buys).toEqual([]);
  });

  it('refuses more clubs than a choice takes, and is silent where nothing is known', () => {
    const many = Array.from({ length: 60 }, (_one, i) => wish(`w${i}`, 'wedge', 48, 10));
    expect(() => ask(many, 10)).toThrow(InvalidInputError);
    expect(
      wishWorths({
        request: {
          clubs: [club('x', 'iron', undefined, undefined)],
          from: { conditions: BASELINE, surface: MEDIUM_FAIRWAY },
        },
        question: { bagIds: ['x'], options: {}, limit: 14 },
        wishes: [],
        money: 0,
      }),
    ).toBeUndefined();
  });
});

describe('what a fitting or practice would make of a club', () => {
  const driver = club('Driver', 'driver', 10, 250);
  const change = (clubId: string, expected: ExpectedShot, price: number | null = 100) => ({
    id: `wish ${clubId}`,
    price,
    clubId,
    expected,
  });

  it('is the carry and the scatter that are expected, the run as it was', () => {
    const today = { ...driver, shots: { full: { ...driver.shots.full!, totalM: yards(275) } } };
    const usual = scatterOf('driver', 10, today.shots.full, 10);
    const { full } = withExpectedShot(
      today,
      { shot: 'full', carryM: yards(256), scatterShare: 0.8 },
      10,
    )!.shots;
    expect(full).toMatchObject({ carryM: yards(256), source: today.shots.full.source });
    expect(full!.totalM! - full!.carryM).toBeCloseTo(yards(25), 9);
    const after = scatterOf('driver', 10, full!, 10);
    // As many strikes are mis-hits as ever: all of it together is what shrinks.
    expect(wholeAlongM(after)).toBeCloseTo(wholeAlongM(usual) * 0.8 * (256 / 250), 1);
    expect(after.acrossM).toBeCloseTo(usual.acrossM * 0.8 * (256 / 250), 1);
  });

  it('is a shot more, of its usual share where its carry is not given; nothing for a putter or no carry', () => {
    const wedge = club('60', 'wedge', 60, 85);
    const { shots } = withExpectedShot(wedge, { shot: 'half' }, 10)!;
    expect(shots.half!.carryM).toBeCloseTo(yards(85) * 0.65, 1);
    expect(shots.full).toEqual(wedge.shots.full);
    expect(withExpectedShot(club('P', 'putter', 3, undefined), { shot: 'full' }, 10)).toBeUndefined();
    expect(withExpectedShot({ ...wedge, shots: {} }, { shot: 'half' }, 10)).toBeUndefined();
  });

  it('is weighed instead of the club, whose rules hold for it: never both in one bag', () => {
    const [longest] = bag;
    const question = {
      bagIds: bag.map(({ id }) => id),
      options: {},
      limit: 14,
      preferences: { always: [longest!.id] },
    };
    const { worth, best } = wishWorths({
      request: { clubs: bag, from: { conditions: BASELINE, surface: MEDIUM_FAIRWAY } },
      question,
      wishes: [change(longest!.id, { shot: 'full', scatterShare: 0.7 })],
      money: 100,
    })!;
    expect(worth[0]!.gain).toBeGreaterThan(0.02);
    expect(worth[0]!.bag).toContain(`wish ${longest!.id}`);
    expect(worth[0]!.bag).not.toContain(longest!.id);
    expect(worth[0]!.out).toEqual([]);
    expect(best).toMatchObject({ buys: [`wish ${longest!.id}`], spent: 100 });
  });

  it('lends no shot to the club as it is today: a shot to learn is worth something', () => {
    const iron = bag.find(({ name }) => name === '5 iron')!;
    const [learnt] = ask([change(iron.id, { shot: 'soft' }, 0)], 0).worth;
    expect(learnt!.gain).toBeGreaterThan(0.01);
  });

  it('is worth nothing where nothing is expected of it, measured or stated', () => {
    for (const source of ['measured', 'stated'] as const) {
      const known = bag.map((one) =>
        one.shots.full
          ? {
              ...one,
              shots: {
                full: { ...one.shots.full, source, sampleSize: 20, spreadM: one.shots.full.carryM * 0.05 },
              },
            }
          : one,
      );
      const { worth } = wishWorths({
        request: { clubs: known, from: { conditions: BASELINE, surface: MEDIUM_FAIRWAY } },
        question: { bagIds: known.map(({ id }) => id), options: {}, limit: 14 },
        wishes: known.slice(0, 4).map(({ id }) => change(id, { shot: 'full' }, 0)),
        money: 0,
      })!;
      for (const { gain } of worth) expect(gain).toBeLessThan(0.001);
    }
  });

  it('brings no more than a club bought that carries the same; one that carries what the measured one does brings nothing', () => {
    const known = bag.map((one): LadderClub =>
      one.shots.full
        ? { ...one, shots: { full: { carryM: one.shots.full.carryM, source: 'measured', sampleSize: 20 } } }
        : one,
    );
    const [first] = known;
    const bought = (carryM: number) => ({
      id: `bought ${carryM}`,
      price: 0,
      club: { ...first!, id: `new ${carryM}`, shots: { full: { carryM, source: 'stated' as const } } },
    });
    const longer = first!.shots.full!.carryM + yards(8);
    const { worth } = wishWorths({
      request: { clubs: known, from: { conditions: BASELINE, surface: MEDIUM_FAIRWAY } },
      question: { bagIds: known.map(({ id }) => id), options: {}, limit: 14 },
      wishes: [
        bought(first!.shots.full!.carryM),
        bought(longer),
        change(first!.id, { shot: 'full', carryM: longer }, 0),
      ],
      money: 0,
    })!;
    const [same, head, shaft] = worth.map(({ gain }) => gain);
    expect(same).toBeLessThan(0.001);
    expect(head).toBeGreaterThan(0.02);
    // With the one that is owned still there, a club bought is at least what the fitting is.
    expect(shaft).toBeGreaterThan(0.02);
    expect(head).toBeGreaterThanOrEqual(shaft! - 0.001);
  });

  it('is not advised to be learnt where no one could notice it, though it costs no money', () => {
    const nothing = change(bag.find(({ name }) => name === '60')!.id, { shot: 'soft' }, 0);
    const { advised } = ask([nothing, wish('48', 'wedge', 48, 150)], 200);
    expect(advised.buys).toEqual(['wish 48']);
  });

  it('is worth more the less it scatters', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 0.95, noNaN: true }),
        fc.constantFrom(...bag.slice(0, 6)),
        (share, one) => {
          const [less] = ask([change(one.id, { shot: 'full', scatterShare: share })], 0).worth;
          const [least] = ask([change(one.id, { shot: 'full', scatterShare: share - 0.1 })], 0).worth;
          expect(least!.gain).toBeGreaterThanOrEqual(less!.gain - 1e-9);
        },
      ),
      { numRuns: 12 },
    );
  });
});

describe('what spin costs', () => {
  it('says that 3,000 rpm where 2,300 would do costs carry and run (common practice, no source)', () => {
    const high = spinCost(74.7, 11, 3000);
    const low = spinCost(74.7, 11, 2300);
    expect(high.totalLostM).toBeGreaterThan(low.totalLostM);
    expect(high.totalLostM).toBeGreaterThan(yards(1));
    expect(high.bestSpinRpm).toBeLessThan(3000);
  });

  it('costs nothing at the best spin, and names a field out of its bounds', () => {
    const { bestSpinRpm } = spinCost(70, 12, 3000);
    expect(spinCost(70, 12, bestSpinRpm).totalLostM).toBeCloseTo(0, 9);
    expect(() => spinCost(10, 12, 3000)).toThrow(/ballSpeedMps/);
    expect(() => spinCost(70, 12, NaN)).toThrow(/spinRpm/);
  });
});
