import type { Conditions, Firmness, Grass } from '@tasche/core';

interface DemoPlace {
  course: string;
  season: string;
  conditions: Omit<Conditions, 'targetElevationM'>;
  surface: { firmness: Firmness; grass: Grass };
}

const air = (temperatureC: number, altitudeM: number, humidityPct: number, windMps: number, windFromDeg: number) =>
  ({ temperatureC, altitudeM, humidityPct, windMps, windFromDeg });

/** The four courses of the Meridian Swing by season. All invented. */
export const DEMO_PLACES: readonly DemoPlace[] = [
  { course: 'Skarvoy Links', season: 'spring', conditions: air(8, 6, 78, 8, 0), surface: { firmness: 'firm', grass: 'fescue' } },
  { course: 'Skarvoy Links', season: 'summer', conditions: air(14, 6, 72, 6, 0), surface: { firmness: 'baked', grass: 'fescue' } },
  { course: 'Skarvoy Links', season: 'autumn', conditions: air(9, 6, 82, 10, 300), surface: { firmness: 'medium', grass: 'fescue' } },
  { course: 'Hochfirn', season: 'summer', conditions: air(19, 1520, 45, 2, 180), surface: { firmness: 'soft', grass: 'bent' } },
  { course: 'Hochfirn', season: 'autumn', conditions: air(11, 1520, 55, 3, 90), surface: { firmness: 'soft', grass: 'bent' } },
  { course: 'Lagoa Funda', season: 'spring', conditions: air(24, 40, 80, 3, 270), surface: { firmness: 'soft', grass: 'bermuda' } },
  { course: 'Lagoa Funda', season: 'summer', conditions: air(30, 40, 88, 2, 90), surface: { firmness: 'soaked', grass: 'bermuda' } },
  { course: 'Erg Chebka', season: 'winter', conditions: air(21, 420, 30, 4, 45), surface: { firmness: 'firm', grass: 'bermuda' } },
  { course: 'Erg Chebka', season: 'spring', conditions: air(34, 420, 15, 5, 225), surface: { firmness: 'baked', grass: 'bermuda' } },
];
