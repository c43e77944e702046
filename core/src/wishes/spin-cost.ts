import { BASELINE, airOf, type Conditions } from '../conditions/index.js';
import { fly } from '../flight/index.js';
import { InvalidInputError } from '../invalid-input-error.js';
import { MEDIUM_FAIRWAY, groundOf, run } from '../run-out/index.js';

/**
 * What a driver's spin costs at one ball speed and launch. Metres; carry and total lost against the best spin
 * there is.
 */
interface SpinCost {
  bestSpinRpm: number;
  carryLostM: number;
  totalLostM: number;
}

const SPINS_RPM: readonly [from: number, to: number, step: number] = [1400, 4200, 50];

/**
 * What too much or too little spin costs a drive, ball speed and launch staying the same: what a shaft, a
 * degree of loft or a better strike could bring at most. By the flight and run-out models on a medium
 * fairway.
 * @param ballSpeedMps 30 to 95
 * @param launchDeg 4 to 22
 * @param spinRpm 800 to 6000
 * @throws InvalidInputError naming the field
 */
export function spinCost(
  ballSpeedMps: number,
  launchDeg: number,
  spinRpm: number,
  conditions: Conditions = BASELINE,
): SpinCost {
  const within = (field: string, value: number, min: number, max: number) => {
    if (!(value >= min && value <= max))
      throw new InvalidInputError(field, `must be between ${min} and ${max}, not ${value}`);
  };
  within('ballSpeedMps', ballSpeedMps, 30, 95);
  within('launchDeg', launchDeg, 4, 22);
  within('spinRpm', spinRpm, 800, 6000);
  const air = airOf(conditions);
  const ground = groundOf(MEDIUM_FAIRWAY);
  const hit = (spin: number) => {
    const flight = fly({ ballSpeedMps, launchDeg, spinRpm: spin }, air);
    const { runM } = run(flight.landSpeedMps, flight.descentDeg, flight.landSpinRpm, ground);
    return { carryM: flight.carryM, totalM: flight.carryM + runM };
  };
  const now = hit(spinRpm);
  let best = { spin: spinRpm, ...now };
  const [from, to, step] = SPINS_RPM;
  for (let spin = from; spin <= to; spin += step) {
    const there = hit(spin);
    if (there.totalM > best.totalM) best = { spin, ...there };
  }
  return {
    bestSpinRpm: best.spin,
    carryLostM: best.carryM - now.carryM,
    totalLostM: best.totalM - now.totalM,
  };
}
