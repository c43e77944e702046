import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aimed } from '../../src/choosing/aimed-shot.js';
import { strokesFor } from '../../src/choosing/strokes-for.js';
import type { ShotDemand } from '../../src/choosing/shot-demand.js';
import type { PlayedShot } from '../../src/choosing/played-shot.js';
import type { Lie } from '../../src/plays-like/lies.js';

const shot: PlayedShot = { carryM: 205, totalM: 220, spreadM: 7, source: 'measured', sampleSize: 30 };
const wood = { kind: 'fairway' as const, loftDeg: 15 };
const over = (lie: Lie, distanceM = 215): ShotDemand => ({
  name: 'over the water',
  distanceM,
  to: 'green',
  lie,
  mustHold: false,
  weight: 1,
});

describe('a wood that is another club off a tee', () => {
  it('carries by so much farther, or less far, off a tee and nowhere else (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -40, max: 40, noNaN: true }),
        fc.constantFrom<Lie>('fairway', 'tight', 'light rough', 'heavy rough, wet', 'sand'),
        (teeGainM, lie) => {
          const known = { ...shot, teeGainM };
          const carry = (of: PlayedShot, from: Lie) => aimed(over(from), wood, 'full', of).carryM;
          expect(carry(known, 'tee') - carry(shot, 'tee')).toBeCloseTo(teeGainM, 9);
          expect(carry(known, lie)).toBe(carry(shot, lie));
        },
      ),
    );
  });

  it('is the better for it where a tee shot needs what it brings, and a part swing knows nothing of it', () => {
    const known = { ...shot, teeGainM: 10 };
    // It comes to rest at 220 m without it, and here with it.
    const FAR_M = 230;
    expect(strokesFor(over('tee', FAR_M), wood, 'full', known)).toBeLessThan(
      strokesFor(over('tee', FAR_M), wood, 'full', shot) - 0.05,
    );
    expect(strokesFor(over('fairway', FAR_M), wood, 'full', known)).toBe(
      strokesFor(over('fairway', FAR_M), wood, 'full', shot),
    );
    // A driver's carry is one from a tee already.
    const driver = { kind: 'driver' as const, loftDeg: 10 };
    expect(aimed(over('tee'), driver, 'full', known)).toEqual(aimed(over('tee'), driver, 'full', shot));
    expect(aimed(over('tee'), wood, 'soft', known).carryM).toBe(
      aimed(over('tee'), wood, 'soft', shot).carryM,
    );
  });
});
