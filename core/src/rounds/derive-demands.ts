import type { LadderClub } from '../spec/index.js';
import type { PlayingConditions } from '../plays-like/index.js';
import { type ShotDemand, hazardsFrom, riseLossM, type PlayedIn } from '../choosing/index.js';
import { isFullSwing } from '../clubs/index.js';
import { dayShots, holePlayer, type AskedStroke, type RoundDay } from './play-hole.js';

/** Times each hole is played to learn what it asks. */
const DEMAND_PLAYS = 200;
const DEMAND_SEED = 20_261_125;
/**
 * Strokes of one kind closer than this are one need, which is counted from places so far apart, so many at
 * most.
 */
const BIN_M = 12;
const PLACES_APART_M = { green: 6, fairway: 20 } as const;
const MAX_PLACES = 8;
/**
 * What comes up less often than once in so many rounds is put with its neighbour of the same kind and lie;
 * where there is none it is left out.
 */
const RAREST = 0.03;

/** What a round asks of a player, and how much of it was too rare to be listed. */
export interface RoundDemands {
  needs: readonly ShotDemand[];
  /** Strokes a round, putts left out. */
  strokes: number;
  rareStrokes: number;
}

/**
 * The shots a round will ask: every hole is played so many times with all the clubs there are, each stroke
 * the best possible from where the ball lies, and what came up is gathered by hole, kind, lie and distance.
 * The same for one seed.
 * @param clubs all that may be carried; shots as they are known at `from`
 * @param handicap of the player; the tour's where it is not given, and what `played` says where that is given
 * @param onProgress how much of it is done, after every hole; a share of the whole
 * @throws InvalidInputError
 */
export function deriveDemands(
  day: RoundDay,
  clubs: readonly LadderClub[],
  from: PlayingConditions,
  {
    seed = DEMAND_SEED,
    plays = DEMAND_PLAYS,
    handicap,
    played = dayShots(day, from, handicap),
    onProgress,
  }: {
    seed?: number;
    plays?: number;
    handicap?: number;
    played?: PlayedIn;
    onProgress?: (share: number) => void;
  } = {},
): RoundDemands {
  const player = holePlayer(day, clubs, played);
  const needs: ShotDemand[] = [];
  let rareStrokes = 0;
  for (let at = 0; at < player.holes; at++) {
    const groups = new Map<string, AskedStroke[]>();
    for (let round = 0; round < plays; round++) {
      for (const stroke of player.play(at, seedOf(seed, round, at)).asked) {
        const key = `${stroke.kind} ${stroke.need.lie}`;
        const group = groups.get(key);
        if (group) group.push(stroke);
        else groups.set(key, [stroke]);
      }
    }
    const found: ShotDemand[] = [];
    for (const group of groups.values()) {
      const bins = withoutRare(binned(group), RAREST * plays);
      bins.forEach((bin, i) => {
        found.push(
          demandOf(
            bin,
            plays,
            bins.length > 1 ? ` ${'abcdefghijklmnopqrstuvwxyz'[i % 26]!}` : '',
            clubs,
            played,
          ),
        );
      });
    }
    const listed = found.filter(({ weight }) => weight >= RAREST);
    rareStrokes +=
      found.reduce((sum, { weight }) => sum + weight, 0) -
      listed.reduce((sum, { weight }) => sum + weight, 0);
    needs.push(...listed);
    onProgress?.((at + 1) / player.holes);
  }
  // A nine-hole course goes round twice.
  const rounds = player.holes === 9 ? 2 : 1;
  const strokes = needs.reduce((sum, { weight }) => sum + weight, 0);
  return {
    needs: rounds === 1 ? needs : needs.map((demand) => ({ ...demand, weight: demand.weight * rounds })),
    strokes: (strokes + rareStrokes) * rounds,
    rareStrokes: rareStrokes * rounds,
  };
}

/** One seed a hole and round, far from its neighbours'. */
export function seedOf(seed: number, round: number, hole: number): number {
  return (
    (Math.imul(seed, 2_654_435_761) ^ Math.imul(round + 1, 40_503) ^ Math.imul(hole + 1, 2_246_822_519)) | 0
  );
}

/** Strokes in order of distance, cut where they spread wider than a bin. */
function binned(strokes: readonly AskedStroke[]): AskedStroke[][] {
  const sorted = [...strokes].sort((a, b) => b.need.distanceM - a.need.distanceM);
  const bins: AskedStroke[][] = [];
  for (const stroke of sorted) {
    const bin = bins.at(-1);
    if (bin && bin[0]!.need.distanceM - stroke.need.distanceM <= BIN_M) bin.push(stroke);
    else bins.push([stroke]);
  }
  return bins;
}

/** As many strokes for each place: the means of equal shares of them in order, places so far apart. */
function hitFromPlaces(fromM: readonly number[], apartM: number): number[] {
  const sorted = [...fromM].sort((a, b) => a - b);
  const count = Math.min(MAX_PLACES, sorted.length, Math.ceil((sorted.at(-1)! - sorted[0]!) / apartM) || 1);
  return Array.from({ length: count }, (_one, i) => {
    const share = sorted.slice(
      Math.floor((i * sorted.length) / count),
      Math.floor(((i + 1) * sorted.length) / count),
    );
    return Math.round((share.reduce((sum, from) => sum + from, 0) / share.length) * 10) / 10;
  });
}

