import { leftOutSentence, reasonSentence, type BagAnswer, type BounceStrategy } from '../choosing/index.js';
import type { DistanceUnit } from '../units/index.js';
import { decidingFactor, type DecidingFactor } from './deciding-factor.js';
import type { CostedRound } from './round-choosing.js';

/** Below this what decides between two clubs is not looked for. Strokes a round; what is told of a loss. */
const MIN_STROKES = 0.02;

/**
 * Why each club is in the bag of a round, or left out, in sentences by club: the shots that ask for it, what
 * it is worth, and against its runner-up what decided.
 */
export function bagWhy(
  round: CostedRound,
  answer: Pick<BagAnswer, 'best' | 'reasons' | 'leftOut'>,
  bounce: BounceStrategy,
  nameOf: (id: string) => string,
  unit?: DistanceUnit,
  /** What decided takes a moment to find out, and may be left for later. */
  withFactors = true,
): Record<string, string> {
  return Object.fromEntries([
    ...answer.reasons.map((reason) => {
      const { id, runnerUp } = reason;
      const factor =
        withFactors && runnerUp && runnerUp.costs >= MIN_STROKES
          ? decidingFactor(round, bounce, answer.best.ids, id, runnerUp.id)
          : undefined;
      // That another club carries another distance goes without saying.
      const because = factor && factor.code !== 'distance' ? ` ${factorSentence(factor)}` : '';
      return [id, reasonSentence(reason, nameOf(id), nameOf, unit) + because] as const;
    }),
    ...answer.leftOut.map((one) => [one.id, leftOutSentence(one, nameOf(one.id), nameOf)] as const),
  ]);
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
