import { describe, expect, it } from 'vitest';
import { normalCdf, normalPlaces } from '../../src/index.js';
import { normalQuantile } from '../../src/statistics/normal-places.js';

describe('points that stand for a round scatter', () => {
  it('the quantile undoes the distribution', () => {
    for (const share of [1e-6, 0.01, 0.2, 0.5, 0.77, 0.999])
      expect(normalCdf(normalQuantile(share))).toBeCloseTo(share, 9);
    expect(normalQuantile(0.975)).toBeCloseTo(1.959964, 6);
  });

  it.each([20, 48, 200])(
    '%i of them: mean 0 and deviation 1 both ways, and an edge across them met to a few of their shares',
    (count) => {
      const points = normalPlaces(count, false);
      const pairs = Array.from({ length: count }, (_one, i) => [points[2 * i]!, points[2 * i + 1]!] as const);
      for (const side of [0, 1] as const) {
        const mean = pairs.reduce((sum, pair) => sum + pair[side], 0) / count;
        expect(Math.abs(mean)).toBeLessThan(2 / count);
        expect(Math.sqrt(pairs.reduce((sum, pair) => sum + pair[side] ** 2, 0) / count)).toBeCloseTo(1, 1);
        for (const edge of [-1.5, -0.4, 0, 0.9])
          expect(
            Math.abs(pairs.filter((pair) => pair[side] < edge).length / count - normalCdf(edge)),
          ).toBeLessThan(2 / count);
      }
      // Within a circle: 1 - exp(-r^2 / 2).
      for (const radius of [0.7, 1.5])
        expect(
          Math.abs(
            pairs.filter(([x, y]) => Math.hypot(x, y) < radius).length / count -
              (1 - Math.exp(-(radius ** 2) / 2)),
          ),
        ).toBeLessThan(4 / count);
    },
  );

  it('half of them lie at the right', () => {
    const points = normalPlaces(48, true);
    for (let i = 1; i < points.length; i += 2) expect(points[i]).toBeGreaterThan(0);
  });
});
