import fc from 'fast-check';
// @ts-expect-error -- the package ships no types
import jstat from 'jstat';
import * as simple from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import {
  deviationOf,
  ellipseOf,
  ellipseOutline,
  equivalence,
  isOutlying,
  meanHalfWidth,
  meanOf,
  normalCdf,
  outlyingness,
  quantileOf,
  randomFrom,
  robustMeanOf,
  shotsForMean,
  shuffled,
} from '../../src/index.js';
import { medianDeviationOf } from '../../src/statistics/robust.js';
import { studentTCdf } from '../../src/statistics/student-t.js';

const { jStat } = jstat as unknown as {
  jStat: {
    quantiles(values: readonly number[], ps: readonly number[], alphap: number, betap: number): number[];
    normal: { cdf(x: number, mean: number, sd: number): number };
    studentt: { cdf(t: number, df: number): number };
  };
};

const numbers = fc.array(fc.double({ min: -500, max: 500, noNaN: true }), { minLength: 2, maxLength: 40 });

describe('what a sample shows, against simple-statistics and jStat', () => {
  it('mean, deviation, scaled median deviation', () => {
    fc.assert(
      fc.property(numbers, (values) => {
        expect(meanOf(values)).toBeCloseTo(simple.mean(values), 8);
        expect(deviationOf(values)).toBeCloseTo(simple.sampleStandardDeviation(values), 8);
        expect(medianDeviationOf(values)).toBeCloseTo(1.4826 * simple.medianAbsoluteDeviation(values), 8);
      }),
    );
  });

  it('quantiles of definition 7', () => {
    fc.assert(
      fc.property(
        numbers,
        fc.integer({ min: 1, max: 19 }).map((twentieths) => twentieths / 20),
        (values, p) => {
          expect(quantileOf(values, p)).toBeCloseTo(jStat.quantiles(values, [p], 1, 1)[0]!, 8);
        },
      ),
    );
  });

  it('the normal distribution', () => {
    for (let x = -8; x <= 8; x += 0.137)
      expect(Math.abs(normalCdf(x) - jStat.normal.cdf(x, 0, 1))).toBeLessThan(1e-9);
    expect(normalCdf(40)).toBe(1);
    expect(normalCdf(-1.959963984540054)).toBeCloseTo(0.025, 12);
  });
});

describe('robust statistics', () => {
  // W. N. Venables and B. D. Ripley, Modern Applied Statistics with S (2002), section 5.5: copper in
  // wholemeal flour. Data and answers from memory.
  const copper = [
    2.9, 3.1, 3.4, 3.4, 3.7, 3.7, 2.8, 2.5, 2.4, 2.4, 2.7, 2.2, 5.28, 3.37, 3.03, 3.03, 28.95, 3.77, 3.4, 2.2,
    3.5, 3.6, 3.7, 3.7,
  ];

  it('shows the one wild value, and neither of two samples too small to tell', () => {
    expect(
      outlyingness(copper)
        .map(isOutlying)
        .flatMap((wild, i) => (wild ? [copper[i]] : [])),
    ).toEqual([5.28, 28.95]);
    expect(outlyingness([1, 2, 3, 900]).some(isOutlying)).toBe(false);
    expect(outlyingness([5, 5, 5, 5, 5, 9]).some(isOutlying)).toBe(false);
  });

  it('moves with its sample: shifting and scaling the values shifts and scales the mean', () => {
    fc.assert(
      fc.property(
        numbers,
        fc.double({ min: -100, max: 100, noNaN: true }),
        fc.double({ min: 0.1, max: 10, noNaN: true }),
        (values, shift, scale) => {
          expect(robustMeanOf(values.map((value) => value * scale + shift))).toBeCloseTo(
            robustMeanOf(values) * scale + shift,
            4,
          );
        },
      ),
    );
  });
});

