import { AERODYNAMICS, BALL, GRAVITY, type Air, type Flight, type Launch } from '../../src/index.js';
import { dragCoefficient, liftCoefficient } from '../../src/flight/aerodynamics.js';
import { ROUGHNESS_M } from '../../src/flight/wind-profile.js';

/**
 * What is used of `odex`, Hairer and Wanner's extrapolation code, from the registry. Its package ships
 * sources the type checker would read.
 */
interface OdexSolver {
  absoluteTolerance: number;
  relativeTolerance: number;
  initialStepSize: number;
  denseOutput: boolean;
  maxSteps: number;
  solve(
    derivative: (t: number, state: number[]) => number[],
    from: number,
    start: number[],
    to: number,
    step: (
      n: number,
      t0: number,
      t1: number,
      state: number[],
      dense: (component: number, t: number) => number,
    ) => boolean | void,
  ): unknown;
}
const PACKAGE: string = 'odex';
const { Solver } = (await import(PACKAGE)) as { Solver: new (components: number) => OdexSolver };

/** The logarithmic profile itself; `fly` reads it off a table. */
const exactWindShare = (heightM: number) =>
  heightM <= 0
    ? 0
    : Math.log((heightM + ROUGHNESS_M) / ROUGHNESS_M) / Math.log((10 + ROUGHNESS_M) / ROUGHNESS_M);

type Vector = readonly [number, number, number];
const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];

/**
 * The same flight, by another integrator and with the equation of motion written in vectors: the reference
 * `fly` is held to.
 * @param tolerance absolute and relative tolerance of `odex`
 */
export function odexFlight(
  launch: Launch,
  air: Air,
  targetElevationM = 0,
  tolerance = 1e-10,
): Pick<Flight, 'carryM' | 'lateralM' | 'apexM' | 'flightS'> {
  const rad = (deg = 0) => (deg * Math.PI) / 180;
  const [theta, azimuth, tilt] = [rad(launch.launchDeg), rad(launch.azimuthDeg), rad(launch.spinAxisDeg)];
  const ahead: Vector = [
    Math.cos(theta) * Math.cos(azimuth),
    Math.sin(theta),
    Math.cos(theta) * Math.sin(azimuth),
  ];
  const right: Vector = [-Math.sin(azimuth), 0, Math.cos(azimuth)];
  const over = cross(right, ahead);
  const axis = right.map((r, i) => r * Math.cos(tilt) - over[i]! * Math.sin(tilt)) as unknown as Vector;
  const area = Math.PI * BALL.radiusM ** 2;
  const groundM = Math.min(0, targetElevationM);

  const derivative = (_t: number, [, y, , vx, vy, vz, omega]: number[]): number[] => {
    const share = exactWindShare(y! - groundM);
    const relative: Vector = [vx! - air.windAlongMps * share, vy!, vz! - air.windAcrossMps * share];
    const speed = Math.hypot(...relative);
    const spinRatio = (BALL.radiusM * omega!) / speed;
    const dynamic = (air.densityKgM3 * area * speed) / (2 * BALL.massKg);
    const reynolds = (air.densityKgM3 * speed * 2 * BALL.radiusM) / air.viscosityPaS;
    const drag = dynamic * dragCoefficient(spinRatio, reynolds);
    const lift = cross(axis, relative).map((part) => part * dynamic * liftCoefficient(spinRatio, reynolds));
    return [
      vx!,
      vy!,
      vz!,
      lift[0]! - drag * relative[0],
      lift[1]! - drag * relative[1] - GRAVITY,
      lift[2]! - drag * relative[2],
      (-AERODYNAMICS.spinDecay * omega! * speed) / BALL.radiusM,
    ];
  };

  const solver = new Solver(7);
  solver.absoluteTolerance = solver.relativeTolerance = tolerance;
  solver.initialStepSize = 0.01;
  solver.denseOutput = true;
  solver.maxSteps = 100_000;
  const start = [
    0,
    0,
    0,
    ...ahead.map((part) => part * launch.ballSpeedMps),
    (launch.spinRpm * 2 * Math.PI) / 60,
  ];
  let landed: Pick<Flight, 'carryM' | 'lateralM' | 'apexM' | 'flightS'> | undefined;
  let apexM = 0;
  solver.solve(derivative, 0, start, 30, (_n, t0, t1, state, dense) => {
    if (t1 <= t0) return undefined;
    if (dense(4, t0) > 0 && state[4]! <= 0)
      apexM = dense(
        1,
        zero((t) => dense(4, t), t0, t1),
      );
    if (state[1]! > targetElevationM || state[4]! > 0) return undefined;
    const at = zero((t) => dense(1, t) - targetElevationM, t0, t1);
    landed = { carryM: dense(0, at), lateralM: dense(2, at), apexM, flightS: at };
    return false;
  });
  if (!landed) throw new Error('the reference flight did not land');
  return landed;
}

/** Where a falling function passes through zero, by bisection. */
function zero(f: (t: number) => number, from: number, to: number): number {
  let [low, high] = [from, to];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (f(middle) > 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
