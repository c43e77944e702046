import type { LadderClub } from '../spec/index.js';
import type { PlayedIn, BounceStrategy } from '../choosing/index.js';
import { meanHalfWidth, deviationOf, meanOf } from '../statistics/index.js';
import { seedOf } from './derive-demands.js';
import { holePlayer, type RoundDay } from './play-hole.js';

/**
 * Two bags over the same rounds with the same luck. Strokes a round; the difference is the second's less the
 * first's.
 */
export interface PlayedRounds {
  rounds: number;
  first: number;
  second: number;
  difference: number;
  /** Half its 95 % interval. */
  plusMinus: number | undefined;
}

/**
 * A bag for a round: its clubs, and what having them costs besides (putters on these greens). Strokes a round.
 */
interface RoundBag {
  clubs: readonly LadderClub[];
  besides: number;
}

/**
 * Whole rounds played stroke by stroke with one bag and the other; every hole of a round meets the same luck,
 * so that most of it cancels. What a plan claims of two bags comes from a list of needs; this asks the course
 * itself.
 * @param shouldContinue asked after every so many rounds; false ends with what there is
 * @throws InvalidInputError
 */
export async function playRounds(
  day: RoundDay,
  played: PlayedIn,
  [first, second]: readonly [RoundBag, RoundBag],
  rounds: number,
  {
    bounce = 'match',
    seed = 1,
    shouldContinue = () => true,
  }: {
    bounce?: BounceStrategy;
    seed?: number;
    shouldContinue?: (done: number) => boolean | Promise<boolean>;
  } = {},
): Promise<PlayedRounds> {
  const players = [first, second].map(({ clubs }) => holePlayer(day, clubs, played, bounce));
  const times = players[0]!.holes === 9 ? 2 : 1;
  const sums: [number[], number[]] = [[], []];
  for (let round = 0; round < rounds; round++) {
    for (const [which, player] of players.entries()) {
      let strokes = which === 0 ? first.besides : second.besides;
      for (let turn = 0; turn < times; turn++)
        for (let at = 0; at < player.holes; at++)
          strokes += player.play(at, seedOf(seed, round * times + turn, at)).strokes;
      sums[which as 0 | 1].push(strokes);
    }
    if (round % 50 === 49 && !(await shouldContinue(round + 1))) break;
  }
  const apart = sums[0].map((strokes, i) => sums[1][i]! - strokes);
  return {
    rounds: apart.length,
    first: meanOf(sums[0]),
    second: meanOf(sums[1]),
    difference: meanOf(apart),
    plusMinus: apart.length > 1 ? meanHalfWidth(deviationOf(apart), apart.length) : undefined,
  };
}
