import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { coverage, uncovered, type DistanceCover, type LadderClub } from '../../src/index.js';

const club = (id: string, carryM: number, spreadM: number): LadderClub => ({
  id,
  name: id,
  kind: 'iron',
  shots: { full: { carryM, source: 'measured', sampleSize: 20, spreadM } },
});
const cover = (carryM: number, reliability: number): DistanceCover => ({
  carryM,
  reliability,
  best: { clubId: carryM < 105 ? 'low' : 'high', shot: 'full' },
});

describe('what a bag leaves uncovered', () => {
  it('is each stretch under the chance, with what is nearest at both ends; a dip of a metre is none', () => {
    const covers = [cover(100, 0.9), cover(101, 0.39), cover(102, 0.8), cover(103, 0.3)];
    expect(uncovered([...covers, cover(104, 0.1), cover(105, 0.2), cover(106, 0.39)])).toEqual([
      {
        fromM: 103,
        toM: 106,
        worst: 0.1,
        nearest: [
          { clubId: 'low', shot: 'full' },
          { clubId: 'high', shot: 'full' },
        ],
      },
    ]);
  });

  it('lies between the two clubs of a wide step, and is nothing where they are near (property)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 60 }), fc.integer({ min: 2, max: 6 }), (step, spread) => {
        const covers = coverage(
          [club('low', 120, spread), club('high', 120 + step, spread)],
          120,
          120 + step,
          1,
        );
        const stretches = uncovered(covers);
        expect(stretches.length).toBeLessThanOrEqual(1);
        for (const { fromM, toM, worst, nearest } of stretches) {
          expect(fromM).toBeGreaterThan(120);
          expect(toM).toBeLessThan(120 + step);
          expect(worst).toBe(Math.min(...covers.map(({ reliability }) => reliability)));
          expect(nearest.map((best) => best?.clubId)).toEqual(['low', 'high']);
        }
        // A window of 5 yd on either side of both: so near nothing is left out, whatever the spread here.
        if (step <= 9) expect(stretches).toEqual([]);
      }),
    );
  });
});
