import {
  wishWorths,
  type BagQuestion,
  type UsualRoundRequest,
  type WishAnswer,
  type WishedItem,
} from '@tasche/core';
import { expose } from 'comlink';

export interface WishQuestion {
  request: UsualRoundRequest;
  question: BagQuestion;
  wishes: readonly WishedItem[];
  money: number;
}

const api = {
  /** @returns null where nothing says how far the player hits it */
  worth: (asked: WishQuestion): WishAnswer | null => wishWorths(asked) ?? null,
};

export type WishWorker = typeof api;
expose(api);
