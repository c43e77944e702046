import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  BASELINE,
  DEFAULT_PREFERENCES,
  MEDIUM_FAIRWAY,
  TOUCH_M,
  chooseBag,
  choosingOfRound,
  clubsOfIds,
  driverReach,
  costOfBag,
  moveShot,
  movedShot,
  swingOf,
  usualRound,
  usualRoundChoosing,
  type LadderClub,
  type ShotDemand,
  type UsualRoundRequest,
} from '../../src/index.js';
import { holePlayer, dayShots } from '../../src/rounds/play-hole.js';
import { seedOf } from '../../src/rounds/derive-demands.js';
import { usualDay, usualRack } from '../../src/rounds/usual-course.js';
import { club, strongSetWedge } from '../bag-of-clubs.js';

const FROM = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
const weightOf = (needs: readonly ShotDemand[], which: (demand: ShotDemand) => boolean = () => true) =>
  needs.filter(which).reduce((sum, { weight }) => sum + weight, 0);

describe('a usual round', () => {
  it('has fourteen drives and four par threes, whoever plays it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 90, max: 320, noNaN: true }),
        fc.integer({ min: -8, max: 40 }),
        (reachM, handicap) => {
          const { needs, strokes } = usualRound(reachM, handicap);
          expect(weightOf(needs)).toBeCloseTo(strokes, 6);
          expect(weightOf(needs, ({ lie, to }) => lie === 'tee' && to === 'green')).toBeCloseTo(4, 0);
          expect(weightOf(needs, ({ lie, to }) => lie === 'tee' && to === 'fairway')).toBeCloseTo(14, 0);
          for (const { distanceM, weight } of needs) {
            expect(distanceM).toBeGreaterThan(0);
            expect(weight).toBeGreaterThan(0);
          }
        },
      ),
    );
  });

  it('asks what the course itself asks of a player between those of the table', () => {
    const [reachM, handicap, rounds] = [225, 2, 60];
    const day = usualDay(reachM);
    const player = holePlayer(day, usualRack(reachM), dayShots(day, FROM, handicap));
    const played = { strokes: 0, short: 0, rough: 0 };
    for (let round = 0; round < rounds; round++)
      for (let at = 0; at < player.holes; at++)
        for (const { need } of player.play(at, seedOf(5, round, at)).asked) {
          played.strokes += 1 / rounds;
          if (need.to === 'green' && need.distanceM <= TOUCH_M) played.short += 1 / rounds;
          if (need.lie.includes('rough')) played.rough += 1 / rounds;
        }
    const { needs, strokes } = usualRound(reachM, handicap);
    expect(Math.abs(strokes - played.strokes)).toBeLessThan(0.8);
    expect(Math.abs(weightOf(needs, ({ distanceM }) => distanceM <= TOUCH_M) - played.short)).toBeLessThan(
      0.8,
    );
    expect(Math.abs(weightOf(needs, ({ lie }) => lie.includes('rough')) - played.rough)).toBeLessThan(1);
  });

  it('moves without a jump: a yard more of driver is no other round', () => {
    for (let reachM = 118; reachM < 275; reachM += 13) {
      const [one, other] = [usualRound(reachM, 6), usualRound(reachM + 1, 6)];
      expect(Math.abs(one.strokes - other.strokes)).toBeLessThan(0.1);
    }
  });
});

describe('a usual round in wind', () => {
  const wind = (windMps: number, windFromDeg: number) => ({
    ...FROM,
    conditions: { ...BASELINE, windMps, windFromDeg },
  });
  const there = wind(9, 0);
  const bag = strongSetWedge();
  const reachM = driverReach(bag, FROM);
  /** The same clubs as a ladder read in that wind shows them. */
  const movedTo = (air: typeof FROM, clubs = bag) =>
    clubs.map((one): LadderClub => {
      const full = one.shots.full;
      return full
        ? { ...one, shots: { full: movedShot(full, moveShot(swingOf(one, full, FROM), air)) } }
        : one;
    });
  const worth = (request: UsualRoundRequest) => {
    const round = usualRoundChoosing({ ...request, handicap: 4 })!;
    const ids = bag.map(({ id }) => id);
    // Strokes alone: how even a ladder is differs with the air it is read in.
    const preferences = { ...DEFAULT_PREFERENCES, unevenStrokes: 0 };
    const rules = { preferences, school: 'even-carries' as const, gamerIds: [] };
    return costOfBag(round, rules)(clubsOfIds(round.clubs, ids));
  };

  it('costs more than a calm one', () => {
    const calm = worth({ clubs: bag, from: FROM });
    expect(worth({ clubs: bag, from: FROM, in: there })).toBeGreaterThan(calm + 0.3);
  });

  it('is the same whether the carries are known at home, or have been moved into that wind for a ladder', () => {
    const moved = movedTo(there);
    const [home, ladder] = [
      worth({ clubs: bag, from: FROM, in: there }),
      worth({ clubs: moved, from: there, in: there, reachM }),
    ];
    expect(moved[0]!.shots.full!.carryM).toBeLessThan(bag[0]!.shots.full!.carryM - 10);
    // The swing found behind a carry into the wind is not quite the one found behind it in still air: a
    // twentieth of what the wind costs.
    expect(Math.abs(home - ladder)).toBeLessThan(0.05 * (home - worth({ clubs: bag, from: FROM })));
  });

  it('asks the same of the player from whichever side the wind is read, in a gale and of one club too', () => {
    for (const clubs of [bag, [club('7 iron', 'iron', 32, 160)]])
      for (const windMps of [9, 25]) {
        const reach = driverReach(clubs, FROM);
        const rounds = [0, 90, 180].map((side) => {
          const air = wind(windMps, side);
          const request = { clubs: movedTo(air, clubs), from: air, in: air, handicap: 4, reachM: reach };
          return usualRoundChoosing(request)!;
        });
        const asked = (round: (typeof rounds)[number]) =>
          round.needs.map(({ distanceM, lie }) => `${distanceM.toFixed(1)} ${lie}`);
        for (const round of rounds) {
          expect(round.strokes).toBe(rounds[0]!.strokes);
          expect(asked(round)).toEqual(asked(rounds[0]!));
          for (const row of round.costs)
            for (const { strokes } of row.values()) expect(Number.isNaN(strokes)).toBe(false);
        }
      }
  });
});

function locker(bag: readonly LadderClub[], typed: readonly ShotDemand[] = []) {
  const round = usualRoundChoosing({ clubs: bag, from: FROM, typed })!;
  const rules = {
    preferences: DEFAULT_PREFERENCES,
    school: 'even-carries' as const,
    gamerIds: bag.map(({ id }) => id),
  };
  const costOf = costOfBag(round, rules);
  return {
    round,
    chosen: () => chooseBag(choosingOfRound(round, { ...rules, gamerIds: [] }), 0)!.best.ids,
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

  it('nobody leaves the driver, the putter or every wedge at home', () => {
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
    expect(weightOf(round.needs, ({ stroke }) => stroke === undefined)).toBeGreaterThan(10);
    const ids = chosen();
    expect(ids).toContain('Driver');
    expect(ids.filter((id) => ['52', '56', '60'].includes(id)).length).toBeGreaterThan(1);
  });
});
