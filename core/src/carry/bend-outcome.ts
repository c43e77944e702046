import { isFullSwing } from '../clubs/index.js';
import { BASELINE, type Conditions } from '../conditions/index.js';
import type { LadderClub } from '../spec/index.js';
import { whatIf } from './what-if.js';

/**
 * What a bend was to make of a full carry, and what the loft it came to makes of it; metres. Both are the
 * model's: nothing was hit since.
 */
interface BendOutcome {
  beforeM: number;
  promisedM: number;
  nowM: number;
}

/**
 * What a bend promised and what it came to, while nothing was hit since it was done; undefined once something
 * was, where no carry was known before, and where no swing of such a club makes that carry.
 * @param club as its ladder has it, with what changed since its shots
 * @param wantedDeg the loft that was asked for
 * @param conditions the air its carry is known in
 */
export function bendOutcome(
  { kind, loftDeg, shots, changed }: LadderClub,
  wantedDeg: number,
  conditions: Conditions = BASELINE,
): BendOutcome | undefined {
  const bendDeg = changed?.full?.bendDeg;
  if (!isFullSwing(kind) || loftDeg === undefined || bendDeg === undefined || !shots.full) return undefined;
  const then = { kind, loftDeg: loftDeg - bendDeg };
  const full = shots.full;
  const after = (deg: number) =>
    full.carryM + whatIf(then, full, { bendDeg: deg - then.loftDeg }, conditions).carryM;
  try {
    return { beforeM: full.carryM, promisedM: after(wantedDeg), nowM: after(loftDeg) };
  } catch {
    return undefined;
  }
}
