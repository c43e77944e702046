import type { LabelledClub } from '@tasche/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readHandShots } from '../../src/range/hand-shots';

const CLUBS: LabelledClub[] = (
  [
    ['7', '7 iron', 'iron'],
    ['p', 'PW', 'wedge'],
    ['5', '56', 'wedge'],
  ] as const
).map(([id, name, kind]) => ({ id, name, kind, spec: {} }));
const read = (text: string, unit: 'm' | 'yd' = 'm') => {
  const shots = readHandShots(text, unit, CLUBS);
  return shots.ok ? shots.turns : shots.reason;
};

describe('shots entered by hand', () => {
  it('are carries in the player’s unit, with the side that follows them', () => {
    expect(read(' 152 148 3L, 150,5 ')).toEqual([
      { club: null, strikes: [{ carryM: 152 }, { carryM: 148, offlineM: -3 }, { carryM: 150.5 }] },
    ]);
    expect(read('100 2.5r', 'yd')).toEqual([{ club: null, strikes: [{ carryM: 91.44, offlineM: 2.286 }] }]);
    // Its letter may stand apart, or be a word.
    expect(read('148 3 L 150 0.5 right')).toEqual([
      {
        club: null,
        strikes: [
          { carryM: 148, offlineM: -3 },
          { carryM: 150, offlineM: 0.5 },
        ],
      },
    ]);
  });

  it('may name their unit', () => {
    expect(read('100yds 91.44m 100y', 'm')).toEqual([
      { club: null, strikes: Array(3).fill({ carryM: 91.44 }) as object[] },
    ]);
  });

  it('may stand after the club they were hit with, and another’s after them', () => {
    const seven = { clubId: '7', shot: 'full' };
    expect(read('7 iron 152 148 3L')).toEqual([
      { club: seven, strikes: [{ carryM: 152 }, { carryM: 148, offlineM: -3 }] },
    ]);
    expect(read('7i: 152 / 150 / Pitching wedge soft 110 / 56: 90')).toEqual([
      { club: seven, strikes: [{ carryM: 152 }] },
      { club: seven, strikes: [{ carryM: 150 }] },
      { club: { clubId: 'p', shot: 'soft' }, strikes: [{ carryM: 110 }] },
      { club: { clubId: '5', shot: 'full' }, strikes: [{ carryM: 90 }] },
    ]);
    // A number alone is a carry, unless it is a club's and much less than those beside it: that is asked.
    expect(read('86 90')).toEqual([{ club: null, strikes: [{ carryM: 86 }, { carryM: 90 }] }]);
    for (const text of ['56 - 62 - 58', '56 90 88', '56 90', '7 150', 'PW 110 108, 56 90 88'])
      expect(read(text), text).toMatch(/^"(56|7)" may be a club or a carry: write "\1:" for the club/);
    expect(read('56 - 90 88')).toMatchObject([
      { club: { clubId: '5' }, strikes: [{ carryM: 90 }, { carryM: 88 }] },
    ]);
    expect(read('56 m 90')).toEqual([{ club: null, strikes: [{ carryM: 56 }, { carryM: 90 }] }]);
    expect(read('9 iron 130')).toContain('"9 iron" is neither a carry');
  });

  it('are none lost of several clubs in one line, or under the name of a club', () => {
    const turns = (text: string) => {
      const found = read(text);
      return typeof found === 'string'
        ? found
        : found.map(({ club, strikes }) => [club?.clubId ?? null, ...strikes.map(({ carryM }) => carryM)]);
    };
    for (const text of [
      '7i 165 163 PW 120 118',
      '7 iron: 165, 163 and PW: 120, 118',
      '7i 165,163 / PW 120,118',
      '7i\n165 163\nPW\n120 118',
      '1. 7i 165 163\n2. PW 120 118',
    ])
      expect(turns(text), text).toEqual([
        ['7', 165, 163],
        ['p', 120, 118],
      ]);
    expect(turns('7 iron: 165, 163 and 170')).toEqual([['7', 165, 163, 170]]);
    expect(turns('7 - 165/163/170')).toEqual([['7', 165, 163, 170]]);
    expect(turns('PW 46 110 108')).toEqual([['p', 110, 108]]);
    expect(turns('165 7i')).toBe('no shot follows "7i"');
    // A comma between shots is no decimal's.
    expect([turns('165,163,170'), turns('100,95'), turns('152,5')]).toEqual([
      [[null, 165, 163, 170]],
      [[null, 100, 95]],
      [[null, 152.5]],
    ]);
  });

  it.each([
    ['165 (3L)', -3],
    ['165 L3', -3],
    ['165 left 3', -3],
    ['165 3 m right', 3],
    ['about 165, straight', 0],
    ['165ish dead straight.', 0],
  ])('%s comes down where it says', (text, offlineM) => {
    expect(read(text)).toEqual([{ club: null, strikes: [{ carryM: 165, offlineM }] }]);
  });

  it.each([
    ['165 x3', 'write every shot by itself'],
    ['165 163 avg 164', '"avg" is no shot: leave it and its number out'],
    ['148 L 3 R', 'L follows no carry'],
    ['165 left', 'left follows no carry'],
    ['', 'nothing written'],
    ['3L 150', 'follows no carry'],
    ['150 x', 'neither a carry'],
    ['900', 'is not a carry'],
    ['-5', 'neither a carry'],
    ['0', 'is not a carry'],
    ['L 150', 'follows no carry'],
    ['250-255', 'neither a carry'],
  ])('%s is refused: %s', (text, reason) => {
    expect(read(text, 'yd')).toContain(reason);
  });

  it('none is lost, whatever parts them (property)', () => {
    const turn = fc.record({
      club: fc.constantFrom(['7', '7 iron'], ['7', '7i'], ['p', 'PW'], ['p', 'pitching wedge']),
      carries: fc.array(fc.integer({ min: 90, max: 250 }), { minLength: 1, maxLength: 6 }),
    });
    fc.assert(
      fc.property(
        fc.array(turn, { minLength: 1, maxLength: 5 }),
        fc.constantFrom(' ', ', ', ',', '; ', '/'),
        fc.constantFrom('\n', ' / ', ' ', ', ', ' and '),
        fc.constantFrom(' ', ': ', ' - '),
        (turns, sign, between, behind) => {
          const text = turns
            .map(({ club, carries }) => `${club[1]}${behind}${carries.join(sign)}`)
            .join(between);
          const found = read(text);
          expect(
            typeof found === 'string'
              ? found
              : found.map(({ club, strikes }) => [club?.clubId, ...strikes.map(({ carryM }) => carryM)]),
            text,
          ).toEqual(turns.map(({ club, carries }) => [club[0], ...carries]));
        },
      ),
    );
  });
});
