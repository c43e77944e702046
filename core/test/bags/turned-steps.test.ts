import { describe, expect, it } from 'vitest';
import {
  BASELINE,
  MEDIUM_FAIRWAY,
  formatDistance,
  gaps,
  moveShot,
  movedShot,
  signedDistance,
  swingOf,
  turnedSteps,
  type LadderClub,
} from '../../src/index.js';
import { strongSetWedge, yards } from '../bag-of-clubs.js';

const home = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
const there = (club: LadderClub, windMps: number): LadderClub => {
  const { full } = club.shots;
  return full
    ? {
        ...club,
        shots: {
          full: movedShot(
            full,
            moveShot(swingOf(club, full, home), { ...home, conditions: { ...BASELINE, windMps } }),
          ),
        },
      }
    : club;
};

describe('steps that turn', () => {
  const bag = strongSetWedge();

  it('none where nothing was moved', () => {
    expect(turnedSteps(gaps(bag), gaps(bag.map((club) => there(club, 0))))).toEqual([]);
  });

  it('a wide step at the scoring end closes into a strong wind, and is named with both its sizes', () => {
    const turned = turnedSteps(gaps(bag), gaps(bag.map((club) => there(club, 13))));
    expect(turned.length).toBeGreaterThan(0);
    for (const { before, after } of turned) {
      expect([after.upperId, after.lowerId]).toEqual([before.upperId, before.lowerId]);
      expect(`${before.word} ${before.severity}`).not.toBe(`${after.word} ${after.severity}`);
    }
  });

  it('keeps where a shot came from and how often it was hit, and takes on its own part of the doubt', () => {
    const full = { carryM: yards(161), source: 'measured' as const, sampleSize: 20, spreadM: 4 };
    const moved = movedShot(
      full,
      moveShot(swingOf({ kind: 'iron', loftDeg: 32 }, full, home), {
        ...home,
        conditions: { ...BASELINE, windMps: 6 },
      }),
    );
    expect(moved).toMatchObject({ source: 'measured', sampleSize: 20, spreadM: 4 });
    expect(moved.carryM).toBeLessThan(full.carryM - 10);
    expect(moved.plusMinusM).toBeGreaterThan((1.96 * 4) / Math.sqrt(20));
  });
});

describe('a shift in words', () => {
  it.each([
    [4.4, 'm', '+4'],
    [-12.6, 'm', '−13'],
    [0.3, 'm', '0'],
    [-0.3, 'm', '0'],
    [9.144, 'yd', '+10'],
    [-3.048, 'ft', '−10'],
  ] as const)('%f in %s is %s', (metres, unit, words) => expect(signedDistance(metres, unit)).toBe(words));
  it('never says minus zero', () => expect(formatDistance(-0.2, 'm')).toBe('0 m'));
});
