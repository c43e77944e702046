import {
  TOUCH_M,
  aimed,
  demandRows,
  playingBounceDeg,
  shotsFor,
  soleStrokes,
  strokesOfAim,
  touchStrokes,
  wantedBounceDeg,
  type Aimed,
  type BagAnswer,
  type BounceStrategy,
  type PlayedClub,
  type ShotDemand,
} from '../choosing/index.js';
import type { LadderClub } from '../spec/index.js';
import type { CostedRound } from './round-choosing.js';

/** What a club loses to another over the shots of a round. */
export type FactorCode =
  | 'distance'
  | 'stopping'
  | 'direction'
  | 'length control'
  | 'wind'
  | 'lie'
  | 'off the ground'
  | 'effort'
  | 'bounce'
  | 'loft';

export interface DecidingFactor {
  code: FactorCode;
  /** Strokes a round it makes. */
  strokes: number;
  /** Of a sole: the bounce it plays with, and what is asked for where most is lost. */
  bounceDeg?: number;
  wantedDeg?: number;
}

/** Rows of a round that are looked at: where most is lost. */
const MAX_ROWS = 6;
/** A factor is named when it makes this share of what is lost there. Our choice. */
const NAMED_SHARE = 1 / 3;
/** Points a scatter is summed over: enough to tell which factor is the largest. */
const PLACES = 16;

/** A shot that costs more after a swap. */
interface LostRow {
  demand: ShotDemand;
  /** Strokes a round lost on it, */
  strokes: number;
  /** and for each stroke that one club is worse than the other for it. */
  share: number;
  /** The other club plays it then. */
  isPlayed: boolean;
}

/** How one club plays one shot: its best swing for it, aimed. */
interface AimedClub {
  club: PlayedClub;
  aim: Aimed;
  /** What gusts make of its scatter. */
  gustAlongM: number;
  gustAcrossM: number;
  strokes: number;
}

/**
 * Why one club in the place of another loses what it does: for the shots where most is lost, what would be
 * won back if it had the other's carry, or its run, direction, and so on, one at a time. The largest is named
 * where it makes up much of the loss.
 * @param bagIds the bag with `outId` in it
 * @param inId the club that would take its place
 */
export function decidingFactor(
  round: CostedRound,
  bounce: BounceStrategy,
  bagIds: readonly string[],
  outId: string,
  inId: string,
): DecidingFactor | undefined {
  const clubs = new Map(round.clubs.map((club) => [club.id, club]));
  const [out, into] = [clubs.get(outId), clubs.get(inId)];
  if (!out || !into) return undefined;
  const all = lostRows(round, bagIds, outId, inId);
  // Most is told by the shots the other would play; where it would play few, by those it is passed over for.
  const own = all.filter(({ isPlayed }) => isPlayed);
  const sum = (rows: readonly LostRow[]) => rows.reduce((total, { strokes }) => total + strokes, 0);
  const lost = (sum(own) >= sum(all) / 2 ? own : all).slice(0, MAX_ROWS);
  const whole = sum(lost);
  const factors = new Map<FactorCode, number>();
  let sole: Pick<DecidingFactor, 'bounceDeg' | 'wantedDeg'> & { lost: number } = { lost: 0 };
  for (const { demand, share } of lost) {
    const wind = { windMps: demand.windMps ?? 0, windFromDeg: demand.windFromDeg ?? 0 };
    const soles = [into, out].map((club) => soleStrokes(club, demand.lie, round.ground, bounce));
    const off = (soles[0]! - soles[1]!) * share;
    add('bounce', off);
    if (off > sole.lost)
      sole = { lost: off, ...soleOf(into, wantedBounceDeg(demand.lie, round.ground, bounce)) };
    for (const [code, strokes] of differences(demand, round.played(into, wind), round.played(out, wind)))
      add(code, strokes * share);
  }
  const named = [...factors].filter(([, strokes]) => strokes > 0 && strokes >= NAMED_SHARE * whole);
  // Another distance says the least: it is named where nothing else is.
  named.sort((a, b) => Number(a[0] === 'distance') - Number(b[0] === 'distance') || b[1] - a[1]);
  const [code, strokes] = named[0] ?? [];
  if (code === undefined || strokes === undefined) return undefined;
  const { lost: _lost, ...degrees } = sole;
  return { code, strokes, ...(code === 'bounce' && degrees) };

  function add(code: FactorCode, strokes: number): void {
    factors.set(code, (factors.get(code) ?? 0) + strokes);
  }
}

function soleOf(club: LadderClub, wantedDeg: number): Pick<DecidingFactor, 'bounceDeg' | 'wantedDeg'> {
  const bounceDeg = playingBounceDeg(club);
  return bounceDeg === undefined ? {} : { bounceDeg, wantedDeg };
}

/**
 * Rows the club that goes out was the best for and the bag loses by the swap, what is lost most first;
 * strokes a round.
 */
