import { GRAVITY } from '../air/index.js';
import { InvalidInputError } from '../invalid-input-error.js';
import { airOf, requireConditions, type Air, type Conditions } from '../conditions/index.js';
import { AERODYNAMICS, BALL, dragCoefficient, liftCoefficient, type Aerodynamics } from './aerodynamics.js';
import { requireLaunch, type Launch } from './launch.js';
import { windShare } from './wind-profile.js';

/** A flight from the club to the first touch of the ground. Metres, degrees, m/s, seconds, rpm. */
export interface Flight {
  carryM: number;
  /** Right of the target line is positive. */
  lateralM: number;
  apexM: number;
  /** Below the horizontal. */
  descentDeg: number;
  landSpeedMps: number;
  /** The direction it lands in, right of the target line positive. */
  landAzimuthDeg: number;
  /** Backspin left at landing. */
  landSpinRpm: number;
  flightS: number;
}

/** A place on the way: along the target line, up, right, metres, and the time, seconds. */
export interface PathPoint {
  xM: number;
  yM: number;
  zM: number;
  s: number;
}

/** A flight long after the longest there is; past it the ball is a balloon and the input nonsense. */
const MAX_SECONDS = 30;
/**
 * Step of the integrator, s; `fly` is within a centimetre of a tight reference with it (docs/validation.md).
 * An embedded pair of orders 5 and 4 needs a third of the evaluations and takes half as long again: what it
 * saves it spends on its sums.
 */
const STEP_S = 0.22;
/** In wind steps begin short and double: it changes fastest in the first metres above the ground. */
const FIRST_STEP_IN_WIND_S = 0.02;

const DEG = Math.PI / 180;
const RPM = (2 * Math.PI) / 60;

/**
 * The flight of a ball: a point mass under gravity, drag and lift, its spin decaying, in wind that grows with
 * height.
 * @throws InvalidInputError naming the field that is out of its range, or the target the ball never gets up to
 */
export function flight(launch: Launch, conditions: Conditions): Flight {
  requireLaunch(launch);
  requireConditions(conditions);
  return fly(launch, airOf(conditions), conditions.targetElevationM);
}

/**
 * `flight` in air already worked out, for those who fly the same air often. Fourth-order Runge-Kutta; the
 * apex and the landing come from the step that holds them, the landing by taking that step again to the
 * ground. Nothing is allocated in the loop: bags of spreads fly through here.
 * @param path filled with the places on the way, when given
 */
