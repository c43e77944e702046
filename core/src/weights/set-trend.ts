import { swingWeightPoints, numberIn, playingLoft, textIn, type Spec } from '../spec/index.js';
import type { ClubKind } from '../clubs/index.js';

/** What is looked at down a set. */
export type TrendKey = 'lengthIn' | 'lieDeg' | 'swingWeight' | 'totalWeightG';
export const TREND_KEYS: readonly TrendKey[] = ['lengthIn', 'lieDeg', 'swingWeight', 'totalWeightG'];

interface SetClub {
  id: string;
  name: string;
  kind: ClubKind;
  spec: Spec;
}

/** One club beside the line its set runs along; inches, degrees, points or grams. */
interface TrendPoint {
  clubId: string;
  value: number;
  /** What the other clubs of the set lead one to expect. */
  expected: number;
  /** It leaves the line by more than its set scatters. */
  leaves: boolean;
}

interface SetTrend {
  key: TrendKey;
  points: readonly TrendPoint[];
}

/** Off by less than this does not matter: inches, degrees, points, grams. Our choice. */
const LEAVES: Record<TrendKey, number> = { lengthIn: 0.2, lieDeg: 0.8, swingWeight: 1.2, totalWeightG: 6 };
const FEWEST = 4;

/** Irons and wedges make one set; a wood is built by itself. */
function isOfSet({ kind }: SetClub): boolean {
  return kind === 'iron' || kind === 'wedge';
}

/** The value as a number: a swing weight in points above A0. */
function trendValue(spec: Spec, key: TrendKey): number | undefined {
  return key === 'swingWeight' ? swingWeightPoints(textIn(spec, key) ?? '') : numberIn(spec, key);
}

/**
 * Length, lie, swing weight and total weight down the irons and wedges against the line they run along by
 * loft (Theil and Sen: the median of all slopes, so that one odd club does not bend it), and the clubs that
 * leave it. A set of fewer than four known values has no line.
 */
export function setTrends(clubs: readonly SetClub[]): SetTrend[] {
  const set = clubs.filter(isOfSet);
  return TREND_KEYS.map((key) => {
    const known = set.flatMap((club) => {
      const loftDeg = playingLoft(club.spec)?.deg;
      const value = trendValue(club.spec, key);
      return loftDeg === undefined || value === undefined ? [] : [{ club, loftDeg, value }];
    });
    if (known.length < FEWEST) return { key, points: [] };
    const slopes = known.flatMap((a, i) =>
      known
        .slice(i + 1)
        .flatMap((b) => (b.loftDeg === a.loftDeg ? [] : [(b.value - a.value) / (b.loftDeg - a.loftDeg)])),
    );
    const slope = slopes.length > 0 ? median(slopes) : 0;
    const base = median(known.map(({ value, loftDeg }) => value - slope * loftDeg));
    const off = known.map(({ value, loftDeg }) => Math.abs(value - base - slope * loftDeg));
    // Wedges are often built another way on purpose; a set that scatters widely has its own measure of what
    // stands out.
    const leavesBy = Math.max(LEAVES[key], 3 * median(off));
    return {
      key,
      points: known.map(({ club, loftDeg, value }, i) => ({
        clubId: club.id,
        value,
        expected: base + slope * loftDeg,
        leaves: off[i]! > leavesBy,
      })),
    };
  });
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}

/** What of a build may be why a club leaves its set. */
const BUILD = [
  'shaft',
  'flex',
  'stepping',
  'tipTrimIn',
  'shaftWeightG',
  'grip',
  'gripWraps',
  'head',
] as const;
/** A part that a club has otherwise than most of its set, since a day; `builtOtherwiseWords` says it. */
export interface BuiltOtherwise {
  key: (typeof BUILD)[number];
  value: string | number;
  usual: string | number;
  since: string;
}

/** How a club is built otherwise than most of its set: what may be why it leaves the line. */
export function builtOtherwise(club: SetClub, clubs: readonly SetClub[]): BuiltOtherwise[] {
  const others = clubs.filter((one) => isOfSet(one) && one.id !== club.id && one.kind === club.kind);
  return BUILD.flatMap((key) => {
    const own = valueIn(club.spec, key);
    const values = others.flatMap((one) => valueIn(one.spec, key) ?? []);
    const usual = mostOf(values);
    if (own === undefined || usual === undefined || own === usual) return [];
    return [{ key, value: own, usual, since: club.spec[key]!.takenOn }];
  });
}

function valueIn(spec: Spec, key: (typeof BUILD)[number]): string | number | undefined {
  return textIn(spec, key) ?? numberIn(spec, key);
}

/** The value more than half of them share. */
function mostOf<T>(values: readonly T[]): T | undefined {
  const counts = new Map<T, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  const [first] = [...counts].sort((a, b) => b[1] - a[1]);
  return first && first[1] * 2 > values.length && first[1] > 1 ? first[0] : undefined;
}
