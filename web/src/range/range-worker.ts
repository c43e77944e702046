import type { StrikeView } from '@tasche/contract';
import {
  airOf,
  completeStrike,
  compareBuilds,
  crossingOf,
  coverage,
  driftOf,
  fly,
  meanOf,
  outliersOf,
  type Outlier,
  predictedCarries,
  airsOf,
  strokesAfterApproach,
  strokesAfterDrive,
  summariseStrikes,
  tooFewWords,
  type BuildParts,
  type ClubKind,
  type CompleteStrike,
  type Comparison,
  type Crossing,
  type Measure,
  type Drift,
  type DistanceCover,
  type FoundCarry,
  type LadderClub,
  type Margins,
  type PathPoint,
  type Prediction,
  type Question,
  type PlayingConditions,
  type ShotKind,
  type StrikeClub,
  type StrikeSummary,
} from '@tasche/core';
import { expose, transfer } from 'comlink';
import { earlierShots, type EarlierSessions } from './earlier-shots';
import { unpackStrikes, type PackedStrikes } from './packed-strikes';
import { packShots, type PackedShots } from './worked-shots';

/** A session's air with the balls hit in it, each with the club as it was built. */
export interface SessionStrikes {
  setting: PlayingConditions;
  strikes: readonly { strike: WorkedStrike; club: StrikeClub | null }[];
}
/** As much of a strike as the worker needs: ten thousand of them are copied on their way to it. */
export type WorkedStrike = Pick<StrikeView, 'id' | 'clubId' | 'shot' | 'leftOut' | 'given'>;

/** What one club does with one shot kind. */
export interface GroupSummary {
  key: string;
  clubId: string;
  shot: ShotKind;
  n: number;
  leftOut: number;
  outliers: number;
  /** Those among them that were mis-hit, where too few were hit for the mean to bear it. */
  misHits: number;
  summary: StrikeSummary | null;
  points: { xs: number[]; ys: number[] };
  path: Float64Array;
}

/** Balls of one build, to be compared. */
export interface BuildInput {
  id: string;
  name: string;
  kind: ClubKind;
  parts: BuildParts;
  sessions: readonly SessionStrikes[];
}
export interface ComparisonAnswer {
  comparison: Comparison | null;
  /** Heads by shafts, or either by balls, where the builds cross. */
  crossing: { grid: Crossing; measure: Measure } | null;
  refused: string;
  strokes: readonly { id: string; strokes: number }[];
  points: readonly { id: string; xs: number[]; ys: number[]; outliers: number }[];
}

/** What a grid of heads by shafts shows, by what is asked. */
const CROSSED_BY: Readonly<Record<Question, Measure>> = {
  longer: 'totalM',
  matches: 'carryM',
  holds: 'firmGreenRunM',
  'more-spin': 'spinRpm',
  tighter: 'missM',
};

function crossed(builds: Parameters<typeof crossingOf>[0], question: Question): ComparisonAnswer['crossing'] {
  const measure = CROSSED_BY[question];
  const grid = crossingOf(builds, measure);
  return grid ? { grid, measure } : null;
}

/** Fewer shots make no mean worth holding anything against. Our choice. */
const FEWEST_OF_A_MEAN = 4;

const known = new Map<string, CompleteStrike | string>();
const MAX_KNOWN = 60_000;

function complete(
  { setting, strikes }: SessionStrikes,
  baseline: PlayingConditions,
): Map<string, CompleteStrike | string> {
  const air = JSON.stringify([setting, baseline]);
  const places = airsOf(setting, baseline);
  const answer = new Map<string, CompleteStrike | string>();
  for (const { strike, club } of strikes) {
    const key = `${strike.id} ${club?.kind} ${club?.loftDeg} ${air}`;
    let whole = known.get(key);
    if (whole === undefined) {
      if (known.size > MAX_KNOWN) known.clear();
      try {
        whole = club ? completeStrike(strike.given, club, places) : 'belongs to no club';
      } catch (error) {
        whole = (error as Error).message;
      }
      known.set(key, whole);
    }
    answer.set(strike.id, whole);
  }
  return answer;
}

