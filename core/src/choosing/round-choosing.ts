import type { LadderClub } from '../clubs/ladder-club.js';
import type { Setting } from '../conditions/move-shot.js';
import type { SchoolId } from '../gaps/schools.js';
import { DEFAULT_GAP_SETTINGS, type GapSettings } from '../gaps/settings.js';
import { deriveNeeds, playsLikeOf } from '../rounds/derive-needs.js';
import { dayShots, type RoundDay } from '../rounds/play-hole.js';
import { stillAir } from '../rounds/round-air.js';
import { movedClub } from './moved-club.js';
import { bagChoosing, needCosts, type BagChoosing, type NeedCosts } from './choose-bag.js';
import { costOf } from './choosing-model.js';
import { withModelledCarries } from './modelled-carries.js';
import { skillOf } from '../skill/skill.js';
import type { Need } from './need.js';
import type { PlayedIn } from './played-shot.js';
import { tasteOf, type Limits, type Wishes } from './wishes.js';

/** A need as somebody changed it: what is set stands, null takes it away. By the need's name. */
export type NeedChanges = Readonly<
  Record<string, Partial<Pick<Need, 'distanceM' | 'lie' | 'mustHold' | 'weight' | 'leftM'>> | null>
>;

/** A round as its bag is chosen: the day, the needs it was found or told to have, every club as it plays. */
export interface RoundChoosing {
  day: RoundDay;
  needs: readonly Need[];
  /** What was derived and taken away by hand. */
  takenAway: readonly Need[];
  strokes: number;
  rareStrokes: number;
  /** As they are known, with modelled carries where there are none. */
  clubs: readonly LadderClub[];
  played: PlayedIn;
  costs: NeedCosts;
}

/** How much of the work is playing the course; the rest is costing what it asks. */
const PLAYING = 0.6;

export interface RoundOrder {
  day: RoundDay;
  clubs: readonly LadderClub[];
  from: Setting;
  wishes: Wishes;
  changes?: NeedChanges;
  notes?: readonly Need[];
  seed?: number;
  /** The player's (see `skillOf`); read off the clubs where nothing is said. */
  handicap?: number;
}

/**
 * What a round asks and what every club would cost for it: the long part of choosing, done once for a day; locks and prices come after.
 * @param told how much of it is done now and then; a share of the whole
 * @throws RefusedInput
 */
export function roundChoosing(
  {
    day,
    clubs: known,
    from,
    wishes,
    changes = {},
    notes = [],
    seed,
    handicap = skillOf(known).handicap,
  }: RoundOrder,
  told?: (share: number) => void,
): RoundChoosing {
  const clubs = withModelledCarries(known, from.conditions);
  const played = dayShots(day, from, handicap);
  const derived = deriveNeeds(day, clubs, from, {
    played,
    told: (share) => {
      told?.(share * PLAYING);
    },
    ...(seed !== undefined && { seed }),
  });
  const takenAway = derived.needs.filter(({ name }) => changes[name] === null);
  const howFar = (need: Need): Need => {
    const playsLikeM = playsLikeOf(need, clubs, played);
    return playsLikeM === undefined ? need : { ...need, playsLikeM };
  };
  const needs = [
    ...derived.needs
      .filter((need) => !takenAway.includes(need))
      .map((need) => {
        const change = changes[need.name];
        return change ? howFar(changedNeed(need, change)) : need;
      }),
    ...notes.map(howFar),
  ];
  return {
    day,
    needs,
    takenAway,
    strokes: needs.reduce((sum, { weight }) => sum + weight, 0),
    rareStrokes: derived.rareStrokes,
    clubs,
    played,
    costs: needCosts(clubs, needs, { played, ground: day.ground, bounce: wishes.bounce }, (share) => {
      told?.(PLAYING + share * (1 - PLAYING));
    }),
  };
}

/** What is laid up shorter leaves more, as long as nobody says how much is left; an approach is hit from as much nearer or farther. */
function changedNeed(need: Need, change: NonNullable<NeedChanges[string]>): Need {
  const leftM =
    change.distanceM !== undefined && need.leftM !== undefined
      ? Math.min(700, Math.max(1, need.leftM + need.distanceM - change.distanceM))
      : undefined;
  const by = (change.distanceM ?? need.distanceM) - need.distanceM;
  const hitFromM = need.to === 'green' ? need.hitFromM?.map((from) => Math.max(1, from + by)) : need.hitFromM;
  return { ...need, ...(hitFromM && { hitFromM }), ...(leftM !== undefined && { leftM }), ...change };
}

export interface RoundTaste {
  wishes: Wishes;
  school: SchoolId;
  gamerIds: readonly string[];
  limits?: Limits;
  settings?: GapSettings;
}

/** The choice of a round's bag; quick, once the round is worked out. Steps are those of the day's air without its wind. */
export function choosingOfRound(
  round: RoundChoosing,
  { wishes, school, gamerIds, limits, settings = DEFAULT_GAP_SETTINGS }: RoundTaste,
): BagChoosing {
  const { clubs, needs, strokes, costs, day } = round;
  const taste = tasteOf({
    wishes,
    school,
    clubs,
    gamerIds,
    ground: day.ground,
    swings: strokes,
    ...(limits && { limits }),
  });
  return bagChoosing(stillClubs(round), needs, taste, settings, costs);
}

/** The clubs as their ladder hangs that day, the wind left out. */
export function stillClubs({ clubs, played }: RoundChoosing): LadderClub[] {
  return clubs.map((club) => movedClub(played(club, { windMps: 0, windFromDeg: 0 })));
}

/** What a bag of any clubs, changed or bought ones too, costs that round. @throws RefusedInput */
export function costOfBag(round: RoundChoosing, taste: RoundTaste): (clubs: readonly LadderClub[]) => number {
  const { needs, played, day, strokes } = round;
  const columns = new WeakMap<LadderClub, NeedCosts>();
  const columnOf = (club: LadderClub) => {
    const known =
      columns.get(club) ??
      needCosts([club], needs, { played, ground: day.ground, bounce: taste.wishes.bounce });
    columns.set(club, known);
    return known;
  };
  return (clubs) => {
    const each = clubs.map(columnOf);
    const costs: NeedCosts = (each[0] ?? []).map(
      (_row, i) => new Map(clubs.map(({ id }, c) => [id, each[c]![i]!.get(id)!])),
    );
    const priced = tasteOf({ ...taste, clubs, ground: day.ground, swings: strokes });
    const { model } = bagChoosing(
      clubs.map((club) => movedClub(played(club, { windMps: 0, windFromDeg: 0 }))),
      needs,
      { ...priced, always: [], never: [], groups: [], kinds: [], mustCover: [] },
      taste.settings,
      costs,
    );
    return costOf(
      model,
      model.clubs.map((_club, c) => c),
    ).total;
  };
}

/** The day's air, still, for whoever shows a ladder in it. */
export function stillSetting({ day }: Pick<RoundChoosing, 'day'>): Setting {
  return {
    conditions: stillAir(day.air, day.course),
    surface: { area: 'fairway', firmness: day.ground.fairways, grass: day.ground.grass },
  };
}
