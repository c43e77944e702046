import {
  bagChoosing,
  chooseBag,
  costOf,
  leftOutSentence,
  reasonSentence,
  type BagAnswer,
  type ChoosingRules,
  type LadderClub,
  type ShotDemand,
} from '@tasche/core';
import { expose } from 'comlink';

/** The bag that was chosen, why, in sentences by club, and what the bag it is held against costs. */
export interface ChosenAnswer {
  answer: BagAnswer | null;
  refused: string;
  why: Readonly<Record<string, string>>;
  loses: number;
}

const api = {
  /** @param against the bag of the plan as it is; how much more it costs is said */
  choose(
    clubs: readonly LadderClub[],
    needs: readonly ShotDemand[],
    taste: ChoosingRules,
    against: readonly string[],
  ): ChosenAnswer {
    try {
      const choosing = bagChoosing(clubs, needs, taste);
      const answer = chooseBag(choosing);
      if (!answer) return { answer: null, refused: 'The locks together allow no bag.', why: {}, loses: 0 };
      const nameOf = (id: string) => clubs.find((club) => club.id === id)?.name ?? id;
      const why = Object.fromEntries([
        ...answer.reasons.map((one) => [one.id, reasonSentence(one, nameOf(one.id), nameOf)]),
        ...answer.leftOut.map((one) => [one.id, leftOutSentence(one, nameOf(one.id), nameOf)]),
      ]) as Record<string, string>;
      return { answer, refused: '', why, loses: costAgainst(choosing, against) - answer.best.strokes };
    } catch (error) {
      return { answer: null, refused: (error as Error).message, why: {}, loses: 0 };
    }
  },
};

function costAgainst(choosing: ReturnType<typeof bagChoosing>, ids: readonly string[]): number {
  const places = choosing.order.flatMap(({ id }, i) => (ids.includes(id) ? [i] : []));
  return places.length > 0 ? costOf(choosing.model, places).total : Infinity;
}

export type ChoosingWorker = typeof api;
expose(api);
