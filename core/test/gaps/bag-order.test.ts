import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bagOrder, carryLadder, gaps, kindFromName, type LadderClub } from '../../src/index.js';

const club = (name: string, carryM?: number): LadderClub => ({
  id: name,
  name,
  kind: kindFromName(name)!,
  shots: carryM === undefined ? {} : { full: { carryM, source: 'stated' } },
});
const listed = (...clubs: LadderClub[]) => bagOrder(clubs).map(({ name }) => name);

describe('the clubs of a bag as they are listed', () => {
  it('stand in the order of the ladder, one without loft and carry where its kind usually does', () => {
    expect(listed(club('3w', 230), club('7i', 155), club('PW', 120), club('Driver'), club('putter'))).toEqual(
      ['Driver', '3w', '7i', 'PW', 'putter'],
    );
    expect(listed(club('5w'), club('driver', 250), club('4h', 200), club('6i'), club('8i', 140))).toEqual([
      'driver',
      '5w',
      '4h',
      '6i',
      '8i',
    ]);
    expect(listed(club('SW'), club('60', 70), club('GW'), club('9i', 130), club('PW'))).toEqual([
      '9i',
      'PW',
      'GW',
      'SW',
      '60',
    ]);
  });

  it('are sorted by what they are called while nothing else is known', () => {
    expect(
      listed(club('putter'), club('56'), club('7 iron'), club('5 iron'), club('3 wood'), club('D')),
    ).toEqual(['D', '3 wood', '5 iron', '7 iron', '56', 'putter']);
  });

  it('are all there, and the ladder keeps its order (property)', () => {
    const names = [
      'driver',
      '3w',
      '5w',
      '4h',
      '5i',
      '6i',
      '7i',
      '8i',
      '9i',
      'PW',
      '50',
      '56',
      '60',
      'putter',
    ];
    const bag = fc.shuffledSubarray(names).chain((some) =>
      fc
        .array(fc.option(fc.integer({ min: 60, max: 260 }), { nil: undefined }), {
          minLength: some.length,
          maxLength: some.length,
        })
        .map((carries) => some.map((name, i) => club(name, carries[i]))),
    );
    fc.assert(
      fc.property(bag, (clubs) => {
        const order = bagOrder(clubs);
        expect(new Set(order)).toEqual(new Set(clubs));
        const ladder = carryLadder(clubs).map(({ id }) => id);
        expect(order.map(({ id }) => id).filter((id) => ladder.includes(id))).toEqual(ladder);
      }),
    );
  });
});

describe('a step where a club without a carry usually stands', () => {
  const bag = [
    club('Driver', 210),
    club('3 wood', 192),
    club('5 iron', 151),
    club('7 iron', 133),
    club('9 iron'),
    club('PW', 96),
  ];
  const stepOf = (clubs: readonly LadderClub[], upperId: string) =>
    gaps(clubs).steps.find((step) => step.upperId === upperId)!;

  it('is not known, however wide it is, and counts as two in what the others should be', () => {
    const divided = stepOf(bag, '7 iron');
    expect(divided).toMatchObject({ word: 'not known yet', severity: 'unknown', betweenIds: ['9 iron'] });
    expect([divided.targetM, divided.limitM, divided.flags]).toEqual([undefined, undefined, []]);
    const wide = bag.map((one) => (one.name === 'PW' ? club('PW', 60) : one));
    expect(gaps(wide).flags).toEqual([]);
    expect(stepOf(wide, '3 wood').targetM).toBeCloseTo((192 - 60) / 4, 6);
    const without = gaps(wide.filter(({ name }) => name !== '9 iron'));
    expect(without.headline.flag).toMatchObject({ severity: 'error', clubIds: ['7 iron', 'PW'] });
    // Once it has a carry it is a rung like any other.
    const known = bag.map((one) => (one.name === '9 iron' ? club('9 iron', 115) : one));
    expect(gaps(known).steps.every(({ betweenIds }) => betweenIds === undefined)).toBe(true);
  });

  it('of a pair mixed up stays that', () => {
    const slip = [
      { ...club('9 iron', 128), loftDeg: 41 },
      club('10 iron'),
      { ...club('PW', 115), loftDeg: 4.6 },
    ];
    const { steps, flags } = gaps(slip);
    expect(flags.map(({ code }) => code)).toEqual(['mixed-up']);
    expect(steps[0]).toMatchObject({ upperId: '9 iron', lowerId: 'PW', word: 'mixed up', severity: 'error' });
  });

  it('of two clubs for one job stays an overlap', () => {
    const alike = bag.map((one) => (one.name === 'PW' ? club('PW', 132) : one));
    expect(stepOf(alike, '7 iron')).toMatchObject({ word: 'overlap', severity: 'warning' });
  });

  it('at the ends of the ladder there is none', () => {
    const ends = [...bag.filter(({ name }) => name !== '9 iron'), club('LW'), club('putter')];
    expect(gaps(ends).steps.map(({ betweenIds }) => betweenIds)).toEqual(Array(4).fill(undefined));
  });
});
