import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { partSwing } from '../../src/choosing/part-swing.js';
import { aimed } from '../../src/choosing/aimed-shot.js';
import { partSwingFor, strokesWith } from '../../src/choosing/strokes-for.js';
import type { ShotDemand } from '../../src/choosing/shot-demand.js';
import type { PlayedShot } from '../../src/choosing/played-shot.js';
import { strongSetWedge } from '../bag-of-clubs.js';
import {
  BASELINE,
  CALM,
  MEDIUM_FAIRWAY,
  USUAL_GROUND,
  scatterOf,
  usualHole,
  usualSpreadShare,
  type RoundDay,
} from '../../src/index.js';
import { dayShots, holePlayer } from '../../src/rounds/play-hole.js';

const full: PlayedShot = { carryM: 112, totalM: 115, spreadM: 4, source: 'measured', sampleSize: 20 };
const wedge = { kind: 'wedge' as const, loftDeg: 46, shots: { full } };
const pitch = (distanceM: number): ShotDemand => ({
  name: 'pitch',
  distanceM,
  to: 'green',
  lie: 'fairway',
  mustHold: false,
  weight: 1,
});

describe('a wedge or short iron swung less than full', () => {
  it('carries whatever is asked up to its full carry, no closer than any shot of the player, and costs more the shorter it is (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 111, noNaN: true }),
        fc.double({ min: 10, max: 111, noNaN: true }),
        (a, b) => {
          const [shorter, longer] = [
            partSwing(wedge, Math.min(a, b), -4)![1],
            partSwing(wedge, Math.max(a, b), -4)![1],
          ];
          expect(longer.carryM).toBe(Math.max(a, b));
          expect(shorter.spreadM).toBeGreaterThanOrEqual(usualSpreadShare(-4) * shorter.carryM);
          expect(scatterOf('wedge', 54, shorter, -4).alongM).toBeGreaterThanOrEqual(3);
          expect(shorter.spreadM).toBeLessThanOrEqual(longer.spreadM!);
          expect(shorter.effortStrokes).toBeGreaterThanOrEqual(longer.effortStrokes!);
          expect(longer.effortStrokes).toBeLessThan(0.04);
        },
      ),
    );
  });

  it('is nothing a long iron or a wood is swung in, nor more than full, nor a club without a carry', () => {
    expect(partSwing({ ...wedge, kind: 'iron', loftDeg: 30 }, 60, -4)).toBeUndefined();
    expect(partSwing({ ...wedge, kind: 'fairway', loftDeg: 15 }, 60, -4)).toBeUndefined();
    expect(partSwing(wedge, 113, -4)).toBeUndefined();
    expect(partSwing({ ...wedge, shots: {} }, 60, -4)).toBeUndefined();
    expect(partSwing({ ...wedge, kind: 'iron', loftDeg: 41 }, 60, -4)![0]).toBe('half');
  });

  it('comes to rest where the need is, out of rough and uphill too', () => {
    for (const demand of [
      pitch(70),
      { ...pitch(70), lie: 'light rough' as const },
      { ...pitch(70), elevationChangeM: 6 },
    ]) {
      const [kind, shot] = partSwingFor(demand, wedge)!;
      const { carryM, greenRunM } = aimed(demand, wedge, kind, shot);
      expect(carryM + greenRunM).toBeCloseTo(70, 6);
    }
  });

  it('a club with a recorded part swing is never the worse for it', () => {
    const practised = {
      ...wedge,
      shots: {
        full,
        'three-quarter': { carryM: 95, spreadM: 3, source: 'measured' as const, sampleSize: 20 },
      },
    };
    for (const distanceM of [50, 70, 90, 97, 110])
      expect(strokesWith(pitch(distanceM), practised).strokes).toBeLessThanOrEqual(
        strokesWith(pitch(distanceM), wedge).strokes + 1e-12,
      );
  });

  it('a player with full carries alone reaches the green from inside the shortest club without playing back and forth', () => {
    const day: RoundDay = {
      course: { tees: ['Back'], holes: Array.from({ length: 9 }, () => usualHole(4, [330])), altitudeM: 0 },
      tee: 0,
      air: CALM,
      ground: USUAL_GROUND,
    };
    const from = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
    const clubs = strongSetWedge();
    const player = holePlayer(day, clubs, dayShots(day, from));
    const scores = Array.from({ length: 300 }, (_one, i) => player.play(0, i * 977).strokes);
    expect(Math.max(...scores)).toBeLessThan(8);
  });
});
