import {
  DRIVER_LOFT_DEG,
  IRON_LOFT_DEG,
  PITCHING_WEDGE_LOFT_DEG,
  WOOD_LOFT_DEG,
  type ClubKind,
} from '../clubs/index.js';
import { InvalidInputError } from '../invalid-input-error.js';

/** How many clubs of each sort a bag holds beside the driver, the irons and the putter. */
export interface MakeUp {
  /** Fairway woods. */
  woods: number;
  hybrids: number;
  /** Wedges beside the pitching wedge of the set. */
  wedges: number;
}

/** A club of a usual bag: its name, kind and loft in degrees. */
interface UsualClub {
  name: string;
  kind: ClubKind;
  loftDeg: number;
}

/** What a make-up may be, from and to. */
export const MAKE_UP_BOUNDS: Readonly<Record<keyof MakeUp, readonly [number, number]>> = {
  woods: [0, 3],
  hybrids: [0, 3],
  wedges: [1, 4],
};
export const USUAL_MAKE_UP: MakeUp = { woods: 2, hybrids: 1, wedges: 3 };

/** Rule 4.1b. */
const CLUBS = 14;
/** Numbers of the woods and irons there may be, the longest first. */
const WOODS = [3, 5, 7];
const IRONS = [3, 4, 5, 6, 7, 8, 9];
const WEDGES: Readonly<Record<number, readonly number[]>> = {
  1: [54],
  2: [50, 56],
  3: [50, 54, 58],
  4: [48, 52, 56, 60],
};
/** Clubs nearer than this in loft do the same job. Degrees; common practice, no source. */
const LEAST_STEP_DEG = 2.5;

/**
 * A bag of fourteen at most with usual lofts, driver first, to begin a spec sheet with: every loft is to be
 * overwritten by what is true. Hybrids stand evenly between the last wood and the first iron, and are
 * numbered by the irons they replace. Irons too near to them in loft are left out, so that some bags hold
 * fewer than fourteen.
 * @throws InvalidInputError for a make-up out of its bounds
 */
export function usualBag(makeUp: MakeUp): UsualClub[] {
  for (const part of Object.keys(MAKE_UP_BOUNDS) as (keyof MakeUp)[]) {
    const count = makeUp[part];
    const [min, max] = MAKE_UP_BOUNDS[part];
    if (!Number.isInteger(count) || count < min || count > max)
      throw new InvalidInputError(part, `must be a whole number between ${min} and ${max}, not ${count}`);
  }
  const { woods, hybrids, wedges } = makeUp;
  const fairways = WOODS.slice(0, woods).map((number) => ({ number, loftDeg: WOOD_LOFT_DEG[number]! }));
  const lastWoodDeg = fairways.at(-1)?.loftDeg ?? DRIVER_LOFT_DEG + LEAST_STEP_DEG;
  // Driver, pitching wedge and putter are always there.
  const room = CLUBS - 3 - woods - hybrids - wedges;
  const irons = IRONS.map((number) => ({ number, loftDeg: IRON_LOFT_DEG[number]! }))
    .filter(({ loftDeg }) => loftDeg >= lastWoodDeg + LEAST_STEP_DEG * (hybrids + 1))
    .slice(-room);
  const { number: firstIron, loftDeg: firstIronDeg } = irons[0]!;
  const betweenDeg = (firstIronDeg - lastWoodDeg) / (hybrids + 1);
  return [
    { name: 'Driver', kind: 'driver', loftDeg: DRIVER_LOFT_DEG },
    ...fairways.map(({ number, loftDeg }): UsualClub => ({
      name: `${number} wood`,
      kind: 'fairway',
      loftDeg,
    })),
    ...Array.from({ length: hybrids }, (_one, i): UsualClub => ({
      name: `Hybrid ${firstIron - hybrids + i}`,
      kind: 'hybrid',
      loftDeg: Math.round((lastWoodDeg + betweenDeg * (i + 1)) * 2) / 2,
    })),
    ...irons.map(({ number, loftDeg }): UsualClub => ({ name: `${number} iron`, kind: 'iron', loftDeg })),
    { name: 'PW', kind: 'wedge', loftDeg: PITCHING_WEDGE_LOFT_DEG },
    ...WEDGES[wedges]!.map((loftDeg): UsualClub => ({ name: String(loftDeg), kind: 'wedge', loftDeg })),
    { name: 'Putter', kind: 'putter', loftDeg: 3 },
  ];
}