export function fly(
  launch: Launch,
  air: Air,
  targetElevationM = 0,
  path?: PathPoint[],
  aero: Aerodynamics = AERODYNAMICS,
): Flight {
  const { radiusM, massKg } = BALL;
  const k = (air.densityKgM3 * Math.PI * radiusM * radiusM) / (2 * massKg);
  const reynoldsPerMps = (air.densityKgM3 * 2 * radiusM) / air.viscosityPaS;
  const windy = air.windAlongMps !== 0 || air.windAcrossMps !== 0;
  /** The wind is counted from the lower of ball and target. */
  const groundM = Math.min(0, targetElevationM);

  const theta = launch.launchDeg * DEG;
  const azimuth = (launch.azimuthDeg ?? 0) * DEG;
  const tilt = (launch.spinAxisDeg ?? 0) * DEG;
  // Spin axis: to the player's right, tilted about the line of launch. x along the target line, y up, z right.
  const axisX = -Math.cos(tilt) * Math.sin(azimuth) + Math.sin(tilt) * Math.sin(theta) * Math.cos(azimuth);
  const axisY = -Math.sin(tilt) * Math.cos(theta);
  const axisZ = Math.cos(tilt) * Math.cos(azimuth) + Math.sin(tilt) * Math.sin(theta) * Math.sin(azimuth);

  let x = 0,
    y = 0,
    z = 0;
  let vx = launch.ballSpeedMps * Math.cos(theta) * Math.cos(azimuth);
  let vy = launch.ballSpeedMps * Math.sin(theta);
  let vz = launch.ballSpeedMps * Math.cos(theta) * Math.sin(azimuth);
  let spin = launch.spinRpm * RPM;
  let time = 0;
  let apexM = 0;
  let step = windy ? FIRST_STEP_IN_WIND_S : STEP_S;
  /** True when the step now taken is the last one, cut to the ground. */
  let landing = false;
  path?.push({ xM: 0, yM: 0, zM: 0, s: 0 });

  for (;;) {
    // One step: four stages, each at the state the one before leads to.
    let sx = 0,
      sy = 0,
      sz = 0,
      svx = 0,
      svy = 0,
      svz = 0,
      sSpin = 0;
    let firstAy = 0;
    let dx = 0,
      dy = 0,
      dz = 0,
      dvx = 0,
      dvy = 0,
      dvz = 0,
      dSpin = 0;
    for (let stage = 0; stage < 4; stage++) {
      const ahead = stage === 0 ? 0 : stage === 3 ? step : step / 2;
      const weight = stage === 0 || stage === 3 ? step / 6 : step / 3;
      const h = y + dy * ahead;
      const ux = vx + dvx * ahead,
        uy = vy + dvy * ahead,
        uz = vz + dvz * ahead;
      const omega = spin + dSpin * ahead;
      const share = windy ? windShare(h - groundM) : 0;
      const rx = ux - air.windAlongMps * share,
        rz = uz - air.windAcrossMps * share;
      const speed = Math.sqrt(rx * rx + uy * uy + rz * rz);
      const ratio = speed > 1e-9 ? (radiusM * omega) / speed : 0;
      const drag = k * dragCoefficient(ratio, reynoldsPerMps * speed, aero) * speed;
      const lift = k * liftCoefficient(ratio, reynoldsPerMps * speed, aero) * speed;
      dx = ux;
      dy = uy;
      dz = uz;
      dvx = -drag * rx + lift * (axisY * rz - axisZ * uy);
      dvy = -drag * uy + lift * (axisZ * rx - axisX * rz) - GRAVITY;
      dvz = -drag * rz + lift * (axisX * uy - axisY * rx);
      dSpin = (-aero.spinDecay * omega * speed) / radiusM;
      if (stage === 0) firstAy = dvy;
      sx += weight * dx;
      sy += weight * dy;
      sz += weight * dz;
      svx += weight * dvx;
      svy += weight * dvy;
      svz += weight * dvz;
      sSpin += weight * dSpin;
    }
    const nextY = y + sy;
    const nextVy = vy + svy;
    if (!landing && nextY < targetElevationM && nextVy < 0) {
      const share = crossing(y, vy * step, nextY, nextVy * step, targetElevationM);
      if (share === undefined)
        throw new InvalidInputError(
          'targetElevationM',
          `is never reached: the ball gets up to ${Math.max(apexM, y).toFixed(1)} m`,
        );
      step *= share;
      landing = true;
      continue;
    }
    if (vy > 0 && nextVy <= 0) apexM = Math.max(apexM, highest(y, vy, firstAy, nextY, nextVy, step));
    x += sx;
    y = nextY;
    z += sz;
    vx += svx;
    vy = nextVy;
    vz += svz;
    spin += sSpin;
    time += step;
    if (y > apexM) apexM = y;
    path?.push({ xM: x, yM: landing ? targetElevationM : y, zM: z, s: time });
    if (landing) break;
    if (time > MAX_SECONDS)
      throw new InvalidInputError('spinRpm', 'keeps the ball in the air for ever with this speed and launch');
    step = Math.min(STEP_S, step * 2);
  }
  // What the cut step still missed by is a hair; the ball is carried over it in a straight line.
  const rest = (targetElevationM - y) / vy;
  const across = Math.sqrt(vx * vx + vz * vz);
  return {
    carryM: x + vx * rest,
    lateralM: z + vz * rest,
    apexM,
    descentDeg: Math.atan2(-vy, across) / DEG,
    landSpeedMps: Math.sqrt(across * across + vy * vy),
    landAzimuthDeg: Math.atan2(vz, vx) / DEG,
    landSpinRpm: spin / RPM,
    flightS: time + rest,
  };
}

/**
 * Where a step, as the cubic through its ends and slopes, comes down to a height: its share of the step, 0 to
 * 1. Undefined when the step begins below the height and never gets above it.
 */
function crossing(y0: number, m0: number, y1: number, m1: number, level: number): number | undefined {
  const at = (t: number) => {
    const u = 1 - t;
    return y0 * (1 + 2 * t) * u * u + m0 * t * u * u + y1 * t * t * (3 - 2 * t) - m1 * t * t * u;
  };
  let low = 0;
  if (y0 <= level) {
    // Launched from the level or under it: it must be above it somewhere on the way.
    const top = m0 > m1 ? Math.min(1, Math.max(0, m0 / (m0 - m1))) : 0;
    if (m0 <= 0 && y0 === level && m1 < 0) return 1e-9;
    if (at(top) <= level) return undefined;
    low = top;
  }
  // Regula falsi, the end that stays weighted down (the Illinois rule): a handful of looks in place of forty
  // halvings.
  let high = 1;
  let [over, under] = [at(low) - level, at(high) - level];
  for (let i = 0; i < 20; i++) {
    const chord = high - (under * (high - low)) / (under - over);
    const share = chord > low && chord < high ? chord : (low + high) / 2;
    const off = at(share) - level;
    if (Math.abs(off) < 1e-7) return share;
    if (off > 0) {
      low = share;
      over = off;
      under /= 2;
    } else {
      high = share;
      under = off;
      over /= 2;
    }
  }
  return (low + high) / 2;
}

/**
 * The top of a step whose vertical speed changes sign: the quadratic of its first speed and acceleration,
 * corrected to its last speed.
 */
function highest(y0: number, v0: number, a0: number, y1: number, v1: number, step: number): number {
  // v(t) = v0 + a0 t + b t^2 with v(step) = v1; its root in the step by Newton's steps.
  const b = (v1 - v0 - a0 * step) / (step * step);
  let t = (step * v0) / (v0 - v1);
  for (let i = 0; i < 3; i++) t -= (v0 + a0 * t + b * t * t) / (a0 + 2 * b * t);
  return Number.isFinite(t) && t >= 0 && t <= step
    ? y0 + v0 * t + (a0 * t * t) / 2 + (b * t * t * t) / 3
    : Math.max(y0, y1);
}
