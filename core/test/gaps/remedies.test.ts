import { describe, expect, it } from 'vitest';
import { bentClub, compareReports, fromMetres, gaps, remedies } from '../../src/index.js';
import { club, strongSetWedge, yards } from '../bag-of-clubs.js';

const found = (leftOut = [club('48', 'wedge', 48, 113)]) => remedies(strongSetWedge(), leftOut);

describe('remedies for a hole under a strong set wedge', () => {
  it('come cheapest first: a partial shot, a bend, a swap', () => {
    expect(found().map((remedy) => remedy.kind)).toEqual(['partial', 'bend', 'swap']);
  });

  it('swap in the club that fills it, for one that is not an end of the ladder', () => {
    const swap = found().find((remedy) => remedy.kind === 'swap')!;
    expect(swap.inId).toBe('48');
    expect(['Driver', '60', 'Putter']).not.toContain(swap.outId);
    expect(swap.after.faults).toBe(0);
  });

  it('bend by no more than a degree in half-degree steps', () => {
    const bend = found().find((remedy) => remedy.kind === 'bend')!;
    for (const { fromDeg, toDeg } of bend.bends!) {
      expect(Math.abs(toDeg - fromDeg)).toBeLessThanOrEqual(1);
      expect((Math.abs(toDeg - fromDeg) * 2) % 1).toBe(0);
    }
  });

  it('are only given when they leave a better bag', () => {
    const before = gaps(strongSetWedge());
    for (const remedy of found().filter((one) => one.kind !== 'partial'))
      expect(compareReports(remedy.after, before)).toBeLessThan(0);
    expect(
      found([club('Same', 'wedge', 52, 101, { apexFt: 90, landDeg: 50 })]).some(
        (remedy) => remedy.kind === 'swap',
      ),
    ).toBe(false);
  });

  it('put in without taking out while there is room', () => {
    const swap = remedies(
      strongSetWedge().filter((one) => one.name !== '5 wood'),
      [club('48', 'wedge', 48, 113)],
    ).find((remedy) => remedy.kind === 'swap')!;
    expect(swap.outId).toBeUndefined();
  });

  it('take out one of two clubs with one job, or one never hit', () => {
    const twins = [
      club('D', 'driver', 9, 230),
      club('3w', 'fairway', 15, 212),
      club('5w', 'fairway', 18, 200, { apexFt: 80, landDeg: 45 }),
      club('3h', 'hybrid', 19, 199, { apexFt: 80, landDeg: 45 }),
      club('4h', 'hybrid', 22, 186),
      club('6', 'iron', 28, 172),
    ];
    const out = remedies(twins, []).find((remedy) => remedy.kind === 'take out')!;
    expect(['5w', '3h']).toContain(out.outId);
  });
});

describe('a club that no swing carries so far', () => {
  it('keeps its carry when it is bent, and stops nothing', () => {
    const odd = club('Odd 60', 'wedge', 60, 330);
    expect(bentClub(odd, 1)).toMatchObject({ loftDeg: 61, shots: odd.shots });
    expect(() => remedies([...strongSetWedge(), odd], [])).not.toThrow();
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
    expect(weaker.shots.full!.shots).toBeUndefined();
    expect(bentClub(pw, 0)).toBe(pw);
    // There and back again by the model is within an inch or two.
    expect(Math.abs(bentClub(bentClub(pw, 1), -1).shots.full!.carryM - yards(125))).toBeLessThan(0.05);
  });
});
