import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  BENCH_JOBS,
  JOB_CAUTIONS,
  QUANTITIES,
  checkProgress,
  finishTicket,
  gaugeCheck,
  gripWear,
  grooveWear,
  isMet,
  loftDrift,
  measuredKey,
  nextCheckDue,
  offBy,
  type ClubKind,
  type Spec,
} from '../../src/index.js';

const on = (values: Record<string, number | string>, takenOn = '2026-03-01'): Spec =>
  Object.fromEntries(Object.entries(values).map(([key, value]) => [key, { value, takenOn }]));

describe('a ticket that is handed in', () => {
  it('writes down what it was set to and what it became, and is done within what a gauge repeats to', () => {
    const { readings, misses } = finishTicket(
      [
        { key: 'loftSetDeg', value: 45 },
        { key: 'lieSetDeg', value: 64 },
      ],
      [
        { key: 'loftMeasuredDeg', value: 45.25 },
        { key: 'lieDeg', value: 63.25 },
      ],
      '2026-11-20',
    );
    expect(misses).toEqual([{ key: 'lieSetDeg', wanted: 64, became: 63.25 }]);
    expect(readings.map(({ key, value }) => [key, value])).toEqual([
      ['loftSetDeg', 45],
      ['lieSetDeg', 64],
      ['loftMeasuredDeg', 45.25],
      ['lieDeg', 63.25],
    ]);
    expect(readings.every(({ takenOn }) => takenOn === '2026-11-20')).toBe(true);
  });

  it('does not count what was not measured, and invents nothing for it', () => {
    const { readings, misses } = finishTicket([{ key: 'swingWeight', value: 'D4' }], [], '2026-11-20');
    expect(misses).toEqual([]);
    expect(readings).toEqual([]);
  });

  it('does not take half a degree that was not bent for done', () => {
    const { misses } = finishTicket(
      [{ key: 'loftSetDeg', value: 51.5 }],
      [{ key: 'loftMeasuredDeg', value: 52 }],
      '2026-11-20',
    );
    expect(misses).toHaveLength(1);
  });

  it.each([
    ['swingWeight', 'D4', 'D4.5', true],
    ['swingWeight', 'D4', 'D5', false],
    ['lengthIn', 37, 37.06, true],
    ['lengthIn', 37, 37.1, false],
    ['shaft', 'Rohr 105', 'rohr 105 ', true],
    ['shaft', 'Rohr 105', 'Siv 105', false],
    ['gripWraps', 2, 2, true],
    ['gripWraps', 2, 3, false],
  ] as const)('%s of %s that became %s: %s', (key, wanted, became, met) => {
    expect(isMet(key, wanted, became)).toBe(met);
  });

  it('is met by exactly what was wanted, whatever the quantity', () => {
    for (const quantity of QUANTITIES) {
      const value =
        quantity.type === 'number'
          ? quantity.min
          : quantity.type === 'choice'
            ? quantity.choices[0]!
            : quantity.type === 'swingWeight'
              ? 'C9'
              : 'x';
      expect(isMet(measuredKey(quantity.key), value, value), quantity.key).toBe(true);
    }
    expect(offBy('swingWeight', 'D4', 'nothing')).toBeUndefined();
  });

  it('has its cautions for every job that can hurt', () => {
    for (const job of BENCH_JOBS.filter((one) => one !== 'other'))
      expect(JOB_CAUTIONS[job].length, job).toBeGreaterThan(0);
    expect(JOB_CAUTIONS.bend.join(' ')).toMatch(/Eye protection/);
    expect(JOB_CAUTIONS.length.join(' ')).toMatch(/mask/);
    expect(JOB_CAUTIONS.shaft.join(' ')).toMatch(/ventilation/);
    expect(JOB_CAUTIONS.weight.join(' ')).toMatch(/wash/);
  });
});

