import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  BASELINE,
  DEFAULT_PREFERENCES,
  MEDIUM_FAIRWAY,
  TIE_STROKES,
  chooseBag,
  choosingOfRound,
  clubsOfIds,
  costOfBag,
  gaps,
  lockerFindings,
  lossOfClubs,
  placedClubs,
  usualRemedies,
  usualRoundChoosing,
  type BagPreferences,
  type LadderClub,
  type Remedy,
  type ShotDemand,
} from '../../src/index.js';
import { club, strongSetWedge } from '../bag-of-clubs.js';

const FROM = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
const idsOf = (clubs: readonly LadderClub[]) => clubs.map(({ id }) => id);

function locker(bag: readonly LadderClub[], typed: readonly ShotDemand[] = [], handicap?: number) {
  const told = handicap === undefined ? {} : { handicap };
  const round = usualRoundChoosing({ clubs: bag, from: FROM, typed, ...told })!;
  // Nothing is the gamer: every club costs the same to take.
  const rules = { preferences: DEFAULT_PREFERENCES, school: 'even-carries' as const, gamerIds: [] };
  const costOf = costOfBag(round, rules);
  const choosing = choosingOfRound(round, rules);
  const best = (more: Partial<BagPreferences> = {}) =>
    chooseBag(choosingOfRound(round, { ...rules, preferences: { ...DEFAULT_PREFERENCES, ...more } }), 0)!
      .best;
  return {
    /** What a bag of these clubs costs over the best possible. */
    loses: (ids: readonly string[]) => lossOfClubs(choosing, ids, best())!.costs,
    round,
    chosen: (more: Partial<BagPreferences> = {}) => best(more).ids,
    /** The club of the bag that is missed least once another is in. */
    leastMissed: (inBag: readonly LadderClub[]) => {
      const clubs = clubsOfIds(
        round.clubs,
        inBag.map(({ id }) => id),
      );
      return [...clubs]
        .filter(({ kind }) => kind !== 'putter')
        .map((out) => ({ name: out.name, cost: costOf(clubs.filter((one) => one !== out)) }))
        .sort((a, b) => a.cost - b.cost)[0]!.name;
    },
  };
}

/** What is offered to a bag of these clubs. */
function offered(clubs: readonly LadderClub[], bagIds: readonly string[]): Remedy[] {
  return usualRemedies(usualRoundChoosing({ clubs, from: FROM })!, { bagIds, options: {}, limit: 14 });
}
const swapOf = (remedies: readonly Remedy[]) => remedies.find(({ kind }) => kind === 'swap');
const without = (clubs: readonly LadderClub[], ...names: readonly string[]) =>
  idsOf(clubs).filter((id) => !names.includes(id));

/** Drives 180 yards, with long irons, and the lofted woods that would do for them. */
const SLOW = [
  club('Driver', 'driver', 12, 180),
  club('3 wood', 'fairway', 15, 168),
  club('5 wood', 'fairway', 18, 160),
  club('7 wood', 'fairway', 21, 152),
  club('5 hybrid', 'hybrid', 25, 143),
  club('4 iron', 'iron', 22, 140),
  club('5 iron', 'iron', 25, 136),
  club('6 iron', 'iron', 28, 129),
  club('7 iron', 'iron', 32, 120),
  club('8 iron', 'iron', 36, 110),
  club('9 iron', 'iron', 40.5, 100),
  club('PW', 'iron', 45, 89),
  club('50', 'wedge', 50, 78),
  club('54', 'wedge', 54, 69),
  club('58', 'wedge', 58, 59),
  club('Putter', 'putter', 3, undefined),
];
/** Drives 295, with three clubs for the place of one at the top of the bag. */
const TOUR = [
  club('Driver', 'driver', 9, 295),
  club('3 wood', 'fairway', 15, 262),
  club('5 wood', 'fairway', 18, 246),
  club('7 wood', 'fairway', 21, 232),
  club('2 iron', 'driving iron', 18, 243),
  club('3 iron', 'iron', 20, 231),
  club('4 iron', 'iron', 23, 219),
  club('5 iron', 'iron', 26, 206),
  club('6 iron', 'iron', 29.5, 194),
  club('7 iron', 'iron', 33, 181),
  club('8 iron', 'iron', 37, 168),
  club('9 iron', 'iron', 41, 155),
  club('PW', 'iron', 46, 142),
  club('50', 'wedge', 50, 129),
  club('54', 'wedge', 54, 115),
  club('60', 'wedge', 60, 98),
  club('Putter', 'putter', 3, undefined),
];

