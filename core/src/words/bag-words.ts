import {
  isTie,
  type BagAnswer,
  type BagLoss,
  type BounceStrategy,
  type ClubReason,
  type HowSure,
  type LeftOut,
  type LockerFinding,
} from '../choosing/index.js';
import type { DecidingFactor } from '../rounds/index.js';
import { distanceNumber, type DistanceUnit } from '../units/index.js';
import { counted, digits } from './counted.js';
import { shotKindWords } from './shot-words.js';

/**
 * Why each club is in a bag, or left out, in sentences by club: the shots that ask for it, what it is worth,
 * and against its runner-up what decided.
 * @param factors what decided, by club (see `decidingFactors`), as far as it was looked for
 * @returns pairs of a club's id and its sentence, those in the bag first
 */
export function bagWhy(
  { reasons, leftOut }: Pick<BagAnswer, 'reasons' | 'leftOut'>,
  factors: ReadonlyMap<string, DecidingFactor>,
  nameOf: (id: string) => string,
  unit?: DistanceUnit,
): [id: string, sentence: string][] {
  return [
    ...reasons.map((reason): [string, string] => {
      const factor = factors.get(reason.id);
      // That another club carries another distance goes without saying.
      const because = factor && factor.code !== 'distance' ? ` ${factorSentence(factor)}` : '';
      return [reason.id, reasonSentence(reason, nameOf(reason.id), nameOf, unit) + because];
    }),
    ...leftOut.map((one): [string, string] => [one.id, leftOutSentence(one, nameOf(one.id), nameOf)]),
  ];
}

/** "0.84 strokes", to the hundredth. */
function strokesWords(strokes: number): string {
  return `${strokes.toFixed(2)} ${strokes.toFixed(2) === '1.00' ? 'stroke' : 'strokes'}`;
}

/**
 * Why a club is in the bag, with its numbers. @param unit tells the distance of what asks for it most, where
 * its name does not say it
 */
function reasonSentence(
  { worth, need: demand, distanceM, shot, needsMet, runnerUp }: ClubReason,
  name: string,
  nameOf: (id: string) => string,
  unit?: DistanceUnit,
): string {
  const second = runnerUp ? ` ${runnerUpSentence(runnerUp, nameOf(runnerUp.id))}` : '';
  if (demand === undefined) {
    const why =
      worth > 0.005
        ? `not the first choice for any shot; it is in for even steps, worth ${strokesWords(worth)} a round`
        : 'in because a rule requires it, or for less than a hundredth of a stroke';
    return `${name}: ${why}.${second}`;
  }
  const swing = shot === undefined || shot === 'full' ? '' : `, as a ${shotKindWords(shot)} shot`;
  const without = worth === Infinity ? '' : ` ${withoutWords(worth)}`;
  const far = unit && distanceM !== undefined ? `, ${distanceNumber(distanceM, unit)} ${unit}` : '';
  const most = `${distanceM === undefined ? '' : 'the '}${demand}${far}${swing}`;
  return `${name}: best for ${counted(needsMet, 'shot')}, most of all ${most}.${without}${second}`;
}

/** What a round costs more without a club. */
function withoutWords(worth: number): string {
  return worth < NO_DIFFERENCE
    ? 'Without it the round costs less than a hundredth of a stroke more.'
    : `Without it the round costs ${strokesWords(worth)} more.`;
}

/**
 * What another bag loses against the best of those that keep to what is asked.
 * @param bag "The gamer"
 * @returns the sentence, and whether it says that all is well
 */
export function bagLossVerdict(
  bag: string,
  { costs, onTheCourse }: BagLoss,
): { isFine: boolean; text: string } {
  const answer = (isFine: boolean, text: string) => ({ isFine, text });
  const apart = strokesWords(Math.abs(onTheCourse));
  // Nothing that keeps to it is better than the best.
  if (costs < -NO_DIFFERENCE)
    return answer(
      false,
      `${bag} breaks a limit or a lock that is set here; of the bags that keep them, this is the best.`,
    );
  if (onTheCourse < -NO_DIFFERENCE)
    return answer(isTie(costs), `${bag} plays ${apart} a round better, but ${COUNTS_FOR_MORE}.`);
  if (onTheCourse < NO_DIFFERENCE) return answer(true, `${bag} is the best possible.`);
  if (isTie(onTheCourse))
    return answer(true, `${bag} and the best possible bag are a tie: ${apart} a round is less than chance.`);
  return isTie(costs)
    ? answer(
        true,
        `${bag} costs ${apart} a round more than the best possible bag: too little for the change.`,
      )
    : answer(false, `${bag} costs ${apart} a round more than the best possible bag.`);
}

/** Why a club or a bag that plays better is not chosen. */
const COUNTS_FOR_MORE = 'trust, money or the change counts for more';
/** What is nearer than this is no difference. Strokes a round; they are told to the hundredth. */
const NO_DIFFERENCE = 0.005;

