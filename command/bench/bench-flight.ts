import {
  airOf,
  fly,
  groundOf,
  moveShot,
  spreadOf,
  swingOf,
  BASELINE,
  MEDIUM_FAIRWAY,
  SHOT_KINDS,
  type LadderClub,
  type PlayingConditions,
  type Shot,
} from '@tasche/core';
import { launchGrid } from '../../core/test/validation/launch-grid.js';
import { odexFlight } from '../../core/test/validation/odex-flight.js';
import { fortyClubs } from './bench-gaps.js';
import { report } from './figure.js';

const FLIGHTS = 500;

/** Runs something over and over for a while; times a second, the best of three. */
function perSecond(seconds: number, once: () => number): number {
  let best = 0;
  for (let run = 0; run < 3; run++) {
    const start = performance.now();
    let count = 0;
    while (performance.now() - start < seconds * 1000) count += once();
    best = Math.max(best, count / ((performance.now() - start) / 1000));
  }
  return best;
}

/** Trajectories a second beside `odex` at the same accuracy, and a whole bag read in other air. */
export function benchFlight(): void {
  const grid = launchGrid(FLIGHTS).map(({ launch, conditions }) => ({ launch, air: airOf(conditions) }));
  const exact = grid.map(({ launch, air }) => odexFlight(launch, air).carryM);
  const worstOf = (carries: readonly number[]) =>
    Math.max(...carries.map((carryM, i) => Math.abs(carryM - exact[i]!)));
  const ours = worstOf(grid.map(({ launch, air }) => fly(launch, air).carryM));
  // The loosest tolerance at which odex is as near to the exact answer as we are.
  const tolerance =
    [1e-3, 3e-4, 1e-4, 3e-5, 1e-5, 3e-6, 1e-6, 1e-7, 1e-8].find(
      (one) => worstOf(grid.map(({ launch, air }) => odexFlight(launch, air, 0, one).carryM)) <= ours,
    ) ?? 1e-9;
  const fast = perSecond(1, () => {
    for (const { launch, air } of grid) fly(launch, air);
    return grid.length;
  });
  let next = 0;
  const reference = perSecond(1, () => {
    const { launch, air } = grid[next++ % grid.length]!;
    odexFlight(launch, air, 0, tolerance);
    return 1;
  });
  report(
    `full trajectories, ${FLIGHTS} launches wedge to driver in wind, worst carry ${(ours * 1000).toFixed(1)} mm off`,
    `${Math.round(fast).toLocaleString('en')} a second, ${(fast / reference).toFixed(0)} times odex at tolerance ${tolerance} (${Math.round(reference).toLocaleString('en')} a second)`,
    '100,000 a second',
    fast >= 100_000,
  );
  const calm = grid.map(({ launch, air }) => ({
    launch,
    air: { ...air, windAlongMps: 0, windAcrossMps: 0 },
  }));
  const still = perSecond(1, () => {
    for (const { launch, air } of calm) fly(launch, air);
    return calm.length;
  });
  report(
    'the same without wind',
    `${Math.round(still).toLocaleString('en')} a second`,
    '100,000 a second',
    still >= 100_000,
  );
  benchBag();
}

/**
 * Forty clubs with six shots each, 200 shots of spread about every one, bounce and roll included: what the
 * worker does when the air changes.
 */
function benchBag(): void {
  const home: PlayingConditions = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
  const clubs = fortyClubs().map((club): LadderClub => ({
    ...club,
    shots: Object.fromEntries(
      SHOT_KINDS.map((kind, i): [string, Shot] => [
        kind,
        { ...club.shots.full!, carryM: club.shots.full!.carryM * (1.03 - 0.05 * i) },
      ]),
    ),
  }));
  const shots = clubs.flatMap((club) => SHOT_KINDS.map((kind) => ({ club, shot: club.shots[kind]! })));
  const whole = (windMps: number) => {
    const to: PlayingConditions = {
      conditions: { ...BASELINE, temperatureC: 9, windMps, windFromDeg: 40 },
      surface: { ...MEDIUM_FAIRWAY, firmness: 'firm' },
    };
    const air = airOf(to.conditions);
    const ground = groundOf(to.surface);
    const start = performance.now();
    const swings = shots.map(({ club, shot }) => swingOf(club, shot, home));
    const moved = swings.map((swung) => moveShot(swung, to));
    const first = performance.now() - start;
    moved.forEach(({ launch }, i) => spreadOf(launch, air, ground, shots[i]!.shot.spreadM));
    return { first, all: performance.now() - start };
  };
  whole(3);
  const times = [4, 5, 6, 7, 8].map(whole);
  const median = (values: number[]) => values.sort((a, b) => a - b)[2]!;
  const [all, first] = [median(times.map((one) => one.all)), median(times.map((one) => one.first))];
  report(
    '40 clubs x 6 shots moved, with run-out and a spread of 200 each, nothing known from before',
    `${all.toFixed(0)} ms, median of 5`,
    'under 400 ms',
    all < 400,
  );
  report(
    'the same, all 240 moved and not yet spread',
    `${first.toFixed(0)} ms`,
    'within 100 ms for the first answer',
    first < 100,
  );
}
