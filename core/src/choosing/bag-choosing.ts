import { type ShotKind, shotsIn } from '../clubs/index.js';
import { carryLadder, DEFAULT_GAP_SETTINGS, type GapSettings } from '../gaps/index.js';
import { InvalidInputError } from '../invalid-input-error.js';
import type { LadderClub } from '../spec/index.js';
import type { ChoosingModel, ChoosingRule } from './choosing-model.js';
import type { ChoosingRules } from './choosing-rules.js';
import { demandCosts, type DemandCosts } from './demand-costs.js';
import { demandRows } from './demand-rows.js';
import type { ShotDemand } from './shot-demand.js';
import { stepCost, stepMatrix } from './step-costs.js';

/** Full swings of a round; the needs' weights are shares of it. Our choice. */
const FULL_SWINGS_A_ROUND = 36;
/**
 * A locker, needs and rules as a problem to be solved; `clubs` says which club stands where in it. Needs are
 * as `demandRows` has them.
 */
export interface BagChoosing {
  model: ChoosingModel;
  clubs: readonly LadderClub[];
  needs: readonly ShotDemand[];
  shots: readonly (readonly (ShotKind | undefined)[])[];
  /** What the choice begins with, where other choices were made for the same needs. */
  prices?: Float64Array;
}

/**
 * The choice of a bag written out. Needs weigh in proportion to their weights, together a round of full
 * swings; a step costs the square of how far it is from its gapping strategy's target, counted in targets. The
 * target of a strategy that spaces carries is what the whole locker's reach would be cut into by as many clubs
 * as may be carried, so that it does not change with what is chosen.
 * @throws InvalidInputError naming the field, or the club a rule names that is not there
 */
export function bagChoosing(
  clubs: readonly LadderClub[],
  asked: readonly ShotDemand[],
  rules: ChoosingRules,
  settings: GapSettings = DEFAULT_GAP_SETTINGS,
  known: DemandCosts = demandCosts(clubs, asked, { handicap: rules.handicap }),
): BagChoosing {
  const needs = demandRows(asked);
  if (clubs.length === 0) throw new InvalidInputError('clubs', 'are none; there is nothing to choose from');
  const ladder = carryLadder(clubs);
  const onLadder = new Set(ladder.map(({ id }) => id));
  const order: LadderClub[] = [...ladder, ...clubs.filter(({ id }) => !onLadder.has(id))];
  const weights = needs.reduce((sum, { weight }) => sum + weight, 0);
  const costs = known.map((row) => order.map(({ id }) => row.get(id)!));
  const swings = rules.swings ?? FULL_SWINGS_A_ROUND;
  const model: ChoosingModel = {
    clubs: order.map(({ id }) => ({ id, price: rules.prices[id] ?? 0 })),
    ladderClubs: ladder.length,
    needs: costs.map((row, i) =>
      row.map(({ strokes }) => (weights > 0 ? (strokes * needs[i]!.weight * swings) / weights : 0)),
    ),
    steps: stepMatrix(ladder, stepCost(ladder, clubs, rules, settings)),
    begins: ladder.map(() => 0),
    ends: ladder.map(() => 0),
    limit: rules.limit,
    rules: rulesOf(order, rules),
  };
  return { model, clubs: order, needs, shots: costs.map((row) => row.map(({ shot }) => shot)) };
}

function rulesOf(
  order: readonly LadderClub[],
  { always, never, groups, kinds, mustCover }: ChoosingRules,
): ChoosingRule[] {
  const place = (id: string) => {
    const at = order.findIndex((club) => club.id === id);
    if (at === -1) throw new InvalidInputError('clubs', `hold no "${id}", which a rule names`);
    return at;
  };
  const name = (id: string) => order[place(id)]!.name;
  const putters = order.flatMap(({ kind }, i) => (kind === 'putter' ? [i] : []));
  return [
    ...(putters.length > 0 ? [{ name: 'one putter', members: putters, least: 1, most: 1 }] : []),
    ...always.map((id) => ({ name: `always the ${name(id)}`, members: [place(id)], least: 1, most: 1 })),
    ...never.map((id) => ({ name: `never the ${name(id)}`, members: [place(id)], least: 0, most: 0 })),
    ...groups.map(({ ids, least: min = 0, most: max = 1, name: called }) => ({
      name: called ?? `${min === max ? min : `${min} to ${max}`} of ${ids.map(name).join(', ')}`,
      members: [...new Set(ids.map(place))],
      least: min,
      most: max,
    })),
    ...kinds.map(({ kind, most: max }) => ({
      name: `at most ${max} ${kind}${max === 1 ? '' : 's'}`,
      members: order.flatMap((club, i) => (club.kind === kind ? [i] : [])),
      least: 0,
      most: max,
    })),
    ...mustCover.map(({ distanceM, withinM }) => ({
      name: `a shot within ${withinM} m of ${distanceM} m`,
      least: 1,
      most: order.length,
      members: order.flatMap(({ shots }, i) =>
        shotsIn(shots).some(([, { carryM }]) => Math.abs(carryM - distanceM) <= withinM) ? [i] : [],
      ),
    })),
  ];
}
