/**
 * What a place is usually like: temperatures of its coldest and warmest month, damp, and the wind. Everything
 * here is invented.
 */
export interface Climate {
  /** The middle of the place, degrees. */
  latitudeDeg: number;
  longitudeDeg: number;
  coldestC: number;
  warmestC: number;
  /** 1 to 12; the coldest is half a year away. */
  warmestMonth: number;
  humidityPct: number;
  windMps: number;
  windFromDeg: number;
  /** How far a day is from the usual, one standard deviation. */
  varies: { temperatureC: number; windShare: number; windDeg: number };
}

/** The islands of the Meridian Swing; none of them is on any chart. */
export const CLIMATES: readonly Climate[] = [
  {
    latitudeDeg: 63.1,
    longitudeDeg: -8.9,
    coldestC: 3,
    warmestC: 14,
    warmestMonth: 7,
    humidityPct: 80,
    windMps: 8,
    windFromDeg: 265,
    varies: { temperatureC: 2, windShare: 0.35, windDeg: 35 },
  },
  {
    latitudeDeg: 46.4,
    longitudeDeg: -20.2,
    coldestC: -3,
    warmestC: 19,
    warmestMonth: 7,
    humidityPct: 50,
    windMps: 2.5,
    windFromDeg: 200,
    varies: { temperatureC: 3, windShare: 0.4, windDeg: 60 },
  },
  {
    latitudeDeg: 33.2,
    longitudeDeg: -33.5,
    coldestC: 17,
    warmestC: 29,
    warmestMonth: 8,
    humidityPct: 86,
    windMps: 3,
    windFromDeg: 110,
    varies: { temperatureC: 1.5, windShare: 0.35, windDeg: 50 },
  },
  {
    latitudeDeg: 27.6,
    longitudeDeg: -40.1,
    coldestC: 20,
    warmestC: 37,
    warmestMonth: 7,
    humidityPct: 22,
    windMps: 5,
    windFromDeg: 50,
    varies: { temperatureC: 3, windShare: 0.3, windDeg: 40 },
  },
];

/** A place without a description: warmer towards the equator, cooler up high. */
export function climateAt(latitudeDeg: number, longitudeDeg: number, altitudeM: number): Climate {
  const known = CLIMATES.find(
    (one) => Math.abs(one.latitudeDeg - latitudeDeg) < 1 && Math.abs(one.longitudeDeg - longitudeDeg) < 1,
  );
  if (known) return known;
  const middleC = 28 - 0.45 * Math.abs(latitudeDeg) - 0.0065 * altitudeM;
  const swingC = 2 + 0.2 * Math.abs(latitudeDeg);
  return {
    latitudeDeg,
    longitudeDeg,
    coldestC: middleC - swingC,
    warmestC: middleC + swingC,
    warmestMonth: latitudeDeg < 0 ? 1 : 7,
    humidityPct: 65,
    windMps: 4,
    windFromDeg: 240,
    varies: { temperatureC: 3, windShare: 0.4, windDeg: 60 },
  };
}

/** The usual temperature of a day of the year: a cosine between the coldest and the warmest month. */
export function usualC({ coldestC, warmestC, warmestMonth }: Climate, day: string): number {
  const [month, date] = [Number(day.slice(5, 7)), Number(day.slice(8, 10))];
  const turned = ((month + (date - 15) / 30 - warmestMonth) / 12) * 2 * Math.PI;
  return (coldestC + warmestC) / 2 + ((warmestC - coldestC) / 2) * Math.cos(turned);
}
