import {
  AREAS,
  CONDITION_BOUNDS,
  FIRMNESSES,
  GRASSES,
  type Conditions,
  type PlayingConditions,
  type Surface,
} from '@tasche/core';
import { conditionsSchema, surfaceSchema } from '@tasche/contract';
import type { LocationQuery } from 'vue-router';

/** The air and the ground as they stand in an address, in C, m, %, m/s and degrees. */
const NUMBERS: Readonly<Record<string, keyof Conditions>> = {
  temp: 'temperatureC',
  alt: 'altitudeM',
  hpa: 'pressureHpa',
  hum: 'humidityPct',
  wind: 'windMps',
  from: 'windFromDeg',
  rise: 'targetElevationM',
};
const CHOICES: Readonly<Record<string, { part: keyof Surface; of: readonly string[] }>> = {
  ground: { part: 'firmness', of: FIRMNESSES },
  grass: { part: 'grass', of: GRASSES },
  area: { part: 'area', of: AREAS },
};
const SETTING_KEYS = [...Object.keys(NUMBERS), ...Object.keys(CHOICES)];

/**
 * A setting read from an address; null where it names none. What is not named, or cannot be, is the
 * baseline's; what cannot be is said.
 */
export function readSetting(
  query: LocationQuery,
  baseline: PlayingConditions,
): { setting: PlayingConditions | null; complaints: string[] } {
  const complaints: string[] = [];
  const conditions: Partial<Conditions> = {};
  const surface: Partial<Record<keyof Surface, string>> = {};
  for (const [key, field] of Object.entries(NUMBERS)) {
    const text = query[key];
    if (typeof text !== 'string') continue;
    const value = Number(text);
    const [min, max] = CONDITION_BOUNDS[field];
    if (text.trim() === '' || !Number.isFinite(value) || value < min || value > max)
      complaints.push(`${key}=${text} must be between ${min} and ${max}`);
    else conditions[field] = value;
  }
  for (const [key, { part, of }] of Object.entries(CHOICES)) {
    const text = query[key];
    if (typeof text !== 'string') continue;
    if (of.includes(text)) surface[part] = text;
    else complaints.push(`${key}=${text} must be one of ${of.join(', ')}`);
  }
  if (Object.keys(conditions).length + Object.keys(surface).length === 0)
    return { setting: null, complaints };
  const setting = {
    conditions: { ...baseline.conditions, ...conditions },
    surface: { ...baseline.surface, ...surface } as Surface,
  };
  // The same schemas as at every other border; they agree with the checks above, or this throws in a test.
  conditionsSchema.validateSync(setting.conditions, { strict: true });
  surfaceSchema.validateSync(setting.surface, { strict: true });
  return { setting, complaints };
}

/** The part of an address that says a setting: what differs from the baseline. */
export function settingQuery(
  setting: PlayingConditions | null,
  baseline: PlayingConditions,
): Record<string, string | undefined> {
  const query: Record<string, string | undefined> = Object.fromEntries(
    SETTING_KEYS.map((key) => [key, undefined]),
  );
  if (!setting) return query;
  for (const [key, field] of Object.entries(NUMBERS)) {
    const value = setting.conditions[field];
    if (value !== undefined && value !== baseline.conditions[field])
      query[key] = String(Math.round(value * 100) / 100);
  }
  for (const [key, { part }] of Object.entries(CHOICES)) {
    if (setting.surface[part] !== baseline.surface[part]) query[key] = setting.surface[part];
  }
  return query;
}

/** The part of an address that says the air and the ground. */
export function settingPart(query: LocationQuery): LocationQuery {
  return Object.fromEntries(
    SETTING_KEYS.flatMap((key) => (query[key] === undefined ? [] : [[key, query[key]]])),
  );
}
