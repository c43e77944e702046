import { describe, expect, it } from 'vitest';
import { bentClub, fromMetres } from '../../src/index.js';
import { club, yards } from '../bag-of-clubs.js';

describe('a club that no swing carries so far', () => {
  it('keeps its carry when it is bent', () => {
    const odd = club('Odd 60', 'wedge', 60, 330);
    expect(bentClub(odd, 1)).toMatchObject({ loftDeg: 61, shots: odd.shots });
  });
});

describe('a bend', () => {
  // 2-the-numbers: "about 2 to 3 yd of carry per degree in mid-irons and wedges"; common practice, no source.
  it('moves the carry by 2 to 3 yd a degree, the weaker the shorter, and is marked as modelled', () => {
    const pw = club('PW', 'iron', 44, 125, { shots: 20, spreadYd: 3 });
    const weaker = bentClub(pw, 1);
    const shorter = fromMetres(pw.shots.full!.carryM - weaker.shots.full!.carryM, 'yd');
    expect(shorter).toBeGreaterThanOrEqual(2);
    expect(shorter).toBeLessThanOrEqual(3);
    expect(weaker.loftDeg).toBe(45);
    expect(weaker.shots.full).toMatchObject({ source: 'modelled' });
    expect(weaker.shots.full!.sampleSize).toBeUndefined();
    expect(bentClub(pw, 0)).toBe(pw);
    // There and back again by the model is within an inch or two.
    expect(Math.abs(bentClub(bentClub(pw, 1), -1).shots.full!.carryM - yards(125))).toBeLessThan(0.05);
  });
});
