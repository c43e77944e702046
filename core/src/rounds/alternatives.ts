import {
  bagChoosing,
  choose,
  chooseIfAny,
  choosingRulesOf,
  chosenBag,
  nextBest,
  withinSwaps,
  type ChosenBag,
} from '../choosing/index.js';
import type { LadderClub } from '../spec/index.js';
import { choosingOfRound, stillClubs, type RoundChoosing, type RoundRules } from './round-choosing.js';

/**
 * Other bags for a round, each the best of its kind; undefined where the locks allow none. Strokes are all of
 * the same round.
 */
export interface Alternatives {
  /** The best, and the four after it. */
  five: readonly ChosenBag[];
  withinOne: ChosenBag | undefined;
  withinTwo: ChosenBag | undefined;
  ten: ChosenBag | undefined;
  /** The gamer as it is; undefined where it does not keep to the event's limits. */
  gamer: ChosenBag | undefined;
}

const TEN_CLUBS = 10;

/** @throws InvalidInputError */
export function alternatives(round: RoundChoosing, asked: RoundRules): Alternatives {
  const choosing = choosingOfRound(round, asked);
  const { model, clubs, prices } = choosing;
  const begun = prices ? { prices } : {};
  const bagOf = (chosen: readonly number[]) => chosenBag(choosing, chosen);
  const first = choose(model, begun);
  const rules = choosingRulesOf({
    ...asked,
    clubs: round.clubs,
    ground: round.day.ground,
    swings: round.strokes,
    ...(asked.limits && { limits: asked.limits }),
  });
  const still = stillClubs(round);
  const bestWith = (more: typeof rules): ChosenBag | undefined => {
    const other = bagChoosing(still, round.needs, more, asked.settings, round.costs);
    const found = chooseIfAny(other.model, begun);
    // Told in the costs of the round's own model, so that bags of other limits can be held against it.
    return (
      found &&
      bagOf(
        found.chosen.map((c) => clubs.findIndex(({ id }) => id === other.clubs[c]!.id)).sort((a, b) => a - b),
      )
    );
  };
  const gamer = clubs.flatMap(({ id }, c) => (asked.gamerIds.includes(id) ? [c] : []));
  return {
    five: first
      ? [bagOf(first.chosen), ...nextBest(model, first, 4, begun).map(({ chosen }) => bagOf(chosen))]
      : [],
    withinOne:
      asked.gamerIds.length > 0 ? bestWith(withinSwaps(rules, round.clubs, asked.gamerIds, 1)) : undefined,
    withinTwo:
      asked.gamerIds.length > 0 ? bestWith(withinSwaps(rules, round.clubs, asked.gamerIds, 2)) : undefined,
    ten: bestWith({ ...rules, limit: Math.min(rules.limit, TEN_CLUBS) }),
    gamer: gamer.length > 0 && gamer.length <= model.limit ? bagOf(gamer) : undefined,
  };
}

/** Clubs of a list by ids, in the ids' order. */
export function clubsOfIds(clubs: readonly LadderClub[], ids: readonly string[]): LadderClub[] {
  return ids.flatMap((id) => clubs.find((club) => club.id === id) ?? []);
}
