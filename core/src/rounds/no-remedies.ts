import { isBeingEntered, type GapReport } from '../gaps/index.js';

/**
 * Why nothing is advised: a number is wrong and is put right first; most of the bag is not there yet; or the carry
 * of some club cannot even be modelled, and what it lacks may be that club.
 */
export type NoRemedies = 'mixed up' | 'few clubs' | 'a carry missing';

/**
 * Why a page advises nothing of the bag of a report; undefined where something may help. A question about a few
 * clubs is still answered.
 */
export function noRemediesFor({
  flags,
  rungs,
  unplaced,
}: Pick<GapReport, 'flags' | 'rungs' | 'unplaced'>): NoRemedies | undefined {
  if (flags.some(({ code }) => code === 'mixed-up')) return 'mixed up';
  if (isBeingEntered({ rungs, flags })) return 'few clubs';
  return unplaced.length > 0 ? 'a carry missing' : undefined;
}
