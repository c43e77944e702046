import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { expectedStrokes } from '../../src/index.js';
import { aimed, type Aimed, type ShotTarget } from '../../src/choosing/aimed-shot.js';
import { leastStrokesOfAim, strokesOfAim } from '../../src/choosing/strokes-of-aim.js';
import { shotsFor, strokesWith } from '../../src/choosing/strokes-for.js';
import { club } from '../bag-of-clubs.js';

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const handicaps = between(-6, 36);
const aims: fc.Arbitrary<Aimed> = fc.record({
  carryM: between(5, 320),
  fairwayRunM: between(0, 40),
  greenRunM: between(0, 25),
  alongM: between(0.5, 30),
  acrossM: between(0.5, 40),
  mishitShare: between(0, 0.4),
  mishitShortM: fc.oneof(fc.constant(0), between(0, 80)),
  strokes: between(1, 1.5),
  handicap: handicaps,
});
const missStrokes = between(-1, 2);
const hazards = fc.array(
  fc
    .record({
      kind: fc.constantFrom('bunker' as const, 'trees' as const, 'water' as const, 'out of bounds' as const),
      side: fc.constantFrom('left' as const, 'right' as const, 'across' as const),
      fromM: between(-40, 500),
      deepM: between(1, 120),
    })
    .map(({ deepM, ...one }) => ({ ...one, toM: one.fromM + deepM })),
  { maxLength: 4 },
);
const targets: fc.Arbitrary<ShotTarget> = fc.oneof(
  fc.record({
    to: fc.constant('fairway' as const),
    distanceM: between(1, 330),
    leftM: between(1, 400),
    halfM: between(3, 60),
    mustHold: fc.constant(false),
    missStrokes,
    hazards,
  }),
  fc.record({
    to: fc.constant('green' as const),
    distanceM: between(36, 330),
    halfM: between(3, 60),
    mustHold: fc.boolean(),
    front: fc.constantFrom('sand' as const, 'water' as const),
    missStrokes,
  }),
);

describe('the least an aimed shot takes', () => {
  it('is never more than what it takes, wherever it is aimed and whatever lies there', () => {
    fc.assert(
      fc.property(targets, aims, fc.constantFrom(20, 24, 48), (target, aim, places) => {
        expect(leastStrokesOfAim(target, aim, places)).toBeLessThanOrEqual(
          strokesOfAim(target, aim, places) + 1e-9,
        );
      }),
      { numRuns: 4000 },
    );
  });

  it('says of a wedge on a long hole, and of a driver at a near green, that another club is better', () => {
    const aim = (carryM: number, alongM: number): Aimed => ({
      ...{ carryM, alongM, acrossM: alongM, fairwayRunM: 5, greenRunM: 2 },
      ...{ mishitShare: 0.1, mishitShortM: 10, strokes: 1, handicap: 5 },
    });
    const hole = (distanceM: number): ShotTarget => ({
      to: 'fairway',
      distanceM,
      leftM: 380 - distanceM,
      mustHold: false,
    });
    expect(leastStrokesOfAim(hole(90), aim(85, 5), 20)).toBeGreaterThan(
      strokesOfAim(hole(235), aim(230, 12), 20),
    );
    const green: ShotTarget = { to: 'green', distanceM: 110, mustHold: true };
    expect(leastStrokesOfAim(green, aim(230, 12), 20)).toBeGreaterThan(strokesOfAim(green, aim(108, 5), 20));
  });

  it('rests on this: as near, nothing but the green is better than the fairway, and farther is never better', () => {
    fc.assert(
      fc.property(between(0, 700), between(0, 50), handicaps, (leftM, fartherM, handicap) => {
        const fairway = expectedStrokes('fairway', leftM, handicap);
        for (const lie of ['rough', 'sand'] as const)
          expect(expectedStrokes(lie, leftM, handicap)).toBeGreaterThanOrEqual(fairway);
        for (const lie of ['fairway', 'green'] as const)
          expect(expectedStrokes(lie, leftM + fartherM, handicap)).toBeGreaterThanOrEqual(
            expectedStrokes(lie, leftM, handicap) - 1e-12,
          );
      }),
    );
  });

  it('leaves a club the best of all its shots', () => {
    const iron = club('7 iron', 'iron', 34, 165, {
      partials: {
        soft: { carryM: 140, source: 'stated' },
        hard: { carryM: 157, source: 'stated' },
        half: { carryM: 90, source: 'stated' },
      },
    });
    fc.assert(
      fc.property(targets, handicaps, (target, handicap) => {
        const demand = { ...target, name: '', lie: 'fairway' as const, weight: 1 };
        const best = Math.min(
          ...shotsFor(demand, { ...iron, handicap }).map(([kind, shot]) =>
            strokesOfAim(demand, aimed(demand, { ...iron, handicap }, kind, shot), 24),
          ),
        );
        expect(strokesWith(demand, { ...iron, handicap }, 24).strokes).toBe(best);
      }),
    );
  });
});
