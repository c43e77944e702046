import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatSwingWeight, playingLoft, swingWeightPoints, type Reading } from '../../src/index.js';
import { changedBetween } from '../../src/spec/differences.js';
import { specAsOf } from '../../src/spec/readings.js';

const reading = (key: Reading['key'], value: Reading['value'], takenOn: string): Reading => ({
  key,
  value,
  takenOn,
});

describe('a spec as of a day', () => {
  const readings = [
    reading('loftStampedDeg', 56, '2026-01-10'),
    reading('loftSetDeg', 57, '2026-03-01'),
    reading('lieDeg', 64, '2026-03-01'),
    reading('loftSetDeg', 56.5, '2026-06-01'),
    reading('lieDeg', null, '2026-07-01'),
  ];

  it('holds the newest reading of each quantity up to that day', () => {
    expect(specAsOf(readings, '2026-01-09')).toEqual({});
    expect(specAsOf(readings, '2026-03-01').loftSetDeg).toEqual({ value: 57, takenOn: '2026-03-01' });
    expect(specAsOf(readings).loftSetDeg!.value).toBe(56.5);
  });

  it('takes a quantity back to "not known" by a reading of null', () => {
    expect(specAsOf(readings, '2026-06-30').lieDeg!.value).toBe(64);
    expect(specAsOf(readings).lieDeg).toBeUndefined();
  });

  it('files a reading written down late under its own day', () => {
    const late = [...readings, reading('loftSetDeg', 57.5, '2026-04-01')];
    expect(specAsOf(late).loftSetDeg!.value).toBe(56.5);
    expect(specAsOf(late, '2026-05-01').loftSetDeg!.value).toBe(57.5);
  });

  it('lets the later arrival win on one day', () => {
    expect(
      specAsOf([reading('lieDeg', 63, '2026-01-01'), reading('lieDeg', 64, '2026-01-01')]).lieDeg!.value,
    ).toBe(64);
  });

  it('says what changed between two days', () => {
    expect(changedBetween(readings, '2026-03-15', '2026-06-15')).toEqual([
      {
        key: 'loftSetDeg',
        before: { value: 57, takenOn: '2026-03-01' },
        after: { value: 56.5, takenOn: '2026-06-01' },
      },
    ]);
    expect(changedBetween(readings, '2026-03-15', '2026-03-20')).toEqual([]);
  });

  it('does not depend on the order in which days were recorded (property)', () => {
    const days = fc.uniqueArray(fc.integer({ min: 1, max: 28 }), { minLength: 1, maxLength: 12 });
    fc.assert(
      fc.property(days, fc.integer(), (list, seed) => {
        const written = list.map((day) =>
          reading('lieDeg', 60 + day / 10, `2026-02-${String(day).padStart(2, '0')}`),
        );
        const rotated = written.map((_one, i) => written[(i + Math.abs(seed)) % written.length]!);
        expect(specAsOf(rotated)).toEqual(specAsOf(written));
      }),
    );
  });
});

describe('the loft a club is at', () => {
  const at = (...readings: Reading[]) => playingLoft(specAsOf(readings));

  it("is the gauge's, then the setting's, then the stamp's", () => {
    expect(at(reading('loftStampedDeg', 44, '2026-01-01'))).toMatchObject({ deg: 44, from: 'stamped' });
    expect(
      at(reading('loftStampedDeg', 44, '2026-01-01'), reading('loftSetDeg', 45, '2026-01-02')),
    ).toMatchObject({ deg: 45, from: 'set', stampedDeg: 44 });
    expect(
      at(reading('loftSetDeg', 45, '2026-01-02'), reading('loftMeasuredDeg', 44.75, '2026-01-02')),
    ).toMatchObject({ deg: 44.75, from: 'measured' });
    expect(at()).toBeUndefined();
  });

  it('is what it was bent to once it was bent after the gauge', () => {
    expect(
      at(reading('loftMeasuredDeg', 44, '2026-01-02'), reading('loftSetDeg', 45, '2026-02-01')),
    ).toMatchObject({ deg: 45, from: 'set' });
  });
});

describe('swing weight', () => {
  // "one point is 1.75 in-oz; D0 is 213.5 in-oz": common practice, no source.
  it('is read, written and turned into inch-ounces', () => {
    expect(swingWeightPoints('d0')).toBe(30);
    expect(swingWeightPoints('C9,5')).toBe(29.5);
    expect(swingWeightPoints('D10')).toBeUndefined();
    expect(swingWeightPoints('H1')).toBeUndefined();
    expect(formatSwingWeight(33)).toBe('D3');
  });
});
