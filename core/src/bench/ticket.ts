import { GAUGE_DEG } from './check.js';
import { swingWeightPoints, type QuantityKey, type Reading } from '../spec/index.js';

/** What may be done to a club on a bench. */
export const BENCH_JOBS = [
  'bend',
  'sleeve',
  'weight',
  'length',
  'shaft',
  'grip',
  'grooves',
  'build',
  'other',
] as const;
export type BenchJob = (typeof BENCH_JOBS)[number];

export const TICKET_STATES = ['asked', 'on the bench', 'done', 'dropped'] as const;
export type TicketState = (typeof TICKET_STATES)[number];

/** The usual cautions beside work that can hurt; the maker and a qualified builder decide. */
const BEND = 'Eye protection, never in a hurry; only as far as the maker allows.';
const HEAT = 'Heat and solvents: ventilation, no open flame.';
const CUT = 'Cutting graphite: dust mask.';
const LEAD = 'Lead: wash your hands afterwards.';
export const JOB_CAUTIONS: Record<BenchJob, readonly string[]> = {
  bend: [BEND],
  sleeve: ['Use the maker’s own wrench, to its torque; not during a round (Rule 4.1a).'],
  weight: [LEAD],
  length: [CUT, HEAT],
  shaft: [HEAT, CUT],
  grip: ['Solvents: ventilation.'],
  grooves: [
    'Eye protection. Re-cut grooves may no longer conform; ask before you play them in a competition that limits grooves. The committee decides.',
  ],
  build: [HEAT, CUT, BEND],
  other: [],
};
export const BUILDER_WORDS = 'The maker and a qualified club builder have the last word.';

/** What is wanted of a club, or what it became: a quantity and its value. */
export interface BenchValue {
  key: QuantityKey;
  value: number | string;
}

/** What is wanted of a loft or a lie is written as set; a gauge reads the other of the two. */
const READ_AS: Partial<Record<QuantityKey, QuantityKey>> = {
  loftSetDeg: 'loftMeasuredDeg',
  lieSetDeg: 'lieDeg',
};

/** The quantity that is measured to see whether a wanted one was met. */
export function measuredKey(key: QuantityKey): QuantityKey {
  return READ_AS[key] ?? key;
}

/**
 * A job is right within these: degrees, inches, grams. A loft or a lie within what a gauge repeats to, so
 * that a bend of half a degree that was not made does not count as done. Common practice, no source.
 */
const TOLERANCES: Partial<Record<QuantityKey, number>> = {
  loftMeasuredDeg: GAUGE_DEG,
  lieDeg: GAUGE_DEG,
  lengthIn: 1 / 16,
  totalWeightG: 3,
  headWeightG: 1,
  leadG: 0.5,
  counterweightG: 1,
  shaftWeightG: 2,
  gripWeightG: 2,
  tipTrimIn: 1 / 16,
};
const TOLERANCE_POINTS = 0.5;

/** One wanted value that was not met. */
export interface Miss {
  key: QuantityKey;
  wanted: number | string;
  became: number | string;
}

/**
 * How far a value is off what was wanted; undefined where the two cannot be subtracted. Swing weights in
 * points.
 */
export function offBy(
  key: QuantityKey,
  wanted: number | string,
  became: number | string,
): number | undefined {
  if (typeof wanted === 'number' && typeof became === 'number') return became - wanted;
  if (key !== 'swingWeight') return undefined;
  const [a, b] = [swingWeightPoints(String(wanted)), swingWeightPoints(String(became))];
  return a === undefined || b === undefined ? undefined : b - a;
}

/** Whether what a club became is near enough to what was wanted; words must agree. */
export function isMet(key: QuantityKey, wanted: number | string, became: number | string): boolean {
  const off = offBy(key, wanted, became);
  if (off === undefined) return String(wanted).trim().toLowerCase() === String(became).trim().toLowerCase();
  const tolerance = key === 'swingWeight' ? TOLERANCE_POINTS : (TOLERANCES[key] ?? 0);
  return Math.abs(off) <= tolerance + 1e-9;
}

/** A ticket that is handed in: the readings that go on the club's sheet, and what was missed. */
interface Finished {
  readings: readonly Reading[];
  misses: readonly Miss[];
}

/**
 * What is recorded when a job is done: what the club was set to, and what was measured afterwards. A wanted
 * value that was not measured is not counted as missed, and is not recorded as measured either.
 * @param wanted of the ticket
 * @param became what was measured, by the measured quantity
 * @param takenOn YYYY-MM-DD
 */
export function finishTicket(
  wanted: readonly BenchValue[],
  became: readonly BenchValue[],
  takenOn: string,
): Finished {
  const measured = new Map(became.map(({ key, value }) => [key, value]));
  const misses = wanted.flatMap(({ key, value }): Miss[] => {
    const got = measured.get(measuredKey(key));
    return got === undefined || isMet(measuredKey(key), value, got)
      ? []
      : [{ key, wanted: value, became: got }];
  });
  const set = wanted.filter(({ key }) => measuredKey(key) !== key);
  return {
    readings: [...set, ...became].map(({ key, value }) => ({ key, value, takenOn })),
    misses,
  };
}