/** What practice knows the answer to: common practice, no source. */
describe('decisions everybody knows', () => {
  it('a 50 comes in for one of two clubs at 19 degrees, not for the 54', () => {
    const bag = [
      club('Driver', 'driver', 10.5, 250),
      club('3 wood', 'fairway', 15, 230),
      club('3 hybrid', 'hybrid', 19, 212),
      club('3 iron', 'driving iron', 19, 210),
      club('4 iron', 'iron', 22, 199),
      club('5 iron', 'iron', 25, 188),
      club('6 iron', 'iron', 28, 177),
      club('7 iron', 'iron', 32, 165),
      club('8 iron', 'iron', 36, 153),
      club('9 iron', 'iron', 41, 141),
      club('PW', 'wedge', 46, 129),
      club('50', 'wedge', 50, 117),
      club('54', 'wedge', 54, 103),
      club('58', 'wedge', 58, 88),
      club('Putter', 'putter', 3, undefined),
    ];
    expect(['3 hybrid', '3 iron']).toContain(locker(bag).leastMissed(bag));
  });

  it('no player leaves the driver, the putter or every wedge at home', () => {
    for (const bag of [
      strongSetWedge(),
      // A 180-yard hitter.
      strongSetWedge().map((one) =>
        one.shots.full
          ? { ...one, shots: { full: { ...one.shots.full, carryM: one.shots.full.carryM * 0.66 } } }
          : one,
      ),
      // Lofts and three carries.
      strongSetWedge().map((one) =>
        ['Driver', '7 iron', 'PW'].includes(one.name) ? one : { ...one, shots: {} },
      ),
    ]) {
      const ids = locker([...bag, club('Spare 7', 'iron', 33, 158), club('48', 'wedge', 48, 113)]).chosen();
      expect(ids).toContain('Driver');
      expect(ids).toContain('Putter');
      expect(ids.filter((id) => ['48', '52', '56', '60'].includes(id)).length).toBeGreaterThan(1);
    }
  });

  it('a list of long shots takes neither the wedges nor the driver out', () => {
    const typed: ShotDemand[] = [190, 180, 170].map((yd) => ({
      name: `${yd} yd`,
      to: 'green',
      distanceM: yd * 0.9144,
      lie: 'fairway',
      mustHold: false,
      weight: 5,
    }));
    const more = [...strongSetWedge(), club('4 iron', 'iron', 21, 197), club('7 wood', 'fairway', 21, 203)];
    const { round, chosen } = locker(more, typed);
    const usual = round.needs.filter(({ stroke }) => stroke === undefined);
    expect(usual.reduce((sum, { weight }) => sum + weight, 0)).toBeGreaterThan(10);
    const ids = chosen();
    expect(ids).toContain('Driver');
    expect(ids.filter((id) => ['52', '56', '60'].includes(id)).length).toBeGreaterThan(1);
  });

  it('from lofts and three carries: a gap wedge comes in for a club of the long end, and for none whose carry is known', () => {
    const told = ['Driver', '7 iron', 'PW'];
    const bag = strongSetWedge().map((one) => (told.includes(one.name) ? one : { ...one, shots: {} }));
    const all = [...bag, club('48', 'wedge', 48, undefined)];
    const report = gaps(placedClubs(bag));
    expect(report.steps).toHaveLength(12);
    expect(report.faults).toBeLessThanOrEqual(1);
    const swap = swapOf(offered(all, idsOf(bag)));
    expect(swap?.inId).toBe('48');
    expect(['3 wood', '5 wood', 'Hybrid', '5 iron']).toContain(swap?.outId);
  });

  it('a gap wedge that was never hit comes in for one of two clubs two yards apart', () => {
    const untold = ['4 iron', '5 iron', '6 iron', '8 iron', '9 iron', '50', '60'];
    const clubs = [
      club('Driver', 'driver', 10.5, 205),
      club('3 wood', 'fairway', 15, 186),
      club('5 wood', 'fairway', 18, 174),
      club('Hybrid', 'hybrid', 20, 172),
      club('4 iron', 'iron', 23, 155),
      club('5 iron', 'iron', 26, 149),
      club('6 iron', 'iron', 29, 141),
      club('7 iron', 'iron', 32.5, 132),
      club('8 iron', 'iron', 36.5, 121),
      club('9 iron', 'iron', 41, 110),
      club('PW', 'iron', 45, 101),
      club('50', 'wedge', 50, 89),
      club('SW', 'wedge', 56, 76),
      club('60', 'wedge', 60, 65),
      club('Putter', 'putter', 3, undefined),
    ].map((one) => (untold.includes(one.name) ? { ...one, shots: {} } : one));
    const swap = swapOf(offered(clubs, without(clubs, '50')));
    expect(swap?.inId).toBe('50');
    expect(['5 wood', 'Hybrid']).toContain(swap?.outId);
  });

  it('from full carries alone: the two clubs of a gap are bent towards each other; no scoring club makes way', () => {
    const remedies = offered([...strongSetWedge(), club('48', 'wedge', 48, 113)], idsOf(strongSetWedge()));
    expect(remedies.find(({ kind }) => kind === 'bend')?.bends?.map(({ clubId }) => clubId)).toEqual([
      'PW',
      '52',
    ]);
    expect(['8 iron', '9 iron', 'PW', '52', '56']).not.toContain(swapOf(remedies)?.outId);
  });

  it('who drives 180 takes a lofted wood for the long iron', () => {
    const swap = swapOf(offered(SLOW, without(SLOW, '7 wood', '5 hybrid')));
    expect(swap?.outId).toBe('4 iron');
    expect(['7 wood', '5 hybrid']).toContain(swap?.inId);
    expect(locker(SLOW).chosen()).not.toContain('4 iron');
  });

  it('a tour player’s gap at the top of the bag is fixed at the top, and every wedge stays', () => {
    const swap = swapOf(offered(TOUR, without(TOUR, '7 wood', '2 iron', '3 iron')));
    expect(['7 wood', '2 iron', '3 iron']).toContain(swap?.inId);
    expect(['3 wood', '5 wood', '4 iron']).toContain(swap?.outId);
  });

  it('a winter ten leaves out no two neighbours of the ladder, and neither driver nor putter', () => {
    const ids = locker(strongSetWedge()).chosen({ limit: 10 });
    expect(ids).toHaveLength(10);
    expect(ids).toContain('Driver');
    expect(ids).toContain('Putter');
    const ladder = idsOf(strongSetWedge()).filter((id) => id !== 'Putter');
    const out = ladder.map((id) => !ids.includes(id));
    expect(out.some((isOut, i) => isOut && out[i + 1])).toBe(false);
  });

  it('a locker without a putter has its bag anyway, with a remark', () => {
    const clubs = strongSetWedge().filter(({ kind }) => kind !== 'putter');
    expect([...locker(clubs).chosen()].sort()).toEqual(idsOf(clubs).sort());
    expect(lockerFindings(clubs)).toEqual([{ code: 'no putter', clubIds: [] }]);
  });
});

