import {
  BASELINE,
  airOf,
  fly,
  fromMetres,
  groundOf,
  run,
  type Conditions,
  type Firmness,
} from '../../src/index.js';
import type { Area } from '../../src/run-out/surface.js';
import type { Landing } from '../../src/run-out/run-out.js';
import { between, type Row, type Section } from './row.js';
import { STOCK, launchOf } from './stock-table.js';

const MPH = 0.44704;
const yd = (metres: number) => fromMetres(metres, 'yd');
const landingOf = (club: string, some: Partial<Conditions> = {}): Landing =>
  fly(launchOf(STOCK.find((row) => row.club === club)!), airOf({ ...BASELINE, ...some }));
const behind = (mph: number) => ({ windMps: mph * MPH, windFromDeg: 180 });
const inTheFace = (mph: number) => ({ windMps: mph * MPH, windFromDeg: 0 });

const runYd = ({ landSpeedMps, descentDeg, landSpinRpm }: Landing, area: Area, firmness: Firmness) =>
  yd(run(landSpeedMps, descentDeg, landSpinRpm, groundOf({ area, firmness, grass: 'bent' })).runM);

/**
 * What the trade sees: common practice, no source. Landings without a club are given as speed, angle and spin.
 */
const LANDINGS: readonly (readonly [string, Landing, Area, Firmness, number, number])[] = [
  [
    'tour driver, 27 m/s at 39°',
    { landSpeedMps: 27, descentDeg: 39, landSpinRpm: 2100 },
    'fairway',
    'medium',
    20,
    28,
  ],
  ['the same, soaked', { landSpeedMps: 27, descentDeg: 39, landSpinRpm: 2100 }, 'fairway', 'soaked', 2, 8],
  ['the same, baked', { landSpeedMps: 27, descentDeg: 39, landSpinRpm: 2100 }, 'fairway', 'baked', 40, 60],
  ['tour driver, 20 mph behind', landingOf('driver', behind(20)), 'fairway', 'medium', 30, 48],
  [
    'low punched long iron, 30 m/s at 25°',
    { landSpeedMps: 30, descentDeg: 25, landSpinRpm: 2700 },
    'fairway',
    'medium',
    35,
    55,
  ],
  [
    '3-wood, 26 m/s at 43°',
    { landSpeedMps: 26, descentDeg: 43, landSpinRpm: 2900 },
    'fairway',
    'medium',
    12,
    20,
  ],
  ['7-iron, green', landingOf('7-iron'), 'green', 'medium', 3, 8],
  ['7-iron, green, 20 mph behind', landingOf('7-iron', behind(20)), 'green', 'medium', 8, 20],
  ['pitching wedge, green', landingOf('pitching wedge'), 'green', 'medium', -2, 3],
  [
    'pitching wedge, green, 10 mph in the face',
    landingOf('pitching wedge', inTheFace(10)),
    'green',
    'medium',
    -4,
    2,
  ],
  [
    'pitching wedge, green, 18 mph in the face',
    landingOf('pitching wedge', inTheFace(18)),
    'green',
    'medium',
    -5,
    2,
  ],
  [
    '56° full, soft green',
    fly(launchOf({ ballMph: 85, launchDeg: 30, spinRpm: 9800 }), airOf(BASELINE)),
    'green',
    'soft',
    -4,
    1,
  ],
  [
    'chip, 6 m/s at 30°, green',
    { landSpeedMps: 6, descentDeg: 30, landSpinRpm: 2500 },
    'green',
    'medium',
    4,
    7,
  ],
];

interface Drive {
  launchDeg: number;
  spinRpm: number;
  totalYd: number;
}

/** The launch and spin of the best total at a ball speed of 167 mph, over a fine grid. */
function bestDrive(): Drive {
  let best: Drive = { launchDeg: 0, spinRpm: 0, totalYd: 0 };
  for (let launchDeg = 2; launchDeg <= 20; launchDeg += 0.5) {
    for (let spinRpm = 1000; spinRpm <= 4000; spinRpm += 100) {
      const flight = fly(launchOf({ ballMph: 167, launchDeg, spinRpm }), airOf(BASELINE));
      const totalYd = yd(flight.carryM) + runYd(flight, 'fairway', 'medium');
      if (totalYd > best.totalYd) best = { launchDeg, spinRpm, totalYd };
    }
  }
  return best;
}

/** The most a run grows when the ball comes down three degrees steeper: never, but for a hair. */
function mostGrowth(landSpeedMps: number, landSpinRpm: number, area: Area): number {
  const runs = Array.from({ length: 20 }, (_one, i) =>
    runYd({ landSpeedMps, descentDeg: 18 + 3 * i, landSpinRpm }, area, 'medium'),
  );
  return Math.max(...runs.slice(1).map((one, i) => one - runs[i]!));
}

export function runOutSection(): Section {
  const best = bestDrive();
  const rows: Row[] = [
    ...LANDINGS.map(([what, landing, area, firmness, low, high]) =>
      between(`run of a ${what}`, runYd(landing, area, firmness), low, high, 'yd', 1),
    ),
    between(
      `launch of the best total at 167 mph (${best.totalYd.toFixed(0)} yd)`,
      best.launchDeg,
      9,
      15,
      '°',
      1,
    ),
    between('its spin', best.spinRpm, 1800, 2900, 'rpm', 0),
    between(
      'most a run grows with 3° more of landing angle, 25 m/s, 2,500 rpm, fairway',
      mostGrowth(25, 2500, 'fairway'),
      -20,
      0.3,
      'yd',
    ),
    between('the same, 6,000 rpm, green', mostGrowth(25, 6000, 'green'), -20, 0.3, 'yd'),
  ];
  return {
    title: 'Run-out',
    words:
      'What the trade sees, on a medium fairway or green unless said. Common practice, no source; the ground’s values were set against these together (docs/numbers.md).',
    rows,
  };
}
