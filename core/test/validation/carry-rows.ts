import {
  BASELINE,
  MEDIUM_FAIRWAY,
  airOf,
  carryCurve,
  fly,
  fromMetres,
  groundOf,
  predictedOf,
  run,
  spreadOf,
  toMetres,
  type ClubKind,
  type LadderClub,
} from '../../src/index.js';
import { SPREAD_SHOTS, scatteredLaunches } from '../../src/plays-like/spread.js';
import { atMost, between, signed, type Row, type Section } from './row.js';
import { STOCK_WOMEN, STOCK, launchOf, type StockRow } from './stock-table.js';

/** Lofts that go with the tables: remembered, no source. */
const LOFTS: Record<string, readonly [ClubKind, number]> = {
  driver: ['driver', 10.5],
  '3-wood': ['fairway', 15],
  '5-wood': ['fairway', 18],
  'hybrid 18': ['hybrid', 18],
  '3-iron': ['iron', 21],
  '4-iron': ['iron', 24],
  '5-iron': ['iron', 27],
  '6-iron': ['iron', 30.5],
  '7-iron': ['iron', 34],
  '8-iron': ['iron', 38],
  '9-iron': ['iron', 42],
  'pitching wedge': ['iron', 46],
};

/** The table as a player's bag. */
function bagOf(table: readonly StockRow[]): LadderClub[] {
  return table.map(({ club, carryYd, apexYd, descentDeg }) => {
    const [kind, loftDeg] = LOFTS[club]!;
    return {
      id: club,
      name: club,
      kind,
      loftDeg,
      shots: {
        full: {
          carryM: toMetres(carryYd, 'yd'),
          apexM: toMetres(apexYd, 'yd'),
          descentDeg,
          source: 'stated',
        },
      },
    };
  });
}

/** Each club of the held-out table predicted from the others. */
export function carryCurveSection(): Section {
  const bag = bagOf(STOCK_WOMEN);
  const rows = bag.map((club): Row => {
    const { carryM } = carryCurve(bag.filter((one) => one !== club)).at(club.kind, club.loftDeg!);
    const off = club.shots.full!.carryM - carryM.value;
    const yd = (metres: number) => fromMetres(metres, 'yd');
    return {
      what: `${club.name}, ${club.loftDeg}°`,
      expected: `${yd(club.shots.full!.carryM).toFixed(0)} yd`,
      got: `${yd(carryM.value).toFixed(1)} ± ${yd(carryM.plusMinus).toFixed(1)} yd`,
      deviation: signed(yd(-off), 1, ' yd'),
      allowed: 'its own interval',
      met: Math.abs(off) <= carryM.plusMinus,
    };
  });
  const drivers = [STOCK, STOCK_WOMEN].map((table) => {
    const whole = bagOf(table);
    const driver = whole.find(({ kind }) => kind === 'driver')!;
    return (
      Math.log(
        carryCurve(whole.filter((one) => one !== driver)).at('driver', driver.loftDeg!).carryM.value /
          driver.shots.full!.carryM,
      ) * 100
    );
  });
  rows.push(
    between(
      'the drivers of both tables, left out: off on average',
      drivers.reduce((sum, one) => sum + one, 0) / drivers.length,
      -2,
      2,
      '%',
      1,
    ),
  );
  return {
    title: 'Carry for a loft, each club from the others',
    words:
      'The women’s table as one player’s bag, lofts remembered, carries taken as stated. Each club is left out and predicted from the rest, with a 95 % interval.',
    rows,
  };
}

/** The same with no loft known: each club has the one usual for its name. */
export function carryByNameSection(): Section {
  const bag = bagOf(STOCK_WOMEN).map(({ loftDeg: _loftDeg, ...club }): LadderClub => club);
  const yd = (metres: number) => fromMetres(metres, 'yd');
  return {
    title: 'Carry for a name, each club from the others',
    words:
      'The same table without its lofts: each club is taken to have the loft usual for its name, left out, and predicted from the rest.',
    rows: bag.map((club): Row => {
      const { carryM } = predictedOf(carryCurve(bag.filter((one) => one !== club)), club)!;
      const off = club.shots.full!.carryM - carryM.value;
      return {
        what: club.name,
        expected: `${yd(club.shots.full!.carryM).toFixed(0)} yd`,
        got: `${yd(carryM.value).toFixed(1)} ± ${yd(carryM.plusMinus).toFixed(1)} yd`,
        deviation: signed(yd(-off), 1, ' yd'),
        allowed: 'its own interval',
        met: Math.abs(off) <= carryM.plusMinus,
      };
    }),
  };
}

/** The quadratic a spread is taken through, against flying all of its shots. */
export function spreadSection(): Section {
  const ground = groundOf(MEDIUM_FAIRWAY);
  const airs = [
    ['calm', BASELINE],
    ['8 m/s across and against', { ...BASELINE, windMps: 8, windFromDeg: 60 }],
  ] as const;
  const rows = airs.flatMap(([words, conditions]) =>
    ['driver', '7-iron', 'pitching wedge'].map((club) => {
      const launch = launchOf(STOCK.find((row) => row.club === club)!);
      const air = airOf(conditions);
      const { shots } = spreadOf(launch, air, ground);
      const squares = scatteredLaunches(launch).reduce((sum, one, i) => {
        const flight = fly(one, air);
        const total =
          flight.carryM + run(flight.landSpeedMps, flight.descentDeg, flight.landSpinRpm, ground).runM;
        return (
          sum +
          (flight.carryM - shots[i * 3]!) ** 2 +
          (flight.lateralM - shots[i * 3 + 1]!) ** 2 +
          (total - shots[i * 3 + 2]!) ** 2
        );
      }, 0);
      return atMost(
        `${club}, ${words}: root mean square over carry, lateral and total`,
        Math.sqrt(squares / (3 * SPREAD_SHOTS)),
        1,
        'm',
        2,
      );
    }),
  );
  return {
    title: 'Spread of 200 shots',
    words: 'A spread flies eleven launches and takes 200 shots through a quadratic; here all 200 are flown.',
    rows,
  };
}
