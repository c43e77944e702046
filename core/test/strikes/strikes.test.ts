import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  BASELINE,
  MEDIUM_FAIRWAY,
  InvalidInputError,
  ballSpeedRatio,
  completeStrike,
  driftOf,
  flight,
  measuredShot,
  normalFrom,
  outlierWords,
  outliersOf,
  airsOf,
  randomFrom,
  summariseStrikes,
  type CompleteStrike,
  type PlayingConditions,
  type Strike,
  type StrikeClub,
} from '../../src/index.js';

const USUAL: PlayingConditions = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
const COLD: PlayingConditions = {
  conditions: { ...BASELINE, temperatureC: 6, windMps: 5, windFromDeg: 20 },
  surface: { ...MEDIUM_FAIRWAY, firmness: 'firm' },
};
const SEVEN: StrikeClub = { kind: 'iron', loftDeg: 34 };
const STOCK: Strike = { ballSpeedMps: 53.6, launchDeg: 16.3, spinRpm: 7097, azimuthDeg: 0.5, spinAxisDeg: 1 };

const launches = fc.record({
  ballSpeedMps: fc.double({ min: 30, max: 75, noNaN: true }),
  launchDeg: fc.double({ min: 9, max: 30, noNaN: true }),
  spinRpm: fc.double({ min: 2500, max: 10_000, noNaN: true }),
  azimuthDeg: fc.double({ min: -6, max: 6, noNaN: true }),
  spinAxisDeg: fc.double({ min: -15, max: 15, noNaN: true }),
});

describe('a strike is filled in by the flight model', () => {
  it('exactly as the flight says, and says what was filled in', () => {
    const whole = completeStrike(STOCK, SEVEN, airsOf(USUAL, USUAL));
    const flown = flight(STOCK as Required<Strike>, BASELINE);
    expect(whole.carryM).toBeCloseTo(flown.carryM, 9);
    expect(whole.offlineM).toBeCloseTo(flown.lateralM, 9);
    expect(whole.modelled).toEqual(['carryM', 'totalM', 'offlineM', 'apexM', 'descentDeg']);
    expect(whole.atBaseline.carryM).toBe(whole.carryM);
  });

  it('keeps every number that was given', () => {
    const given: Strike = { ...STOCK, carryM: 151, totalM: 158, offlineM: -4, apexM: 28, descentDeg: 47 };
    const whole = completeStrike(given, SEVEN, airsOf(COLD, USUAL));
    expect(whole).toMatchObject(given);
    expect(whole.modelled).toEqual([]);
  });

  it('a strike moved to the baseline and back is where it was', () => {
    fc.assert(
      fc.property(launches, (launch) => {
        const there = completeStrike(launch, SEVEN, airsOf(COLD, USUAL));
        const warmth = ballSpeedRatio('iron', BASELINE.temperatureC, COLD.conditions.temperatureC);
        const home = completeStrike(
          { ...launch, ...there.atBaseline, ballSpeedMps: launch.ballSpeedMps * warmth },
          SEVEN,
          airsOf(USUAL, COLD),
        );
        for (const part of ['carryM', 'totalM', 'offlineM', 'apexM', 'descentDeg'] as const)
          expect(home.atBaseline[part]).toBeCloseTo(there[part], 6);
      }),
      { numRuns: 60 },
    );
  });

  it('a cold headwind costs a seven iron carry, which the baseline gives back', () => {
    const there = completeStrike(STOCK, SEVEN, airsOf(COLD, USUAL));
    expect(there.atBaseline.carryM - there.carryM).toBeGreaterThan(10);
    expect(there.atBaseline.carryM - there.carryM).toBeLessThan(35);
  });

  it('only a carry is enough, and its apex and landing follow', () => {
    const whole = completeStrike({ carryM: 157 }, SEVEN, airsOf(USUAL, USUAL));
    expect(whole.carryM).toBe(157);
    expect(whole.ballSpeedMps).toBeGreaterThan(48);
    expect(whole.apexM).toBeGreaterThan(20);
    expect(whole.modelled).toContain('spinRpm');
  });

  it('only a total is enough: its carry is that less the run', () => {
    const whole = completeStrike({ totalM: 165 }, SEVEN, airsOf(USUAL, USUAL));
    const back = completeStrike({ carryM: whole.carryM }, SEVEN, airsOf(USUAL, USUAL));
    expect(back.totalM).toBeCloseTo(165, 1);
  });

  it('a side without a direction starts the ball that way', () => {
    const { azimuthDeg, atBaseline } = completeStrike(
      { carryM: 150, offlineM: 8 },
      SEVEN,
      airsOf(USUAL, USUAL),
    );
    expect(azimuthDeg).toBeCloseTo((Math.atan2(8, 150) * 180) / Math.PI, 1);
    expect(atBaseline.offlineM).toBe(8);
  });

  it('nothing to go by is refused by name, and so is an impossible flight', () => {
    expect(() => completeStrike({ launchDeg: 12 }, SEVEN, airsOf(USUAL, USUAL))).toThrow(InvalidInputError);
    expect(() => completeStrike({ carryM: 400 }, SEVEN, airsOf(USUAL, USUAL))).toThrow(/carryM/);
  });
});

/** A player’s seven-iron session, scattered. */
function session(
  seed: number,
  n: number,
  more: Partial<Record<'ballSpeedMps' | 'launchDeg' | 'spinRpm', number>> = {},
): CompleteStrike[] {
  const normal = normalFrom(randomFrom(seed));
  const places = airsOf(USUAL, USUAL);
  return Array.from({ length: n }, () =>
    completeStrike(
      {
        ballSpeedMps: 53.6 + (more.ballSpeedMps ?? 0) + 0.7 * normal(),
        launchDeg: 16.3 + (more.launchDeg ?? 0) + 0.8 * normal(),
        spinRpm: 7097 + (more.spinRpm ?? 0) + 350 * normal(),
        azimuthDeg: 1.2 * normal(),
        spinAxisDeg: 2.5 * normal(),
      },
      SEVEN,
      places,
    ),
  );
}

