import {
  nextBasket,
  roundChoosing,
  usualRules,
  usualRoundChoosing,
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

const api = {
  /** @returns null where nothing tells how far the player hits it, or the rules leave no bag */
  basket(question: BasketQuestion, onProgress: (share: number) => void): NextBasket | null {
    const { aim, bagIds, options, balls } = question;
    const { handicap } = aim.request;
    const about = { bagIds, balls, options, ...(handicap !== undefined && { handicap }) };
    if (aim.of === 'round') {
      const round = roundChoosing(aim.request, (share) => {
        onProgress(share * PLAYING);
      });
      return (
        nextBasket({ ...about, round, rules: aim.rules }, (share) => {
          onProgress(PLAYING + share * (1 - PLAYING));
        }) ?? null
      );
    }
    const round = usualRoundChoosing(aim.request);
    return (round && nextBasket({ ...about, round, rules: usualRules(question) }, onProgress)) ?? null;
  },
};

export type BasketWorker = typeof api;
expose(api);
