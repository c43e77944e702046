import fc from 'fast-check';
// @ts-expect-error -- the package ships no types
import jstat from 'jstat';
import { describe, expect, it } from 'vitest';
import { studentTQuantile, welchInterval } from '../../src/index.js';
import { incompleteBeta, logGamma, studentTCdf } from '../../src/statistics/student-t.js';

const { jStat } = jstat as unknown as {
  jStat: {
    studentt: { inv(p: number, df: number): number; cdf(t: number, df: number): number };
    ibeta(x: number, a: number, b: number): number;
    gammaln(x: number): number;
  };
};

describe("Student's t, against jstat 1.9", () => {
  it("has jstat's quantiles", () => {
    for (const df of [1, 2, 3.7, 5, 12, 29, 120]) {
      for (const p of [0.6, 0.9, 0.95, 0.975, 0.995]) {
        const expected = jStat.studentt.inv(p, df);
        expect(Math.abs(studentTQuantile(p, df) - expected)).toBeLessThan(1e-6 * Math.max(1, expected));
        expect(studentTQuantile(1 - p, df)).toBeCloseTo(-expected, 5);
      }
    }
  });

  // Closed forms: I_x(1/2, 1/2) = (2/pi) asin(sqrt x); I_x(2, 3) = 6x^2 - 8x^3 + 3x^4.
  it('has the closed forms of the incomplete beta to 12 digits', () => {
    for (const x of [0.01, 0.2, 0.5, 0.93]) {
      expect(incompleteBeta(0.5, 0.5, x)).toBeCloseTo((2 / Math.PI) * Math.asin(Math.sqrt(x)), 12);
      expect(incompleteBeta(2, 3, x)).toBeCloseTo(6 * x ** 2 - 8 * x ** 3 + 3 * x ** 4, 12);
    }
  });

  it("has jstat's incomplete beta and log gamma", () => {
    // jstat stops its continued fraction at 3e-7.
    for (const [a, b, x] of [
      [0.5, 0.5, 0.2],
      [2, 3, 0.7],
      [14.5, 0.5, 0.93],
      [60, 0.5, 0.99],
    ] as const) {
      expect(incompleteBeta(a, b, x)).toBeCloseTo(jStat.ibeta(x, a, b), 7);
    }
    for (const x of [0.5, 1, 3.3, 14.5, 200]) expect(logGamma(x)).toBeCloseTo(jStat.gammaln(x), 9);
  });

  // Table of the t distribution, NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.6.7.2.
  it('has the quantiles of the NIST table', () => {
    expect(studentTQuantile(0.975, 10)).toBeCloseTo(2.228, 3);
    expect(studentTQuantile(0.95, 4)).toBeCloseTo(2.132, 3);
    expect(studentTQuantile(0.9, 28)).toBeCloseTo(1.313, 3);
  });

  it('the quantile undoes the distribution (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 0.999, noNaN: true }),
        fc.double({ min: 1, max: 500, noNaN: true }),
        (p, df) => {
          expect(studentTCdf(studentTQuantile(p, df), df)).toBeCloseTo(p, 8);
        },
      ),
    );
  });

  it('refuses what has no answer by name', () => {
    expect(() => studentTQuantile(1, 5)).toThrow(/p must lie/);
    expect(() => studentTQuantile(0.9, 0)).toThrow(/df must be/);
  });
});

describe("Welch's interval", () => {
  // Worked by hand: s1 = 4, n1 = 9, s2 = 3, n2 = 16; df = (16/9 + 9/16)^2 / ((16/9)^2/8 + (9/16)^2/15) = 13.14.
  it("has Satterthwaite's degrees of freedom and the t of jstat", () => {
    const { low, high, df } = welchInterval(
      { mean: 10, standardError: 4 / 3, n: 9 },
      { mean: 6, standardError: 3 / 4, n: 16 },
      0.95,
    );
    const expectedDf = (16 / 9 + 9 / 16) ** 2 / ((16 / 9) ** 2 / 8 + (9 / 16) ** 2 / 15);
    expect(df).toBeCloseTo(expectedDf, 9);
    const half = jStat.studentt.inv(0.975, expectedDf) * Math.sqrt(16 / 9 + 9 / 16);
    expect(low).toBeCloseTo(4 - half, 5);
    expect(high).toBeCloseTo(4 + half, 5);
  });

  it('covers the true difference as often as it claims, over 10,000 simulated pairs of sessions', () => {
    let seed = 20261124;
    const random = () => {
      // mulberry32, so that the run is the same every time
      seed = (seed + 0x6d2b79f5) | 0;
      let t = Math.imul(seed ^ (seed >>> 15), 1 | seed);
      t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
      return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
    };
    const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const sample = (mean: number, sd: number, n: number) => {
      const shots = Array.from({ length: n }, () => mean + sd * normal());
      const average = shots.reduce((a, b) => a + b) / n;
      const variance = shots.reduce((sum, shot) => sum + (shot - average) ** 2, 0) / (n - 1);
      return { mean: average, standardError: Math.sqrt(variance / n), n };
    };
    const runs = 10_000;
    let covered = 0;
    for (let i = 0; i < runs; i++) {
      const { low, high } = welchInterval(sample(150, 6, 8), sample(138, 4, 12), 0.8);
      if (low <= 12 && high >= 12) covered += 1;
    }
    expect(covered / runs).toBeGreaterThan(0.78);
    expect(covered / runs).toBeLessThan(0.82);
  });
});