/** What the next club for the place would cost, as it is played; what it costs to have it is said elsewhere. */
function runnerUpSentence(
  { onTheCourse, mostly }: NonNullable<ClubReason['runnerUp']>,
  name: string,
): string {
  if (onTheCourse <= -NO_DIFFERENCE)
    return `The ${name} in its place would play ${strokesWords(-onTheCourse)} better, but ${COUNTS_FOR_MORE}.`;
  return onTheCourse < NO_DIFFERENCE
    ? `The ${name} in its place would make no difference.`
    : `The ${name} in its place costs ${strokesWords(onTheCourse)}${mostly ? `, most of it ${mostly}` : ''}.`;
}

/** Why no bag can be chosen for a player about whom nothing is known. */
export const NO_DISTANCE_WORDS = 'Nothing says yet how far this player hits it: enter a loft or a carry.';

/** "Proved the best of 16,383 sets of clubs." */
export function proofWords({ proved, sets }: BagAnswer['proof']): string {
  if (sets <= 1) return 'The only set of clubs there is.';
  return `${proved ? 'Proved' : 'Not proved'} the best of ${digits(sets)} sets of clubs.`;
}

/** What it would cost to have a left-out club in. */
function leftOutSentence(
  { onTheCourse, outId, keptOutBy }: LeftOut,
  name: string,
  nameOf: (id: string) => string,
): string {
  const rule = keptOutBy
    ? ` Without “${keptOutBy.rule}”, ${name} for the ${nameOf(keptOutBy.outId)} would gain ${strokesWords(keptOutBy.gains)}.`
    : '';
  const way = outId === undefined ? `${name} beside the rest` : `${name} for the ${nameOf(outId)}`;
  if (onTheCourse <= -NO_DIFFERENCE)
    return `${way} would play ${strokesWords(-onTheCourse)} a round better, but ${COUNTS_FOR_MORE}.${rule}`;
  return onTheCourse < NO_DIFFERENCE
    ? `${way} would make no difference.${rule}`
    : `${way} would cost ${strokesWords(onTheCourse)} a round.${rule}`;
}

/** What decided against the club named before, as a sentence of its own. */
export function factorSentence({ code, bounceDeg, wantedDeg }: DecidingFactor): string {
  switch (code) {
    case 'distance':
      return 'It does not carry these numbers as well.';
    case 'stopping':
      return 'It does not stop as well where it lands.';
    case 'direction':
      return 'It misses farther to the sides.';
    case 'length control':
      return 'Its carries spread more, mis-hits included.';
    case 'wind':
      return 'The wind moves it more.';
    case 'lie':
      return 'These lies take more from it.';
    case 'off the ground':
      return 'It is harder to hit off the ground.';
    case 'effort':
      return 'It takes a part swing or a hard one.';
    case 'loft':
      return 'It has less loft for the short shots.';
    case 'bounce':
      return bounceDeg === undefined || wantedDeg === undefined
        ? 'Its sole suits this ground less.'
        : `Its sole plays with ${Math.round(bounceDeg)}° of bounce, and this ground asks for about ${wantedDeg}°.`;
  }
}

/** "Carries: 3 measured, 10 modelled. Redrawn 20 times within what is known, the same bag came out 4 times." */
export function howSureSentence({ redraws, same, modelled, stated, measured }: HowSure): string {
  const parts = [
    [measured, 'measured'],
    [stated, 'stated'],
    [modelled, 'modelled'],
  ]
    .filter(([count]) => (count as number) > 0)
    .map(([count, word]) => `${count as number} ${word as string}`)
    .join(', ');
  const firm =
    same >= redraws * 0.8
      ? 'It stands firmly.'
      : same >= redraws * 0.4
        ? 'Its edge over the next best is within what is known of the carries.'
        : 'It is unsure: measure before trusting it.';
  const redrawn = `Redrawn ${redraws} times within what is known of them`;
  return `Carries of the bag: ${parts || 'none'}. ${redrawn}, the same bag came out ${counted(same, 'time')}. ${firm}`;
}

/** What a bag costs more, in words: "+0.12", or that it is a tie. */
export function lossWords(strokes: number): string {
  return isTie(strokes) ? 'a tie' : `${strokes < 0 ? '−' : '+'}${Math.abs(strokes).toFixed(2)}`;
}

/** How a player chooses bounce. */
export const BOUNCE_STRATEGY_WORDS: Record<BounceStrategy, string> = {
  match: 'bounce by turf and sand',
  low: 'always low bounce',
  middle: 'one bounce for everywhere',
};

/** What a locker lacks before a bag is chosen from it. */
export function lockerFindingSentence(
  { code, clubIds }: LockerFinding,
  nameOf: (id: string) => string,
): string {
  switch (code) {
    case 'no wedge':
      return 'There is no wedge in the locker: short shots are counted with the club of the most loft there is.';
    case 'no putter':
      return 'There is no putter in the locker; the bag is chosen without one.';
    case 'no carry':
      return clubIds.length === 1
        ? `The ${nameOf(clubIds[0]!)} has no carry of its own.`
        : `${clubIds.length} clubs have no carry of their own.`;
    case 'mixed up':
      return `The ${nameOf(clubIds[0]!)} carries farther than the ${nameOf(clubIds[1]!)} with more loft: one of their lofts or carries must be wrong.`;
  }
}
