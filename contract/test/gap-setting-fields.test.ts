import { DEFAULT_GAP_SETTINGS, DISTANCE_UNITS, GAP_SETTING_BOUNDS } from '@tasche/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { GAP_SETTING_FIELDS, gapSettingUnit, readGapSetting, showGapSetting } from '../src/index.js';

const field = (key: string) => GAP_SETTING_FIELDS.find((one) => one.key === key)!;

describe('the thresholds of a player as text', () => {
  it('has one field for every setting there is', () => {
    expect(GAP_SETTING_FIELDS.map((one) => one.key).sort()).toEqual(Object.keys(DEFAULT_GAP_SETTINGS).sort());
  });

  it('shows the usual figures as the trade says them', () => {
    expect(showGapSetting(field('topStepMaxM'), DEFAULT_GAP_SETTINGS.topStepMaxM, 'yd')).toBe('25');
    expect(showGapSetting(field('scoringStepMaxM'), DEFAULT_GAP_SETTINGS.scoringStepMaxM, 'm')).toBe('13.72');
    expect(showGapSetting(field('eitherOrApexM'), DEFAULT_GAP_SETTINGS.eitherOrApexM, 'yd')).toBe('30');
    expect(gapSettingUnit(field('eitherOrApexM'), 'yd')).toBe('ft');
    expect(showGapSetting(field('confidence'), DEFAULT_GAP_SETTINGS.confidence, 'm')).toBe('80');
  });

  it('reads a unit in the text, a decimal comma and a per cent sign', () => {
    expect(readGapSetting(field('topStepMaxM'), '20 m', 'yd')).toEqual({ ok: true, value: 20 });
    expect(readGapSetting(field('wedgeLoftStepMaxDeg'), '5,5°', 'm')).toEqual({ ok: true, value: 5.5 });
    expect(readGapSetting(field('confidence'), '90 %', 'm')).toEqual({ ok: true, value: 0.9 });
    expect(readGapSetting(field('lengthMaxIn'), '46 in', 'm')).toEqual({ ok: true, value: 46 });
  });

  it("names the field and its bounds in the reader's unit when it refuses", () => {
    const refused = readGapSetting(field('scoringStepMaxM'), '99', 'yd');
    expect(refused).toEqual({
      ok: false,
      reason: 'Carry step there, at most must be between 4.37 and 65.62 yd',
    });
    expect(readGapSetting(field('clubLimit'), '15', 'yd')).toMatchObject({
      ok: false,
      reason: expect.stringContaining('between 1 and 14 clubs') as string,
    });
    expect(readGapSetting(field('clubLimit'), '9.5', 'yd')).toMatchObject({
      ok: false,
      reason: expect.stringContaining('whole number') as string,
    });
    expect(readGapSetting(field('confidence'), 'quite', 'yd')).toMatchObject({ ok: false });
  });

  it('comes back as it was shown, for every field, in either unit', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...GAP_SETTING_FIELDS),
        fc.constantFrom(...DISTANCE_UNITS),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (one, unit, share) => {
          const [min, max] = GAP_SETTING_BOUNDS[one.key];
          const value = min + share * (max - min);
          const shown = showGapSetting(one, one.measure === 'count' ? Math.round(value) : value, unit);
          const read = readGapSetting(one, shown, unit);
          if (read.ok) expect(showGapSetting(one, read.value, unit)).toBe(shown);
          // A shown edge may be rounded past its bound by less than the last figure shown.
          else expect(Math.min(share, 1 - share)).toBeLessThan(0.01);
        },
      ),
    );
  });
});
