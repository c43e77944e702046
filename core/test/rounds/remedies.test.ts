import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  BASELINE,
  DEFAULT_PREFERENCES,
  MEDIUM_FAIRWAY,
  USUAL_MAKE_UP,
  clubsOfIds,
  costOfBag,
  gaps,
  noRemediesFor,
  placedClubs,
  remedies,
  usualBag,
  usualRoundChoosing,
  remedyWords,
  type LadderClub,
  type Remedy,
} from '../../src/index.js';
import { club, strongSetWedge } from '../bag-of-clubs.js';

const FROM = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };

/** A bag and a locker in a usual round: what is offered, and what each bag costs. */
function asked(bag: readonly LadderClub[], leftOut: readonly LadderClub[] = [], limit = 14) {
  const round = usualRoundChoosing({ clubs: [...bag, ...leftOut], from: FROM })!;
  const ids = bag.map(({ id }) => id);
  const costOf = costOfBag(round, {
    preferences: { ...DEFAULT_PREFERENCES, changeStrokes: 0 },
    school: 'even-carries',
    gamerIds: ids,
  });
  const inBag = clubsOfIds(round.clubs, ids);
  const found = remedies({
    bag: inBag,
    leftOut: round.clubs.filter(({ id }) => !ids.includes(id)),
    costOf,
    limit,
  });
  return { found, costOf, inBag, kind: (kind: Remedy['kind']) => found.find((one) => one.kind === kind) };
}

it('a usual bag with one known carry is not advised to turn a sleeve or bend: its carries are not known', () => {
  const clubs = usualBag(USUAL_MAKE_UP).map(({ name, kind, loftDeg }): LadderClub => ({
    id: name,
    name,
    kind,
    loftDeg,
    shots: name === '7 iron' ? { full: { carryM: 137, source: 'stated' } } : {},
  }));
  const { found } = asked(placedClubs(clubs));
  for (const { kind, bends } of found.filter((one) => one.bends !== undefined))
    expect([kind, bends!.map(({ clubId }) => clubId)]).toEqual(['bend', ['7 iron']]);
});

it('of a bag with a pair mixed up nothing is advised: a number of it is wrong', () => {
  const bag = strongSetWedge();
  expect(asked(bag).found.length).toBeGreaterThan(0);
  const slip = bag.map((one) => (one.kind === 'wedge' && one.loftDeg! > 50 ? { ...one, loftDeg: 5 } : one));
  expect(asked(slip).found).toEqual([]);
});

it('of a bag of which most is still to be written down a page advises nothing', () => {
  const bag = [club('driver', 'driver', 10, 250), club('7i', 'iron', 32, 160), club('PW', 'wedge', 46, 123)];
  expect(noRemediesFor(gaps(bag))).toBe('few clubs');
  expect(noRemediesFor(gaps(strongSetWedge()))).toBeUndefined();
  const iron = strongSetWedge().find(({ kind }) => kind === 'iron')!;
  const lacking = strongSetWedge().map((one) => (one.id === iron.id ? { ...one, shots: {} } : one));
  expect(noRemediesFor(gaps(lacking))).toBe('a carry missing');
});

it('where no step is at fault, a sleeve is turned only of a club that was measured, and for what it is worth', () => {
  const even = [
    club('Driver', 'driver', 11, 250, { shots: 12, spreadYd: 8 }),
    ...strongSetWedge().filter(
      ({ name }) => !['Driver', '3 wood', '5 wood', '52', '56', '60'].includes(name),
    ),
    club('3 wood', 'fairway', 15, 228),
    club('5 wood', 'fairway', 18, 213),
    club('48', 'wedge', 48, 112),
    club('52', 'wedge', 52, 100),
    club('56', 'wedge', 56, 87),
  ];
  expect(gaps(even).steps.filter(({ word }) => word === 'wide')).toEqual([]);
  const ofMeasured = asked(even);
  expect(ofMeasured.kind('turn a sleeve')?.bends!.map(({ clubId }) => clubId)).toEqual(['Driver']);
  for (const { kind, gain } of ofMeasured.found)
    if (kind === 'learn a shot' || kind === 'turn a sleeve') expect(gain).toBeGreaterThanOrEqual(0.1);
  const stated = even.map((one) => (one.name === 'Driver' ? club('Driver', 'driver', 11, 250) : one));
  expect(asked(stated).kind('turn a sleeve')).toBeUndefined();
});