describe('how many shots', () => {
  it('are the fewest that bring the interval within the margin', () => {
    const n = shotsForMean(4, 2)!;
    expect(meanHalfWidth(4, n)!).toBeLessThanOrEqual(2);
    expect(meanHalfWidth(4, n - 1)!).toBeGreaterThan(2);
    // Checked by hand with the table of t: 2.101 * 4 / sqrt(19) = 1.93 and 2.110 * 4 / sqrt(18) = 1.99, 2.120
    // * 4 / sqrt(17) = 2.06.
    expect(n).toBe(18);
    expect(shotsForMean(400, 1)).toBeUndefined();
  });
});

describe('two one-sided tests', () => {
  it('agree with the interval at 90 %, and with jStat’s t', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -6, max: 6, noNaN: true }),
        fc.double({ min: 0.3, max: 2, noNaN: true }),
        fc.double({ min: 0.3, max: 2, noNaN: true }),
        fc.integer({ min: 3, max: 40 }),
        (by, errorA, errorB, n) => {
          const { p, low, high, df } = equivalence(
            { mean: by, standardError: errorA, n },
            { mean: 0, standardError: errorB, n: n + 2 },
            4,
          );
          const error = Math.hypot(errorA, errorB);
          const theirs = Math.max(
            jStat.studentt.cdf((by - 4) / error, df),
            1 - jStat.studentt.cdf((by + 4) / error, df),
          );
          // jStat's own distribution is off by up to 3e-8 near zero; Simpson's rule, below, holds ours to
          // 1e-10.
          expect(Math.abs(p - theirs)).toBeLessThan(5e-8);
          if (Math.abs(p - 0.05) > 1e-9) expect(p < 0.05).toBe(low > -4 && high < 4);
        },
      ),
    );
  });
});

describe('Student’s distribution', () => {
  /** Between zero and t, by Simpson's rule over the density. */
  const simpson = (t: number, df: number) => {
    const steps = 4000;
    const width = t / steps;
    const kernel = (x: number) => (1 + x ** 2 / df) ** (-(df + 1) / 2);
    let sum = 0;
    for (let i = 0; i < steps; i++) {
      sum += kernel(i * width) + 4 * kernel((i + 0.5) * width) + kernel((i + 1) * width);
    }
    return (sum * width) / 6;
  };

  it('is the integral of its density, near zero too (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 8, noNaN: true }),
        fc.double({ min: 12, max: 90, noNaN: true }),
        (t, df) => {
          // The density's constant from the whole integral, so that no gamma function of ours has a say.
          expect(studentTCdf(t, df) - 0.5).toBeCloseTo(simpson(t, df) / (2 * simpson(60, df)), 9);
          expect(studentTCdf(-t, df)).toBeCloseTo(1 - studentTCdf(t, df), 12);
        },
      ),
    );
  });
});

describe('the ellipse', () => {
  it('of points on a slanted line is that line', () => {
    const { major, minor, turn } = ellipseOf([0, 1, 2, 3], [0, 2, 4, 6])!;
    expect(minor).toBeCloseTo(0, 6);
    expect(major).toBeCloseTo(
      Math.hypot(simple.sampleStandardDeviation([0, 1, 2, 3]), simple.sampleStandardDeviation([0, 2, 4, 6])),
      6,
    );
    expect(Math.tan(turn)).toBeCloseTo(2, 6);
    expect(ellipseOf([1, 2], [1, 2])).toBeUndefined();
  });

  it('has an outline whose points are all as far out as its scale', () => {
    const ellipse = { x: 150, y: -2, major: 6, minor: 3, turn: 0.4 };
    for (const [x, y] of ellipseOutline(ellipse, 2)) {
      const [dx, dy] = [x - 150, y + 2];
      expect(
        Math.hypot(
          (dx * Math.cos(0.4) + dy * Math.sin(0.4)) / 6,
          (-dx * Math.sin(0.4) + dy * Math.cos(0.4)) / 3,
        ),
      ).toBeCloseTo(2, 9);
    }
  });
});

describe('random orders', () => {
  it('hold everything once and are the same for one seed', () => {
    fc.assert(
      fc.property(fc.array(fc.integer()), fc.integer(), (list, seed) => {
        const order = shuffled(list, randomFrom(seed));
        expect([...order].sort()).toEqual([...list].sort());
        expect(shuffled(list, randomFrom(seed))).toEqual(order);
      }),
    );
  });
});
