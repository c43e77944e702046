import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MIN_TEE_BALLS, normalFrom, randomFrom, teeGainOf, type Shot } from '../../src/index.js';

const middle = (mean: number, spread: number) => ({ mean, robust: mean, spread, plusMinus: undefined });
const measured = (carryM: number, sampleSize: number, spreadM = 8): Shot => ({
  carryM,
  source: 'measured',
  sampleSize,
  spreadM,
});
const metres = fc.double({ min: 60, max: 260, noNaN: true });
const spreads = fc.double({ min: 2, max: 20, noNaN: true });

describe('what a tee gives', () => {
  it('is the difference of the two means, where both are known well', () => {
    const { gainM, plusMinusM } = teeGainOf({ n: 400, carryM: middle(212, 8) }, measured(205, 400))!;
    expect(gainM).toBeGreaterThan(6.8);
    expect(gainM).toBeLessThan(7);
    expect(plusMinusM).toBeLessThan(1.2);
  });

  it('is next to nothing where a stated carry and few balls leave all open, and said to be as open', () => {
    const { gainM, plusMinusM } = teeGainOf(
      { n: 4, carryM: middle(212, 16) },
      { carryM: 205, source: 'stated' },
    )!;
    expect(gainM).toBeLessThan(3);
    expect(plusMinusM).toBeGreaterThan(7);
  });

  it('is of the sign of the difference, no larger than it, and known no worse than before anything was hit', () => {
    fc.assert(
      fc.property(
        metres,
        metres,
        spreads,
        fc.integer({ min: MIN_TEE_BALLS, max: 200 }),
        (off, on, spread, n) => {
          const { gainM, plusMinusM } = teeGainOf(
            { n, carryM: middle(on, spread) },
            measured(off, 20, spread),
          )!;
          expect(Math.sign(gainM)).toBe(Math.sign(on - off));
          expect(Math.abs(gainM)).toBeLessThanOrEqual(Math.abs(on - off));
          expect(plusMinusM).toBeLessThanOrEqual(1.96 * 0.03 * off + 1e-9);
        },
      ),
    );
  });

  it('is right within its interval 95 times in 100, in players drawn as it takes them to be', () => {
    const normal = normalFrom(randomFrom(19));
    const [carryM, spreadM, balls] = [190, 9, 10];
    let inside = 0;
    for (let player = 0; player < 4000; player++) {
      const gain = normal() * 0.03 * carryM;
      const mean = (from: number) => from + (normal() * spreadM) / Math.sqrt(balls);
      const turf = measured(mean(carryM), balls, spreadM);
      const told = teeGainOf({ n: balls, carryM: middle(mean(carryM + gain), spreadM) }, turf)!;
      if (Math.abs(told.gainM - gain) < told.plusMinusM) inside += 1;
    }
    // Three standard errors of 4,000 draws.
    expect(Math.abs(inside / 4000 - 0.95)).toBeLessThan(0.0104);
  });

  it('is doubted where no tee makes the difference: the carry off the turf was only said', () => {
    const stated: Shot = { carryM: 150, source: 'stated' };
    const of = (carryM: number, turf: Shot) =>
      teeGainOf({ n: 25, carryM: middle(carryM, 8) }, turf)!.isDoubtful;
    expect([of(121, stated), of(160, stated), of(212, measured(205, 40))]).toEqual([true, false, false]);
  });

  it(`is not said of fewer than ${MIN_TEE_BALLS} balls`, () => {
    expect(teeGainOf({ n: MIN_TEE_BALLS - 1, carryM: middle(212, 8) }, measured(205, 40))).toBeUndefined();
  });
});
