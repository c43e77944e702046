import type { LadderClub } from '../spec/index.js';
import type { ShotKind } from '../clubs/index.js';
import type { Lie, PlayingConditions } from '../plays-like/index.js';
import {
  TOUCH_M,
  type ShotDemand,
  playedIn,
  type PlayedClub,
  type PlayedIn,
  type PlayedShot,
  soleStrokes,
  type BounceStrategy,
  aimed,
  outcomeOf,
  partSwingFor,
  shotsOf,
  riseLossM,
  type ShotTarget,
  strokesAfter,
  strokesOfAim,
  leastStrokesOfAim,
  touchStrokes,
  type Aimed,
} from '../choosing/index.js';
import {
  requireCourse,
  type Course,
  type Hole,
  requireGround,
  roughLie,
  roughStrokes,
  type CourseGround,
} from '../courses/index.js';
import { InvalidInputError } from '../invalid-input-error.js';
import { normalFrom, randomFrom } from '../statistics/index.js';
import { expectedStrokes, type HoleOutLie } from '../strokes/index.js';
import { requireRoundAir, stillAir, windOnHole, type RoundAir } from './round-air.js';

/** A day on a course: which tee, what air, how it plays underfoot. */
export interface RoundDay {
  course: Course;
  tee: number;
  air: RoundAir;
  ground: CourseGround;
}

/** What a stroke was, among those of its hole. */
export type StrokeKind = 'tee shot' | 'par three' | 'lay-up' | 'approach' | 'short game';

/** A stroke as it came up in play: what it asked, and what it was played with. */
export interface AskedStroke {
  hole: number;
  /** Of the hole, from one. */
  number: number;
  kind: StrokeKind;
  need: ShotDemand;
  clubId: string;
  shot: ShotKind | undefined;
}

interface PlayedHole {
  strokes: number;
  asked: readonly AskedStroke[];
}

/** @throws InvalidInputError naming what of the day is refused */
function requireRoundDay({ course, tee, air, ground }: RoundDay): void {
  requireCourse(course);
  requireRoundAir(air);
  requireGround(ground);
  if (!(Number.isInteger(tee) && tee >= 0 && tee < course.tees.length))
    throw new InvalidInputError('tee', `must be one of ${course.tees.join(', ')}`);
}

/** The player's shots as they play that day, in whatever wind a hole has. */
export function dayShots(
  { course, air, ground }: RoundDay,
  from: PlayingConditions,
  handicap?: number,
): PlayedIn {
  return playedIn(from, stillAir(air, course), ground, handicap);
}

/** A club's shot off one lie of one hole: how it plays down the fairway, and to a green as high as the ball. */
interface ReadyShot {
  club: PlayedClub;
  kind: ShotKind;
  shot: PlayedShot;
  reachM: number;
  layUpM: number;
  layUp: Aimed;
  level: Aimed;
  sole: number;
}

/** A shot that may be the best one, and the strokes it takes at the least. */
interface Try {
  club: PlayedClub;
  shot: ShotKind;
  target: ShotTarget;
  aim: Aimed;
  sole: number;
  least: number;
  order: number;
}

interface Choice {
  club: PlayedClub;
  shot: ShotKind | undefined;
  need: ShotDemand;
  aim: Aimed | undefined;
  strokes: number;
}

/** Distances are told apart to this, so that a situation met again is not thought about again. */
const GRID_M = 4;
/**
 * A shot that comes within this of a green's edge is at the green, a shorter one leaves another. Our choice.
 */
const AT_GREEN_M = 20;
/** A decision is good enough on so many points of its scatter. */
const FEW_PLACES = 20;
/** Not counted any further than this. */
const MAX_STROKES = 9;

/**
 * Plays holes with a set of clubs, stroke by stroke: at every ball the club and shot of the fewest expected
 * strokes, and where it comes to rest drawn from the shot's own scatter. A hole ends on the green, or with a
 * short shot, by what is expected from there.
 * @param played from `dayShots`; share it between players of one day
 * @throws InvalidInputError
 */
