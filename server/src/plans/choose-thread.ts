import { parentPort, workerData } from 'node:worker_threads';
import { chooseBag, choosingOfRound, leftOutSentence, reasonSentence, roundChoosing, type RoundOrder, type RoundTaste } from '@tasche/core';
import type { RoundChoiceView } from '@tasche/contract';

/** Works a round out beside the server, so that nobody else waits for it. */
const { order, taste } = workerData as { order: RoundOrder; taste: RoundTaste };

try {
  const round = roundChoosing(order);
  const answer = chooseBag(choosingOfRound(round, taste)) ?? null;
  const nameOf = (id: string) => order.clubs.find((club) => club.id === id)?.name ?? id;
  const view: RoundChoiceView = {
    answer, needs: round.needs, strokes: round.strokes, rareStrokes: round.rareStrokes,
    why: answer ? [...answer.reasons.map((one) => reasonSentence(one, nameOf(one.id), nameOf)), ...answer.leftOut.map((one) => leftOutSentence(one, nameOf(one.id), nameOf))] : ['The locks together allow no bag.'],
  };
  parentPort!.postMessage({ view });
} catch (error) {
  parentPort!.postMessage({ refused: (error as Error).message });
}