/** Bins of fewer strokes than that joined to the nearer of their neighbours, the lightest first. */
function withoutRare(bins: readonly AskedStroke[][], fewest: number): AskedStroke[][] {
  const left = [...bins];
  const gap = (i: number) =>
    left[i] && left[i + 1] ? left[i]!.at(-1)!.need.distanceM - left[i + 1]![0]!.need.distanceM : Infinity;
  for (;;) {
    const [lightest] = [...left.keys()].sort((a, b) => left[a]!.length - left[b]!.length);
    if (left.length < 2 || left[lightest!]!.length >= fewest) return left;
    const first = gap(lightest! - 1) <= gap(lightest!) ? lightest! - 1 : lightest!;
    left.splice(first, 2, [...left[first]!, ...left[first + 1]!]);
  }
}

/** What golfers call a stroke. */
function strokeWords(bin: readonly AskedStroke[]): string {
  const { kind, need: demand } = bin[0]!;
  const number = Math.round(bin.reduce((sum, stroke) => sum + stroke.number, 0) / bin.length);
  const from =
    demand.lie === 'tee' || demand.lie === 'fairway' || demand.lie === 'tight' ? '' : ` from ${demand.lie}`;
  if (kind === 'tee shot') return 'drive';
  if (kind === 'par three') return 'tee shot';
  if (kind === 'short game') return `short shot${from}`;
  return `${kind === 'lay-up' ? 'lay-up' : (NUMBERS[number] ?? `${number}th`)}${from}`;
}
const NUMBERS: Record<number, string> = { 1: 'drive', 2: 'second', 3: 'third', 4: 'fourth', 5: 'fifth' };

const ORDINALS: Record<number, string> = { 1: 'st', 2: 'nd', 3: 'rd' };
function holeWords(hole: number): string {
  return `${hole}${hole > 10 && hole < 14 ? 'th' : (ORDINALS[hole % 10] ?? 'th')}`;
}

function demandOf(
  bin: readonly AskedStroke[],
  plays: number,
  letter: string,
  clubs: readonly LadderClub[],
  played: PlayedIn,
): ShotDemand {
  const [first] = bin;
  const mean = (value: (stroke: AskedStroke) => number) =>
    bin.reduce((sum, stroke) => sum + value(stroke), 0) / bin.length;
  const { need: demand, kind, hole } = first!;
  const distanceM = Math.round(mean((stroke) => stroke.need.distanceM) * 10) / 10;
  const leftM =
    demand.to === 'fairway' ? Math.round(mean((stroke) => stroke.need.leftM ?? 1) * 10) / 10 : undefined;
  const lie =
    demand.lie === 'tee' || demand.lie === 'fairway' || demand.lie === 'tight' ? '' : ` from ${demand.lie}`;
  const toHole = (stroke: AskedStroke) =>
    stroke.need.distanceM + (stroke.need.to === 'green' ? 0 : (stroke.need.leftM ?? 0));
  const hazards = demand.hazards && hazardsFrom(demand.hazards, mean(toHole) - toHole(first!));
  const hitFromM = kind === 'short game' ? [] : hitFromPlaces(bin.map(toHole), PLACES_APART_M[demand.to]);
  const merged: ShotDemand = {
    ...demand,
    ...(hazards && { hazards }),
    ...(hitFromM.length > 1 && { hitFromM }),
    // The name of an earlier version: what was changed then is found again by it.
    id: `${holeWords(hole)}, ${kind}${lie}${letter}`,
    name: `${strokeWords(bin)} at the ${holeWords(hole)}`,
    stroke: strokeWords(bin),
    distanceM,
    weight: Math.round((bin.length / plays) * 1000) / 1000,
    ...(leftM !== undefined && { leftM }),
    ...(demand.elevationChangeM !== undefined && {
      elevationChangeM: Math.round(demand.elevationChangeM * 10) / 10,
    }),
  };
  const playsLikeM = playsLikeOf(merged, clubs, played);
  return playsLikeM === undefined ? merged : { ...merged, playsLikeM };
}

/**
 * The stock carry at home of the shot that comes to rest there, read off the player's own full shots;
 * undefined with fewer than two.
 */
export function playsLikeOf(
  demand: ShotDemand,
  clubs: readonly LadderClub[],
  played: PlayedIn,
): number | undefined {
  const wind = { windMps: demand.windMps ?? 0, windFromDeg: demand.windFromDeg ?? 0 };
  const pairs = clubs
    .flatMap((club) => {
      const home = club.shots.full;
      const there = isFullSwing(club.kind) ? played(club, wind).shots.full : undefined;
      if (!home || !there) return [];
      const runM =
        demand.to === 'green' ? (there.greenRunM ?? 0) : (there.totalM ?? there.carryM) - there.carryM;
      return [
        [there.carryM - riseLossM(demand.elevationChangeM, there.descentDeg) + runM, home.carryM] as const,
      ];
    })
    .sort((a, b) => a[0] - b[0]);
  if (pairs.length < 2) return undefined;
  const above = Math.min(
    pairs.length - 1,
    Math.max(
      1,
      pairs.findIndex(([rest]) => rest >= demand.distanceM) === -1
        ? pairs.length - 1
        : pairs.findIndex(([rest]) => rest >= demand.distanceM),
    ),
  );
  const [[r0, c0], [r1, c1]] = [pairs[above - 1]!, pairs[above]!];
  const share = r1 - r0 > 0.1 ? (demand.distanceM - r0) / (r1 - r0) : 0;
  // Below the shortest club and beyond the longest the two ends alone say little: in proportion to them.
  const value =
    share < 0
      ? (c0 * demand.distanceM) / Math.max(1, r0)
      : share > 1
        ? (c1 * demand.distanceM) / Math.max(1, r1)
        : c0 + (c1 - c0) * share;
  return Math.round(Math.min(500, Math.max(1, value)) * 10) / 10;
}
