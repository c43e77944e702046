import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  BASELINE,
  DEFAULT_PREFERENCES,
  MEDIUM_FAIRWAY,
  TOUCH_M,
  clubsOfIds,
  driverReach,
  costOfBag,
  moveShot,
  movedShot,
  swingOf,
  usualLoftOf,
  usualRound,
  usualRoundChoosing,
  type LadderClub,
  type ShotDemand,
  type UsualRoundRequest,
} from '../../src/index.js';
import { holePlayer, dayShots } from '../../src/rounds/play-hole.js';
import { seedOf } from '../../src/rounds/derive-demands.js';
import { movedClub } from '../../src/choosing/moved-club.js';
import { usualDay, usualRack } from '../../src/rounds/usual-course.js';
import { club, strongSetWedge } from '../bag-of-clubs.js';

const FROM = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
const weightOf = (needs: readonly ShotDemand[], which: (demand: ShotDemand) => boolean = () => true) =>
  needs.filter(which).reduce((sum, { weight }) => sum + weight, 0);

describe('a usual round', () => {
  it('has fourteen drives and four par threes for every player', () => {
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

  it('moves without a jump: a yard more of driver is not another round', () => {
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

describe('a bag without a single loft in a usual round', () => {
  const bag = strongSetWedge();
  const costsOf = (clubs: readonly LadderClub[]) => {
    const round = usualRoundChoosing({ clubs, from: FROM, handicap: 5 })!;
    const cost = costOfBag(round, {
      preferences: { ...DEFAULT_PREFERENCES, changeStrokes: 0 },
      school: 'even-carries',
      gamerIds: clubs.map(({ id }) => id),
    });
    const whole = cost(round.clubs);
    return { whole, without: (name: string) => cost(round.clubs.filter((one) => one.name !== name)) - whole };
  };
  const withoutLofts = bag.map(({ loftDeg: _loftDeg, ...rest }): LadderClub => rest);
  const [known, usual] = [costsOf(bag), costsOf(withoutLofts)];

  it('costs what it does with the lofts usual for its clubs', () => {
    const given = bag.map((one): LadderClub => ({ ...one, loftDeg: usualLoftOf(one) ?? one.loftDeg }));
    expect(usual.whole).toBeCloseTo(costsOf(given).whole, 1);
  });

  it('misses the clubs it misses with them: a lob wedge is worth what a lob wedge is', () => {
    for (const name of ['56', '60', '9 iron', '5 wood'])
      expect([name, Math.abs(usual.without(name) - known.without(name)) < 0.15]).toEqual([name, true]);
  });

  it('keeps its lofts unknown: none is shown that nobody recorded', () => {
    const round = usualRoundChoosing({ clubs: withoutLofts, from: FROM, handicap: 5 })!;
    expect(round.clubs.every(({ loftDeg }) => loftDeg === undefined)).toBe(true);
    expect(
      round.clubs.map((one) => movedClub(round.played(one, { windMps: 0, windFromDeg: 0 })).loftDeg),
    ).toEqual(round.clubs.map(() => undefined));
  });
});
