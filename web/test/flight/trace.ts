import {
  BASELINE,
  MEDIUM_FAIRWAY,
  airOf,
  fly,
  groundOf,
  moveShot,
  spreadOf,
  swingOf,
  type PathPoint,
  type Shot,
} from '@tasche/core';
import type { FlightTrace } from '../../src/conditions/conditions-worker';

const home = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
const shot: Shot = { carryM: 150, apexM: 28, source: 'stated', spreadM: 5 };

/** The flight of a 7 iron in a wind from the right, m/s. */
export function trace(windMps: number): FlightTrace {
  const conditions = { ...BASELINE, windMps, windFromDeg: 90 };
  const { launch, ...moved } = moveShot(swingOf({ kind: 'iron', loftDeg: 34 }, shot, home), {
    ...home,
    conditions,
  });
  const points: PathPoint[] = [];
  const { flightS, landSpeedMps } = fly(launch, airOf(conditions), 0, points);
  return {
    clubId: 'a',
    path: Float64Array.from(points.flatMap(({ xM, yM, zM }) => [xM, yM, zM])),
    moved,
    flightS,
    landSpeedMps,
    spread: spreadOf(launch, airOf(conditions), groundOf(MEDIUM_FAIRWAY), 5),
  };
}