function lostRows(
  { needs, strokes, costs }: CostedRound,
  bagIds: readonly string[],
  outId: string,
  inId: string,
): LostRow[] {
  const rows = demandRows(needs);
  const whole = rows.reduce((sum, { weight }) => sum + weight, 0);
  const kept = bagIds.filter((id) => id !== outId);
  return rows
    .flatMap((demand, i) => {
      const of = (id: string) => costs[i]!.get(id)!.strokes;
      const apart = of(inId) - of(outId);
      // Where the other is worse still, another club of the bag is taken.
      const rest = Math.min(...kept.map(of));
      const lost = Math.min(of(inId), rest) - of(outId);
      const weight = whole > 0 ? (demand.weight * strokes) / whole : 0;
      return lost > 1e-6
        ? [{ demand, strokes: lost * weight, share: (lost * weight) / apart, isPlayed: of(inId) < rest }]
        : [];
    })
    .sort((a, b) => b.strokes - a.strokes);
}

/** What each factor makes of the difference between two clubs for one shot, in strokes. */
function differences(demand: ShotDemand, loser: PlayedClub, winner: PlayedClub): [FactorCode, number][] {
  if (demand.to === 'green' && demand.distanceM <= TOUCH_M)
    return [['loft', touchStrokes(demand, loser) - touchStrokes(demand, winner)]];
  const [a, b] = [bestOf(demand, loser), bestOf(demand, winner)];
  if (!a || !b) return [];
  const won = (part: Partial<Aimed>) => a.strokes - strokesOfAim(demand, { ...a.aim, ...part }, PLACES);
  const still = ({ aim, gustAlongM, gustAcrossM }: AimedClub) => ({
    alongM: Math.sqrt(Math.max(0, aim.alongM ** 2 - gustAlongM ** 2)),
    acrossM: Math.sqrt(Math.max(0, aim.acrossM ** 2 - gustAcrossM ** 2)),
  });
  const [own, other] = [still(a), still(b)];
  const isWood = loser.kind === 'driver' || loser.kind === 'fairway';
  const swing: FactorCode = demand.lie !== 'tee' && isWood ? 'off the ground' : 'effort';
  const lie = lieLoss(demand, loser) - lieLoss(demand, winner);
  return [
    // What a lie takes of a carry is the lie's.
    ['distance', won({ carryM: b.aim.carryM }) - Math.max(0, lie)],
    ['stopping', won({ greenRunM: b.aim.greenRunM, fairwayRunM: b.aim.fairwayRunM })],
    ['direction', won({ acrossM: Math.hypot(other.acrossM, a.gustAcrossM) })],
    [
      'length control',
      won({
        alongM: Math.hypot(other.alongM, a.gustAlongM),
        mishitShare: b.aim.mishitShare,
        mishitShortM: b.aim.mishitShortM,
      }),
    ],
    [
      'wind',
      won({
        alongM: Math.hypot(own.alongM, b.gustAlongM),
        acrossM: Math.hypot(own.acrossM, b.gustAcrossM),
      }),
    ],
    [swing, a.aim.strokes - b.aim.strokes],
    ['lie', lie],
  ];
}

/** What a lie costs a club, over the same shot from the fairway. */
function lieLoss(demand: ShotDemand, club: PlayedClub): number {
  if (demand.lie === 'fairway' || demand.lie === 'tee') return 0;
  const fair = bestOf({ ...demand, lie: 'fairway' }, club);
  return fair ? bestOf(demand, club)!.strokes - fair.strokes : 0;
}

function bestOf(demand: ShotDemand, club: PlayedClub): AimedClub | undefined {
  let best: AimedClub | undefined;
  for (const [shotKind, shot] of shotsFor(demand, club)) {
    const aim = aimed(demand, club, shotKind, shot);
    const strokes = strokesOfAim(demand, aim, PLACES);
    if (best && best.strokes <= strokes) continue;
    best = { club, aim, gustAlongM: shot.gustAlongM ?? 0, gustAcrossM: shot.gustAcrossM ?? 0, strokes };
  }
  return best;
}

/** Below this what decides between two clubs is not looked for. Strokes a round; what is told of a loss. */
const MIN_STROKES = 0.02;

/**
 * What decided for each club of the best bag against its runner-up, by the club's id; those worth looking for.
 */
export function decidingFactors(
  round: CostedRound,
  { best, reasons }: Pick<BagAnswer, 'best' | 'reasons'>,
  bounce: BounceStrategy,
): Map<string, DecidingFactor> {
  const factors = new Map<string, DecidingFactor>();
  for (const { id, runnerUp } of reasons) {
    if (!runnerUp || runnerUp.costs < MIN_STROKES) continue;
    const factor = decidingFactor(round, bounce, best.ids, id, runnerUp.id);
    if (factor) factors.set(id, factor);
  }
  return factors;
}
