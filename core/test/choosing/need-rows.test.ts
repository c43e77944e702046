import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bagChoosing,
  needCosts,
  needRows,
  PLACES_OF_MANY,
  PLAIN_TASTE,
  TOUR_HANDICAP,
  requireNeed,
  strokesWith,
  type Need,
} from '../../src/index.js';
import { strongSetWedge } from '../bag-of-clubs.js';

const approach: Need = {
  name: '6th, approach a',
  distanceM: 80,
  to: 'green',
  lie: 'fairway',
  mustHold: true,
  weight: 0.6,
  hitFromM: [75, 80, 85],
};
const layUp: Need = {
  name: '5th, lay-up',
  distanceM: 200,
  leftM: 100,
  to: 'fairway',
  lie: 'fairway',
  mustHold: false,
  weight: 1,
  hitFromM: [290, 310],
  trouble: [
    { kind: 'water', side: 'across', fromM: 150, toM: 170 },
    { kind: 'bunker', side: 'left', fromM: -40, toM: 5 },
  ],
};

describe('a need that stands for shots from several places', () => {
  it('is a row for each: an approach as long as it is from the hole, a lay-up with as much more left and its trouble as much farther', () => {
    expect(
      needRows([approach]).map(({ distanceM, weight, hitFromM }) => [
        distanceM,
        +weight.toFixed(9),
        hitFromM,
      ]),
    ).toEqual([
      [75, 0.2, undefined],
      [80, 0.2, undefined],
      [85, 0.2, undefined],
    ]);
    const rows = needRows([layUp]);
    expect(rows.map(({ distanceM, leftM }) => [distanceM, leftM])).toEqual([
      [200, 90],
      [200, 110],
    ]);
    expect(rows.map(({ trouble }) => trouble!.map(({ fromM, toM }) => [fromM, toM]))).toEqual([
      [[140, 160]],
      [
        [160, 180],
        [-30, 15],
      ],
    ]);
    const plain: Need = {
      name: 'x',
      distanceM: 100,
      to: 'green',
      lie: 'fairway',
      mustHold: false,
      weight: 1,
    };
    expect(needRows([plain, { ...plain, hitFromM: [] }])).toEqual([plain, plain]);
  });

  it('weighs what it weighed, and costs the mean of its places, each with its best club', () => {
    const clubs = strongSetWedge();
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            at: fc.double({ min: 40, max: 220, noNaN: true }),
            places: fc.array(fc.double({ min: -15, max: 15, noNaN: true }), { maxLength: 6 }),
            weight: fc.double({ min: 0.05, max: 3, noNaN: true }),
          }),
          { minLength: 1, maxLength: 6 },
        ),
        (asked) => {
          const needs = asked.map(({ at, places, weight }, i): Need => ({
            ...approach,
            name: `need ${i}`,
            distanceM: at,
            weight,
            hitFromM: places.map((by) => at + by),
          }));
          const rows = needRows(needs);
          expect(rows.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(
            asked.reduce((sum, { weight }) => sum + weight, 0),
            9,
          );
          const { model, order } = bagChoosing(clubs, needs, {
            ...PLAIN_TASTE,
            swings: 10,
            handicap: TOUR_HANDICAP,
          });
          const weights = asked.reduce((sum, { weight }) => sum + weight, 0);
          // One of several places is looked at a little less closely than one alone.
          const placesOf = (row: Need) =>
            needs.find(({ name }) => name === row.name)!.hitFromM!.length > 1 ? PLACES_OF_MANY : undefined;
          rows.forEach((row, r) => {
            order.forEach((club, c) => {
              expect(model.needs[r]![c]!).toBeCloseTo(
                (strokesWith(row, club, placesOf(row)).strokes * row.weight * 10) / weights,
                9,
              );
            });
          });
          expect(needCosts(clubs, needs)).toHaveLength(rows.length);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('refuses more places than it may have, and places that are none', () => {
    expect(() => {
      requireNeed({ ...approach, hitFromM: Array.from({ length: 13 }, () => 80) });
    }).toThrow('hitFromM must be at most 12 places, not 13');
    expect(() => {
      requireNeed({ ...approach, hitFromM: [0] });
    }).toThrow('hitFromM must be between 1 and 1300, not 0');
  });
});
