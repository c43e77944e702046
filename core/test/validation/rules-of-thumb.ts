import {
  BASELINE,
  MEDIUM_FAIRWAY,
  TOUR_SEVEN_IRON_MPS,
  airOf,
  fly,
  fromMetres,
  groundOf,
  impact,
  moveShot,
  playsLike,
  run,
  solveRising,
  stockDelivery,
  swingOf,
  toMetres,
  whatIf,
  type ClubKind,
  type Conditions,
  type Flight,
  type Surface,
} from '../../src/index.js';
import { between, signed, type Row, type Section } from './row.js';
import { STOCK, flown, launchOf } from './stock-table.js';

const stock = (club: string) => STOCK.find((row) => row.club === club)!;
const MPH = 0.44704;
const seven = stock('7-iron');
const home = flown(seven);
const inAir = (club: string, some: Partial<Conditions>): Flight => {
  const conditions = { ...BASELINE, ...some };
  return fly(launchOf(stock(club)), airOf(conditions), conditions.targetElevationM);
};
const runOf = (flight: Flight, surface: Surface = MEDIUM_FAIRWAY) =>
  run(flight.landSpeedMps, flight.descentDeg, flight.landSpinRpm, groundOf(surface)).runM;
const yd = (metres: number) => fromMetres(metres, 'yd');
const carryOf = (kind: ClubKind, loftDeg: number, sevenMph: number) =>
  fly(impact(stockDelivery(kind, loftDeg, sevenMph * MPH)), airOf(BASELINE)).carryM;

/** The carry a stock club gains in air and ball warmer by 10 F. */
function warmer(club: string, kind: ClubKind, loftDeg: number): number {
  const swung = swingOf(
    { kind, loftDeg },
    { carryM: flown(stock(club)).carryM, source: 'stated' },
    { conditions: BASELINE, surface: MEDIUM_FAIRWAY },
  );
  return yd(
    moveShot(swung, {
      conditions: { ...BASELINE, temperatureC: BASELINE.temperatureC + 10 / 1.8 },
      surface: MEDIUM_FAIRWAY,
    }).shiftCarryM,
  );
}

/**
 * Two clubs of one carry: the lower with 1,100 rpm less and as much less launch as puts its apex 45 ft lower.
 */
function twoFlights(): { high: Flight; low: Flight } {
  const highLaunch = launchOf({ ballMph: 150, launchDeg: 14, spinRpm: 4600 });
  const air = airOf(BASELINE);
  const high = fly(highLaunch, air);
  const lowOf = (lessDeg: number) => {
    const at = (ballSpeedMps: number) =>
      fly(
        { ballSpeedMps, launchDeg: highLaunch.launchDeg - lessDeg, spinRpm: highLaunch.spinRpm - 1100 },
        air,
      );
    return at(solveRising((speed) => at(speed).carryM, high.carryM, 40, 90, 1e-3));
  };
  const lessDeg = solveRising((less) => high.apexM - lowOf(less).apexM, toMetres(45, 'ft'), 0, 8, 1e-3);
  return { high, low: lowOf(lessDeg) };
}

function holdsFirmGreen(): Row[] {
  const firm: Surface = { area: 'green', firmness: 'firm', grass: 'bent' };
  return STOCK.map((row) => ({ row, flight: flown(row) }))
    .filter(({ flight }) => flight.descentDeg >= 45)
    .map(({ row, flight }) =>
      between(
        `${row.club}, landing at ${flight.descentDeg.toFixed(1)}°, holds a firm green`,
        yd(runOf(flight, firm)),
        -10,
        8,
        'yd of run',
        1,
      ),
    );
}