describe('a summary', () => {
  const strikes = session(1, 30);
  const summary = summariseStrikes(strikes);

  it('brackets its mean by its ends and its interval', () => {
    expect(summary.n).toBe(30);
    expect(summary.lowEndM).toBeLessThan(summary.carryM.mean);
    expect(summary.highEndM).toBeGreaterThan(summary.carryM.mean);
    expect(summary.launchWindowDeg[0]).toBeLessThan(summary.launchWindowDeg[1]);
    expect(summary.carryM.plusMinus).toBeGreaterThan(0);
    expect(summary.ellipse!.x).toBeCloseTo(summary.carryM.mean, 9);
  });

  it('asks for more shots while the carry is not known to 2 yd, and for none after', () => {
    const few = summariseStrikes(strikes.slice(0, 4));
    expect(few.moreShots).toBeGreaterThan(0);
    expect(summariseStrikes(session(1, 60)).moreShots).toBe(0);
    expect(summariseStrikes(strikes.slice(0, 2)).moreShots).toBeUndefined();
  });

  it('a top among good shots is shown, pulls the mean, and hardly the robust mean', () => {
    const topped = completeStrike({ carryM: 60 }, SEVEN, airsOf(USUAL, USUAL));
    const wild = [...strikes, topped];
    const found = outliersOf(wild);
    expect(found.map((one) => one !== undefined)).toEqual([...strikes.map(() => false), true]);
    expect(outlierWords(found.at(-1)!)).toMatch(/^carry \d+\.\d deviations from the middle$/);
    expect(outlierWords({ by: 'line', deviations: 4.25 })).toBe('4.3 deviations off line');
    const [before, after] = [summary.carryM, summariseStrikes(wild).carryM];
    expect(before.mean - after.mean).toBeGreaterThan(2.5);
    expect(Math.abs(before.robust - after.robust)).toBeLessThan(0.6);
  });

  it('among too few to know their deviation, one that carried not half as far as the middle one was mis-hit', () => {
    const of = (...carries: number[]) =>
      outliersOf(carries.map((carryM) => completeStrike({ carryM }, SEVEN, airsOf(USUAL, USUAL))));
    expect(of(140, 15, 130).map((one) => one?.by)).toEqual([undefined, 'short', undefined]);
    expect(of(140, 30).map((one) => one?.by)).toEqual([undefined, 'short']);
    expect(outlierWords(of(140, 40, 130)[1]!)).toBe('carried 31 % of the middle one: a mis-hit');
    // Neither one alone, nor two that are merely apart, nor one in the wrong unit makes mis-hits of the rest.
    expect([...of(140), ...of(140, 100), ...of(80, 85, 175)].filter(Boolean)).toEqual([]);
    // Of a player who tops one in three all of it is how they play.
    expect(of(140, 60, 130, 120, 50, 110).filter((one) => one?.by === 'short')).toEqual([]);
    expect(outliersOf([])).toEqual([]);
  });

  it('a side that was not recorded is unknown, not straight', () => {
    const straight = completeStrike({ carryM: 150 }, SEVEN, airsOf(USUAL, USUAL));
    const aside = completeStrike({ carryM: 150, offlineM: -6 }, SEVEN, airsOf(USUAL, USUAL));
    expect([straight.isSideKnown, aside.isSideKnown]).toEqual([false, true]);
    expect(summariseStrikes([straight, straight]).offlineM).toBeUndefined();
    expect(summariseStrikes([straight, straight]).ellipse).toBeUndefined();
    expect(summariseStrikes([straight, aside]).offlineM!.mean).toBeCloseTo(-6, 9);
  });

  it('becomes a measured shot of the club', () => {
    expect(measuredShot(summary, 'range, 21 C')).toMatchObject({
      source: 'measured',
      sampleSize: 30,
      conditions: 'range, 21 C',
    });
    expect(measuredShot(summariseStrikes(strikes.slice(0, 1)), '')).not.toHaveProperty('spreadM');
  });
});

describe('drift', () => {
  it('spin lost and launch gained are worn grooves', () => {
    expect(
      driftOf(
        summariseStrikes(session(1, 25)),
        summariseStrikes(session(2, 25, { spinRpm: -900, launchDeg: 1.2 })),
      ).verdict,
    ).toBe('worn grooves');
  });
  it('a slower swing is not', () => {
    expect(
      driftOf(summariseStrikes(session(1, 25)), summariseStrikes(session(2, 25, { ballSpeedMps: -2 })))
        .verdict,
    ).toBe('slower');
  });
  it('the same swing is as it was, and three shots say nothing', () => {
    expect(driftOf(summariseStrikes(session(1, 25)), summariseStrikes(session(2, 25))).verdict).toBe(
      'as it was',
    );
    expect(driftOf(summariseStrikes(session(1, 25)), summariseStrikes(session(2, 3))).verdict).toBe(
      'not known yet',
    );
  });
  it('calls a club changed that is not in one case of twenty at most (1,500 simulated)', () => {
    const alarms = Array.from(
      { length: 1500 },
      (_one, i) =>
        driftOf(summariseStrikes(session(1000 + 2 * i, 15)), summariseStrikes(session(1001 + 2 * i, 15)))
          .verdict,
    ).filter((verdict) => verdict !== 'as it was').length;
    expect(alarms / 1500).toBeLessThanOrEqual(0.05);
  });
});
