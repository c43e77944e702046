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
  strokesAfter,
  strokesFor,
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
  need: Omit<ShotDemand, 'name' | 'weight'>;
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

interface Choice {
  club: PlayedClub;
  shot: ShotKind | undefined;
  need: Omit<ShotDemand, 'name' | 'weight'>;
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
  const needs = (hole: Hole, at: number, leftM: number, lie: Lie) => {
    // Hazards and rise are told from the first tee; from any other, as much nearer as it stands forward.
    const lengthM = hole.lengthsM[0]!;
    const common = { hole: at + 1, lie, ...windOnHole(air, hole, at), missStrokes: roughStrokes(ground) };
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
    const { green, fairway } = needs(hole, at, rounded, lie);
    let best: Choice | undefined;
    const consider = (choice: Choice) => {
      if (!best || choice.strokes < best.strokes) best = choice;
    };
    for (const club of bags[at]!) {
      if (club.kind === 'putter') continue;
      if (short) {
        consider({
          club,
          shot: undefined,
          need: green,
          aim: undefined,
          strokes:
            touchStrokes({ ...green, name: '', weight: 1 }, club) + soleStrokes(club, lie, ground, bounce),
        });
        continue;
      }
      const part = partSwingFor({ ...green, name: '', weight: 1 }, club);
      for (const [shotKind, shot] of [
        ...(Object.entries(club.shots) as [ShotKind, PlayedShot][]),
        ...(part ? [part] : []),
      ]) {
        const reach = shot.totalM ?? shot.carryM;
        const asked =
          shot === part?.[1] || reach >= rounded - hole.greenM / 2 - AT_GREEN_M
            ? green
            : fairway(Math.max(1, Math.round(reach)));
        const demand = { ...asked, name: '', weight: 1 };
        const strokes =
          strokesFor(demand, club, shotKind, shot, FEW_PLACES) + soleStrokes(club, lie, ground, bounce);
        if (!best || strokes < best.strokes)
          best = { club, shot: shotKind, need: asked, aim: aimed(demand, club, shotKind, shot), strokes };
      }
    }
    if (!best)
      throw new InvalidInputError('clubs', 'hold none that has a carry; a round cannot be played with them');
    known.set(key, best);
    return best;
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
      const after = outcomeOf(
        { ...demand, name: '', weight: 1 },
        aim,
        isMishit ? along - aim.mishitShortM : along,
        across,
      );
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