function spinCosts(): Row[] {
  return (
    [
      [167, 10.9],
      [170, 14],
    ] as const
  ).map(([ballMph, launchDeg]) => {
    const much = fly(launchOf({ ballMph, launchDeg, spinRpm: 3000 }), airOf(BASELINE));
    const little = fly(launchOf({ ballMph, launchDeg, spinRpm: 2300 }), airOf(BASELINE));
    const carry = yd(much.carryM - little.carryM);
    const total = carry + yd(runOf(much) - runOf(little));
    return {
      what: `driver spin 3,000 against 2,300 rpm at ${ballMph} mph and ${launchDeg}°`,
      expected: 'costs carry and run',
      got: `carry ${signed(carry, 1, ' yd')}, total ${signed(total, 1, ' yd')}`,
      deviation:
        carry > 0
          ? `carry ${signed(carry, 1, ' yd')}: a ball launched this low still needs the spin to stay up`
          : 'inside',
      allowed: 'the sign',
      met: carry < 0 && total < 0,
    };
  });
}

/** What a swing, a lie or a sleeve does, and one caddie's wedge in other air. */
function swungRows(): Row[] {
  const swung = (kind: ClubKind, loftDeg: number, mph: number) =>
    fly(impact(stockDelivery(kind, loftDeg, mph * MPH)), airOf(BASELINE));
  const attacked = (attackDeg: number) =>
    fly(
      impact({ ...stockDelivery('driver', 10.5, TOUR_SEVEN_IRON_MPS, attackDeg), clubSpeedMps: 90 * MPH }),
      airOf(BASELINE),
    ).carryM;
  const fast = solveRising(
    (speedMps) => fly(impact(stockDelivery('fairway', 15, speedMps)), airOf(BASELINE)).carryM,
    toMetres(270, 'yd'),
    30,
    52,
    1e-3,
  );
  const wedge = swingOf(
    { kind: 'iron', loftDeg: 46 },
    { carryM: toMetres(140, 'yd'), source: 'stated' },
    { conditions: BASELINE, surface: MEDIUM_FAIRWAY },
  );
  const wedgeIn = (some: Partial<Conditions>) =>
    140 + yd(moveShot(wedge, { conditions: { ...BASELINE, ...some }, surface: MEDIUM_FAIRWAY }).shiftCarryM);
  const offline = (
    kind: ClubKind,
    loftDeg: number,
    carryYd: number,
    tweak: { lieDeg?: number; sleeveDeg?: number },
  ) => Math.abs(yd(whatIf({ kind, loftDeg }, { carryM: toMetres(carryYd, 'yd') }, tweak).offlineM));
  return [
    between(
      'a lie 2° off, 7-iron at 155 yd, comes down off line by',
      offline('iron', 34, 155, { lieDeg: 2 }),
      5,
      7,
      'yd',
      1,
    ),
    between(
      'a driver’s sleeve turned up 1°, at 240 yd, comes down off line by',
      offline('driver', 10.5, 240, { sleeveDeg: 1 }),
      9,
      12,
      'yd',
      1,
    ),
    between(
      'hitting up on a driver by 5° against down by 5°, head at 90 mph, is worth',
      yd(attacked(5) - attacked(-5)),
      15,
      25,
      'yd',
      1,
    ),
    between(
      'apex of a 15° wood that carries 270 yd',
      fromMetres(fly(impact(stockDelivery('fairway', 15, fast)), airOf(BASELINE)).apexM, 'yd') * 3,
      90,
      110,
      'ft',
      0,
    ),
    ...[78, 90].map((mph) =>
      between(
        `a 60° lands steeper than a 56° at a 7-iron of ${mph} mph`,
        swung('wedge', 60, mph).descentDeg - swung('wedge', 56, mph).descentDeg,
        0,
        5,
        '°',
        1,
      ),
    ),
    between(
      'a pitching wedge of 140 yd at home in the desert, 86 F and 1,500 ft',
      wedgeIn({ temperatureC: 30, altitudeM: 457, humidityPct: 20 }),
      142,
      148,
      'yd',
      1,
    ),
    between(
      'the same on a cool shore, 55 F, a light breeze in the face',
      wedgeIn({ temperatureC: 12.8, humidityPct: 70, windMps: 1.5 }),
      132,
      138,
      'yd',
      1,
    ),
  ];
}

