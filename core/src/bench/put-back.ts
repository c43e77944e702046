import type { ClubKind } from '../clubs/index.js';
import { buildOf, playingLoft, type QuantityKey, type Reading, type Spec } from '../spec/index.js';
import { isMet, measuredKey, type BenchJob, type BenchValue } from './ticket.js';

/** What it takes to have a club as it was. */
export interface ClubPutBack {
  /** What a wrench or a pencil does at once. */
  readings: readonly Reading[];
  /** What needs the bench: a job for each thing that is done there. */
  jobs: readonly { job: BenchJob; wanted: readonly BenchValue[] }[];
  /** Known now and not then: the earlier state is not known. */
  unknown: readonly QuantityKey[];
}

/** What is done on a bench, and what is changed by it. */
const JOBS: Partial<Record<BenchJob, readonly QuantityKey[]>> = {
  bend: ['loftSetDeg', 'lieSetDeg'],
  length: ['lengthIn'],
  shaft: ['shaft', 'shaftWeightG', 'flex', 'torqueDeg', 'tipTrimIn', 'stepping', 'ferrule'],
  grip: ['grip', 'gripWraps', 'gripWeightG', 'counterweightG'],
  weight: ['leadG', 'leadPlace', 'swingWeight', 'totalWeightG', 'headWeightG'],
  build: ['head', 'headMaterial', 'loftStampedDeg', 'bounceDeg', 'grind', 'sleevePositions', 'toeHangDeg'],
};
/** A player turns and screws these, with no bench. */
const BY_HAND: readonly QuantityKey[] = ['setting', 'weights'];

/**
 * What to do to a club so that its build is what it was: settings at once, the rest as jobs. Its readings of
 * shots stay; measured values are not changed. Values within what a gauge or a scale repeats to are the same.
 * @param today YYYY-MM-DD, the day of the readings
 */
export function clubPutBack(kind: ClubKind, now: Spec, then: Spec, today: string): ClubPutBack {
  const [is, was] = [partsOf(now), partsOf(then)];
  // Another word for the stamp is not a bend.
  const onlyStamped = playingLoft(now)?.from === 'stamped' && playingLoft(then)?.from === 'stamped';
  const differs = (key: QuantityKey) => {
    if (key === 'loftSetDeg' && onlyStamped) return false;
    const [a, b] = [was.get(key), is.get(key)];
    return a !== undefined && (b === undefined || !isMet(measuredKey(key), a, b));
  };
  const wanted = (keys: readonly QuantityKey[]) =>
    keys.filter(differs).map((key): BenchValue => ({ key, value: was.get(key)! }));
  const readings = wanted(BY_HAND);
  const jobs: { job: BenchJob; wanted: readonly BenchValue[] }[] = [];
  for (const [job, keys] of Object.entries(JOBS) as [BenchJob, readonly QuantityKey[]][]) {
    const values = wanted(keys);
    if (values.length === 0) continue;
    // A sleeve takes the loft with it; another word for the same head is only written down.
    if ((job === 'bend' && hasSleeve(kind, now)) || (job === 'build' && !differs('head')))
      readings.push(...values);
    else jobs.push({ job: job === 'bend' && !isBent(kind) ? 'sleeve' : job, wanted: values });
  }
  const known = [...BY_HAND, ...Object.values(JOBS).flat()];
  return {
    readings: readings.flatMap(({ key, value }) =>
      // A loft that is set is the loft it is at, whatever was measured before.
      [...new Set([key, measuredKey(key)])].map((one) => ({ key: one, value, takenOn: today })),
    ),
    jobs,
    unknown: known.filter((key) => is.has(key) && !was.has(key)),
  };
}

function partsOf(spec: Spec): Map<QuantityKey, number | string> {
  return new Map(buildOf(spec).map(({ key, value }) => [key, value]));
}

function isBent(kind: ClubKind): boolean {
  return kind !== 'driver' && kind !== 'fairway' && kind !== 'hybrid';
}

function hasSleeve(kind: ClubKind, spec: Spec): boolean {
  return !isBent(kind) && (spec.setting !== undefined || spec.sleevePositions !== undefined);
}
