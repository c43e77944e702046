import {
  BASELINE,
  DEFAULT_GAP_SETTINGS,
  MEDIUM_FAIRWAY,
  InvalidInputError,
  ladderClub,
  placedClubs,
  skillOf,
  type LadderClub,
  type Limits,
  type RoundDay,
  type RoundRequest,
  type RoundRules,
  type GappingStrategyId,
  type PlayingConditions,
} from '@tasche/core';
import type { EventRound } from './event-schemas.js';
import { planRoundOf, preferencesOf } from './plan-choosing.js';
import type { ClubView, CourseView, PlanView, PlayerView } from './views.js';

/** Where a player's carries are known from: their own air, or the usual one, and a medium fairway. */
export function baselineOf({ baseline }: Pick<PlayerView, 'baseline'>): PlayingConditions {
  return { conditions: baseline ?? BASELINE, surface: MEDIUM_FAIRWAY };
}

/** Clubs that could go: not retired, not on loan. */
export function isCandidate({ spec, removed }: Pick<ClubView, 'spec' | 'removed'>): boolean {
  return !removed && spec.state?.value !== 'retired' && spec.state?.value !== 'on loan';
}

/** The day of an event's round on its course. @throws InvalidInputError where the holes are not recorded */
export function dayOf(
  { tee, air, ground }: Pick<EventRound, 'tee' | 'air' | 'ground'>,
  course: Pick<CourseView, 'name' | 'tees' | 'holes' | 'altitudeM'>,
): RoundDay {
  if (course.holes.length === 0)
    throw new InvalidInputError('holes', `of ${course.name} are not recorded yet`);
  return {
    course: { tees: course.tees, holes: course.holes, altitudeM: course.altitudeM },
    tee,
    air,
    ground,
  };
}

interface RoundParts {
  player: PlayerView;
  clubs: readonly ClubView[];
  plan: Pick<PlanView, 'rounds' | 'choosing' | 'baseClubIds'>;
  round: EventRound;
  course: Pick<CourseView, 'name' | 'tees' | 'holes' | 'altitudeM'>;
  limits: Limits;
  school?: GappingStrategyId;
}

/** A player's round of an event, as the core is asked for its bag. @throws InvalidInputError */
export function roundRequestOf({
  player,
  clubs,
  plan,
  round,
  course,
  limits,
  school = 'even-carries',
}: RoundParts): { request: RoundRequest; rules: RoundRules } {
  const { changes, notes } = planRoundOf(plan, round.id);
  const preferences = preferencesOf(plan.choosing, player.preferences);
  const from = baselineOf(player);
  // As the bag's own page has them: bent clubs moved, and what was never hit predicted by all the player's
  // clubs, a retired one too.
  const placed = placedClubs(clubs.map(ladderClub), from.conditions);
  const candidates: LadderClub[] = placed.filter((_club, i) => isCandidate(clubs[i]!));
  return {
    request: {
      day: dayOf(round, course),
      clubs: candidates,
      from,
      preferences,
      changes,
      notes,
      handicap: skillOf(candidates, player.handicap).handicap,
    },
    rules: {
      preferences,
      school,
      gamerIds: plan.baseClubIds,
      limits,
      settings: { ...DEFAULT_GAP_SETTINGS, ...player.gapSettings },
    },
  };
}
