import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { falling, gaussianProcess, solveRising } from '../../src/index.js';

const kernel = (a: number, b: number) => 2 * Math.exp(-((a - b) ** 2) / 8);

describe('gaussian process', () => {
  it('is the prior without data', () => {
    expect(gaussianProcess<number>([], [], [], kernel).at(3)).toEqual({ mean: 0, variance: 2 });
  });

  it("is the textbook's answer for one point: k/(k0+s) y and k0 - k²/(k0+s) (Rasmussen and Williams 2006, 2.25 and 2.26)", () => {
    const { mean, variance } = gaussianProcess([1], [0.7], [0.5], kernel).at(2);
    const k = kernel(1, 2);
    expect(mean).toBeCloseTo((k / 2.5) * 0.7, 12);
    expect(variance).toBeCloseTo(2 - (k * k) / 2.5, 12);
  });

  it("is the textbook's answer for two, by the inverse of a 2 by 2 written out", () => {
    const [x, y] = [
      [0, 3],
      [1, -0.4],
    ];
    const [a, b, d] = [2 + 0.1, kernel(0, 3), 2 + 0.2];
    const [k0, k1] = [kernel(1, 0), kernel(1, 3)];
    const determinant = a * d - b * b;
    const { mean, variance } = gaussianProcess(x, y, [0.1, 0.2], kernel).at(1);
    expect(mean).toBeCloseTo((k0 * (d * y[0]! - b * y[1]!) + k1 * (a * y[1]! - b * y[0]!)) / determinant, 10);
    expect(variance).toBeCloseTo(2 - (k0 * (d * k0 - b * k1) + k1 * (a * k1 - b * k0)) / determinant, 10);
  });

  it('is never surer than its data nor less sure than its prior (property)', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.double({ min: -9, max: 9, noNaN: true }), fc.double({ min: -3, max: 3, noNaN: true })),
          { maxLength: 12 },
        ),
        fc.double({ min: -12, max: 12, noNaN: true }),
        (data, at) => {
          const { variance } = gaussianProcess(
            data.map(([x]) => x),
            data.map(([, y]) => y),
            data.map(() => 0.2),
            kernel,
          ).at(at);
          expect(variance).toBeGreaterThanOrEqual(0);
          expect(variance).toBeLessThanOrEqual(2 + 1e-9);
        },
      ),
    );
  });
});

describe('falling', () => {
  const data = fc.array(
    fc.tuple(fc.double({ min: -50, max: 50, noNaN: true }), fc.double({ min: 0.1, max: 5, noNaN: true })),
    { minLength: 1, maxLength: 30 },
  );

  it('falls, keeps the weighted sum, and leaves what falls already alone (property)', () => {
    fc.assert(
      fc.property(data, (pairs) => {
        const values = pairs.map(([value]) => value);
        const weights = pairs.map(([, weight]) => weight);
        const fitted = falling(values, weights);
        for (let i = 1; i < fitted.length; i++) expect(fitted[i]!).toBeLessThanOrEqual(fitted[i - 1]! + 1e-9);
        const sum = (list: readonly number[]) =>
          list.reduce((total, value, i) => total + value * weights[i]!, 0);
        expect(sum(fitted)).toBeCloseTo(sum(values), 6);
        const sorted = [...values].sort((a, b) => b - a);
        expect(falling(sorted, weights)).toEqual(sorted);
      }),
    );
  });
});

describe('solveRising', () => {
  it('finds where a rising function takes a value (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 30, noNaN: true }),
        (power, value) => {
          const f = (x: number) => x ** power;
          const x = solveRising(f, value, 0, 40, 1e-6);
          if (value < f(40)) expect(Math.abs(f(x) - value)).toBeLessThan(1e-4);
          else expect(x).toBe(40);
        },
      ),
    );
  });
});
