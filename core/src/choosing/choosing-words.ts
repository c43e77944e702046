import { shotKindWords } from '../clubs/index.js';
import { distanceNumber, type DistanceUnit } from '../units/index.js';
import type { ClubReason, LeftOut } from './choose-bag.js';

/** A tenth of a stroke and less is told in hundredths; zero and less in its own words. */
function strokesWords(strokes: number): string {
  return `${strokes.toFixed(2)} ${strokes.toFixed(2) === '1.00' ? 'stroke' : 'strokes'}`;
}

/**
 * Why a club is in the bag, with its numbers. @param unit tells the distance of what asks for it most, where
 * its name does not say it
 */
export function reasonSentence(
  { worth, need: demand, distanceM, shot, needsMet, runnerUp }: ClubReason,
  name: string,
  nameOf: (id: string) => string,
  unit?: DistanceUnit,
): string {
  const second = runnerUp
    ? ` ${runnerUp.costs < 0.005 ? `The ${nameOf(runnerUp.id)} in its place would make no difference.` : `The ${nameOf(runnerUp.id)} in its place costs ${strokesWords(runnerUp.costs)}${runnerUp.mostly ? `, most of it ${runnerUp.mostly}` : ''}.`}`
    : '';
  if (demand === undefined) {
    return `${worth > 0.005 ? `${name}: no need asks for it first; it is in for even steps, worth ${strokesWords(worth)} a round.` : `${name}: in because a rule asks for it, or for less than a hundredth of a stroke.`}${second}`;
  }
  const swing = shot === undefined || shot === 'full' ? '' : `, as a ${shotKindWords(shot)} shot`;
  const without =
    worth === Infinity ? '' : ` Without it the round costs ${strokesWords(Math.max(0, worth))} more.`;
  const far = unit && distanceM !== undefined ? `, ${distanceNumber(distanceM, unit)} ${unit}` : '';
  return `${name}: best for ${needsMet} ${needsMet === 1 ? 'shot' : 'shots'}, most of all ${distanceM === undefined ? '' : 'the '}${demand}${far}${swing}.${without}${second}`;
}

/** What it would cost to have a left-out club in. */
export function leftOutSentence(
  { costs, outId, keptOutBy }: LeftOut,
  name: string,
  nameOf: (id: string) => string,
): string {
  const rule = keptOutBy
    ? ` Were it not for “${keptOutBy.rule}”, ${name} for the ${nameOf(keptOutBy.outId)} would gain ${strokesWords(keptOutBy.gains)}.`
    : '';
  const way = outId === undefined ? `${name} beside the rest` : `${name} for the ${nameOf(outId)}`;
  return costs < 0.005
    ? `${way} would make no difference.${rule}`
    : `${way} would cost ${strokesWords(costs)} a round.${rule}`;
}
