import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  BASELINE,
  LIES,
  MEDIUM_FAIRWAY,
  airOf,
  fly,
  groundOf,
  moveShot,
  playsLike,
  spreadOf,
  swingOf,
  type Conditions,
  type Lie,
  type PlayingConditions,
  type Shot,
} from '../../src/index.js';
import { fromLie } from '../../src/plays-like/lies.js';

const home: PlayingConditions = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
const seven = { kind: 'iron' as const, loftDeg: 34 };
const shot: Shot = {
  carryM: 150,
  totalM: 158,
  apexM: 27,
  descentDeg: 47,
  spreadM: 5,
  sampleSize: 16,
  source: 'measured',
};
const moved = (some: Partial<Conditions>, one = shot) =>
  moveShot(swingOf(seven, one, home), { ...home, conditions: { ...BASELINE, ...some } });

describe('a shot moved to other air', () => {
  it('stays what it was where it was measured, for any shot (property)', () => {
    fc.assert(
      fc.property(fc.double({ min: 40, max: 170, noNaN: true }), (carryM) => {
        const { sampleSize: _shots, ...rest } = shot;
        const same = moved({}, { ...rest, carryM, totalM: carryM + 6 });
        expect(same.carryM).toBeCloseTo(carryM, 6);
        expect(same.totalM).toBeCloseTo(carryM + 6, 6);
        expect(same.shiftCarryM).toBeCloseTo(0, 6);
      }),
      { numRuns: 40 },
    );
  });

  it('is what was measured and the model there less the model here', () => {
    const cold = moved({ temperatureC: 6 });
    expect(cold.carryM - shot.carryM).toBeCloseTo(cold.shiftCarryM, 9);
    expect(cold.totalM - shot.totalM!).toBeCloseTo(cold.shiftTotalM, 9);
    expect(cold.shiftCarryM).toBeLessThan(-1);
    expect(moved({ altitudeM: 1520 }).shiftCarryM).toBeGreaterThan(4);
  });

  it('is less sure the farther it is moved and the fewer the shots', () => {
    expect(moved({ windMps: 10 }).plusMinusM).toBeGreaterThan(moved({ windMps: 2 }).plusMinusM);
    expect(moved({}, { ...shot, sampleSize: 4 }).plusMinusM).toBeCloseTo(2 * moved({}).plusMinusM, 6);
    expect(moved({}, { carryM: 150, source: 'stated' }).plusMinusM).toBeGreaterThan(moved({}).plusMinusM);
  });
});

describe('what a distance plays like', () => {
  it('is itself at home, and longer uphill, into the wind, in the cold; shorter the other way', () => {
    expect(playsLike(seven, 140, BASELINE).playsLikeM).toBeCloseTo(140, 1);
    for (const [some, part] of [
      [{ targetElevationM: 8 }, 'elevationM'],
      [{ windMps: 4 }, 'windM'],
      [{ temperatureC: 5 }, 'temperatureM'],
    ] as const) {
      const { playsLikeM, parts } = playsLike(seven, 140, { ...BASELINE, ...some });
      expect(playsLikeM).toBeGreaterThan(141);
      expect(parts[part]).toBeCloseTo(playsLikeM - 140, 1);
    }
    expect(playsLike(seven, 140, { ...BASELINE, altitudeM: 1500 }).parts.altitudeM).toBeLessThan(-3);
  });

  it('undoes what moving a shot does, roughly: the same club there and back', () => {
    const into = { ...BASELINE, windMps: 5 };
    const there = moved({ windMps: 5 }, { carryM: 150, source: 'stated' }).carryM;
    expect(Math.abs(playsLike(seven, there, into).playsLikeM - 150)).toBeLessThan(1);
  });

  it('refuses a distance no swing carries', () => {
    expect(() => playsLike({ kind: 'wedge', loftDeg: 60 }, 260, BASELINE)).toThrowError(
      'distanceM is farther than any wedge carries',
    );
  });
});

describe('lies', () => {
  const { launch } = swingOf(seven, shot, home);
  const from = (lie: Lie) => fly(fromLie(launch, 'iron', lie), airOf(BASELINE));

  it('a flyer spins less and lands flatter; heavy wet rough is short; the fairway is the stock shot', () => {
    expect(fromLie(launch, 'iron', 'fairway')).toEqual(launch);
    expect(from('light rough, wet').descentDeg).toBeLessThan(from('fairway').descentDeg - 2.5);
    expect(from('heavy rough, wet').carryM).toBeLessThan(from('heavy rough').carryM);
    expect(from('heavy rough').carryM).toBeLessThan(from('fairway').carryM * 0.95);
    expect(Object.keys(LIES)).toHaveLength(8);
  });

  it('moves a shot from a lie as well as to other air', () => {
    const swung = swingOf(seven, shot, home);
    expect(moveShot(swung, home, 'fairway')).toEqual(moveShot(swung, home));
    expect(moveShot(swung, home, 'heavy rough, wet').shiftCarryM).toBeLessThan(-15);
    expect(moveShot(swung, home, 'light rough, wet').runM).toBeGreaterThan(moveShot(swung, home).runM + 2);
  });

  it('grass holds a driver more than a wedge', () => {
    const lost = (kind: 'driver' | 'wedge') =>
      1 - fromLie(launch, kind, 'heavy rough').ballSpeedMps / launch.ballSpeedMps;
    expect(lost('driver')).toBeGreaterThan(lost('wedge'));
  });
});

describe('a spread of 200 shots', () => {
  const { launch } = swingOf(seven, shot, home);
  const ground = groundOf(MEDIUM_FAIRWAY);

  it('comes out with the spread it is given, and the same every time', () => {
    const one = spreadOf(launch, airOf(BASELINE), ground, 5);
    expect(one.carrySdM).toBeCloseTo(5, 0);
    expect(spreadOf(launch, airOf(BASELINE), ground, 5).shots).toEqual(one.shots);
    expect(one.lowEndM).toBeLessThan(150 - 4);
    expect(one.lowEndM).toBeGreaterThan(150 - 12);
  });

  it('is wider in a cross wind than in calm', () => {
    const wind = spreadOf(launch, airOf({ ...BASELINE, windMps: 8, windFromDeg: 90 }), ground);
    expect(wind.shots.filter((_v, i) => i % 3 === 1).reduce((sum, v) => sum + v, 0) / 200).toBeLessThan(-8);
    expect(wind.lateralSdM).toBeGreaterThan(spreadOf(launch, airOf(BASELINE), ground).lateralSdM * 0.95);
  });
});
