import { PLAN_CHOOSING_BOUNDS } from '@tasche/contract';
import {
  keepsPreferences,
  bagWhy,
  withoutFaults,
  alternatives,
  chooseBag,
  choosingOfRound,
  lossOfClubs,
  clubsOfIds,
  costOfBag,
  dayTriggers,
  choose,
  howSure,
  playRounds,
  roundChoosing,
  remedies,
  seasonValue,
  smallestTravelSet,
  stillClubs,
  searchTravelSets,
  decidingFactors,
  remedyWords,
  type FaultlessBag,
  type Alternatives,
  type BagAnswer,
  type BagLoss,
  type DayTrigger,
  type DistanceUnit,
  type HowSure,
  type LadderClub,
  type ShotDemand,
  type PlayedRounds,
  type RoundRequest,
  type Remedy,
  type RoundRules,
  type Scenario,
  type SeasonValue,
  type ValuedRound,
  type SmallestTravelSet,
  type TravelSet,
} from '@tasche/core';
import { expose } from 'comlink';
import { latestRound, workedAsLatest, workedRound, type Progress } from './worked-rounds';

/** A round worked out: its needs, and how every club hangs that day without its wind. */
export interface WorkedRound {
  needs: readonly ShotDemand[];
  takenAway: readonly ShotDemand[];
  strokes: number;
  rareStrokes: number;
  still: readonly LadderClub[];
  modelled: readonly string[];
  refused: string;
}
/** Its best bag, why, in sentences by club, and what another costs more. */
export interface RoundAnswer {
  answer: BagAnswer | null;
  refused: string;
  why: Readonly<Record<string, string>>;
  against: BagLoss | null;
}

/** What may be done to the gamer for a round. */
export type RoundRemedy = Pick<Remedy, 'kind' | 'gain'> & { text: string; opens: number };

/** A way a round may turn out. */
export interface TravelDay {
  name: string;
  weight: number;
  request: RoundRequest;
}

/** A round of a season, or several that are alike. */
export interface SeasonRoundAsked extends Omit<ValuedRound, 'round' | 'preferences'> {
  request: RoundRequest;
  rules: RoundRules;
}

/** What a season's value is asked of beside the gamer: bags the player has made, and clubs wished for. */
export interface SeasonBesides {
  bags: readonly { id: string; clubIds: readonly string[] }[];
  wishIds: readonly string[];
}

/** Ends this task, so that progress gets out while there is more to do. */
const nextTask = () =>
  new Promise<void>((resolve) => {
    setTimeout(resolve);
  });

/** Every day worked out; that is more than half of the way. */
async function scenariosOf(
  days: readonly TravelDay[],
  rules: RoundRules,
  progress: Progress,
): Promise<Scenario[]> {
  const made: Scenario[] = [];
  for (const [i, { name, weight, request }] of days.entries()) {
    progress((i / days.length) * 0.6);
    await nextTask();
    made.push({ name, weight, choosing: choosingOfRound(workedRound(request), rules) });
  }
  progress(0.6);
  await nextTask();
  return made;
}

/** How long a bag without a fault is looked for, in ms: the next question waits for it. */
const FAULTLESS_MS = 1500;

