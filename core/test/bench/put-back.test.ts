import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  CLUB_KINDS,
  buildOf,
  clubPutBack,
  finishTicket,
  isMet,
  measuredKey,
  type Reading,
  type Spec,
} from '../../src/index.js';
import { specAsOf } from '../../src/spec/readings.js';
import { anyReading } from '../any-reading.js';

const TODAY = '2026-11-26';
const of = (values: Readonly<Record<string, number | string>>, takenOn = '2026-01-01') =>
  Object.fromEntries(Object.entries(values).map(([key, value]) => [key, { value, takenOn }])) as Spec;

describe('a club as it was', () => {
  it('has no difference left once its settings are made and its jobs are done, whatever was known of it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CLUB_KINDS),
        fc.array(anyReading, { maxLength: 40 }),
        (kind, readings) => {
          const then = specAsOf((readings as Reading[]).filter(({ takenOn }) => takenOn < '2026-01-01'));
          const now = specAsOf(readings as Reading[]);
          const plan = clubPutBack(kind, now, then, TODAY);
          let after: Spec = { ...now };
          const write = (written: readonly Reading[]) => {
            for (const { key, value, takenOn } of written) after = { ...after, [key]: { value, takenOn } };
          };
          write(plan.readings);
          for (const { wanted } of plan.jobs) {
            const became = wanted.map(({ key, value }) => ({ key: measuredKey(key), value }));
            const { readings: measured, misses } = finishTicket(wanted, became, TODAY);
            expect(misses).toEqual([]);
            write(measured);
          }
          const stands = new Map(buildOf(after).map(({ key, value }) => [key, value]));
          for (const { key, value } of buildOf(then).filter((part) => part.key !== 'serial'))
            expect(isMet(measuredKey(key), value, stands.get(key)!), `${key} ${value}`).toBe(true);
        },
      ),
      { numRuns: 300 },
    );
  });

  it('is left alone where nothing differs beyond what a gauge or a scale repeats to', () => {
    const then = of({ loftMeasuredDeg: 52, lieDeg: 63.5, swingWeight: 'D4', totalWeightG: 470 });
    const now = of({ loftMeasuredDeg: 52.2, lieDeg: 63.4, swingWeight: 'D4.5', totalWeightG: 472 });
    expect(clubPutBack('wedge', now, then, TODAY)).toEqual({ readings: [], jobs: [], unknown: [] });
  });

  it('an iron is bent on the bench, a sleeve is turned by hand, a wood without one is asked about', () => {
    const [then, now] = [of({ loftSetDeg: 44 }), of({ loftSetDeg: 46 })];
    expect(clubPutBack('iron', now, then, TODAY)).toMatchObject({
      readings: [],
      jobs: [{ job: 'bend', wanted: [{ key: 'loftSetDeg', value: 44 }] }],
    });
    expect(clubPutBack('driver', now, then, TODAY).jobs).toMatchObject([{ job: 'sleeve' }]);
    const turned = clubPutBack(
      'driver',
      of({ loftSetDeg: 11, setting: 'B1' }),
      of({ loftSetDeg: 10, setting: 'A1' }),
      TODAY,
    );
    expect(turned.jobs).toEqual([]);
    expect(turned.readings).toEqual(
      expect.arrayContaining([
        { key: 'setting', value: 'A1', takenOn: TODAY },
        { key: 'loftSetDeg', value: 10, takenOn: TODAY },
      ]),
    );
  });

  it('what was not recorded then is reported, not guessed; another word for the stamp is not a bend', () => {
    const plan = clubPutBack('wedge', of({ leadG: 4, grip: 'Moos' }), of({ grip: 'Moos' }), TODAY);
    expect(plan).toEqual({ readings: [], jobs: [], unknown: ['leadG'] });
    const stamp = clubPutBack('wedge', of({ loftStampedDeg: 53 }), of({ loftStampedDeg: 54 }), TODAY);
    expect(stamp.jobs).toEqual([]);
    expect(stamp.readings).toEqual([{ key: 'loftStampedDeg', value: 54, takenOn: TODAY }]);
  });
});