describe('a check with a gauge', () => {
  it('takes what a gauge repeats to into account', () => {
    const of = (measured: number) =>
      gaugeCheck(on({ loftSetDeg: 45, loftMeasuredDeg: measured }), 'loft').verdict;
    expect(of(45.25)).toBe('right');
    expect(of(45.5)).toBe('at the edge');
    expect(of(44.25)).toBe('at the edge');
    expect(of(46)).toBe('off');
  });

  it('compares a loft that was never set with its stamp, and a lie that was never set with nothing', () => {
    expect(gaugeCheck(on({ loftStampedDeg: 44, loftMeasuredDeg: 45 }), 'loft')).toMatchObject({
      offDeg: 1,
      verdict: 'off',
    });
    expect(gaugeCheck(on({ lieDeg: 62 }), 'lie')).toEqual({ measuredDeg: 62, takenOn: '2026-03-01' });
    expect(gaugeCheck({}, 'loft')).toEqual({});
  });

  it('can be resumed: what was measured since it began is done', () => {
    const club = (id: string, kind: ClubKind, day?: string) => ({
      id,
      kind,
      spec: day === undefined ? {} : on({ loftMeasuredDeg: 40 }, day),
    });
    const bag = [
      club('driver', 'driver'),
      club('6', 'iron', '2026-11-25'),
      club('7', 'iron', '2026-11-01'),
      club('56', 'wedge'),
    ];
    expect(checkProgress(bag, '2026-11-25')).toEqual({ done: 1, of: 3, nextId: '7' });
    expect(checkProgress(bag, '2026-01-01')).toEqual({ done: 2, of: 3, nextId: '56' });
    expect(checkProgress([], '2026-11-25')).toEqual({ done: 0, of: 0 });
    expect(nextCheckDue(bag, 7)).toBeUndefined();
    expect(nextCheckDue(bag.slice(0, 3), 7)).toBe('2026-11-08');
    expect(nextCheckDue([], 7)).toBeUndefined();
  });

  it('calls a drift one only where the gauge could not have made it', () => {
    const days = ['2026-01-01', '2026-03-01', '2026-05-01', '2026-07-01'];
    const steady = days.map((takenOn, i) => ({ takenOn, deg: 45 + (i % 2) * 0.25 }));
    expect(loftDrift(steady)!.moves).toBe(false);
    const moving = days.map((takenOn, i) => ({ takenOn, deg: 45 + i * 0.5 }));
    const drift = loftDrift(moving)!;
    expect(drift.moves).toBe(true);
    expect(drift.perMonthDeg).toBeCloseTo(0.25, 1);
    expect(loftDrift(moving.slice(0, 2))).toBeUndefined();
    expect(loftDrift([moving[0]!, moving[0]!, moving[0]!])).toBeUndefined();
  });

  it('calls readings that only the gauge scatters a drift about once in twenty times, at most', () => {
    let moves = 0;
    let state = 7;
    const normal = () => {
      let sum = 0;
      for (let i = 0; i < 12; i++) {
        state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
        sum += state / 2 ** 32;
      }
      return sum - 6;
    };
    for (let i = 0; i < 2000; i++) {
      const readings = [0, 30, 60, 90, 120].map((day) => ({
        takenOn: new Date(day * 86_400_000).toISOString().slice(0, 10),
        deg: 45 + 0.25 * normal(),
      }));
      if (loftDrift(readings)!.moves) moves++;
    }
    expect(moves / 2000).toBeGreaterThan(0.03);
    expect(moves / 2000).toBeLessThan(0.07);
  });
});

it('grips are due after a year, or forty rounds (common practice, no source), from the day they were recorded', () => {
  const spec = on({ grip: 'Moos Round' }, '2026-01-01');
  expect(gripWear({ spec }, '2026-11-01')).toEqual({ since: '2026-01-01', dueOn: '2026-10-08', due: true });
  expect(gripWear({ spec }, '2026-02-01', 5)).toMatchObject({ dueOn: '2026-02-26', due: false });
  expect(gripWear({ spec }, '2026-02-01', 0)!.dueOn).toBe('2026-12-31');
  expect(gripWear({ spec: {} }, '2026-02-01')).toBeUndefined();
});

describe('worn grooves', () => {
  const wedge = (values: Record<string, number | string>) => ({
    kind: 'wedge' as const,
    spec: on({ loftStampedDeg: 58, grooveDate: '2026-01-05', ...values }),
  });

  it('are due after six to ten weeks for a professional’s most used wedge (common practice, no source), later by less use', () => {
    const tour = grooveWear(wedge({ hitsPerRound: 4 }), '2026-03-02', 5)!;
    expect(tour.dueWeeks).toBeGreaterThanOrEqual(6);
    expect(tour.dueWeeks).toBeLessThanOrEqual(10);
    expect(tour).toMatchObject({ weeks: 8, due: true, shots: 320 });
    const amateur = grooveWear(wedge({ hitsPerRound: 3 }), '2026-03-02')!;
    expect(amateur.due).toBe(false);
    expect(amateur.dueWeeks).toBeGreaterThan(26);
  });

  it('are not mentioned where no date is recorded, or there is no wedge', () => {
    expect(grooveWear({ kind: 'wedge', spec: on({ loftStampedDeg: 58 }) }, '2026-03-02')).toBeUndefined();
    expect(grooveWear({ kind: 'fairway', spec: wedge({}).spec }, '2026-03-02')).toBeUndefined();
    // Nobody counted: three a round, and said to be assumed.
    expect(grooveWear(wedge({}), '2026-03-02')).toMatchObject({ assumed: true, shots: 48, due: false });
    expect(grooveWear(wedge({ hitsPerRound: 3 }), '2026-03-02')).toMatchObject({ assumed: false, shots: 48 });
    expect(grooveWear(wedge({ hitsPerRound: 0 }), '2026-03-02')!.dueWeeks).toBe(104);
  });

  it('are due sooner the more a wedge is hit', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 10, noNaN: true }),
        fc.integer({ min: 1, max: 7 }),
        (hits, rounds) => {
          const less = grooveWear(wedge({ hitsPerRound: hits }), '2026-03-02', rounds)!;
          const more = grooveWear(wedge({ hitsPerRound: hits * 1.5 }), '2026-03-02', rounds)!;
          expect(more.dueWeeks).toBeLessThanOrEqual(less.dueWeeks);
        },
      ),
    );
  });
});
