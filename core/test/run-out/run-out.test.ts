import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  AREAS,
  FIRMNESSES,
  GRASSES,
  MEDIUM_FAIRWAY,
  InvalidInputError,
  runOut,
  type Surface,
} from '../../src/index.js';
import type { Landing } from '../../src/run-out/run-out.js';

const surface: fc.Arbitrary<Surface> = fc.record({
  area: fc.constantFrom(...AREAS),
  firmness: fc.constantFrom(...FIRMNESSES),
  grass: fc.constantFrom(...GRASSES),
});
const landing: fc.Arbitrary<Landing> = fc.record({
  landSpeedMps: fc.double({ min: 0, max: 60, noNaN: true }),
  descentDeg: fc.double({ min: 0, max: 90, noNaN: true }),
  landSpinRpm: fc.double({ min: 0, max: 12_000, noNaN: true }),
});
const drive: Landing = { landSpeedMps: 26.7, descentDeg: 43, landSpinRpm: 2100 };
const wedge: Landing = { landSpeedMps: 22, descentDeg: 49, landSpinRpm: 8800 };

describe('run-out', () => {
  it('comes to rest at a finite place, never farther than it once was (property)', () => {
    fc.assert(
      fc.property(landing, surface, (one, ground) => {
        const { runM, furthestM, bounces } = runOut(one, ground);
        expect(Number.isFinite(runM)).toBe(true);
        expect(furthestM).toBeGreaterThanOrEqual(runM - 1e-9);
        expect(bounces).toBeLessThanOrEqual(40);
        // Nothing rolls farther than a ball that loses speed only to the greens' rolling resistance.
        expect(Math.abs(runM)).toBeLessThan(
          one.landSpeedMps ** 2 + ((0.021335 * one.landSpinRpm * 2 * Math.PI) / 60) ** 2 + 1,
        );
      }),
      { numRuns: 400 },
    );
  });

  it('runs farther the firmer the ground', () => {
    for (const area of AREAS) {
      const runs = FIRMNESSES.map((firmness) => runOut(drive, { area, firmness, grass: 'bent' }).runM);
      expect(runs).toEqual([...runs].sort((a, b) => a - b));
    }
  });

  it('runs less the more backspin it lands with (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 500, max: 9000, noNaN: true }),
        fc.double({ min: 200, max: 2000, noNaN: true }),
        (spin, more) => {
          expect(runOut({ ...drive, landSpinRpm: spin + more }, MEDIUM_FAIRWAY).runM).toBeLessThanOrEqual(
            runOut({ ...drive, landSpinRpm: 0 }, MEDIUM_FAIRWAY).runM + 0.3,
          );
        },
      ),
    );
  });

  it('draws a spinning wedge back on a soft green, and lets it run on on baked turf', () => {
    expect(runOut(wedge, { area: 'green', firmness: 'soft', grass: 'bent' })).toMatchObject({
      word: 'draws back',
    });
    expect(runOut(wedge, { area: 'green', firmness: 'soft', grass: 'bent' }).runM).toBeLessThan(0);
    expect(runOut(drive, { area: 'fairway', firmness: 'baked', grass: 'fescue' }).word).toBe('runs on');
  });

  it('rolls as a green of 3.0 m from 1.83 m/s says: v² / (2 · 5/7 · ρ g) (closed form)', () => {
    const { runM } = runOut(
      { landSpeedMps: 1.83, descentDeg: 0, landSpinRpm: 0 },
      { area: 'green', firmness: 'medium', grass: 'bent' },
    );
    // Set down without spin it slips first and keeps 5/7 of its speed.
    const rolling = (5 / 7) * 1.83;
    const slipping = ((1.83 + rolling) / 2) * ((2 * 1.83) / (7 * 0.17 * 9.80665));
    // The air takes half a per cent of so slow a ball.
    expect(runM / (slipping + rolling ** 2 / (2 * (5 / 7) * 0.079 * 9.80665))).toBeCloseTo(0.994, 2);
  });

  it('refuses by name', () => {
    expect(() => runOut({ ...drive, descentDeg: 91 }, MEDIUM_FAIRWAY)).toThrowError(
      'descentDeg must be between 0 and 90, not 91',
    );
    expect(() => runOut(drive, { ...MEDIUM_FAIRWAY, grass: 'moss' as never })).toThrowError(
      InvalidInputError,
    );
    expect(() => runOut(drive, { ...MEDIUM_FAIRWAY, grass: 'moss' as never })).toThrowError(
      'surface.grass must be one of',
    );
  });
});
