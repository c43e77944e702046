import type { LabelledClub } from '@tasche/contract';
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
    // Numbers alone are carries, whatever the clubs are called.
    expect(read('56 90')).toEqual([{ club: null, strikes: [{ carryM: 56 }, { carryM: 90 }] }]);
    expect(read('9 iron 130')).toContain('"iron" is neither a carry');
  });

  it.each([
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
});
