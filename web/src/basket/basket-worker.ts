import {
  nextBasket,
  usualPreferences,
  usualRoundChoosing,
  type BagQuestion,
  type NextBasket,
  type UsualRoundRequest,
} from '@tasche/core';
import { expose } from 'comlink';

/** A player's locker, the bag they carry, and how many balls there are. */
export interface BasketQuestion extends BagQuestion {
  request: UsualRoundRequest;
  balls: number;
}

const api = {
  /** @returns null where nothing tells how far the player hits it */
  basket(question: BasketQuestion, onProgress: (share: number) => void): NextBasket | null {
    const { request, bagIds, options, balls } = question;
    const round = usualRoundChoosing(request);
    if (!round) return null;
    const { handicap } = request;
    return (
      nextBasket(
        {
          round,
          preferences: usualPreferences(question),
          bagIds,
          balls,
          options,
          ...(handicap !== undefined && { handicap }),
        },
        onProgress,
      ) ?? null
    );
  },
};

export type BasketWorker = typeof api;
expose(api);