export const groupKey = (clubId: string, shot: ShotKind) => `${clubId} ${shot}`;

function groupsOf(sessions: readonly SessionStrikes[], baseline: PlayingConditions) {
  const groups = new Map<
    string,
    { clubId: string; shot: ShotKind; counted: { id: string; whole: CompleteStrike }[]; leftOut: number }
  >();
  const wholes = new Map<string, CompleteStrike | string>();
  for (const session of sessions) {
    const answer = complete(session, baseline);
    for (const { strike } of session.strikes) {
      const whole = answer.get(strike.id)!;
      wholes.set(strike.id, whole);
      if (strike.clubId === null) continue;
      const key = groupKey(strike.clubId, strike.shot);
      const group = groups.get(key) ?? { clubId: strike.clubId, shot: strike.shot, counted: [], leftOut: 0 };
      groups.set(key, group);
      if (strike.leftOut !== null || typeof whole === 'string') group.leftOut += 1;
      else group.counted.push({ id: strike.id, whole });
    }
  }
  return { groups, wholes };
}

function summaries(
  groups: ReturnType<typeof groupsOf>['groups'],
  outliers: ReadonlyMap<string, Outlier>,
  baseline: PlayingConditions,
): GroupSummary[] {
  return [...groups].map(([key, { clubId, shot, counted, leftOut }]) => ({
    key,
    clubId,
    shot,
    n: counted.length,
    leftOut,
    outliers: counted.filter(({ id }) => outliers.has(id)).length,
    misHits: counted.filter(({ id }) => outliers.get(id)?.by === 'short').length,
    summary: counted.length > 0 ? summariseStrikes(counted.map(({ whole }) => whole)) : null,
    points: landingsOf(counted.map(({ whole }) => whole)),
    path:
      counted.length > 0
        ? pathOf(
            counted.map(({ whole }) => whole),
            baseline,
          )
        : new Float64Array(),
  }));
}

/** Where balls came down, of those whose side is known. */
function landingsOf(wholes: readonly CompleteStrike[]): { xs: number[]; ys: number[] } {
  const known = wholes.filter(({ isSideKnown }) => isSideKnown);
  return {
    xs: known.map(({ atBaseline }) => atBaseline.carryM),
    ys: known.map(({ atBaseline }) => atBaseline.offlineM),
  };
}

/** The flight of the average launch, in the baseline's air: along and up, one after the other. */
function pathOf(wholes: readonly CompleteStrike[], baseline: PlayingConditions): Float64Array {
  const mean = (part: 'ballSpeedMps' | 'launchDeg' | 'spinRpm') => meanOf(wholes.map((whole) => whole[part]));
  const points: PathPoint[] = [];
  fly(
    { ballSpeedMps: mean('ballSpeedMps'), launchDeg: mean('launchDeg'), spinRpm: mean('spinRpm') },
    airOf(baseline.conditions),
    0,
    points,
  );
  return Float64Array.from(points.flatMap(({ xM, yM }) => [xM, yM]));
}

/** A club at two times: the sessions before a day, and from it on. */
export interface DriftRow {
  key: string;
  clubId: string;
  shot: ShotKind;
  drift: Drift;
  before: number;
  after: number;
}

const NO_ANSWER = { comparison: null, crossing: null, strokes: [] };

/** The session that was read last. */
let shown: { groups: ReturnType<typeof groupsOf>['groups']; baseline: PlayingConditions } | undefined;

