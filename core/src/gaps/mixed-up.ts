import type { ClubKind } from '../clubs/index.js';
import type { Rung, Step } from './ladder.js';

/*
 * A weaker club may carry farther: for slow swings a hybrid of 27 degrees beats an iron of 20, a wood of 18 the
 * driver, and low irons of all lofts carry about alike. The more farther it carries, the fewer degrees it takes
 * until a loft or a carry must have been recorded wrong. All of these are our choice.
 */
const IRONS: ReadonlySet<ClubKind> = new Set(['iron', 'wedge']);
/**
 * Irons and wedges, whose heads are alike, from a loft on that every swing gets up; and any of a swing that
 * carries one so far, metres.
 */
const EVERY_SWING_FROM_DEG = 28;
const FAST_SWING_FROM_M = 150;
/**
 * So many degrees more where a loft is only the usual one for its club's name. Irons of a set keep their order, so
 * not between them.
 */
const USUAL_LOFT_DEG = 3;

/**
 * How much more loft, degrees, a club that carries farther than another may have.
 * @param farther the one that carries farther
 */
export function mixedUpDeg(farther: Rung, nearer: Rung): number {
  const areUsual = farther.loftDeg === undefined || nearer.loftDeg === undefined;
  const areOfSet = farther.kind === 'iron' && nearer.kind === 'iron';
  return ofKnownLofts(farther, nearer) + (areUsual && !areOfSet ? USUAL_LOFT_DEG : 0);
}

function ofKnownLofts(farther: Rung, nearer: Rung): number {
  const share = (farther.carryM - nearer.carryM) / farther.carryM;
  const areIrons = IRONS.has(farther.kind) && IRONS.has(nearer.kind);
  const getsUp = nearer.loftOrUsualDeg! >= EVERY_SWING_FROM_DEG || farther.carryM > FAST_SWING_FROM_M;
  if (areIrons && share > 0.05 && getsUp) return 3;
  if (share > 0.15) return 4;
  if (share > 0.1) return areIrons ? 6 : 12;
  return 20;
}

/** Lofts so far the wrong way round that one of the pair's numbers must be wrong: its carry says nothing. */
export function isMixedUp({ upper, lower }: Pick<Step, 'upper' | 'lower'>): boolean {
  if (upper.loftOrUsualDeg === undefined || lower.loftOrUsualDeg === undefined) return false;
  const moreDeg = upper.loftOrUsualDeg - lower.loftOrUsualDeg;
  return moreDeg > 0 && moreDeg > mixedUpDeg(upper, lower);
}

/**
 * Pairs mixed up, neighbours or not, the farther club of each first. A club with a wrong number is mixed up
 * with several: it is named once, beside a neighbour or the one it leaves farthest behind.
 * @param rungs longest first
 */
export function mixedUpPairs(rungs: readonly Rung[]): (readonly [farther: Rung, nearer: Rung])[] {
  const known = rungs.filter(({ loftOrUsualDeg }) => loftOrUsualDeg !== undefined);
  // In nearly every bag, and there are thousands when one is chosen, no loft is the wrong way round.
  if (known.every((rung, i) => i === 0 || rung.loftOrUsualDeg! >= known[i - 1]!.loftOrUsualDeg!)) return [];
  let pairs = known.flatMap((farther, i) =>
    known
      .slice(i + 1)
      .filter((nearer) => isMixedUp({ upper: farther, lower: nearer }))
      .map((nearer) => [farther, nearer] as const),
  );
  const named: (readonly [Rung, Rung])[] = [];
  while (pairs.length > 0) {
    const pairsOf = (club: Rung) => pairs.filter((pair) => pair.includes(club));
    const [wrong] = [...new Set(pairs.flat())].sort((a, b) => pairsOf(b).length - pairsOf(a).length);
    const own = pairsOf(wrong!);
    const apart = ([farther, nearer]: readonly [Rung, Rung]) => farther.carryM - nearer.carryM;
    const areNeighbours = ([farther, nearer]: readonly [Rung, Rung]) =>
      rungs.indexOf(nearer) === rungs.indexOf(farther) + 1;
    named.push(own.find(areNeighbours) ?? own.reduce((a, b) => (apart(b) > apart(a) ? b : a)));
    pairs = pairs.filter((pair) => !own.includes(pair));
  }
  return named;
}
