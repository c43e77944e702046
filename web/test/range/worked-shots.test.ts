import {
  BASELINE,
  MEDIUM_FAIRWAY,
  airsOf,
  completeStrike,
  type CompleteStrike,
  type Outlier,
} from '@tasche/core';
import { describe, expect, it } from 'vitest';
import { WorkedShots, packShots } from '../../src/range/worked-shots';

const HOME = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
const COLD = { conditions: { ...BASELINE, temperatureC: 5 }, surface: MEDIUM_FAIRWAY };
const seven = { kind: 'iron', loftDeg: 34 } as const;

describe('the balls of a session, packed', () => {
  const whole = completeStrike(
    { ballSpeedMps: 53, launchDeg: 16, spinRpm: 6900, offlineM: -4 },
    seven,
    airsOf(COLD, HOME),
  );
  const straight = completeStrike({ carryM: 150 }, seven, airsOf(HOME, HOME));
  const far: Outlier = { by: 'line', deviations: 4 };
  const shots = new WorkedShots(
    structuredClone(
      packShots(
        new Map<string, CompleteStrike | string>([
          ['a', whole],
          ['b', 'belongs to no club'],
          ['c', straight],
        ]),
        new Map([['c', far]]),
      ),
    ),
  );

  it('are the same ones when they are unpacked, to the last sign', () => {
    const { carryM, totalM, offlineM, ballSpeedMps, launchDeg, spinRpm, apexM, descentDeg } = whole;
    expect(shots.get('a')).toEqual({
      whole: {
        ...{ carryM, totalM, offlineM, ballSpeedMps, launchDeg, spinRpm, apexM, descentDeg },
        atBaseline: { carryM: whole.atBaseline.carryM },
        isSideKnown: true,
      },
      refused: '',
      outlier: undefined,
    });
    expect(whole.atBaseline.carryM).not.toBeCloseTo(carryM, 1);
    expect(shots.get('c')).toMatchObject({ whole: { carryM: 150, isSideKnown: false }, outlier: far });
  });

  it('one that could not be worked out says why; one that is not among them is nothing', () => {
    expect(shots.size).toBe(3);
    expect(shots.get('b')).toEqual({ whole: null, refused: 'belongs to no club', outlier: undefined });
    expect(shots.get('d')).toBeUndefined();
    expect([WorkedShots.none.size, WorkedShots.none.get('a')]).toEqual([0, undefined]);
  });
});