describe('remedies for a gap under a strong set wedge', () => {
  const gapWedge = club('48', 'wedge', 48, 113);
  const { found, kind, inBag, costOf } = asked(strongSetWedge(), [gapWedge]);

  it('fix that gap, each of them, and gain what their bag costs less', () => {
    expect(found.length).toBeGreaterThan(1);
    for (const remedy of found) {
      expect(remedy.fixes, remedy.kind).toMatchObject({ upperId: 'PW', lowerId: '52' });
      expect(remedy.gain, remedy.kind).toBeCloseTo(costOf(inBag) - costOf(remedy.bag), 9);
    }
  });

  it('offer no swap that opens as wide a gap elsewhere, or takes an end off the ladder', () => {
    expect(kind('swap')).toBeUndefined();
    // With a club too many at the top one of those may go.
    const crowded = strongSetWedge().map((one) =>
      one.name === '6 iron' ? club('4 hybrid', 'hybrid', 20, 204) : one,
    );
    const withSix = crowded.map((one) => (one.name === '5 iron' ? club('5.5', 'iron', 26, 179) : one));
    const swap = asked(withSix, [gapWedge]).kind('swap');
    expect(swap).toMatchObject({ inId: '48' });
    expect(['4 hybrid', 'Hybrid', '5 wood']).toContain(swap!.outId);
  });

  it('bend by no more than a degree in half-degree steps', () => {
    for (const { fromDeg, toDeg } of kind('bend')?.bends ?? []) {
      expect(Math.abs(toDeg - fromDeg)).toBeLessThanOrEqual(1);
      expect((Math.abs(toDeg - fromDeg) * 2) % 1).toBe(0);
    }
  });

  it('teach the club above the gap a shot for its middle', () => {
    const learn = kind('learn a shot')!;
    expect(learn.learns).toMatchObject({ clubId: 'PW' });
    expect(remedyWords(learn, (id) => id, 'yd')).toMatch(/PW at 113 yd$/);
  });

  it('never teach a soft shot with a club whose full one is not known', () => {
    const modelled = strongSetWedge().map((one) =>
      one.name === 'PW'
        ? { ...one, shots: { full: { ...one.shots.full!, source: 'modelled' as const } } }
        : one,
    );
    expect(asked(modelled).kind('learn a shot')?.learns?.clubId).not.toBe('PW');
  });

  it('never teach a shot that is owned already', () => {
    const owned = strongSetWedge().map((one) =>
      one.name === 'PW'
        ? {
            ...one,
            shots: { ...one.shots, 'three-quarter': { carryM: 112 * 0.9144, source: 'stated' as const } },
          }
        : one,
    );
    expect(asked(owned).kind('learn a shot')?.learns?.clubId).not.toBe('PW');
  });

  it('put in without taking out while there is room', () => {
    const swap = asked(strongSetWedge(), [gapWedge], 15).kind('swap')!;
    expect(swap).toMatchObject({ inId: '48' });
    expect(swap.outId).toBeUndefined();
    expect(remedyWords(swap, (id) => id, 'yd')).toBe('Put the 48 in');
  });
});

describe('a bag there is nothing wrong with', () => {
  it('is offered no soft driver, and no club that hardly differs from an owned one', () => {
    const even = strongSetWedge().map((one) =>
      one.name === 'PW' ? { ...one, loftDeg: 46 } : one.name === '52' ? { ...one, loftDeg: 51 } : one,
    );
    const { found } = asked(even, [club('Twin', 'wedge', 56, 88)]);
    for (const { learns, inId } of found) {
      expect(learns?.clubId).not.toBe('Driver');
      expect(inId).not.toBe('Twin');
    }
  });

  it('of one club, of thirty, or without a carry, stops nothing', () => {
    expect(
      usualRoundChoosing({ clubs: [club('Putter', 'putter', 3, undefined)], from: FROM }),
    ).toBeUndefined();
    expect(asked([club('7 iron', 'iron', 32, 160)]).found.every(({ gain }) => gain >= 0)).toBe(true);
    const thirty = Array.from({ length: 30 }, (_, i) => club(`c${i}`, 'iron', 18 + i, 220 - i * 5));
    expect(() => asked(thirty)).not.toThrow();
    const lofts = strongSetWedge().map((one) => ({ ...one, shots: {} }));
    expect(() => asked(lofts)).not.toThrow();
  });
});

describe('whatever the bag', () => {
  const irons = fc
    .uniqueArray(fc.integer({ min: 0, max: 24 }), { minLength: 3, maxLength: 11 })
    .map((places) =>
      places
        .sort((a, b) => a - b)
        .map((place) =>
          club(`at ${place}`, place > 14 ? 'wedge' : 'iron', 20 + place * 1.7, 205 - place * 5.5),
        ),
    );
  it('a remedy that is offered costs no stroke, adds no fault and fixes the step that was named', () => {
    fc.assert(
      fc.property(irons, irons, (bag, locker) => {
        const leftOut = locker.filter(({ id }) => !bag.some((one) => one.id === id));
        const { found, costOf, inBag } = asked(bag, leftOut);
        const before = gaps(inBag);
        for (const remedy of found) {
          expect(costOf(remedy.bag)).toBeLessThanOrEqual(costOf(inBag) + 1e-12);
          expect(remedy.after.faults).toBeLessThanOrEqual(before.faults);
          if (remedy.fixes)
            expect(
              remedy.after.steps.some(
                ({ upperId, lowerId, word, severity }) =>
                  upperId === remedy.fixes!.upperId &&
                  lowerId === remedy.fixes!.lowerId &&
                  word === 'wide' &&
                  severity === remedy.fixes!.severity,
              ),
            ).toBe(false);
        }
      }),
      { numRuns: 25, seed: 12 },
    );
  });
});
