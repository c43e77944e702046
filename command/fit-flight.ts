import {
  AERODYNAMICS,
  BASELINE,
  airOf,
  fly,
  fromMetres,
  type Aerodynamics,
  type Conditions,
} from '@tasche/core';
import { STOCK_WOMEN, STOCK, launchOf, type StockRow } from '../core/test/validation/stock-table.js';

/** What is fitted, within what a wind tunnel could have shown. Spin decay is Smits and Smith's and stays. */
const BOUNDS: Record<Exclude<keyof Aerodynamics, 'spinDecay'>, readonly [number, number]> = {
  still: [0.1, 0.3],
  spun: [0, 5],
  spunHalf: [0.05, 2],
  crisis: [0, 0.35],
  crisisRe: [40_000, 110_000],
  crisisWidth: [4000, 30_000],
  liftMost: [0.2, 0.8],
  liftHalf: [0.03, 0.4],
  liftRe: [-0.6, 0.3],
};
const KEYS = Object.keys(BOUNDS) as (keyof typeof BOUNDS)[];

interface TableFit {
  carryRmsPct: number;
  carryWorstPct: number;
  landRmsDeg: number;
  apexRmsPct: number;
}

/** How far the flights of a table are off it, with some coefficients. */
function fitOf(table: readonly StockRow[], aero: Aerodynamics = AERODYNAMICS): TableFit {
  const air = airOf(BASELINE);
  const off = table.map((row) => {
    const flight = fly(launchOf(row), air, 0, undefined, aero);
    return {
      carry: (fromMetres(flight.carryM, 'yd') / row.carryYd - 1) * 100,
      apex: (fromMetres(flight.apexM, 'yd') / row.apexYd - 1) * 100,
      land: flight.descentDeg - row.descentDeg,
    };
  });
  const rms = (values: number[]) =>
    Math.sqrt(values.reduce((sum, value) => sum + value * value, 0) / values.length);
  return {
    carryRmsPct: rms(off.map(({ carry }) => carry)),
    carryWorstPct: Math.max(...off.map(({ carry }) => Math.abs(carry))),
    landRmsDeg: rms(off.map(({ land }) => land)),
    apexRmsPct: rms(off.map(({ apex }) => apex)),
  };
}

/**
 * The rules of thumb the fit is held to: carries at one altitude and in calm air leave the Reynolds part free.
 */
function rulesOf(aero: Aerodynamics) {
  const seven = launchOf(STOCK.find(({ club }) => club === '7-iron')!);
  const carry = (some: Partial<Conditions>) =>
    fly(seven, airOf({ ...BASELINE, ...some }), 0, undefined, aero).carryM;
  const home = carry({});
  const mph = 0.44704;
  const drive = (launchDeg: number, spinRpm: number) =>
    fromMetres(
      fly({ ballSpeedMps: 167 * mph, launchDeg, spinRpm }, airOf(BASELINE), 0, undefined, aero).carryM,
      'yd',
    );
  return {
    // Launched high, or with little spin, a drive gains nothing (common practice); the tables hold no such
    // ball.
    highDriveYd: Math.max(drive(20, 1200) + 6, drive(18, 1600) + 1, drive(14, 1600) + 9) - drive(13, 2300),
    altitudePct: (carry({ altitudeM: 1524 }) / home - 1) * 20,
    headwindPct: (1 - carry({ windMps: 10 * mph }) / home) * 10,
    tailwindPct: (carry({ windMps: 10 * mph, windFromDeg: 180 }) / home - 1) * 10,
    strongTailwindPct: (carry({ windMps: 20 * mph, windFromDeg: 180 }) / home - 1) * 100,
  };
}

/**
 * Drag of a ball that does not spin, past the crisis: what wind tunnels say, about 0.2 (Bearman and Harvey
 * 1976, from memory). Stock tables hold no such ball, so they alone would move it wherever the rest is a hair
 * better.
 */
const STILL = 0.2;
const STILL_DOUBT = 0.04;

