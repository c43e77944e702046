import {
  nextBasket,
  roundChoosing,
  usualRules,
  usualRoundChoosing,
  withModelledCarries,
  type BagQuestion,
  type NextBasket,
  type RoundRules,
  type RoundRequest,
  type UsualRoundRequest,
} from '@tasche/core';
import { expose } from 'comlink';

/** What the balls are to decide: a usual round, or one of an event. */
export type BasketAim =
  | { of: 'usual round'; request: UsualRoundRequest }
  | { of: 'round'; request: RoundRequest; rules: RoundRules };

/** A player's locker, the bag they carry, and how many balls there are. */
export interface BasketQuestion extends BagQuestion {
  aim: BasketAim;
  balls: number;
}

/** How much of the work is playing the course of an event's round. */
const PLAYING = 0.4;

function found(basket: NextBasket | undefined): NextBasket {
  if (!basket)
    throw new Error(
      'no bag fits what the player wants. Loosen a limit or a lock in the plan or in the settings.',
    );
  return basket;
}

const api = {
  /**
   * @returns null where nothing says how far the player hits it
   * @throws Error where the rules leave no bag
   */
  basket(question: BasketQuestion, onProgress: (share: number) => void): NextBasket | null {
    const { aim, bagIds, options, balls } = question;
    const { handicap } = aim.request;
    const about = { bagIds, balls, options, ...(handicap !== undefined && { handicap }) };
    if (aim.of === 'usual round') {
      const round = usualRoundChoosing(aim.request);
      return round ? found(nextBasket({ ...about, round, rules: usualRules(question) }, onProgress)) : null;
    }
    const { clubs, from } = aim.request;
    if (!withModelledCarries(clubs, from.conditions).some(({ shots }) => shots.full)) return null;
    const round = roundChoosing(aim.request, (share) => {
      onProgress(share * PLAYING);
    });
    return found(
      nextBasket({ ...about, round, rules: aim.rules }, (share) => {
        onProgress(PLAYING + share * (1 - PLAYING));
      }),
    );
  },
};

export type BasketWorker = typeof api;
expose(api);
