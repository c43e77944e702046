import { describe, expect, it } from 'vitest';
import {
  FEWEST_TO_JUDGE,
  calibrationOf,
  calibrationWords,
  carryCovariance,
  carryCurve,
  cholesky,
  normalFrom,
  predictedCarries,
  randomFrom,
  type ClubKind,
  type LadderClub,
  type Prediction,
  type Shot,
} from '../../src/index.js';

const SET: readonly [string, ClubKind, number][] = [
  ['3 wood', 'fairway', 15],
  ['4 iron', 'iron', 23],
  ['5 iron', 'iron', 26],
  ['6 iron', 'iron', 29.5],
  ['7 iron', 'iron', 33],
  ['8 iron', 'iron', 37],
  ['9 iron', 'iron', 41],
  ['PW', 'iron', 45.5],
];
const bare = SET.map(([name, kind, loftDeg]): LadderClub => ({ id: name, name, kind, loftDeg, shots: {} }));
const SPREAD = 0.035;
/** No mean is known closer, however many are hit. */
const DAY = 0.004;

/**
 * Players as the model says they are: their carries drawn from the covariance that is assumed of them, what
 * is recorded of them drawn from those, and a later session too.
 */
function simulated(players: number, seed: number, unknown: string | null): Prediction[] {
  const normal = normalFrom(randomFrom(seed));
  const curve = carryCurve([]);
  const factor = cholesky(carryCovariance(bare));
  const held = (trueM: number, shots: number) =>
    trueM * (1 + Math.max(DAY, SPREAD / Math.sqrt(shots)) * normal());
  return Array.from({ length: players }, () => {
    const draws = bare.map(() => normal());
    const truth = bare.map(({ kind, loftDeg }, i) => {
      const log = factor[i]!.reduce((sum, part, j) => sum + part * (draws[j] ?? 0), 0);
      return curve.at(kind, loftDeg!).carryM.value * Math.exp(log);
    });
    const sheet = bare.map((club, i): LadderClub => {
      const full: Shot = {
        carryM: held(truth[i]!, 20),
        spreadM: truth[i]! * SPREAD,
        sampleSize: 20,
        source: 'measured',
      };
      return { ...club, shots: club.id === unknown ? {} : { full } };
    });
    const found = bare
      .map(({ id }, i) => ({
        clubId: id,
        meanM: held(truth[i]!, 12),
        spreadM: truth[i]! * SPREAD,
        shots: 12,
      }))
      .filter(({ clubId }) => unknown === null || clubId === unknown);
    return predictedCarries(sheet, found);
  }).flat();
}

describe('what was expected, compared with what came', () => {
  it('of players who are as the model says, what was measured holds as often as is said', () => {
    const all = simulated(60, 1, null);
    expect(all).toHaveLength(60 * SET.length);
    expect(new Set(all.map(({ basis }) => basis))).toEqual(new Set(['measured']));
    const calibration = calibrationOf(all);
    expect(calibration.verdict).toBe('right');
    expect(calibration.share95[0]).toBeLessThan(0.95);
    expect(calibration.share95[1]).toBeGreaterThan(0.95);
    expect(calibration.stretch).toBeGreaterThan(0.9);
    expect(calibration.stretch).toBeLessThan(1.1);
    expect(Math.abs(calibration.bias!.mean)).toBeLessThan(0.004);
  });

  it('and so does what was only modelled', () => {
    const all = simulated(120, 2, '7 iron');
    expect(new Set(all.map(({ basis }) => basis))).toEqual(new Set(['modelled']));
    const calibration = calibrationOf(all);
    expect(calibration.verdict).toBe('right');
    expect(calibration.stretch).toBeGreaterThan(0.8);
    expect(calibration.stretch).toBeLessThan(1.2);
  });

  it('ranges half as wide are found to be too sure, by how much; three times as wide, too careful', () => {
    const all = simulated(30, 3, null);
    const times = (factor: number) =>
      calibrationOf(all.map((one) => ({ ...one, deviationM: one.deviationM * factor })));
    const sure = times(0.5);
    expect(sure.verdict).toBe('too sure');
    expect(sure.stretch).toBeGreaterThan(1.7);
    expect(sure.stretch).toBeLessThan(2.3);
    expect(calibrationWords(sure)).toMatchObject({
      severity: 'error',
      text: expect.stringMatching(/read every range as (1\.[89]|2\.[012]) times as wide/) as string,
    });
    expect(times(3).verdict).toBe('too careful');
  });

  it('a monitor that reads three per cent long is said to', () => {
    const all = simulated(20, 4, null).map((one) => ({ ...one, foundM: one.foundM * 1.03 }));
    const calibration = calibrationOf(all);
    expect(calibration.bias!.mean).toBeCloseTo(0.03, 2);
    expect(calibrationWords(calibration).text).toMatch(/came [23]\.\d % longer than expected, ± 0\.\d/);
  });

  it('few say little, whatever they are', () => {
    const all = simulated(1, 5, null).slice(0, FEWEST_TO_JUDGE - 1);
    expect(calibrationOf(all).verdict).toBe('too few');
    expect(calibrationOf(all.slice(0, 1)).bias).toBeNull();
    expect(calibrationWords(calibrationOf(all.slice(0, 1))).text).toMatch(/^[01] of 1 carries/);
  });
});

describe('a carry as it was expected', () => {
  const full = (carryM: number, source: Shot['source']): Shot => ({ carryM, source });
  const found = (clubId: string, meanM: number) => ({ clubId, meanM, spreadM: 5, shots: 10 });
  const sheet: LadderClub[] = [
    { id: 'a', name: '6 iron', kind: 'iron', loftDeg: 29.5, shots: { full: full(160, 'stated') } },
    { id: 'b', name: '7 iron', kind: 'iron', loftDeg: 33, shots: {} },
    {
      id: 'c',
      name: '8 iron',
      kind: 'iron',
      loftDeg: 36,
      shots: { full: { ...full(140, 'measured'), spreadM: 5, sampleSize: 20 } },
      changed: { full: { bendDeg: -1, takenOn: '2026-10-01' } },
    },
    { id: 'd', name: 'no loft', kind: 'iron', shots: {} },
    { id: 'p', name: 'putter', kind: 'putter', loftDeg: 3, shots: {} },
  ];

  it('says what it stood on; a club of which nothing was said is left out', () => {
    const all = predictedCarries(sheet, [
      found('a', 158),
      found('b', 150),
      found('c', 145),
      found('d', 150),
      found('p', 10),
      found('nobody', 100),
    ]);
    expect(all.map(({ clubId, basis }) => [clubId, basis])).toEqual([
      ['a', 'stated'],
      ['b', 'modelled'],
      ['c', 'moved'],
    ]);
    // A degree stronger carries farther.
    expect(all[2]!.expectedM).toBeGreaterThan(141);
    for (const { deviationM, expectedM } of all) {
      expect(deviationM).toBeGreaterThan(1);
      expect(deviationM).toBeLessThan(expectedM * 0.1);
    }
  });

  it('is known the closer the more was known before', () => {
    const [stated] = predictedCarries(sheet.slice(0, 1), [found('a', 158)]);
    const measured = { ...full(160, 'measured'), spreadM: 5, sampleSize: 30 };
    const [well] = predictedCarries([{ ...sheet[0]!, shots: { full: measured } }], [found('a', 158)]);
    expect(well!.deviationM).toBeLessThan(stated!.deviationM / 2);
  });
});
