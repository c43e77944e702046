import type { CourseGround, DistanceUnit, RoundAir } from '@tasche/core';
import { airWords } from '../conditions/air-units';

const POINTS = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'] as const;

/** "W" for 265: where a wind comes from, to an eighth. */
export function compassPoint(deg: number): string {
  return POINTS[Math.round((((deg % 360) + 360) % 360) / 45) % 8]!;
}

/** "8 °C, 8 m/s from the W". */
export function roundAirWords({ temperatureC, windMps, windFromDeg }: RoundAir, unit: DistanceUnit): string {
  const wind =
    windMps < 0.5 ? 'calm' : `${airWords('wind', windMps, unit)} from the ${compassPoint(windFromDeg)}`;
  return `${airWords('temperature', temperatureC, unit)}, ${wind}`;
}

/** "firm fairways and greens, short rough, hard sand". */
export function groundWords({ fairways, greens, rough, wet, sand }: CourseGround): string {
  const firmness =
    fairways === greens ? `${fairways} fairways and greens` : `${fairways} fairways, ${greens} greens`;
  return `${firmness}, ${rough} ${wet ? 'wet ' : ''}rough, ${sand} sand`;
}
