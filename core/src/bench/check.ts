import { numberIn, type QuantityKey, type Spec } from '../spec/index.js';
import { NORMAL_95 } from '../statistics/index.js';
import type { ClubKind } from '../clubs/index.js';

/** A gauge repeats to about this. Common practice, no source. */
export const GAUGE_DEG = 0.25;
/** A club this far off what it was set to is bent back. Common practice, no source. */
const OFF_DEG = 0.5;

/** What a gauge measures of every club. */
export const GAUGED = ['loft', 'lie'] as const;
export type Gauged = (typeof GAUGED)[number];

/** Where a gauge reading is kept, and what it is compared with; of a loft that was never set, the stamp. */
export const GAUGE_KEYS: Record<Gauged, { measured: QuantityKey; wanted: readonly QuantityKey[] }> = {
  loft: { measured: 'loftMeasuredDeg', wanted: ['loftSetDeg', 'loftStampedDeg'] },
  lie: { measured: 'lieDeg', wanted: ['lieSetDeg'] },
};

/** 'at the edge' is within what the gauge itself repeats to of the limit: measure it again. */
export type GaugeVerdict = 'right' | 'at the edge' | 'off';

/** One angle of one club beside what it is wanted at. Degrees. */
interface GaugeCheck {
  wantedDeg?: number;
  measuredDeg?: number;
  /** The day of the reading. */
  takenOn?: string;
  offDeg?: number;
  verdict?: GaugeVerdict;
}

/** Whether a reading is off what was wanted, as far as a gauge can tell. */
function gaugeVerdict(offDeg: number): GaugeVerdict {
  const off = Math.abs(offDeg);
  if (off <= OFF_DEG - GAUGE_DEG + 1e-9) return 'right';
  return off <= OFF_DEG + GAUGE_DEG + 1e-9 ? 'at the edge' : 'off';
}

/**
 * A lie that was never set, as it stands on the sheet: what is wanted until another is set.
 * @param sinceDay a reading of this day or later is a measurement of the check, and not a wanted value
 */
export function sheetLie(
  spec: Spec,
  gauged: Gauged,
  sinceDay?: string,
): { value: number; takenOn: string } | undefined {
  const value = numberIn(spec, 'lieDeg');
  const takenOn = spec.lieDeg?.takenOn;
  const isKnown = gauged === 'lie' && spec.lieSetDeg === undefined && sinceDay !== undefined;
  return isKnown && value !== undefined && takenOn !== undefined && takenOn < sinceDay
    ? { value, takenOn }
    : undefined;
}

/**
 * A club's loft or lie beside what it is wanted at.
 * @param sinceDay the first day of a check: a lie written down before it is what is wanted where none was set
 */
export function gaugeCheck(spec: Spec, gauged: Gauged, sinceDay?: string): GaugeCheck {
  const { measured, wanted } = GAUGE_KEYS[gauged];
  const wantedDeg =
    wanted.map((key) => numberIn(spec, key)).find((deg) => deg !== undefined) ??
    sheetLie(spec, gauged, sinceDay)?.value;
  const measuredDeg = numberIn(spec, measured);
  const takenOn = spec[measured]?.takenOn;
  const known = {
    ...(wantedDeg !== undefined && { wantedDeg }),
    ...(measuredDeg !== undefined && { measuredDeg }),
    ...(takenOn !== undefined && { takenOn }),
  };
  if (wantedDeg === undefined || measuredDeg === undefined) return known;
  const offDeg = measuredDeg - wantedDeg;
  return { ...known, offDeg, verdict: gaugeVerdict(offDeg) };
}

/** Clubs a loft-and-lie round goes through: all that have a loft but the ones with a sleeve. */
export function isGauged(kind: ClubKind): boolean {
  return kind === 'iron' || kind === 'wedge' || kind === 'driving iron' || kind === 'putter';
}

/** How far a check has come: clubs measured on or after its first day. */
interface CheckProgress {
  done: number;
  of: number;
  /** The next that was not measured yet, by id. */
  nextId?: string;
}

/** @param sinceDay YYYY-MM-DD, the first day of the check */
export function checkProgress(
  clubs: readonly { id: string; kind: ClubKind; spec: Spec }[],
  sinceDay: string,
): CheckProgress {
  const round = clubs.filter(({ kind }) => isGauged(kind));
  const open = round.filter(({ spec }) => (spec.loftMeasuredDeg?.takenOn ?? '') < sinceDay);
  return {
    done: round.length - open.length,
    of: round.length,
    ...(open[0] && { nextId: open[0].id }),
  };
}

/** Days between checks. Weekly on tour, a few times a year at home: common practice, no source. */
export const CHECK_EVERY_DAYS = { tour: 7, home: 120 } as const;

const DAY_MS = 86_400_000;

/**
 * The day of the oldest gauge reading of a bag; undefined where a club of it was never measured. YYYY-MM-DD.
 */
export function checkedOn(clubs: readonly { kind: ClubKind; spec: Spec }[]): string | undefined {
  const days = clubs.filter(({ kind }) => isGauged(kind)).map(({ spec }) => spec.loftMeasuredDeg?.takenOn);
  return days.some((day) => day === undefined) ? undefined : (days as string[]).sort()[0];
}

/**
 * The day the next check of a bag is due: so many days after its oldest reading; undefined where a club of it
 * was never measured, for then it is due now.
 */
export function nextCheckDue(
  clubs: readonly { kind: ClubKind; spec: Spec }[],
  everyDays: number,
): string | undefined {
  const oldest = checkedOn(clubs);
  if (oldest === undefined) return undefined;
  return new Date(Date.parse(`${oldest}T00:00:00Z`) + everyDays * DAY_MS).toISOString().slice(0, 10);
}

/** Two readings are one bend, or one slip; three are the beginning of a drift. Our choice. */
const FEWEST_FOR_A_DRIFT = 3;

/** How a club's loft has moved. Degrees, and degrees in a month of 30 days. */
interface LoftDrift {
  readings: number;
  overDays: number;
  perMonthDeg: number;
  /** Half the 95 % interval of `perMonthDeg`, from what a gauge repeats to. */
  plusMinusDeg: number;
  /** The drift is more than the gauge can make. */
  moves: boolean;
}

/**
 * The drift of gauge readings since a club was last set: a straight line through them, and whether a gauge
 * that repeats to a quarter of a degree could have made it by itself. Undefined for fewer than three
 * readings, or all of one day.
 * @param readings degrees by day, any order
 */
export function loftDrift(readings: readonly { takenOn: string; deg: number }[]): LoftDrift | undefined {
  const points = readings.map(({ takenOn, deg }) => ({
    day: Date.parse(`${takenOn}T00:00:00Z`) / DAY_MS,
    deg,
  }));
  const n = points.length;
  const meanDay = points.reduce((sum, { day }) => sum + day, 0) / n;
  const spread = points.reduce((sum, { day }) => sum + (day - meanDay) ** 2, 0);
  if (n < FEWEST_FOR_A_DRIFT || spread === 0) return undefined;
  const slope = points.reduce((sum, { day, deg }) => sum + (day - meanDay) * deg, 0) / spread;
  const plusMinus = (NORMAL_95 * GAUGE_DEG) / Math.sqrt(spread);
  return {
    readings: n,
    overDays: Math.max(...points.map(({ day }) => day)) - Math.min(...points.map(({ day }) => day)),
    perMonthDeg: slope * 30,
    plusMinusDeg: plusMinus * 30,
    moves: Math.abs(slope) > plusMinus,
  };
}
