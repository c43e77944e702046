import { carryCurve } from '../carry/index.js';
import type { ClubKind } from '../clubs/index.js';
import { BASELINE } from '../conditions/index.js';
import { USUAL_GROUND, usualHole, type Front, type Hole, type Hazard } from '../courses/index.js';
import type { LadderClub } from '../spec/index.js';
import type { RoundDay } from './play-hole.js';
import { CALM } from './round-air.js';

/**
 * How long a course is that suits a player: so many carries of the driver. What golf's bodies advise (a drive
 * of 275 yd for 6,700 to 6,900 yd, 200 yd for 5,200 to 5,400, 150 yd for 3,500 to 3,700) is about 24.5 drives
 * with their run; from memory of their guideline.
 */
const CARRIES_LONG = 26;

/** A par 72 as they come, and what stands beside its fairways and before its greens. Invented. */
const HOLES: readonly (readonly [par: number, share: number, beside: Beside, front: Front])[] = [
  [4, 380, 'nothing', 'open'],
  [4, 405, 'bunker', 'sand'],
  [3, 165, 'nothing', 'sand'],
  [5, 500, 'trees', 'open'],
  [4, 365, 'bunker', 'sand'],
  [4, 420, 'nothing', 'open'],
  [3, 185, 'nothing', 'open'],
  [4, 390, 'trees', 'sand'],
  [5, 525, 'bunker', 'sand'],
  [4, 395, 'nothing', 'sand'],
  [3, 150, 'nothing', 'sand'],
  [4, 410, 'trees', 'open'],
  [5, 490, 'nothing', 'sand'],
  [4, 350, 'bunker', 'open'],
  [4, 430, 'nothing', 'sand'],
  [3, 200, 'nothing', 'open'],
  [4, 400, 'trees', 'sand'],
  [5, 540, 'nothing', 'open'],
];

/** What a tee shot may meet. */
export type Beside = 'nothing' | 'bunker' | 'trees';
const HAZARDS_BESIDE: Record<
  Beside,
  readonly (Omit<Hazard, 'fromM' | 'toM'> & { from: number; to: number })[]
> = {
  nothing: [],
  bunker: [{ kind: 'bunker', side: 'right', from: 0.92, to: 1.02 }],
  trees: [{ kind: 'trees', side: 'left', from: 0.6, to: 1.2 }],
};

/** Hazards beside a usual fairway, in metres from the tee, for a driver that carries so far. */
export function hazardsBeside(beside: Beside, reachM: number): Hazard[] {
  return HAZARDS_BESIDE[beside].map(({ from, to, ...hazard }) => ({
    ...hazard,
    fromM: Math.round(from * reachM),
    toM: Math.round(to * reachM),
  }));
}

/** Which hazards a hole of the usual course has. */
export const besideOf = (hole: number): Beside => HOLES[hole]![2];

/**
 * A day on an ordinary course for a driver that carries so far: calm, medium ground.
 * @param longer the course against the one that suits the player, as a share
 */
export function usualDay(reachM: number, longer = 1): RoundDay {
  const whole = HOLES.reduce((sum, [, length]) => sum + length, 0);
  const lengthM = reachM * CARRIES_LONG * longer;
  const holes = HOLES.map(([par, length, beside, front]): Hole => ({
    ...usualHole(par, [Math.max(60, (length * lengthM) / whole)]),
    hazards: hazardsBeside(beside, reachM),
    front,
  }));
  return { course: { tees: ['Usual'], holes, altitudeM: 0 }, tee: 0, air: CALM, ground: USUAL_GROUND };
}

/** Every club a player may own, so that what a course asks hangs on no bag. */
const RACK: readonly (readonly [kind: ClubKind, loftDeg: number])[] = [
  ['fairway', 15],
  ['fairway', 18],
  ['fairway', 21],
  ['hybrid', 19],
  ['hybrid', 22],
  ['hybrid', 25],
  ['iron', 22],
  ['iron', 25],
  ['iron', 28.5],
  ['iron', 32.5],
  ['iron', 36.5],
  ['iron', 41],
  ['wedge', 46],
  ['wedge', 50],
  ['wedge', 54],
  ['wedge', 58],
];
const RACK_DRIVER_DEG = 10.5;

/** A full rack of clubs for a driver that carries so far, the others as the usual swing carries them. */
export function usualRack(reachM: number): LadderClub[] {
  const driver: LadderClub = {
    id: 'driver',
    name: 'Driver',
    kind: 'driver',
    loftDeg: RACK_DRIVER_DEG,
    shots: { full: { carryM: reachM, source: 'measured', sampleSize: 50, spreadM: 0.04 * reachM } },
  };
  const curve = carryCurve([driver], BASELINE);
  return [
    driver,
    ...RACK.map(([kind, loftDeg]): LadderClub => {
      const { carryM, apexM, descentDeg } = curve.at(kind, loftDeg);
      return {
        id: `${kind} ${loftDeg}`,
        name: `${kind} ${loftDeg}`,
        kind,
        loftDeg,
        shots: {
          full: {
            carryM: carryM.value,
            apexM: apexM.value,
            descentDeg: descentDeg.value,
            source: 'modelled',
          },
        },
      };
    }),
  ];
}
