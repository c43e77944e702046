import type { ShotKind } from '../clubs/index.js';
import type { GapOptions } from '../gaps/index.js';
import { InvalidInputError } from '../invalid-input-error.js';
import type { CostedRound, RoundRules } from '../rounds/index.js';
import { skillOf } from '../skill/index.js';
import { NORMAL_95 } from '../statistics/index.js';
import { afterBalls } from './after-balls.js';
import { BASKET_BOUNDS, allocateBalls } from './allocate-balls.js';
import { basketDecision, type BasketDecision } from './basket-decision.js';
import { openShots } from './open-shots.js';

interface BasketRequest {
  /** What the balls are to decide: a usual round, or one on a course. */
  round: CostedRound;
  rules: RoundRules;
  /** The bag as it is; a partial that would fill one of its steps at fault is tried. */
  bagIds: readonly string[];
  balls: number;
  /** The player's; read off the clubs where it is not given. */
  handicap?: number;
  /** How the bag is judged. */
  options?: GapOptions;
}

/** Why balls are hit with a shot. Club ids; distances in metres. */
export type BasketReason =
  /**
   * Whether a club is carried: in this share of cases the balls turn the choice about, mostly against another
   * club.
   */
  | { code: 'in the bag'; share: number; otherId: string | undefined }
  /** Which of two shots is hit from about there. */
  | { code: 'which shot'; otherId: string; otherShot: ShotKind; aroundM: number }
  /** A partial whose carry is not known. */
  | { code: 'new shot' }
  /** It decides little itself and tells of its neighbours, whose carries come from the same curve. */
  | { code: 'neighbours' };

/** Balls to hit with one shot, and why. */
export interface BasketPart {
  clubId: string;
  shotKind: ShotKind;
  balls: number;
  /** Its carry as it is known now, and half its 95 % interval now and after the balls. Metres. */
  carryM: number;
  nowM: number;
  thenM: number;
  /** Spread of a single ball, one standard deviation. Metres. */
  ballM: number;
  /** Strokes a round that would be lost by leaving it out. */
  gain: number;
  reason: BasketReason;
}

/** Which shots to hit with so many balls. */
export interface NextBasket {
  /** What wins most comes first, so that a player who stops early has hit what matters. */
  parts: readonly BasketPart[];
  /** Strokes a round they are expected to win, and what knowing every carry would. */
  gain: number;
  perfectGain: number;
  /** Balls that are over: too few for another shot, past what one shot gets, or worth nothing. */
  spare: number;
}

/** Balls turn a choice about in at least this share of cases for it to be the reason. Our choice. */
const BAG_SHARE = 0.15;
const DECIDING = 0.35;

/**
 * Which clubs and which shots to hit with so many balls, so that the most is won by deciding better
 * afterwards: which clubs are carried, and which shot is hit from where. Expected value of sample information
 * over the joint uncertainty of all carries; what is known of spreads, heights and steps is taken as it is.
 * @param onProgress share of the work done
 * @returns undefined where the rules allow no bag
 * @throws InvalidInputError
 */
export function nextBasket(
  { round, rules, bagIds, balls, handicap = skillOf(round.clubs).handicap, options = {} }: BasketRequest,
  onProgress?: (share: number) => void,
): NextBasket | undefined {
  const [min, max] = BASKET_BOUNDS.balls;
  if (!Number.isInteger(balls) || balls < min || balls > max)
    throw new InvalidInputError('balls', `must be a whole number from ${min} to ${max}, not ${balls}`);
  const open = openShots(round.clubs, bagIds, handicap, options);
  if (open.shots.length === 0) return { parts: [], gain: 0, perfectGain: 0, spare: balls };
  const decision = basketDecision(round, rules, open, (share) => onProgress?.(share * DECIDING));
  if (!decision) return undefined;
  const placed = allocateBalls(decision, balls, (share) => onProgress?.(DECIDING + share * (1 - DECIDING)));
  return {
    parts: partsOf(decision, placed.balls).sort((a, b) => b.gain - a.gain),
    gain: placed.gain,
    perfectGain: Math.max(placed.gain, decision.perfectGain),
    spare: placed.spare,
  };
}

function partsOf(decision: BasketDecision, balls: readonly number[]): BasketPart[] {
  const { open, expectedGain } = decision;
  const { left } = afterBalls(
    open.covariance,
    open.shots.map(({ ballShare }) => ballShare),
    balls,
  );
  const worlds = balls.some((count) => count > 0) ? decision.worldsAfter(balls) : [];
  const whole = expectedGain(balls);
  return open.shots.flatMap(({ clubId, shotKind, shot, isOwned }, i): BasketPart[] =>
    balls[i] === 0
      ? []
      : [
          {
            clubId,
            shotKind,
            balls: balls[i]!,
            carryM: shot.carryM,
            nowM: NORMAL_95 * Math.sqrt(open.covariance[i]![i]!) * shot.carryM,
            thenM: NORMAL_95 * left[i]! * shot.carryM,
            ballM: open.shots[i]!.ballShare * shot.carryM,
            gain: Math.max(0, whole - expectedGain(balls.map((one, k) => (k === i ? 0 : one)))),
            reason: isOwned ? reasonOf(decision, worlds, i) : { code: 'new shot' },
          },
        ],
  );
}

/** What the balls on a shot turn about, in the worlds they may show. */
function reasonOf(
  { open, bags, now, rowsM }: BasketDecision,
  worlds: ReturnType<BasketDecision['worldsAfter']>,
  shot: number,
): BasketReason {
  const { clubId } = open.shots[shot]!;
  const bagNow = bags[now.bag]!;
  const isIn = bagNow.includes(clubId);
  const turned = worlds.filter(({ decided }) => bags[decided.bag]!.includes(clubId) !== isIn);
  if (turned.length >= BAG_SHARE * worlds.length) {
    const others = turned.flatMap(({ decided }) => {
      const bag = bags[decided.bag]!;
      return isIn ? bag.filter((id) => !bagNow.includes(id)) : bagNow.filter((id) => !bag.includes(id));
    });
    return { code: 'in the bag', share: turned.length / worlds.length, otherId: mostCommon(others) };
  }
  /** What is won by hitting this shot in the place of another, or the other way about, and where. */
  const rivals = new Map<number, { won: number; metres: number }>();
  for (const { decided, won } of worlds)
    won.forEach((strokes, row) => {
      const [before, after] = [now.playedWith[row]!, decided.playedWith[row]!];
      if (before === after || strokes <= 0 || (before !== shot && after !== shot)) return;
      const other = before === shot ? after : before;
      const sofar = rivals.get(other) ?? { won: 0, metres: 0 };
      rivals.set(other, { won: sofar.won + strokes, metres: sofar.metres + strokes * rowsM[row]! });
    });
  const [other, most] = [...rivals].reduce<[number, { won: number; metres: number }] | []>(
    (a, b) => (a.length === 0 || b[1].won > a[1].won ? b : a),
    [],
  );
  const rival = other === undefined ? undefined : open.shots[other];
  if (!rival || !most) return { code: 'neighbours' };
  return {
    code: 'which shot',
    otherId: rival.clubId,
    otherShot: rival.shotKind,
    aroundM: most.metres / most.won,
  };
}

function mostCommon(ids: readonly string[]): string | undefined {
  const counts = new Map<string, number>();
  for (const id of ids) counts.set(id, (counts.get(id) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0];
}
