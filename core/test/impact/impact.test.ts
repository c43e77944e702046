import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  CLUB_KINDS,
  ballSpeedRatio,
  impact,
  stockDelivery,
  type ClubKind,
  type Delivery,
} from '../../src/index.js';
import { HEADS } from '../../src/impact/heads.js';

const seven: Delivery = { kind: 'iron', clubSpeedMps: 40.2, loftDeg: 34, attackDeg: -4, shaftLeanDeg: 10.6 };
const kinds = CLUB_KINDS.filter((kind) => kind !== 'putter');

describe('impact', () => {
  it('gives a launch between the path and the face, and spin with the spin loft (property)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...kinds),
        fc.double({ min: 15, max: 60, noNaN: true }),
        fc.double({ min: 8, max: 64, noNaN: true }),
        (kind, speed, loft) => {
          const delivery = { ...stockDelivery(kind, loft, speed), clubSpeedMps: speed };
          const { launchDeg, ballSpeedMps, spinRpm } = impact(delivery);
          const dynamic = delivery.loftDeg - delivery.shaftLeanDeg;
          fc.pre(dynamic > delivery.attackDeg);
          expect(launchDeg).toBeLessThanOrEqual(dynamic);
          expect(launchDeg).toBeGreaterThanOrEqual(delivery.attackDeg);
          expect(ballSpeedMps).toBeLessThan(1.6 * speed);
          expect(spinRpm).toBeGreaterThanOrEqual(0);
        },
      ),
      { numRuns: 1000 },
    );
  });

  it('scales with the speed of the head: rigid and sticking, it knows no speed of its own', () => {
    const [slow, fast] = [impact({ ...seven, clubSpeedMps: 20 }), impact({ ...seven, clubSpeedMps: 40 })];
    expect(fast.ballSpeedMps / slow.ballSpeedMps).toBeCloseTo(2, 10);
    expect(fast.spinRpm / slow.spinRpm).toBeCloseTo(2, 10);
    expect(fast.launchDeg).toBeCloseTo(slow.launchDeg, 10);
  });

  it('conserves momentum across the face: a restitution of e and masses m, M give (1 + e) / (1 + m/M) (closed form, Penner 2003)', () => {
    const { ballSpeedMps, spinRpm } = impact({
      kind: 'iron',
      clubSpeedMps: 30,
      loftDeg: 10,
      shaftLeanDeg: 10,
      attackDeg: 0,
    });
    expect(spinRpm).toBeCloseTo(0, 8);
    expect(ballSpeedMps).toBeCloseTo(
      (30 * (1 + HEADS.iron!.restitution)) / (1 + 0.04593 / HEADS.iron!.massKg),
      8,
    );
  });

  it('loses spin and gains launch where friction cannot hold the ball: wet grass on a wedge', () => {
    const lob: Delivery = { kind: 'wedge', clubSpeedMps: 35, loftDeg: 60, attackDeg: -5, shaftLeanDeg: 8 };
    const dry = impact(lob);
    const wet = impact({ ...lob, friction: 0.15 });
    expect(wet.spinRpm).toBeLessThan(dry.spinRpm * 0.7);
    expect(wet.launchDeg).toBeGreaterThan(dry.launchDeg + 2);
  });

  it('is slower with a cold ball', () => {
    expect(ballSpeedRatio('driver', 5, 21)).toBeLessThan(1);
    expect(impact({ ...seven, ballTemperatureC: 5 }).ballSpeedMps).toBeLessThan(impact(seven).ballSpeedMps);
    expect(ballSpeedRatio('iron', 30, 10) * ballSpeedRatio('iron', 10, 30)).toBeCloseTo(1, 12);
  });

  it('refuses by name', () => {
    expect(() => impact({ ...seven, clubSpeedMps: 200 })).toThrowError(
      'clubSpeedMps must be between 1 and 80, not 200',
    );
    expect(() => impact({ ...seven, kind: 'putter' as ClubKind })).toThrowError('kind must be one of');
  });
});
