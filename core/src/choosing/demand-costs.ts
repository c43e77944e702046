import type { ShotKind } from '../clubs/index.js';
import type { CourseGround } from '../courses/index.js';
import { skillOf } from '../skill/index.js';
import type { LadderClub } from '../spec/index.js';
import { demandRows } from './demand-rows.js';
import type { PlayedIn } from './played-shot.js';
import { requireDemand, type ShotDemand } from './shot-demand.js';
import { soleStrokes, type BounceStrategy } from './sole.js';
import { strokesWith } from './strokes-for.js';
import { PLACES_OF_MANY } from './strokes-of-aim.js';

/** What is known of the day: how each club plays in a need's wind, and how wedges' soles meet the ground. */
interface ChoosingDay {
  played: PlayedIn;
  ground: CourseGround;
  bounce: BounceStrategy;
}

/**
 * How needs are costed: on a day, whose shots know their player, or as the shots are, by the player's handicap.
 */
type DemandCosting = ChoosingDay | { handicap?: number | undefined };

/**
 * What every row of the needs costs with every club, by the club's id: strokes, and with which shot.
 * Preferences and locks do not change it.
 */
export type DemandCosts = readonly ReadonlyMap<string, { strokes: number; shot: ShotKind | undefined }>[];

/**
 * @param costing without a day the shots are taken as they are, whatever the need's wind; without a handicap
 * it is read off the clubs
 * @param onProgress how much of it is done, after every need; a share of the whole
 * @throws InvalidInputError naming a field of a need
 */
export function demandCosts(
  clubs: readonly LadderClub[],
  needs: readonly ShotDemand[],
  costing: DemandCosting = {},
  onProgress?: (share: number) => void,
): DemandCosts {
  const day = 'played' in costing ? costing : undefined;
  const handicap = 'played' in costing ? undefined : (costing.handicap ?? skillOf(clubs).handicap);
  for (const demand of needs) requireDemand(demand);
  return needs.flatMap((demand, i) => {
    const costs = demandRows([demand]).map((row) =>
      costsOf(row, demand.hitFromM && demand.hitFromM.length > 1 ? PLACES_OF_MANY : undefined),
    );
    onProgress?.((i + 1) / needs.length);
    return costs;
  });

  function costsOf(demand: ShotDemand, places: number | undefined): DemandCosts[number] {
    const wind = { windMps: demand.windMps ?? 0, windFromDeg: demand.windFromDeg ?? 0 };
    return new Map(
      clubs.map((club) => {
        const { strokes, shot } = strokesWith(
          demand,
          day ? day.played(club, wind) : { ...club, handicap: handicap! },
          places,
        );
        return [
          club.id,
          { strokes: day ? strokes + soleStrokes(club, demand.lie, day.ground, day.bounce) : strokes, shot },
        ];
      }),
    );
  }
}