const api = {
  /** @param progress called while it works; what is posted gets out though the worker is busy */
  workOut(request: RoundRequest, progress: Progress): WorkedRound {
    try {
      const round = workedAsLatest(request, progress);
      const modelled = round.clubs
        .filter(({ shots }) => shots.full?.source === 'modelled')
        .map(({ id }) => id);
      return {
        needs: round.needs,
        takenAway: round.takenAway,
        strokes: round.strokes,
        rareStrokes: round.rareStrokes,
        still: stillClubs(round),
        modelled,
        refused: '',
      };
    } catch (error) {
      return {
        needs: [],
        takenAway: [],
        strokes: 0,
        rareStrokes: 0,
        still: [],
        modelled: [],
        refused: (error as Error).message,
      };
    }
  },

  /**
   * @param asked null for the round that was worked out last
   * @param against a bag whose cost is told beside it; none where it is empty
   */
  choose(
    asked: RoundRequest | null,
    rules: RoundRules,
    against: readonly string[],
    unit: DistanceUnit,
  ): RoundAnswer {
    try {
      const { request, round } = asked ? { request: asked, round: workedRound(asked) } : latestRound();
      const choosing = choosingOfRound(round, rules);
      const answer = chooseBag(choosing, 0);
      if (!answer)
        return { answer: null, refused: 'The locks together allow no bag.', why: {}, against: null };
      const nameOf = (id: string) => request.clubs.find((club) => club.id === id)?.name ?? id;
      const why = Object.fromEntries(bagWhy(answer, new Map(), nameOf, unit));
      return { answer, refused: '', why, against: lossOfClubs(choosing, against, answer.best) };
    } catch (error) {
      return { answer: null, refused: (error as Error).message, why: {}, against: null };
    }
  },

  /**
   * Why, with what decided against each runner-up, of the round worked out last; takes longer than the choice.
   */
  why(
    rules: RoundRules,
    answer: Pick<BagAnswer, 'best' | 'reasons' | 'leftOut'>,
    unit: DistanceUnit,
  ): Record<string, string> {
    const { request, round } = latestRound();
    const nameOf = (id: string) => request.clubs.find((club) => club.id === id)?.name ?? id;
    const factors = decidingFactors(round, answer, rules.preferences.bounce);
    return Object.fromEntries(bagWhy(answer, factors, nameOf, unit));
  },

  /**
   * What a bag without a step at fault costs in the round worked out last; null where the best has none, or
   * nothing does it; undefined where it takes too long.
   */
  withoutFaults(rules: RoundRules): FaultlessBag | null | undefined {
    const until = performance.now() + FAULTLESS_MS;
    return withoutFaults(
      latestRound().round,
      rules,
      PLAN_CHOOSING_BOUNDS.unevenStrokes[1],
      () => performance.now() > until,
    );
  },

  others(request: RoundRequest, rules: RoundRules): Alternatives {
    return alternatives(workedRound(request), rules);
  },

  remedies(request: RoundRequest, rules: RoundRules, unit: DistanceUnit): RoundRemedy[] {
    const round = workedRound(request);
    const { preferences, limits, school, settings } = rules;
    const nameOf = (id: string) => request.clubs.find((club) => club.id === id)?.name ?? id;
    return remedies({
      bag: clubsOfIds(round.clubs, rules.gamerIds),
      leftOut: round.clubs.filter(
        ({ id }) => !rules.gamerIds.includes(id) && !preferences.never.includes(id),
      ),
      costOf: costOfBag(round, { ...rules, preferences: { ...preferences, changeStrokes: 0 } }),
      changeStrokes: preferences.changeStrokes,
      options: { school, ...(settings && { settings }) },
      limit: Math.min(preferences.limit, limits?.clubs ?? preferences.limit),
      keep: preferences.always,
      isAllowed: (clubs) => keepsPreferences(preferences, clubs),
      conditions: request.from.conditions,
    }).map((remedy) => ({
      kind: remedy.kind,
      text: remedyWords(remedy, nameOf, unit),
      gain: remedy.gain,
      opens: remedy.opens.length,
    }));
  },

  /** Chooses again with other carries within what is known of them. */
  sure(
    request: RoundRequest,
    rules: RoundRules,
    best: readonly string[],
    progress: Progress,
  ): Promise<HowSure> {
    const { clubs } = workedRound(request);
    const redraws = 20;
    let done = 0;
    return howSure(
      clubs,
      best,
      (drawn) => {
        const choosing = choosingOfRound(roundChoosing({ ...request, clubs: drawn }), rules);
        return choose(choosing.model)?.chosen.map((c) => choosing.clubs[c]!.id);
      },
      redraws,
      async () => {
        progress(done++ / redraws);
        await nextTask();
        return true;
      },
    );
  },

  /** Whole rounds with two bags. */
  playOut(
    request: RoundRequest,
    rules: RoundRules,
    first: readonly string[],
    second: readonly string[],
    count: number,
    progress: Progress,
  ): Promise<PlayedRounds> {
    const round = workedRound(request);
    const { model } = choosingOfRound(round, rules);
    const bagOf = (ids: readonly string[]) => ({
      clubs: clubsOfIds(round.clubs, ids),
      besides: model.clubs.reduce((sum, { id, price }) => sum + (ids.includes(id) ? price : 0), 0),
    });
    return playRounds(round.day, round.played, [bagOf(first), bagOf(second)], count, {
      bounce: rules.preferences.bounce,
      shouldContinue: async (done) => {
        progress(done / count);
        await nextTask();
        return true;
      },
    });
  },

  triggers(
    request: RoundRequest,
    rules: RoundRules,
    best: readonly string[],
    progress: Progress,
  ): Promise<DayTrigger[]> {
    return dayTriggers(request, rules, best, async (done, of) => {
      progress(done / of);
      await nextTask();
      return true;
    });
  },

  /**
   * The best set, as far as it can be proved.
   * @param onFound told the best set so far, with what is left to prove
   */
  async travel(
    days: readonly TravelDay[],
    rules: RoundRules,
    size: number,
    progress: Progress,
    onFound: (set: TravelSet) => void,
  ): Promise<TravelSet> {
    const scenarios = await scenariosOf(days, rules, progress);
    const search = searchTravelSets(scenarios, size);
    let widest = 0;
    while (search.advance()) {
      const found = search.found();
      if (found) {
        const left = found.strokes - found.bound;
        widest = Math.max(widest, left);
        progress(0.6 + 0.4 * (1 - left / (widest || 1)));
        onFound(found);
      }
      await nextTask();
    }
    const found = search.found();
    if (!found) throw new Error(`No ${size} clubs were found that hold a bag for every day by its rules.`);
    return found;
  },

  /** As few as lose no more; each part looked at is a step of the rest of the way. */
  async smallestTravel(
    days: readonly TravelDay[],
    rules: RoundRules,
    loss: number,
    progress: Progress,
  ): Promise<SmallestTravelSet> {
    const scenarios = await scenariosOf(days, rules, progress);
    let tried = 0;
    return smallestTravelSet(scenarios, loss, async () => {
      progress(1 - 0.4 * 0.98 ** tried++);
      await nextTask();
      return true;
    });
  },

  /** What bags are worth over all of these rounds; working them out is more than half of the way. */
  async season(
    asked: readonly SeasonRoundAsked[],
    gamerIds: readonly string[],
    besides: SeasonBesides,
    progress: Progress,
  ): Promise<SeasonValue> {
    const valued: ValuedRound[] = [];
    for (const [i, { request, rules, ...round }] of asked.entries()) {
      progress((i / asked.length) * 0.5);
      await nextTask();
      valued.push({ ...round, round: workedRound(request), rules: rules });
    }
    return seasonValue(valued, gamerIds, {
      ...besides,
      onProgress: async (share) => {
        progress(0.5 + share / 2);
        await nextTask();
      },
    });
  },
};

export type RoundWorker = typeof api;
expose(api);
