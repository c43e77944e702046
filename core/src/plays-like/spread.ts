import { fly, type Flight, type Launch } from '../flight/index.js';
import { run, type Ground } from '../run-out/index.js';
import { normalFrom, randomFrom } from '../statistics/index.js';
import type { Air } from '../conditions/index.js';

/** Where many shots with one swing come down and come to rest. Metres; lateral right of the line. */
interface Spread {
  /** carry, lateral, total of each shot, one after the other. */
  shots: Float64Array;
  carrySdM: number;
  lateralSdM: number;
  totalSdM: number;
  /** The carry nine shots in ten get past. */
  lowEndM: number;
}

/**
 * How a good player's launches scatter about their mean, one standard deviation. Our choice, from memory of
 * what good players show.
 */
const SCATTER = { speedShare: 0.018, launchDeg: 1.0, spinShare: 0.07, azimuthDeg: 1.3, axisDeg: 3.5 };

/** The parts of a launch from which on it is the direction that scatters: azimuth and axis. */
const SIDE_PARTS = 3;

/** Shots of a spread; the same every time, so that a number on the screen does not dance. */
export const SPREAD_SHOTS = 200;
const NORMALS = normals(SPREAD_SHOTS * 5);

/**
 * 200 shots scattered about a launch, each with its bounce and roll. The flight is taken through a quadratic
 * in each part of the launch, fitted to eleven flights; docs/validation.md prints how far that is from flying
 * all 200.
 * @param spreadM the carry's standard deviation to come out with, when it is known; the scatter is scaled to
 * it
 * @param sideSpreadM the same of the side; without one the directions scatter in proportion to the carry
 */
export function spreadOf(
  launch: Launch,
  air: Air,
  ground: Ground,
  spreadM?: number,
  targetElevationM = 0,
  sideSpreadM?: number,
): Spread {
  const bent = launchesAbout(launch);
  const middle = fly(launch, air, targetElevationM);
  const ends = bent.map(
    ([less, more]) => [fly(less, air, targetElevationM), fly(more, air, targetElevationM)] as const,
  );
  const surface = (part: keyof Flight) =>
    ends.map(([less, more]) => ({
      slope: (more[part] - less[part]) / 2,
      curve: (more[part] + less[part]) / 2 - middle[part],
    }));
  const carry = surface('carryM'),
    lateral = surface('lateralM'),
    speed = surface('landSpeedMps'),
    angle = surface('descentDeg'),
    spin = surface('landSpinRpm');
  const deviationOfParts = (parts: readonly { slope: number; curve: number }[]) =>
    Math.sqrt(parts.reduce((sum, { slope, curve }) => sum + slope ** 2 + 2 * curve ** 2, 0));
  const scale = spreadM === undefined ? 1 : spreadM / deviationOfParts(carry);
  const sideScale =
    sideSpreadM === undefined ? scale : sideSpreadM / deviationOfParts(lateral.slice(SIDE_PARTS));
  const at = (base: number, parts: readonly { slope: number; curve: number }[], shot: number) => {
    let value = base;
    for (let i = 0; i < 5; i++) {
      const z = NORMALS[shot * 5 + i]! * (i < SIDE_PARTS ? scale : sideScale);
      value += parts[i]!.slope * z + parts[i]!.curve * z * z;
    }
    return value;
  };
  const shots = new Float64Array(SPREAD_SHOTS * 3);
  for (let shot = 0; shot < SPREAD_SHOTS; shot++) {
    const carryM = at(middle.carryM, carry, shot);
    const descentDeg = Math.min(89, Math.max(1, at(middle.descentDeg, angle, shot)));
    shots[shot * 3] = carryM;
    shots[shot * 3 + 1] = at(middle.lateralM, lateral, shot);
    shots[shot * 3 + 2] =
      carryM +
      run(
        Math.max(0, at(middle.landSpeedMps, speed, shot)),
        descentDeg,
        Math.max(0, at(middle.landSpinRpm, spin, shot)),
        ground,
      ).runM;
  }
  const carries = Array.from({ length: SPREAD_SHOTS }, (_one, i) => shots[i * 3]!).sort((a, b) => a - b);
  return {
    shots,
    carrySdM: deviation(shots, 0),
    lateralSdM: deviation(shots, 1),
    totalSdM: deviation(shots, 2),
    lowEndM: carries[Math.floor(SPREAD_SHOTS / 10)]!,
  };
}

/** The launch one deviation less and more in each of its parts. */
function launchesAbout(launch: Launch): readonly (readonly [Launch, Launch])[] {
  const { speedShare, launchDeg, spinShare, azimuthDeg, axisDeg } = SCATTER;
  const moved = (sign: number): Launch[] => [
    { ...launch, ballSpeedMps: launch.ballSpeedMps * (1 + sign * speedShare) },
    { ...launch, launchDeg: launch.launchDeg + sign * launchDeg },
    { ...launch, spinRpm: launch.spinRpm * (1 + sign * spinShare) },
    { ...launch, azimuthDeg: (launch.azimuthDeg ?? 0) + sign * azimuthDeg },
    { ...launch, spinAxisDeg: (launch.spinAxisDeg ?? 0) + sign * axisDeg },
  ];
  const more = moved(1);
  return moved(-1).map((less, i) => [less, more[i]!] as const);
}

/** The launches of the 200 shots themselves, for checking the quadratic against. */
export function scatteredLaunches(launch: Launch, scale = 1): Launch[] {
  return Array.from({ length: SPREAD_SHOTS }, (_one, shot) => {
    const z = (i: number) => NORMALS[shot * 5 + i]! * scale;
    return {
      ballSpeedMps: launch.ballSpeedMps * (1 + z(0) * SCATTER.speedShare),
      launchDeg: launch.launchDeg + z(1) * SCATTER.launchDeg,
      spinRpm: launch.spinRpm * (1 + z(2) * SCATTER.spinShare),
      azimuthDeg: (launch.azimuthDeg ?? 0) + z(3) * SCATTER.azimuthDeg,
      spinAxisDeg: (launch.spinAxisDeg ?? 0) + z(4) * SCATTER.axisDeg,
    };
  });
}

function deviation(shots: Float64Array, part: number): number {
  let sum = 0,
    squares = 0;
  for (let i = part; i < shots.length; i += 3) sum += shots[i]!;
  const mean = sum / SPREAD_SHOTS;
  for (let i = part; i < shots.length; i += 3) squares += (shots[i]! - mean) ** 2;
  return Math.sqrt(squares / (SPREAD_SHOTS - 1));
}

/**
 * Normal deviates, the same every time. The second half mirrors the first, so that every mean is zero, and
 * each of the five parts is scaled to a deviation of one.
 */
function normals(count: number): Float64Array {
  const normal = normalFrom(randomFrom(20261125));
  const values = new Float64Array(count);
  const half = count / 2;
  for (let i = 0; i < half; i++) values[i] = normal();
  for (let part = 0; part < 5; part++) {
    let squares = 0;
    for (let i = part; i < half; i += 5) squares += values[i]! ** 2;
    const scale = Math.sqrt(squares / (half / 5));
    for (let i = part; i < half; i += 5) values[half + i] = -(values[i]! /= scale);
  }
  return values;
}
