import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { binomialInterval } from '../../src/index.js';

describe('the exact interval of a share', () => {
  // R. G. Newcombe, Statistics in Medicine 17 (1998) 857-872, table I, method 5 (Clopper-Pearson); from memory.
  it.each([
    [81, 263, 0.2527, 0.3676],
    [15, 148, 0.0578, 0.1617],
    [0, 20, 0, 0.1684],
    [1, 29, 0.0009, 0.1776],
  ])('%i of %i: %f to %f, as published', (hits, n, low, high) => {
    const [from, to] = binomialInterval(hits, n);
    expect(from).toBeCloseTo(low, 4);
    expect(to).toBeCloseTo(high, 4);
  });

  it('has a closed form where none hit, and where all did', () => {
    for (const n of [1, 5, 40, 400]) {
      expect(binomialInterval(0, n)[1]).toBeCloseTo(1 - 0.025 ** (1 / n), 9);
      expect(binomialInterval(n, n)[0]).toBeCloseTo(0.025 ** (1 / n), 9);
    }
  });

  it('holds the share itself, mirrors, and is no wider with more of the same', () => {
    fc.assert(
      fc.property(
        fc
          .integer({ min: 1, max: 200 })
          .chain((n) => fc.tuple(fc.integer({ min: 0, max: n }), fc.constant(n))),
        ([hits, n]) => {
          const [low, high] = binomialInterval(hits, n);
          expect(low).toBeLessThanOrEqual(hits / n);
          expect(high).toBeGreaterThanOrEqual(hits / n);
          const [mirroredLow, mirroredHigh] = binomialInterval(n - hits, n);
          expect(mirroredLow).toBeCloseTo(1 - high, 9);
          expect(mirroredHigh).toBeCloseTo(1 - low, 9);
          const [lower, higher] = binomialInterval(hits * 2, n * 2);
          expect(higher - lower).toBeLessThanOrEqual(high - low + 1e-9);
        },
      ),
    );
  });

  it.each([
    [1, 0, 'n'],
    [1, 2.5, 'n'],
    [-1, 5, 'hits'],
    [6, 5, 'hits'],
    [0.5, 5, 'hits'],
  ])('%f of %f is refused by name', (hits, n, field) => {
    expect(() => binomialInterval(hits, n)).toThrow(field);
  });
});
