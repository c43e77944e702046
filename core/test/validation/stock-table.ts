import { BASELINE, airOf, fly, fromMetres, type Flight, type Launch } from '../../src/index.js';
import { signed, type Row, type Section } from './row.js';

const MPS_PER_MPH = 0.44704;

export interface StockRow {
  club: string;
  ballMph: number;
  launchDeg: number;
  spinRpm: number;
  carryYd: number;
  apexYd: number;
  descentDeg: number;
}

/**
 * Stock tour numbers, men: common trade practice, remembered, no source. Rounded, pooled, and not consistent
 * with themselves.
 */
export const STOCK: readonly StockRow[] = (
  [
    ['driver', 167, 10.9, 2686, 275, 32, 38],
    ['3-wood', 158, 9.2, 3655, 243, 30, 43],
    ['5-wood', 152, 9.4, 4350, 230, 31, 47],
    ['hybrid 18', 146, 10.2, 4437, 225, 29, 47],
    ['3-iron', 142, 10.4, 4630, 212, 27, 46],
    ['4-iron', 137, 11.0, 4836, 203, 28, 48],
    ['5-iron', 132, 12.1, 5361, 194, 31, 49],
    ['6-iron', 127, 14.1, 6231, 183, 30, 50],
    ['7-iron', 120, 16.3, 7097, 172, 32, 50],
    ['8-iron', 115, 18.1, 7998, 160, 31, 50],
    ['9-iron', 109, 20.4, 8647, 148, 30, 51],
    ['pitching wedge', 102, 24.2, 9304, 136, 29, 52],
  ] as const
).map(([club, ballMph, launchDeg, spinRpm, carryYd, apexYd, descentDeg]) => ({
  club,
  ballMph,
  launchDeg,
  spinRpm,
  carryYd,
  apexYd,
  descentDeg,
}));

/**
 * A second table, women's tour averages, common trade practice, remembered, no source. Fitted together with
 * the first, so that neither's noise is.
 */
export const STOCK_WOMEN: readonly StockRow[] = (
  [
    ['driver', 140, 13.2, 2611, 218, 25, 37],
    ['3-wood', 132, 11.2, 2704, 195, 23, 39],
    ['5-wood', 128, 12.1, 4501, 185, 26, 43],
    ['4-iron', 116, 14.3, 4801, 169, 24, 43],
    ['5-iron', 112, 14.8, 5081, 161, 23, 45],
    ['6-iron', 109, 17.1, 5943, 152, 25, 46],
    ['7-iron', 104, 19.0, 6699, 141, 26, 47],
    ['8-iron', 100, 20.8, 7494, 130, 25, 47],
    ['9-iron', 93, 23.9, 7589, 119, 26, 47],
    ['pitching wedge', 86, 25.6, 8403, 107, 23, 48],
  ] as const
).map(([club, ballMph, launchDeg, spinRpm, carryYd, apexYd, descentDeg]) => ({
  club,
  ballMph,
  launchDeg,
  spinRpm,
  carryYd,
  apexYd,
  descentDeg,
}));

export function launchOf({
  ballMph,
  launchDeg,
  spinRpm,
}: Pick<StockRow, 'ballMph' | 'launchDeg' | 'spinRpm'>): Launch {
  return { ballSpeedMps: ballMph * MPS_PER_MPH, launchDeg, spinRpm };
}

export const flown = (row: StockRow): Flight => fly(launchOf(row), airOf(BASELINE));

export function stockSection(title: string, words: string, table: readonly StockRow[]): Section {
  const flights = table.map((row) => ({ row, flight: flown(row) }));
  const off = flights.map(({ row, flight }) => ({
    carry: (fromMetres(flight.carryM, 'yd') / row.carryYd - 1) * 100,
    apex: (fromMetres(flight.apexM, 'yd') / row.apexYd - 1) * 100,
    land: flight.descentDeg - row.descentDeg,
  }));
  const rms = (values: number[]) =>
    Math.sqrt(values.reduce((sum, value) => sum + value * value, 0) / values.length);
  const rmsRow = (what: string, value: number, max: number, unit: string): Row => ({
    what: `root mean square of ${what}`,
    expected: '0',
    got: `${value.toFixed(2)}${unit}`,
    deviation: signed(value, 2, unit),
    allowed: `${max}${unit}`,
    met: value <= max,
  });
  const rows = flights.map(({ row, flight }, i): Row => {
    const { carry, apex, land } = off[i]!;
    return {
      what: row.club,
      expected: `${row.carryYd} yd, apex ${row.apexYd} yd, ${row.descentDeg}°`,
      got: `${fromMetres(flight.carryM, 'yd').toFixed(1)} yd, apex ${fromMetres(flight.apexM, 'yd').toFixed(1)} yd, ${flight.descentDeg.toFixed(1)}°`,
      deviation: `${signed(carry, 2, ' %')}, apex ${signed(apex, 1, ' %')}, ${signed(land, 1, '°')}`,
      allowed: '4 %, 15 %, 6°',
      met: Math.abs(carry) <= 4 && Math.abs(apex) <= 15 && Math.abs(land) <= 6,
    };
  });
  return {
    title,
    words,
    rows: [
      ...rows,
      rmsRow('carry', rms(off.map(({ carry }) => carry)), 1.5, ' %'),
      rmsRow('landing angle', rms(off.map(({ land }) => land)), 2.2, '°'),
      rmsRow('apex', rms(off.map(({ apex }) => apex)), 6, ' %'),
    ],
  };
}
