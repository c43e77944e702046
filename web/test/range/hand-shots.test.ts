import { describe, expect, it } from 'vitest';
import { readHandShots } from '../../src/range/hand-shots';

describe('shots written down by hand', () => {
  it('are carries in the player’s unit, with the side that follows them', () => {
    expect(readHandShots(' 152 148 3L, 150,5 ', 'm')).toEqual({
      ok: true,
      strikes: [{ carryM: 152 }, { carryM: 148, offlineM: -3 }, { carryM: 150.5 }],
    });
    expect(readHandShots('100 2.5r', 'yd')).toEqual({
      ok: true,
      strikes: [{ carryM: 91.44, offlineM: 2.286 }],
    });
  });
  it.each([
    ['', 'nothing written'],
    ['3L 150', 'follows no carry'],
    ['150 x', 'neither a carry'],
    ['900', 'is no carry'],
    ['-5', 'neither a carry'],
  ])('%s is refused: %s', (text, reason) => {
    expect(readHandShots(text, 'yd')).toMatchObject({
      ok: false,
      reason: expect.stringContaining(reason) as string,
    });
  });
});
