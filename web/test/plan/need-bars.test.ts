import type { ShotDemand } from '@tasche/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { needBars } from '../../src/plan/need-bars';

const demand = (
  playsLikeM: number | undefined,
  weight: number,
  more: Partial<ShotDemand> = {},
): ShotDemand => ({
  name: `at ${playsLikeM}`,
  distanceM: playsLikeM ?? 150,
  to: 'green',
  lie: 'fairway',
  mustHold: false,
  weight,
  ...(playsLikeM !== undefined && { playsLikeM }),
  ...more,
});

describe('the picture of needs', () => {
  it('heaps shots by how far they play, whatever they measure; tee shots, approaches and the short game apart', () => {
    expect(
      needBars(
        [
          demand(152, 1.5),
          demand(150, 0.5),
          demand(149.9, 1),
          demand(230, 2, { to: 'fairway', lie: 'tee' }),
          demand(31, 0.4, { distanceM: 30 }),
          demand(undefined, 9),
        ],
        5,
      ),
    ).toEqual([
      { fromM: 230, toM: 235, asked: { tee: 2, approach: 0, short: 0 }, total: 2 },
      { fromM: 150, toM: 155, asked: { tee: 0, approach: 2, short: 0 }, total: 2 },
      { fromM: 145, toM: 150, asked: { tee: 0, approach: 1, short: 0 }, total: 1 },
      { fromM: 30, toM: 35, asked: { tee: 0, approach: 0, short: 0.4 }, total: 0.4 },
    ]);
  });

  it('loses none and counts none twice', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            at: fc.double({ min: 0, max: 330, noNaN: true }),
            weight: fc.double({ min: 0, max: 6, noNaN: true }),
          }),
          { maxLength: 60 },
        ),
        fc.constantFrom(2, 5, 10),
        (asked, widthM) => {
          const bars = needBars(
            asked.map(({ at, weight }) => demand(at, weight)),
            widthM,
          );
          expect(bars.reduce((sum, { total }) => sum + total, 0)).toBeCloseTo(
            asked.reduce((sum, { weight }) => sum + weight, 0),
            6,
          );
          for (const { fromM, toM, total } of bars)
            expect(total).toBeCloseTo(
              asked.filter(({ at }) => at >= fromM && at < toM).reduce((sum, { weight }) => sum + weight, 0),
              6,
            );
          expect(bars.map(({ fromM }) => fromM)).toEqual(
            [...new Set(bars.map(({ fromM }) => fromM))].sort((a, b) => b - a),
          );
        },
      ),
    );
  });
});
