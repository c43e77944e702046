import { TIE_STROKES } from '../choosing/index.js';
import type { BasketPart, NextBasket } from '../basket/index.js';
import { distanceNumber, type DistanceUnit } from '../units/index.js';
import { listed } from './listed.js';
import { shotName } from './shot-words.js';

/**
 * Where knowing everything would win less than this, nothing is left to settle: half of what tells two bags
 * apart.
 */
const NOTHING = TIE_STROKES / 2;

/**
 * "60 balls on 9 shots are worth about 0.16 strokes a round; knowing every carry exactly would be worth 0.25."
 */
export function basketSentence({ parts, gain, perfectGain, spare }: NextBasket): string {
  const hit = parts.reduce((sum, { balls }) => sum + balls, 0);
  if (parts.length === 0)
    return perfectGain < NOTHING
      ? 'Nothing is left to settle: what is not known of these carries decides neither the bag nor a shot. Hit what you like.'
      : `So few balls would settle nothing; knowing every carry exactly would be worth ${perfectGain.toFixed(2)} strokes a round.`;
  const shots = `${parts.length} ${parts.length === 1 ? 'shot' : 'shots'}`;
  const rest =
    spare > 0 ? ` ${spare === 1 ? '1 ball is' : `${spare} balls are`} over: hit what you like.` : '';
  return `${hit} balls on ${shots} are worth about ${gain.toFixed(2)} strokes a round; knowing every carry exactly would be worth ${perfectGain.toFixed(2)}.${rest}`;
}

/** Shots from which on a club's carry is known well enough to have a place. Our choice. */
const FIRST_BALLS = 5;

/** Of clubs of which nothing says how far they go: that no basket can hold them, and what would change that. */
export function leftOutOfBasketSentence(names: readonly string[]): string {
  const clubs = listed(names.map((name) => `the ${name}`));
  return names.length === 1
    ? `Left out: ${clubs}; nothing says how far it goes. Hit ${FIRST_BALLS} balls with it first, or type its carry or its loft.`
    : `Left out: ${clubs}; nothing says how far they go. Hit ${FIRST_BALLS} balls with each first, or type their carries or lofts.`;
}

/** Why a shot is in the basket, in one sentence. @param nameOf a club's, by its id */
export function basketReasonSentence(
  { reason, clubId, shotKind, carryM }: Pick<BasketPart, 'reason' | 'clubId' | 'shotKind' | 'carryM'>,
  nameOf: (clubId: string) => string,
  unit: DistanceUnit,
): string {
  const said = (m: number) => `${distanceNumber(m, unit)} ${unit}`;
  switch (reason.code) {
    case 'in the bag': {
      const other = reason.otherId === undefined ? '' : `, mostly against the ${nameOf(reason.otherId)}`;
      return `Decides whether the ${nameOf(clubId)} is carried: these balls change that in ${Math.round(reason.share * 100)} of 100 cases${other}.`;
    }
    case 'which shot':
      return `Decides which to hit from about ${said(reason.aroundM)}: this or the ${shotName(reason.otherShot, nameOf(reason.otherId))}.`;
    case 'new shot':
      return `This shot has no carry yet; at ${said(carryM)} the ${shotName(shotKind, nameOf(clubId))} would fill the step below the club.`;
    case 'neighbours':
      return 'Tells most about the clubs beside it, whose carries are modelled from the same curve.';
  }
}
