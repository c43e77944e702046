import { describe, expect, it } from 'vitest';
import { changeSince, changeWords, ladderClub, placedClubs, type Spec } from '../../src/index.js';

const on = (takenOn: string, value: number | string) => ({ value, takenOn });
const carry = { carryM: 120, source: 'measured' as const, sampleSize: 20, spreadM: 3 };
const wedge = (more: Spec, build?: NonNullable<Spec['shot.full']>['build']): Spec => ({
  loftStampedDeg: on('2026-01-05', 46),
  'shot.full': { value: carry, takenOn: '2026-02-01', ...(build && { build }) },
  ...more,
});

describe('what changed about a club since a shot of it', () => {
  it('is a bend where a loft was set, by how much the loft it is at differs', () => {
    const bent = wedge({ loftSetDeg: on('2026-03-01', 44) }, { loftSetDeg: null });
    expect(changeSince(bent, 'shot.full')).toEqual({ bendDeg: -2, takenOn: '2026-02-01' });
    // Bent back again it is what it was.
    const back = wedge({ loftSetDeg: on('2026-04-01', 46) }, { loftSetDeg: null });
    expect(changeSince(back, 'shot.full')).toBeUndefined();
  });

  it('is nothing where a loft was only measured for the first time, and a bend where two gauges differ', () => {
    const measured = wedge({ loftMeasuredDeg: on('2026-03-01', 45.2) }, { loftMeasuredDeg: null });
    expect(changeSince(measured, 'shot.full')).toBeUndefined();
    const moved = wedge(
      { loftMeasuredDeg: on('2026-03-01', 45) },
      { loftMeasuredDeg: { value: 46.1, takenOn: '2026-01-20' } },
    );
    expect(changeSince(moved, 'shot.full')!.bendDeg).toBeCloseTo(-1.1, 9);
  });

  it('is said in words a rep uses', () => {
    expect(changeWords({ bendDeg: -2 })).toBe('before the bend');
    expect(changeWords({ shaft: true, longerIn: 0.25 })).toBe('before the new shaft and new length');
    expect(changeWords({ setting: true })).toBe('before the sleeve turn');
  });
});

describe('a shot of a club that was changed since', () => {
  it('is moved, less sure than it was, and every shot of the club with it', () => {
    const spec = wedge({ loftSetDeg: on('2026-03-01', 44) }, { loftSetDeg: null });
    spec['shot.soft'] = {
      value: { carryM: 110, source: 'stated' },
      takenOn: '2026-02-01',
      build: { loftSetDeg: null },
    };
    const club = ladderClub({ id: 'PW', name: 'PW', kind: 'wedge', spec });
    const [placed] = placedClubs([club]);
    for (const kind of ['full', 'soft'] as const) {
      const [was, is] = [club.shots[kind]!, placed!.shots[kind]!];
      expect(is.source).toBe('modelled');
      expect(is.carryM - was.carryM).toBeGreaterThan(2);
      expect(is.carryM - was.carryM).toBeLessThan(9);
      expect(is.plusMinusM).toBeGreaterThan(0);
    }
  });

  it('without a loft to move it by, or of a putter, stays where it was', () => {
    const spec: Spec = {
      lengthIn: on('2026-03-01', 36),
      'shot.full': {
        value: carry,
        takenOn: '2026-02-01',
        build: { lengthIn: { value: 35.5, takenOn: '2026-01-01' } },
      },
    };
    const [placed] = placedClubs([ladderClub({ id: 'x', name: 'x', kind: 'wedge', spec })]);
    expect(placed!.shots.full).toMatchObject({ carryM: 120, source: 'modelled' });
  });
});

describe('bounce', () => {
  it('follows a bend, unless it was recorded after it', () => {
    const bounceOf = (bounceOn: string) =>
      ladderClub({
        id: '56',
        name: '56',
        kind: 'wedge',
        spec: {
          loftStampedDeg: on('2026-01-05', 56),
          loftSetDeg: on('2026-03-01', 54),
          bounceDeg: on(bounceOn, 12),
        },
      }).bounceDeg;
    expect(bounceOf('2026-01-05')).toBe(10);
    expect(bounceOf('2026-03-02')).toBe(12);
  });
});
