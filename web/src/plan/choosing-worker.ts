import {
  bagWhy,
  chooseBag,
  choosingOfRound,
  lossOfClubs,
  demandAnswers,
  NO_DISTANCE_WORDS,
  usualRoundChoosing,
  decidingFactors,
  type BagAnswer,
  type BagLoss,
  type DemandAnswer,
  type DistanceUnit,
  type RoundRules,
  type UsualRoundRequest,
} from '@tasche/core';
import { expose } from 'comlink';

/** A week's bag to be chosen: a usual round with the entered shots in it. */
export interface WeekQuestion {
  request: UsualRoundRequest;
  rules: RoundRules;
  /** The bag of the plan as it is; how much more it costs is said. */
  against: readonly string[];
  unit: DistanceUnit;
}

/** The bag that was chosen, why, in sentences by club, and what the bag it is compared with costs. */
export interface ChosenAnswer {
  answer: BagAnswer | null;
  refused: string;
  why: Readonly<Record<string, string>>;
  loses: BagLoss | null;
  /** The club and shot of the chosen bag for each entered shot, by its id or name. */
  with: Readonly<Record<string, DemandAnswer>>;
}
const NOTHING = { answer: null, why: {}, loses: null, with: {} } as const;

const api = {
  choose({ request, rules, against, unit }: WeekQuestion): ChosenAnswer {
    try {
      const round = usualRoundChoosing(request);
      if (!round)
        return {
          ...NOTHING,
          refused: NO_DISTANCE_WORDS,
        };
      const choosing = choosingOfRound(round, rules);
      const answer = chooseBag(choosing);
      if (!answer) return { ...NOTHING, refused: 'The locks together allow no bag.' };
      const nameOf = (id: string) => request.clubs.find((club) => club.id === id)?.name ?? id;
      const factors = decidingFactors(round, answer, rules.preferences.bounce);
      const why = Object.fromEntries(bagWhy(answer, factors, nameOf, unit));
      return {
        answer,
        refused: '',
        why,
        loses: lossOfClubs(choosing, against, answer.best),
        with: demandAnswers(round, answer.best.ids),
      };
    } catch (error) {
      return { ...NOTHING, refused: (error as Error).message };
    }
  },
};

export type ChoosingWorker = typeof api;
expose(api);
