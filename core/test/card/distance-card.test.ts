import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  BASELINE,
  MEDIUM_FAIRWAY,
  USUAL_GROUND,
  distanceCard,
  gaps,
  moveShot,
  movedShot,
  placedClubs,
  slowSwingWords,
  swingOf,
  type CardRequest,
  type Conditions,
  type LadderClub,
} from '../../src/index.js';
import { club, strongSetWedge, yards } from '../bag-of-clubs.js';

const from = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
const steps = { windMps: 5, elevationChangeM: 10, temperatureC: 10 };
const ask = (
  clubs: readonly LadderClub[],
  still: Partial<Conditions> = {},
  more: Partial<CardRequest> = {},
) =>
  distanceCard({
    clubs,
    bagIds: clubs.map(({ id }) => id),
    from,
    day: { still: { ...BASELINE, ...still }, ground: USUAL_GROUND },
    steps,
    ...more,
  });

describe('a card for a pocket', () => {
  const bag = strongSetWedge();

  it('says the same as the ladder read in that air, whatever the air', () => {
    fc.assert(
      fc.property(
        fc.record({
          temperatureC: fc.integer({ min: -5, max: 40 }),
          altitudeM: fc.integer({ min: 0, max: 2500 }),
          humidityPct: fc.integer({ min: 10, max: 90 }),
        }),
        (still) => {
          const card = ask(bag, still);
          const there = { conditions: { ...BASELINE, ...still }, surface: MEDIUM_FAIRWAY };
          const moved = placedClubs(bag.filter(({ kind }) => kind !== 'putter')).map((one) => {
            const full = one.shots.full!;
            return { ...one, shots: { full: movedShot(full, moveShot(swingOf(one, full, from), there)) } };
          });
          const ladder = gaps(moved);
          expect(card.clubs.map(({ id }) => id)).toEqual(ladder.rungs.map(({ clubId }) => clubId));
          for (const { clubId, carryM } of ladder.rungs) {
            const shots = card.clubs.find(({ id }) => id === clubId)!.shots;
            expect(shots.find(({ kind }) => kind === 'full')!.carryM).toBeCloseTo(carryM, 9);
          }
        },
      ),
      { numRuns: 15 },
    );
  });

  it('lists a club of which nothing is known where it usually stands, to be filled in by hand', () => {
    const named = ask(bag).clubs.map(({ name }) => name);
    const lacking = bag.map((one) => {
      const { loftDeg: _loftDeg, ...rest } = one;
      return one.name === 'Hybrid' ? { ...rest, shots: {} } : one;
    });
    const card = ask(lacking);
    expect(card.clubs.map(({ name }) => name)).toEqual(named);
    expect(card.clubs.find(({ name }) => name === 'Hybrid')!.shots).toEqual([]);
  });

  it('where the carries are known says what is known', () => {
    for (const { shots } of ask(bag).clubs)
      for (const { homeM, carryM } of shots) expect(carryM).toBeCloseTo(homeM, 6);
  });

  it('loses to a wind in the face more than it wins from one behind, and to height and cold', () => {
    for (const { helpers } of ask(bag).clubs) {
      expect(helpers.into!).toBeLessThan(0);
      expect(helpers.behind!).toBeGreaterThan(0);
      expect(-helpers.into!).toBeGreaterThan(helpers.behind!);
      expect(helpers.higher!).toBeLessThan(0);
      expect(helpers.lower!).toBeGreaterThan(0);
      expect(helpers.colder!).toBeLessThan(0);
      expect(helpers.warmer!).toBeGreaterThan(0);
      // From the left it drifts to the right.
      expect(helpers.across!).toBeGreaterThan(0);
    }
  });

  it('a helper is the card of that air', () => {
    const colder = ask(bag, { temperatureC: BASELINE.temperatureC - steps.temperatureC });
    const here = ask(bag);
    here.clubs.forEach(({ shots, helpers }, i) => {
      expect(helpers.colder!).toBeCloseTo(colder.clubs[i]!.shots[0]!.carryM - shots[0]!.carryM, 9);
    });
  });

  it('names the step that no club covers, and none where every step is even', () => {
    expect(ask(bag).uncovered.map(({ upperId, lowerId }) => `${upperId} ${lowerId}`)).toEqual(
      gaps(bag)
        .steps.filter(({ word }) => word === 'wide')
        .map(({ upperId, lowerId }) => `${upperId} ${lowerId}`),
    );
    expect(ask(bag).uncovered.length).toBeGreaterThan(0);
    const even = [150, 140, 130, 120, 110].map((yd, i) => club(`c${i}`, 'iron', 30 + 4 * i, yd));
    expect(ask(even).uncovered).toEqual([]);
  });

  it('names a carry that must be wrong', () => {
    expect(ask(bag).mixedUp).toEqual([]);
    const wrong = bag.map((one) => (one.name === '9 iron' ? club('9 iron', 'iron', 40.5, 195) : one));
    expect(ask(wrong).mixedUp).toEqual([['9 iron', '5 iron']]);
  });

  it('a flag is reached with the run of the greens: farther on baked ones', () => {
    const on = (greens: 'soft' | 'baked') =>
      ask(bag, {}, { day: { still: BASELINE, ground: { ...USUAL_GROUND, greens } } }).clubs;
    const [soft, baked] = [on('soft'), on('baked')];
    soft.slice(1).forEach(({ perfectM }, i) => {
      expect(baked[i + 1]!.perfectM!).toBeGreaterThan(perfectM!);
    });
  });

  it('lofts without carries hang at their modelled place, marked as such; one club, a putter, nothing at all: no complaint', () => {
    const lofts = [28, 32, 36].map((deg) => club(`${deg}`, 'iron', deg, undefined));
    const known = club('7', 'iron', 34, 160);
    const card = ask([known, ...lofts]);
    expect(card.clubs).toHaveLength(4);
    for (const { id, shots } of card.clubs)
      expect(shots[0]!.source, id).toBe(id === known.id ? 'stated' : 'modelled');
    expect(ask([club('P', 'putter', 3, undefined)]).clubs).toEqual([]);
    expect(ask([]).clubs).toEqual([]);
    expect(ask([known]).clubs).toHaveLength(1);
  });

  it('a club measured before it was bent is moved once, as the ladder moves it', () => {
    const bent: LadderClub = {
      ...club('8', 'iron', 38, 150),
      changed: { full: { bendDeg: 2, takenOn: '2026-10-01' } },
    };
    const [placed] = placedClubs([bent]);
    expect(ask([bent]).clubs[0]!.shots[0]!.carryM).toBeCloseTo(placed!.shots.full!.carryM, 6);
    expect(placed!.shots.full!.carryM).toBeLessThan(yards(150));
  });

  it('a carry no swing makes stays as it was written, without helpers', () => {
    const [odd] = ask([club('PW', 'wedge', 60, 290)]).clubs;
    expect(odd!.shots[0]!.carryM).toBeCloseTo(yards(290), 6);
    expect(odd!.helpers).toEqual({});
    expect(odd!.perfectM).toBeUndefined();
  });

  it('says whose swing is slower than the tables the flights are checked against: not the tour’s, nor the women’s tour’s', () => {
    const slowOf = (share: number) =>
      ask(
        bag.map((one) => ({
          ...one,
          shots: one.shots.full ? { full: { ...one.shots.full, carryM: one.shots.full.carryM * share } } : {},
        })),
      ).clubs.filter(({ isSlow }) => isSlow);
    expect(slowOf(1)).toEqual([]);
    const women = [
      club('driver', 'driver', 10.5, 218),
      club('7', 'iron', 34, 141),
      club('PW', 'wedge', 47, 107),
    ];
    expect(ask(women).clubs.map(({ isSlow }) => isSlow)).toEqual([false, false, false]);
    const slow = slowOf(0.55);
    expect(slow.length).toBeGreaterThan(8);
    // Their wind would be a guess: nothing is said of it. Height and warmth are.
    for (const { helpers } of slow) {
      expect([helpers.into, helpers.behind, helpers.across]).toEqual([undefined, undefined, undefined]);
      expect(helpers.lower).toBeGreaterThan(0);
    }
    // A soft shot is swung slower, and its club is none the less known.
    const soft = {
      ...women[1]!,
      shots: { ...women[1]!.shots, soft: { carryM: 60, source: 'stated' as const } },
    };
    expect(ask([soft]).clubs[0]!.isSlow).toBe(false);
  });

  it('says so in words, by name where they are few', () => {
    const clubs = (...slow: readonly boolean[]) =>
      slow.map((isSlow, i) => ({ name: `${i + 5} iron`, isSlow }));
    expect(slowSwingWords(clubs(false, false), 'guessed')).toBe('');
    expect(slowSwingWords(clubs(true, false), 'guessed')).toBe(
      'What wind does to the 5 iron is a guess: it is swung slower than the tables the flights are held to.',
    );
    expect(slowSwingWords(clubs(true, true, false), 'guessed')).toContain('the 5 iron and 6 iron');
    expect(slowSwingWords(clubs(true, true, true, true, false), 'guessed')).toContain('4 of these 5 clubs');
    expect(slowSwingWords(clubs(true, true), 'left out')).toContain(
      'all of these clubs is left out: they are swung',
    );
  });
});