const api = {
  /** Every ball of a session filled in, and what each club did. */
  read(session: PackedStrikes, baseline: PlayingConditions): { shots: PackedShots; groups: GroupSummary[] } {
    const { groups, wholes } = groupsOf([unpackStrikes(session)], baseline);
    shown = { groups, baseline };
    const outliers = new Map<string, Outlier>();
    for (const { counted } of groups.values())
      outliersOf(counted.map(({ whole }) => whole)).forEach((one, i) => {
        if (one) outliers.set(counted[i]!.id, one);
      });
    const shots = packShots(wholes, outliers);
    return transfer({ shots, groups: summaries(groups, outliers, baseline) }, [shots.numbers.buffer]);
  },

  /**
   * Each club compared with itself: what was hit before, and what was hit in the session that was read last.
   */
  async drift(earlier: EarlierSessions): Promise<{ drifts: DriftRow[]; isPart: boolean }> {
    if (!shown) return { drifts: [], isPart: false };
    const { groups: today, baseline } = shown;
    const { sessions: before, isPart } = await earlierShots(earlier);
    const then = groupsOf(before, baseline).groups;
    const drifts = [...today].flatMap(([key, { clubId, shot, counted }]): DriftRow[] => {
      const earlier = then.get(key);
      if (!earlier || earlier.counted.length === 0 || counted.length === 0) return [];
      const drift = driftOf(
        summariseStrikes(earlier.counted.map(({ whole }) => whole)),
        summariseStrikes(counted.map(({ whole }) => whole)),
      );
      return [{ key, clubId, shot, drift, before: earlier.counted.length, after: counted.length }];
    });
    return { drifts, isPart };
  },

  compare(
    builds: readonly BuildInput[],
    question: Question,
    margins: Margins,
    baseline: PlayingConditions,
  ): ComparisonAnswer {
    const filled = builds.map(({ id, name, kind, parts, sessions }) => {
      const { groups } = groupsOf(sessions, baseline);
      return {
        id,
        name,
        kind,
        parts,
        strikes: [...groups.values()].flatMap(({ counted }) => counted.map(({ whole }) => whole)),
      };
    });
    const points = filled.map(({ id, strikes }) => ({
      id,
      ...landingsOf(strikes),
      outliers: outliersOf(strikes).filter(Boolean).length,
    }));
    const tooFew = tooFewWords(filled.map(({ name, strikes }) => ({ name, shots: strikes.length })));
    if (tooFew) return { ...NO_ANSWER, refused: tooFew, points };
    try {
      const comparison = compareBuilds(filled, question, margins);
      // Without a side nothing can be said of where it is played from next.
      const strokes = comparison.summaries.flatMap(({ id, carryM, offlineM, totalM }, i) => {
        if (!offlineM) return [];
        const scatter = { alongM: carryM.spread, acrossM: offlineM.spread };
        return {
          id,
          strokes:
            filled[i]!.kind === 'driver'
              ? strokesAfterDrive(totalM.mean, scatter)
              : strokesAfterApproach(scatter),
        };
      });
      return { comparison, crossing: crossed(filled, question), refused: '', strokes, points };
    } catch (error) {
      return { ...NO_ANSWER, refused: (error as Error).message, points };
    }
  },

  /**
   * What was said of the clubs of a day's sessions before it, compared with what they found; clubs hit too
   * seldom are left out.
   */
  predict(
    before: readonly LadderClub[],
    sessions: readonly SessionStrikes[],
    baseline: PlayingConditions,
  ): Prediction[] {
    const { groups } = groupsOf(sessions, baseline);
    const found = [...groups.values()].flatMap(({ clubId, shot, counted }): FoundCarry[] => {
      if (shot !== 'full' || counted.length < FEWEST_OF_A_MEAN) return [];
      const { carryM } = summariseStrikes(counted.map(({ whole }) => whole));
      return [{ clubId, meanM: carryM.mean, spreadM: carryM.spread, shots: counted.length }];
    });
    return predictedCarries(before, found, baseline.conditions);
  },

  cover(clubs: readonly LadderClub[], fromM: number, toM: number, stepM: number): DistanceCover[] {
    return coverage(clubs, fromM, toM, stepM);
  },
};

export type RangeWorker = typeof api;
expose(api);
