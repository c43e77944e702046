import {
  BASELINE,
  STRIKE_PARTS,
  airOf,
  flight,
  launchOfShot,
  normalFrom,
  randomFrom,
  type Strike,
  type StrikePart,
} from '@tasche/core';
import type { HitRequest } from '@tasche/contract';

/** How well a player hits it. Shares are chances. All made up. */
export interface Skill {
  /** One standard deviation of ball speed, as a share. */
  speedShare: number;
  launchDeg: number;
  spinShare: number;
  azimuthDeg: number;
  axisDeg: number;
  misHits: number;
  /** Ball speed lost with every ball hit, as a share. */
  tiring: number;
}

export const GOOD_PLAYER: Skill = {
  speedShare: 0.013,
  launchDeg: 0.8,
  spinShare: 0.05,
  azimuthDeg: 1.1,
  axisDeg: 2.5,
  misHits: 0.05,
  tiring: 0.0002,
};

/** A simulated device sees this much of a ball; the rest is for the flight model. */
const SEEN: readonly StrikePart[] = [
  'clubSpeedMps',
  'ballSpeedMps',
  'launchDeg',
  'azimuthDeg',
  'spinRpm',
  'spinAxisDeg',
  'carryM',
  'apexM',
  'descentDeg',
  'offlineM',
];
const MAX_TIRED = 0.04;

/**
 * A player at the mat: asked for a ball with a club, gives what a device saw of it. The same seed hits the
 * same balls.
 */
export function simulatedPlayer(seed: number, skill: Skill = GOOD_PLAYER): (order: HitRequest) => Strike {
  const uniform = randomFrom(seed);
  const normal = normalFrom(uniform);
  const air = airOf(BASELINE);
  let hit = 0;
  return ({ kind, loftDeg, carryM }) => {
    const { launch, delivery } = launchOfShot(kind, loftDeg, carryM, air);
    const tired = Math.min(MAX_TIRED, skill.tiring * hit++);
    const misHit = uniform() < skill.misHits;
    const speed = (1 - tired) * (1 + skill.speedShare * normal()) * (misHit ? 0.86 + 0.08 * uniform() : 1);
    const struck = {
      ballSpeedMps: launch.ballSpeedMps * speed,
      launchDeg: launch.launchDeg + skill.launchDeg * normal() - (misHit ? 2 : 0),
      spinRpm: Math.max(300, launch.spinRpm * (1 + skill.spinShare * normal()) * (misHit ? 0.85 : 1)),
      azimuthDeg: skill.azimuthDeg * normal() * (misHit ? 3 : 1),
      spinAxisDeg: skill.axisDeg * normal() * (misHit ? 2 : 1),
    };
    const flown = flight({ ...struck, launchDeg: Math.max(1, struck.launchDeg) }, BASELINE);
    const all: Strike = {
      ...struck,
      clubSpeedMps: delivery.clubSpeedMps * (1 - tired) * (1 + skill.speedShare * normal()),
      carryM: flown.carryM,
      offlineM: flown.lateralM,
      apexM: flown.apexM,
      descentDeg: flown.descentDeg,
    };
    return Object.fromEntries(
      STRIKE_PARTS.flatMap((part) =>
        SEEN.includes(part) && all[part] !== undefined ? [[part, Math.round(all[part] * 100) / 100]] : [],
      ),
    );
  };
}
