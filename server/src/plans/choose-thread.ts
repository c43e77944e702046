import {
  bagWhy,
  InvalidInputError,
  chooseBag,
  decidingFactors,
  choosingOfRound,
  roundChoosing,
  type RoundRequest,
  type RoundRules,
} from '@tasche/core';
import type { RoundChoiceView } from '@tasche/contract';

export interface ChooseAnswer {
  view?: RoundChoiceView;
  refused?: string;
}

/** Works a round out; run in a thread beside the server. */
export default function chooseInThread({
  request,
  rules,
}: {
  request: RoundRequest;
  rules: RoundRules;
}): ChooseAnswer {
  try {
    const round = roundChoosing(request);
    const answer = chooseBag(choosingOfRound(round, rules)) ?? null;
    const nameOf = (id: string) => request.clubs.find((club) => club.id === id)?.name ?? id;
    const why = answer
      ? bagWhy(answer, decidingFactors(round, answer, rules.preferences.bounce), nameOf).map(
          ([, sentence]) => sentence,
        )
      : ['The locks together allow no bag.'];
    return {
      view: { answer, needs: round.needs, strokes: round.strokes, rareStrokes: round.rareStrokes, why },
    };
  } catch (error) {
    if (error instanceof InvalidInputError) return { refused: error.message };
    throw error;
  }
}
