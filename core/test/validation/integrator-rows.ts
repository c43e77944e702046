import {
  AERODYNAMICS,
  BALL,
  BASELINE,
  GRAVITY,
  airOf,
  fly,
  type Aerodynamics,
  type Air,
} from '../../src/index.js';
import { launchGrid } from './launch-grid.js';
import { odexFlight } from './odex-flight.js';
import { atMost, nearBy, type Section } from './row.js';

const GRID_FLIGHTS = 500;

/** `fly` against `odex` at a tolerance of 1e-10 over a grid of launches from wedge to driver in wind. */
export function integratorSection(): Section {
  const worst = { carryM: 0, lateralM: 0, apexM: 0, flightS: 0 };
  for (const { launch, conditions } of launchGrid(GRID_FLIGHTS)) {
    const air = airOf(conditions);
    const ours = fly(launch, air);
    const reference = odexFlight(launch, air);
    for (const part of Object.keys(worst) as (keyof typeof worst)[])
      worst[part] = Math.max(worst[part], Math.abs(ours[part] - reference[part]));
  }
  return {
    title: 'Integrator',
    words: `Fourth-order Runge-Kutta against odex (Hairer and Wanner’s extrapolation code, tolerance 1e-10, its equation of motion written separately) over ${GRID_FLIGHTS} launches, ball 25 to 80 m/s, wind to 14 m/s from all sides, altitude to 2,000 m. The worst of each:`,
    rows: [
      atMost('carry', worst.carryM, 0.02, 'm'),
      atMost('lateral', worst.lateralM, 0.02, 'm'),
      atMost('apex', worst.apexM, 0.02, 'm'),
      atMost('flight time', worst.flightS, 0.002, 's'),
    ],
  };
}

const VACUUM: Air = { densityKgM3: 0, viscosityPaS: 1.8e-5, windAlongMps: 0, windAcrossMps: 0 };
const DEG = Math.PI / 180;

/** Flights with an answer on paper. */
export function closedFormSection(): Section {
  const vacuum = (
    [
      [70, 11],
      [45, 30],
      [30, 60],
    ] as const
  ).flatMap(([v, deg]) => {
    const flight = fly({ ballSpeedMps: v, launchDeg: deg, spinRpm: 3000 }, VACUUM);
    return [
      nearBy(
        `vacuum, ${v} m/s at ${deg}°: carry v² sin 2θ / g`,
        flight.carryM,
        (v * v * Math.sin(2 * deg * DEG)) / GRAVITY,
        0.0001,
        'm',
        4,
      ),
      nearBy(
        `vacuum, ${v} m/s at ${deg}°: apex v² sin² θ / 2g`,
        flight.apexM,
        (v * Math.sin(deg * DEG)) ** 2 / (2 * GRAVITY),
        0.0001,
        'm',
        4,
      ),
    ];
  });
  const up = fly({ ballSpeedMps: 50, launchDeg: 30, spinRpm: 2000 }, VACUUM, 15);
  const vy = 50 * Math.sin(30 * DEG);
  const time = (vy + Math.sqrt(vy * vy - 2 * GRAVITY * 15)) / GRAVITY;
  // Straight up with constant drag and no spin: H = vt²/2g ln(1 + v0²/vt²), and the speed it comes back with
  // vt sqrt(1 - exp(-2gH/vt²)).
  const constant: Aerodynamics = { ...AERODYNAMICS, still: 0.45, spun: 0, crisis: 0 };
  const air = airOf(BASELINE);
  const terminal2 =
    (2 * BALL.massKg * GRAVITY) / (air.densityKgM3 * constant.still * Math.PI * BALL.radiusM ** 2);
  const rising = [20, 45, 70].flatMap((v) => {
    const flight = fly({ ballSpeedMps: v, launchDeg: 90, spinRpm: 0 }, air, 0, undefined, constant);
    const height = (terminal2 / (2 * GRAVITY)) * Math.log(1 + (v * v) / terminal2);
    return [
      nearBy(`no spin, straight up at ${v} m/s: height`, flight.apexM, height, 0.005, 'm', 4),
      nearBy(
        `no spin, straight up at ${v} m/s: speed when it is back`,
        flight.landSpeedMps,
        Math.sqrt(terminal2 * (1 - Math.exp((-2 * GRAVITY * height) / terminal2))),
        0.005,
        'm/s',
        4,
      ),
    ];
  });
  return {
    title: 'Closed forms',
    words: 'Textbook mechanics: no air; and no spin with one drag coefficient, straight up.',
    rows: [
      ...vacuum,
      nearBy(
        'vacuum, 50 m/s at 30°, 15 m up: carry',
        up.carryM,
        50 * Math.cos(30 * DEG) * time,
        0.0001,
        'm',
        4,
      ),
      ...rising,
    ],
  };
}