describe('a club that is another’s equal', () => {
  /** A bag with a club missing and two spares in the locker, and the same with a twin of one of its clubs. */
  function twins(which: number, missing: number, length: number) {
    const scaled = (clubs: readonly LadderClub[]) =>
      clubs.map((one) => {
        const { full } = one.shots;
        return full ? { ...one, shots: { full: { ...full, carryM: full.carryM * length } } } : one;
      });
    const bag = scaled(strongSetWedge()).filter((_club, i) => i !== missing);
    const all = [...bag, ...scaled([club('4 iron', 'iron', 21, 195), club('48', 'wedge', 48, 113)])];
    const beside = [...all, { ...bag[which]!, id: 'twin', name: 'twin' }];
    return {
      bag,
      beside,
      model: bag[which]!.id,
      alone: locker(all, [], 10),
      twinned: locker(beside, [], 10),
    };
  }
  // Neither the driver, by which the length of a round is read, nor the putter.
  const WHICH = { min: 1, max: 11 };

  it('is neither offered nor carried beside it, and leaves the best bag the best (property)', () => {
    fc.assert(
      fc.property(
        fc.integer(WHICH),
        fc.integer({ min: 1, max: 12 }),
        fc.double({ min: 0.7, max: 1.2, noNaN: true }),
        (which, missing, length) => {
          const { bag, beside, model, alone, twinned } = twins(which, missing, length);
          const chosen = twinned.chosen();
          expect(chosen.filter((id) => id === 'twin' || id === model).length).toBeLessThan(2);
          // Each bag is the best by what its own locker knows: a twin's carry is another word about the player.
          const asItWas = chosen.map((id) => (id === 'twin' ? model : id));
          expect(twinned.loses(alone.chosen())).toBeGreaterThan(-1e-9);
          expect(alone.loses(asItWas)).toBeGreaterThan(-1e-9);
          for (const { inId } of offered(beside, idsOf(bag))) expect(inId).not.toBe('twin');
        },
      ),
      { numRuns: 15 },
    );
  });

  it.each([
    [2, 4, 0.986],
    [6, 9, 1.1],
    [9, 3, 0.75],
    [11, 8, 0.9],
  ])('moves what is modelled of the others by less than a tie: the %i., without the %i., by %f', (...of) => {
    const { model, alone, twinned } = twins(...of);
    const asItWas = twinned.chosen().map((id) => (id === 'twin' ? model : id));
    expect(alone.loses(asItWas)).toBeLessThan(TIE_STROKES);
  });
});
