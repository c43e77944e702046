import {
  AREAS,
  BASELINE,
  CONDITION_BOUNDS,
  FIRMNESSES,
  GRASSES,
  MEDIUM_FAIRWAY,
  type PlayingConditions,
} from '@tasche/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { baselineOf } from '@tasche/contract';
import { readSetting, settingPart, settingQuery } from '../../src/conditions/setting-query';

const hundredths = ([min, max]: readonly [number, number]) =>
  fc.integer({ min: Math.ceil(min * 100), max: Math.floor(max * 100) }).map((n) => n / 100);
const setting: fc.Arbitrary<PlayingConditions> = fc.record({
  conditions: fc.record({
    temperatureC: hundredths(CONDITION_BOUNDS.temperatureC),
    altitudeM: hundredths(CONDITION_BOUNDS.altitudeM),
    humidityPct: hundredths(CONDITION_BOUNDS.humidityPct),
    windMps: hundredths(CONDITION_BOUNDS.windMps),
    windFromDeg: hundredths(CONDITION_BOUNDS.windFromDeg),
    targetElevationM: hundredths(CONDITION_BOUNDS.targetElevationM),
  }),
  surface: fc.record({
    area: fc.constantFrom(...AREAS),
    firmness: fc.constantFrom(...FIRMNESSES),
    grass: fc.constantFrom(...GRASSES),
  }),
});
const HOME = baselineOf({ baseline: null });
const said = (query: Record<string, string | undefined>): Record<string, string> =>
  Object.fromEntries(
    Object.entries(query).flatMap(([key, value]) => (value === undefined ? [] : [[key, value]])),
  );

describe('air and ground in an address', () => {
  it('comes back as it was written, against any baseline (property)', () => {
    fc.assert(
      fc.property(setting, setting, (one, home) => {
        const query = said(settingQuery(one, home));
        const { setting: read, complaints } = readSetting(query, home);
        expect(complaints).toEqual([]);
        if (Object.keys(query).length > 0) expect(read).toEqual(one);
        else expect(read).toBeNull();
      }),
    );
  });

  it('is nothing at the baseline, and names only what differs', () => {
    expect(said(settingQuery(HOME, HOME))).toEqual({});
    expect(said(settingQuery({ ...HOME, conditions: { ...BASELINE, windMps: 7.5 } }, HOME))).toEqual({
      wind: '7.5',
    });
    expect(said(settingQuery(null, HOME))).toEqual({});
    expect(readSetting({}, HOME)).toEqual({ setting: null, complaints: [] });
  });

  it.each([
    ['wind', 'gale'],
    ['wind', ''],
    ['wind', '31'],
    ['temp', 'NaN'],
    ['alt', '1e9'],
    ['hum', '-1'],
    ['from', 'Infinity'],
    ['ground', 'mud'],
    ['grass', 'moss'],
    ['area', 'bunker'],
  ])('leaves out %s=%s and says so', (key, text) => {
    const { setting: read, complaints } = readSetting({ [key]: text, rise: '4' }, HOME);
    expect(complaints).toHaveLength(1);
    expect(complaints[0]).toContain(`${key}=${text} must be`);
    expect(read).toEqual({ conditions: { ...BASELINE, targetElevationM: 4 }, surface: MEDIUM_FAIRWAY });
  });

  it('goes along to another view without what belongs to this one', () => {
    expect(
      settingPart({ wind: '5', ground: 'firm', school: 'minimal', club: 'x', asOf: '2026-10-01' }),
    ).toEqual({ wind: '5', ground: 'firm' });
  });

  it("stands on the player's own air", () => {
    const high = { ...BASELINE, altitudeM: 1520, temperatureC: 12 };
    expect(readSetting({ wind: '3' }, baselineOf({ baseline: high })).setting?.conditions).toEqual({
      ...high,
      windMps: 3,
    });
  });
});