/** What is made small: each part against what is wanted of it, steeply past it. */
function cost(aero: Aerodynamics): number {
  const over = (value: number, limit: number) => Math.max(0, value - limit) ** 2;
  const outside = (value: number, min: number, max: number) => over(value, max) + over(-value, -min);
  const tables = [STOCK, STOCK_WOMEN].map((table) => {
    const { carryRmsPct, carryWorstPct, landRmsDeg, apexRmsPct } = fitOf(table, aero);
    return (
      2 * (carryRmsPct / 1.5) ** 2 +
      1.3 * (landRmsDeg / 2.2) ** 2 +
      (apexRmsPct / 6) ** 2 +
      30 * over(carryRmsPct, 1.4) +
      6 * over(carryWorstPct, 3.6) +
      10 * over(landRmsDeg, 2.1) +
      5 * over(apexRmsPct, 5.7)
    );
  });
  const { highDriveYd, altitudePct, headwindPct, tailwindPct, strongTailwindPct } = rulesOf(aero);
  return (
    tables[0]! +
    tables[1]! +
    ((aero.still - STILL) / STILL_DOUBT) ** 2 +
    200 * outside(altitudePct, 0.92, 1.25) +
    100 * outside(headwindPct, 0.75, 1.3) +
    0.5 * over(highDriveYd, 0) +
    100 * outside(tailwindPct, 0.4, 0.7) +
    2 * outside(strongTailwindPct, 9.2, 12.8)
  );
}

/** Coefficients at a place of the search, and what leaving the bounds costs. */
function at(place: readonly number[]): { aero: Aerodynamics; outside: number } {
  let outside = 0;
  const fitted = Object.fromEntries(
    KEYS.map((key, i) => {
      const share = Math.min(1, Math.max(0, place[i]!));
      outside += (place[i]! - share) ** 2 * 1000;
      const [min, max] = BOUNDS[key];
      return [key, min + share * (max - min)];
    }),
  );
  return { aero: { ...AERODYNAMICS, ...fitted }, outside };
}

const ROUNDS = 12;
const STEPS = 500;

/**
 * `./tasche fit`: fits drag and lift to the stock tables again, from where they are, by the simplex of Nelder
 * and Mead (Computer Journal 7, 1965).
 */
export function fitFlight(): void {
  let place = KEYS.map((key) => (AERODYNAMICS[key] - BOUNDS[key][0]) / (BOUNDS[key][1] - BOUNDS[key][0]));
  const value = (one: readonly number[]) => {
    const { aero, outside } = at(one);
    return cost(aero) + outside;
  };
  for (let round = 0; round < ROUNDS; round++) {
    place = simplex(value, place, round % 2 === 0 ? 0.05 : -0.02);
    console.log(`round ${round + 1}: ${value(place).toFixed(4)}`);
  }
  const { aero } = at(place);
  console.log(
    JSON.stringify(
      aero,
      (_key, one: unknown) => (typeof one === 'number' ? Number(one.toPrecision(4)) : one),
      2,
    ),
  );
  for (const [name, table] of [
    ['men', STOCK],
    ['women', STOCK_WOMEN],
  ] as const) {
    const { carryRmsPct, carryWorstPct, landRmsDeg, apexRmsPct } = fitOf(table, aero);
    console.log(
      `${name}: carry ${carryRmsPct.toFixed(2)} % rms, ${carryWorstPct.toFixed(1)} % at worst; landing ${landRmsDeg.toFixed(2)}° rms; apex ${apexRmsPct.toFixed(1)} % rms`,
    );
  }
  console.log(rulesOf(aero));
}

/** One run of the simplex from a place. */
function simplex(
  value: (place: readonly number[]) => number,
  start: readonly number[],
  size: number,
): number[] {
  let corners = [
    [...start],
    ...start.map((_one, i) => start.map((part, j) => (i === j ? part + size : part))),
  ].map((place) => ({ place, cost: value(place) }));
  const n = start.length;
  for (let step = 0; step < STEPS; step++) {
    corners.sort((a, b) => a.cost - b.cost);
    const worst = corners[n]!;
    const centre = start.map(
      (_one, j) => corners.slice(0, n).reduce((sum, { place }) => sum + place[j]!, 0) / n,
    );
    const along = (by: number) => {
      const place = centre.map((part, j) => part + by * (part - worst.place[j]!));
      return { place, cost: value(place) };
    };
    const reflected = along(1);
    if (reflected.cost < corners[0]!.cost) {
      const further = along(2);
      corners[n] = further.cost < reflected.cost ? further : reflected;
    } else if (reflected.cost < corners[n - 1]!.cost) corners[n] = reflected;
    else {
      const nearer = along(reflected.cost < worst.cost ? 0.5 : -0.5);
      if (nearer.cost < Math.min(reflected.cost, worst.cost)) corners[n] = nearer;
      else
        corners = corners.map(({ place }, i) => {
          const next = i === 0 ? place : place.map((part, j) => (part + corners[0]!.place[j]!) / 2);
          return { place: next, cost: value(next) };
        });
    }
  }
  return corners.sort((a, b) => a.cost - b.cost)[0]!.place;
}
