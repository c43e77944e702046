import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bagChoosing,
  demandCosts,
  DEFAULT_CHOOSING_RULES,
  TOUR_HANDICAP,
  type ShotDemand,
} from '../../src/index.js';
import { demandRows } from '../../src/choosing/demand-rows.js';
import { strokesWith } from '../../src/choosing/strokes-for.js';
import { PLACES_OF_MANY } from '../../src/choosing/strokes-of-aim.js';
import { requireDemand } from '../../src/choosing/shot-demand.js';
import { strongSetWedge } from '../bag-of-clubs.js';

const approach: ShotDemand = {
  name: '6th, approach a',
  distanceM: 80,
  to: 'green',
  lie: 'fairway',
  mustHold: true,
  weight: 0.6,
  hitFromM: [75, 80, 85],
};
const layUp: ShotDemand = {
  name: '5th, lay-up',
  distanceM: 200,
  leftM: 100,
  to: 'fairway',
  lie: 'fairway',
  mustHold: false,
  weight: 1,
  hitFromM: [290, 310],
  hazards: [
    { kind: 'water', side: 'across', fromM: 150, toM: 170 },
    { kind: 'bunker', side: 'left', fromM: -40, toM: 5 },
  ],
};

describe('a need that stands for shots from several places', () => {
  it('is a row for each: an approach as long as it is from the hole, a lay-up with as much more left and its hazards as much farther', () => {
    expect(
      demandRows([approach]).map(({ distanceM, weight, hitFromM }) => [
        distanceM,
        +weight.toFixed(9),
        hitFromM,
      ]),
    ).toEqual([
      [75, 0.2, undefined],
      [80, 0.2, undefined],
      [85, 0.2, undefined],
    ]);
    const rows = demandRows([layUp]);
    expect(rows.map(({ distanceM, leftM }) => [distanceM, leftM])).toEqual([
      [200, 90],
      [200, 110],
    ]);
    expect(rows.map(({ hazards }) => hazards!.map(({ fromM, toM }) => [fromM, toM]))).toEqual([
      [[140, 160]],
      [
        [160, 180],
        [-30, 15],
      ],
    ]);
    const plain: ShotDemand = {
      name: 'x',
      distanceM: 100,
      to: 'green',
      lie: 'fairway',
      mustHold: false,
      weight: 1,
    };
    expect(demandRows([plain, { ...plain, hitFromM: [] }])).toEqual([plain, plain]);
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
          const needs = asked.map(({ at, places, weight }, i): ShotDemand => ({
            ...approach,
            name: `need ${i}`,
            distanceM: at,
            weight,
            hitFromM: places.map((by) => at + by),
          }));
          const rows = demandRows(needs);
          expect(rows.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(
            asked.reduce((sum, { weight }) => sum + weight, 0),
            9,
          );
          const { model, clubs: order } = bagChoosing(clubs, needs, {
            ...DEFAULT_CHOOSING_RULES,
            swings: 10,
            handicap: TOUR_HANDICAP,
          });
          const weights = asked.reduce((sum, { weight }) => sum + weight, 0);
          // One of several places is looked at a little less closely than one alone.
          const placesOf = (row: ShotDemand) =>
            needs.find(({ name }) => name === row.name)!.hitFromM!.length > 1 ? PLACES_OF_MANY : undefined;
          rows.forEach((row, r) => {
            order.forEach((club, c) => {
              expect(model.needs[r]![c]!).toBeCloseTo(
                (strokesWith(row, club, placesOf(row)).strokes * row.weight * 10) / weights,
                9,
              );
            });
          });
          expect(demandCosts(clubs, needs)).toHaveLength(rows.length);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('refuses more places than it may have, and places that are none', () => {
    expect(() => {
      requireDemand({ ...approach, hitFromM: Array.from({ length: 13 }, () => 80) });
    }).toThrow('hitFromM must be at most 12 places, not 13');
    expect(() => {
      requireDemand({ ...approach, hitFromM: [0] });
    }).toThrow('hitFromM must be between 1 and 1300, not 0');
  });
});
