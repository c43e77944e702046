import {
  clubsOfIds,
  gaps,
  noRemediesFor,
  usualCostOf,
  usualRemedies,
  usualRoundChoosing,
  type BagQuestion,
  type CostedRound,
  type LadderClub,
  type Remedy,
  type UsualRoundRequest,
} from '@tasche/core';
import { expose } from 'comlink';

/** A bag and the locker it is from, for a usual round. */
export interface UsualQuestion extends BagQuestion {
  /** The whole locker, as it plays in the air it is looked at in. */
  request: UsualRoundRequest;
}

/** The last round asked about: the same locker is asked about again and again. */
let last: { key: string; round: CostedRound | undefined } | undefined;

function roundOf(request: UsualRoundRequest): CostedRound | undefined {
  const key = JSON.stringify(request);
  if (last?.key !== key) last = { key, round: usualRoundChoosing(request) };
  return last.round;
}

const api = {
  /** What may be done to the bag; null where nothing says how far the player hits it. */
  remedies(question: UsualQuestion): Remedy[] | null {
    const round = roundOf(question.request);
    if (!round) return null;
    // As they stand on the page: one whose carry is not known either has no place in the round.
    const report = gaps(clubsOfIds(question.request.clubs, question.bagIds), question.options);
    return noRemediesFor(report)
      ? []
      : usualRemedies(round, question, { conditions: question.request.from.conditions });
  },

  /**
   * Strokes a round the bag costs more with a club in, for each that may go out for it, by its id: a putter
   * for a putter only.
   */
  swaps(question: UsualQuestion, inId: string): Record<string, number> | null {
    const round = roundOf(question.request);
    if (!round) return null;
    const cost = usualCostOf(round, question);
    const [coming] = clubsOfIds(round.clubs, [inId]);
    if (!coming) return null;
    const bag: readonly LadderClub[] = clubsOfIds(round.clubs, question.bagIds);
    const now = cost(bag);
    return Object.fromEntries(
      bag
        .filter(({ kind }) => (kind === 'putter') === (coming.kind === 'putter'))
        .map((out) => [out.id, cost([...bag.filter((one) => one !== out), coming]) - now]),
    );
  },

  /**
   * Strokes a round each bag costs less than the one before it; null where a club of either is not in the
   * locker.
   */
  gains(
    question: UsualQuestion,
    pairs: readonly { before: readonly string[]; after: readonly string[] }[],
  ): (number | null)[] | null {
    const round = roundOf(question.request);
    if (!round) return null;
    const cost = usualCostOf(round, question);
    return pairs.map(({ before, after }) => {
      const [was, is] = [clubsOfIds(round.clubs, before), clubsOfIds(round.clubs, after)];
      return was.length < before.length || is.length < after.length ? null : cost(was) - cost(is);
    });
  },
};

export type UsualRoundWorker = typeof api;
expose(api);
