import { fromMetres, toMetres, type DistanceUnit, type PlayingConditions } from '@tasche/core';

/** How people who think in yards, or in metres, say the air. */
interface AirUnit {
  name: string;
  show: (si: number) => number;
  read: (shown: number) => number;
  step: number;
  decimals: number;
}

const same = (name: string, step: number, decimals = 0): AirUnit => ({
  name,
  step,
  decimals,
  show: (v) => v,
  read: (v) => v,
});
const MPS_PER_MPH = 0.44704;

export type AirPart = 'temperature' | 'altitude' | 'humidity' | 'wind' | 'from' | 'rise' | 'greenSpeed';

export function airUnits(unit: DistanceUnit): Record<AirPart, AirUnit> {
  const shared = { humidity: same('%', 5), from: same('°', 15) };
  if (unit === 'm')
    return {
      ...shared,
      temperature: same('°C', 1),
      altitude: same('m', 50),
      wind: same('m/s', 1, 1),
      rise: same('m', 1),
      greenSpeed: same('m', 0.1, 1),
    };
  return {
    ...shared,
    temperature: { name: '°F', step: 1, decimals: 0, show: (c) => c * 1.8 + 32, read: (f) => (f - 32) / 1.8 },
    altitude: {
      name: 'ft',
      step: 100,
      decimals: 0,
      show: (m) => fromMetres(m, 'ft'),
      read: (ft) => toMetres(ft, 'ft'),
    },
    wind: {
      name: 'mph',
      step: 1,
      decimals: 0,
      show: (mps) => mps / MPS_PER_MPH,
      read: (mph) => mph * MPS_PER_MPH,
    },
    rise: {
      name: 'yd',
      step: 1,
      decimals: 0,
      show: (m) => fromMetres(m, 'yd'),
      read: (yd) => toMetres(yd, 'yd'),
    },
    greenSpeed: {
      name: 'ft',
      step: 0.5,
      decimals: 1,
      show: (m) => fromMetres(m, 'ft'),
      read: (ft) => toMetres(ft, 'ft'),
    },
  };
}

/** "16 mph", "8 m/s". */
export function airWords(part: AirPart, si: number, unit: DistanceUnit): string {
  const { name, show, decimals } = airUnits(unit)[part];
  const value = String(Number(show(si).toFixed(decimals))).replace('-', '−');
  return name === '°' || name === '%' ? `${value} ${name}`.replace(' °', '°') : `${value} ${name}`;
}

const QUARTERS: readonly [number, string][] = [
  [22.5, 'in the face'],
  [67.5, 'in the face, from the right'],
  [112.5, 'from the right'],
  [157.5, 'from behind, from the right'],
  [202.5, 'from behind'],
  [247.5, 'from behind, from the left'],
  [292.5, 'from the left'],
  [337.5, 'in the face, from the left'],
];

/** Where the wind comes from as a player says it. */
export function windWords(fromDeg: number): string {
  const turned = ((fromDeg % 360) + 360) % 360;
  return QUARTERS.find(([until]) => turned < until)?.[1] ?? 'in the face';
}

/** "46 °F, 20 ft, 18 mph in the face, firm fairway". */
export function settingWords({ conditions, surface }: PlayingConditions, unit: DistanceUnit): string {
  const wind =
    conditions.windMps > 0
      ? `${airWords('wind', conditions.windMps, unit)} ${windWords(conditions.windFromDeg)}`
      : 'calm';
  return [
    airWords('temperature', conditions.temperatureC, unit),
    airWords('altitude', conditions.altitudeM, unit),
    wind,
    `${surface.firmness} ${surface.area}`,
  ].join(', ');
}
