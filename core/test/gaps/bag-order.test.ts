import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bagOrder, carryLadder, kindFromName, type LadderClub } from '../../src/index.js';

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