/** The rules of thumb of the trade: common practice, no source. */
export function rulesSection(): Section {
  const windPct = (windFromDeg: number) =>
    ((inAir('7-iron', { windMps: 10 * MPH, windFromDeg }).carryM / home.carryM - 1) * 100) / 10;
  const thin = 5 * 1000 * 0.3048;
  const altitudePct = ((inAir('7-iron', { altitudeM: thin }).carryM / home.carryM - 1) * 100) / 5;
  const cooler =
    ((inAir('7-iron', { altitudeM: thin, temperatureC: BASELINE.temperatureC - 0.0065 * thin }).carryM /
      home.carryM -
      1) *
      100) /
    5;
  const { high, low } = twoFlights();
  return {
    title: 'Rules of thumb',
    words:
      'Common practice, no source. Wind, altitude, elevation and two flights are from the flight and run-out models; temperature adds the ball’s restitution; steps, bends and builds add the impact model and the stock delivery.',
    rows: [
      between('headwind of 10 mph, 7-iron, cost per mph', -windPct(0), 0.7, 1.4, '%'),
      between('tailwind of 10 mph, 7-iron, gain per mph', windPct(180), 0.35, 0.75, '%'),
      between(
        'tailwind of 20 mph, 7-iron, gain',
        (inAir('7-iron', { windMps: 20 * MPH, windFromDeg: 180 }).carryM / home.carryM - 1) * 100,
        9,
        13,
        '%',
        1,
      ),
      between(
        'altitude of 5,000 ft, 7-iron, gain per 1,000 ft, the same temperature',
        altitudePct,
        0.8,
        1.4,
        '%',
      ),
      between('the same, as much cooler as the standard atmosphere is there', cooler, 0.8, 1.4, '%'),
      between('10 F of air and ball, 7-iron', warmer('7-iron', 'iron', 34), 0.6, 2.0, 'yd'),
      between('10 F of air and ball, driver', warmer('driver', 'driver', 10.5), 1.2, 3.0, 'yd'),
      between(
        'a green 10 yd above plays longer by, 7-iron',
        yd(
          playsLike({ kind: 'iron', loftDeg: 34 }, home.carryM, {
            ...BASELINE,
            targetElevationM: toMetres(10, 'yd'),
          }).playsLikeM - home.carryM,
        ),
        7,
        12,
        'yd',
      ),
      between(
        `one carry (${yd(high.carryM).toFixed(0)} yd), 45 ft lower, 1,100 rpm less: run ${yd(runOf(low)).toFixed(1)} yd against ${yd(runOf(high)).toFixed(1)} yd`,
        runOf(low) / runOf(high),
        1.6,
        2.6,
        'times',
      ),
      ...holdsFirmGreen(),
      ...spinCosts(),
      ...[85, 90].flatMap((mph) => [
        between(
          `a step of 4° (34 to 38) at a 7-iron of ${mph} mph`,
          yd(carryOf('iron', 34, mph) - carryOf('iron', 38, mph)),
          10,
          12,
          'yd',
          1,
        ),
        between(
          `a step of 5° (46 to 51) at a 7-iron of ${mph} mph`,
          yd(carryOf('wedge', 46, mph) - carryOf('wedge', 51, mph)),
          12,
          15,
          'yd',
          1,
        ),
      ]),
      ...[24, 40].map((loft) =>
        between(
          `one degree weaker, ${loft}° iron at a 7-iron of 90 mph, costs`,
          -yd(
            whatIf({ kind: 'iron', loftDeg: loft }, { carryM: carryOf('iron', loft, 90) }, { bendDeg: 1 })
              .carryM,
          ),
          1.5,
          3,
          'yd',
          1,
        ),
      ),
      ...swungRows(),
      ...[75, 90].map((mph) =>
        between(
          `a hybrid of 24° against an iron of 24° at a 7-iron of ${mph} mph`,
          yd(carryOf('hybrid', 24, mph) - carryOf('iron', 24, mph)),
          5,
          15,
          'yd',
          1,
        ),
      ),
    ],
  };
}
