import {
  BASELINE,
  CALM,
  DEFAULT_PREFERENCES,
  MEDIUM_FAIRWAY,
  USUAL_GROUND,
  usualHole,
  type LadderClub,
  type RoundRequest,
} from '@tasche/core';
import { expect, it } from 'vitest';
import { latestRound, workedAsLatest, workedRound } from '../../src/plan/worked-rounds';

const CLUBS = [150, 138, 126, 110].map((carryM, i): LadderClub => ({
  id: String(i),
  name: `${6 + i} iron`,
  kind: 'iron',
  loftDeg: 30 + 4 * i,
  shots: { full: { carryM, source: 'stated' } },
}));
const HOLES = Array.from({ length: 9 }, () => usualHole(3, [130]));
const request = (more: Partial<RoundRequest> = {}): RoundRequest => ({
  day: {
    course: { tees: ['Back'], holes: HOLES, altitudeM: 0 },
    tee: 0,
    air: CALM,
    ground: USUAL_GROUND,
  },
  clubs: CLUBS,
  from: { conditions: BASELINE, surface: MEDIUM_FAIRWAY },
  preferences: DEFAULT_PREFERENCES,
  ...more,
});

it('a round is worked out once for all that its needs hang on, with its progress', () => {
  expect(() => latestRound()).toThrow('no round has been worked out');
  const shares: number[] = [];
  const first = workedAsLatest(request(), (share) => shares.push(share));
  expect(first.needs.length).toBeGreaterThan(0);
  expect(shares.length).toBeGreaterThan(1);
  expect(shares).toEqual([...shares].sort((a, b) => a - b));
  expect(latestRound()).toEqual({ request: request(), round: first });
  // What a player wants of the bag, but for bounce, changes nothing of what the course asks.
  const dearer = { ...DEFAULT_PREFERENCES, limit: 10, changeStrokes: 1 };
  expect(workedRound(request({ preferences: dearer }))).toBe(first);
  const windy = request({ day: { ...request().day, air: { ...CALM, windMps: 8 } } });
  const other = workedRound(windy);
  expect(other).not.toBe(first);
  // The latest is what was asked for as such.
  expect(latestRound().round).toBe(first);
  expect(workedRound(windy)).toBe(other);
});

it('the round that was worked out longest ago is the first to be forgotten', () => {
  const seeded = (seed: number) => workedRound(request({ seed }));
  const first = seeded(1);
  for (let seed = 2; seed <= 16; seed++) seeded(seed);
  expect(seeded(1)).toBe(first);
  seeded(17);
  expect(seeded(1)).not.toBe(first);
});