export function holePlayer(
  day: RoundDay,
  clubs: readonly LadderClub[],
  played: PlayedIn,
  bounce: BounceStrategy = 'match',
) {
  requireRoundDay(day);
  const {
    course: { holes },
    tee,
    air,
    ground,
  } = day;
  const known = new Map<string, Choice>();
  const offFairway: Lie = ground.fairways === 'baked' ? 'tight' : 'fairway';
  const lieOf: Record<HoleOutLie, Lie> = {
    tee: 'tee',
    fairway: offFairway,
    rough: roughLie(ground),
    sand: 'sand',
    green: offFairway,
  };
  const bags = holes.map((hole, at) => clubs.map((club) => played(club, windOnHole(air, hole, at))));

  /**
   * What a ball so far from the hole, in that lie, asks of a shot that gets there, and of one that does not.
   */
  const needsFrom = (hole: Hole, at: number, leftM: number, lie: Lie) => {
    // Hazards and rise are told from the first tee; from any other, as much nearer as it stands forward.
    const lengthM = hole.lengthsM[0]!;
    const common = {
      name: '',
      weight: 1,
      hole: at + 1,
      lie,
      ...windOnHole(air, hole, at),
      missStrokes: roughStrokes(ground),
    };
    const gone = lengthM - leftM;
    const hazards = hole.hazards
      .map((one) => ({ ...one, fromM: one.fromM - gone, toM: one.toM - gone }))
      .filter(({ toM }) => toM > 0);
    const green = {
      ...common,
      to: 'green' as const,
      distanceM: leftM,
      mustHold: hole.front !== 'open',
      halfM: hole.greenM / 2,
      elevationChangeM: (hole.elevationChangeM * leftM) / lengthM,
      slope: hole.slope,
      ...(hole.front === 'water' && { front: 'water' as const }),
    };
    const fairway = (totalM: number) => ({
      ...common,
      to: 'fairway' as const,
      distanceM: totalM,
      leftM: Math.max(1, leftM - totalM),
      mustHold: false,
      halfM: hole.corridorM / 2,
      elevationChangeM: (hole.elevationChangeM * totalM) / lengthM,
      ...(hazards.length > 0 && { hazards }),
    });
    return { green, fairway };
  };

  /** The stroke to be played there. */
  const choose = (at: number, leftM: number, lie: Lie): Choice => {
    const hole = holes[at]!;
    const short = leftM <= TOUCH_M && lie !== 'tee';
    const rounded = short
      ? Math.max(1, Math.round(leftM))
      : Math.max(TOUCH_M + 1, Math.round(leftM / GRID_M) * GRID_M);
    const key = `${at} ${lie} ${rounded}`;
    const before = known.get(key);
    if (before) return before;
    const needs = needsFrom(hole, at, rounded, lie);
    const found = short ? touchChoice(at, needs.green, lie) : swingChoice(at, rounded, needs, lie);
    if (!found)
      throw new InvalidInputError('clubs', 'hold none that has a carry; a round cannot be played with them');
    known.set(key, found);
    return found;
  };

  /** A short shot by feel. */
  const touchChoice = (at: number, green: ShotDemand, lie: Lie): Choice | undefined => {
    let best: Choice | undefined;
    for (const club of bags[at]!) {
      if (club.kind === 'putter') continue;
      const strokes = touchStrokes(green, club) + soleStrokes(club, lie, ground, bounce);
      if (!best || strokes < best.strokes)
        best = { club, shot: undefined, need: green, aim: undefined, strokes };
    }
    return best;
  };

  const ready = new Map<string, ReadyShot[]>();
  const readyShots = (at: number, lie: Lie): ReadyShot[] => {
    const key = `${at} ${lie}`;
    const before = ready.get(key);
    if (before) return before;
    const { slope, elevationChangeM, lengthsM } = holes[at]!;
    const made = bags[at]!.flatMap((club) =>
      (club.kind === 'putter' ? [] : shotsOf(club)).map(([kind, shot]) => {
        const reachM = shot.totalM ?? shot.carryM;
        const layUpM = Math.max(1, Math.round(reachM));
        const rising = (elevationChangeM * layUpM) / lengthsM[0]!;
        return {
          ...{ club, kind, shot, reachM, layUpM },
          layUp: aimed({ lie, elevationChangeM: rising }, club, kind, shot),
          level: aimed({ lie, slope }, club, kind, shot),
          sole: soleStrokes(club, lie, ground, bounce),
        };
      }),
    );
    ready.set(key, made);
    return made;
  };

  /** The best of all shots; what cannot be the best one is not looked at closely. */
  const swingChoice = (
    at: number,
    leftM: number,
    { green, fairway }: ReturnType<typeof needsFrom>,
    lie: Lie,
  ): Choice | undefined => {
    const hole = holes[at]!;
    const { missStrokes, hazards = [] } = fairway(1);
    const greenBeginsM = leftM - hole.greenM / 2 - AT_GREEN_M;
    const tries: Try[] = [];
    const consider = (one: Omit<Try, 'least' | 'order'>) => {
      const least = leastStrokesOfAim(one.target, one.aim, FEW_PLACES) + one.sole;
      tries.push({ ...one, least, order: tries.length });
    };
    const shots = readyShots(at, lie);
    for (const [i, { club, kind, shot, reachM, layUpM, layUp, level, sole }] of shots.entries()) {
      if (reachM >= greenBeginsM) {
        const carryM = level.carryM - riseLossM(green.elevationChangeM, shot.descentDeg);
        consider({ club, shot: kind, target: green, aim: { ...level, carryM }, sole });
      } else {
        const target: ShotTarget = {
          to: 'fairway',
          distanceM: layUpM,
          leftM: Math.max(1, leftM - layUpM),
          mustHold: false,
          halfM: hole.corridorM / 2,
          missStrokes,
          hazards,
        };
        consider({ club, shot: kind, target, aim: layUp, sole });
      }
      if (shots[i + 1]?.club === club) continue;
      const part = partSwingFor(green, club);
      if (part) consider({ club, shot: part[0], target: green, aim: aimed(green, club, ...part), sole });
    }
    tries.sort((a, b) => a.least - b.least);
    let best: (Try & { strokes: number }) | undefined;
    for (const one of tries) {
      if (best && one.least > best.strokes) break;
      const strokes = strokesOfAim(one.target, one.aim, FEW_PLACES) + one.sole;
      // Of two as good the one that comes first in the bag.
      if (!best || strokes < best.strokes || (strokes === best.strokes && one.order < best.order))
        best = { ...one, strokes };
    }
    if (!best) return undefined;
    const { club, shot, aim, strokes, target } = best;
    return { club, shot, aim, strokes, need: target === green ? green : fairway(target.distanceM) };
  };

  const kindOf = (hole: Hole, stroke: number, { need: demand }: Choice): StrokeKind => {
    if (demand.to === 'green' && demand.distanceM <= TOUCH_M) return 'short game';
    if (stroke === 0) return hole.par === 3 ? 'par three' : 'tee shot';
    return demand.to === 'green' ? 'approach' : 'lay-up';
  };

  /** @param seed the same seed meets the same luck, whatever the clubs */
  const play = (at: number, seed: number): PlayedHole => {
    const hole = holes[at]!;
    const uniform = randomFrom(seed);
    const normal = normalFrom(uniform);
    const asked: AskedStroke[] = [];
    let leftM = hole.lengthsM[tee]!;
    let lie: Lie = 'tee';
    let strokes = 0;
    for (let stroke = 0; stroke < MAX_STROKES; stroke++) {
      const choice = choose(at, leftM, lie);
      // The grid is for deciding; the ball lies where it lies.
      const demand =
        choice.need.to === 'green'
          ? { ...choice.need, distanceM: leftM }
          : { ...choice.need, leftM: Math.max(1, leftM - choice.need.distanceM) };
      asked.push({
        hole: at + 1,
        number: stroke + 1,
        kind: kindOf(hole, stroke, choice),
        need: demand,
        clubId: choice.club.id,
        shot: choice.shot,
      });
      if (!choice.aim) return { strokes: strokes + choice.strokes, asked };
      const { aim } = choice;
      const [along, across, isMishit] = [
        normal() * aim.alongM,
        normal() * aim.acrossM,
        uniform() < aim.mishitShare,
      ];
      const after = outcomeOf(demand, aim, isMishit ? along - aim.mishitShortM : along, across);
      strokes += aim.strokes + soleStrokes(choice.club, lie, ground, bounce);
      if (after.lie === 'green') return { strokes: strokes + strokesAfter(after, aim.handicap), asked };
      strokes += after.lost;
      leftM = after.leftM;
      lie = lieOf[after.lie];
    }
    return { strokes: strokes + expectedStrokes('rough', leftM, bags[at]![0]!.handicap), asked };
  };
  return { play, holes: holes.length };
}
