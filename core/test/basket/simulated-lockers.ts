import {
  BASELINE,
  DEFAULT_PREFERENCES,
  MEDIUM_FAIRWAY,
  allocateBalls,
  basketDecision,
  carryCurve,
  forward,
  cholesky,
  normalFrom,
  openShots,
  randomFrom,
  skillOf,
  usualRoundChoosing,
  type BasketDecision,
  type ClubKind,
  type LadderClub,
  type Shot,
} from '../../src/index.js';
import { afterBalls } from '../../src/basket/after-balls.js';

/** A locker of which a little is known: some carries measured, some stated, some neither. */
export function someLocker(clubs: number, random: () => number): LadderClub[] {
  const makeUp: [ClubKind, number][] = [
    ['driver', 10.5],
    ['fairway', 15],
    ['hybrid', 20],
    ['iron', 24],
    ['iron', 28],
    ['iron', 32],
    ['iron', 36],
    ['iron', 41],
    ['wedge', 46],
    ['wedge', 51],
    ['wedge', 56],
    ['fairway', 18],
    ['iron', 21],
    ['wedge', 60],
    ['hybrid', 23],
    ['wedge', 53],
  ];
  const reach = 120 + 60 * random();
  const rough = carryCurve([
    { id: '7', name: '7', kind: 'iron', loftDeg: 32, shots: { full: { carryM: reach, source: 'stated' } } },
  ]);
  const locker = makeUp.slice(0, clubs).map(([kind, usual], i): LadderClub => {
    const loftDeg = usual + Math.round(4 * (random() - 0.5)) / 2;
    const carryM = rough.at(kind, loftDeg).carryM.value * (1 + 0.06 * (random() - 0.5));
    const how = random();
    const shots = 3 + Math.floor(20 * random());
    const full: Shot | undefined =
      how < 0.4
        ? undefined
        : how < 0.7
          ? { carryM, source: 'stated' }
          : { carryM, source: 'measured', sampleSize: shots, spreadM: carryM * 0.06 };
    return { id: `${kind} ${i}`, name: `${kind} ${i}`, kind, loftDeg, shots: { ...(full && { full }) } };
  });
  const known = locker.some(({ shots }) => shots.full);
  return known
    ? locker
    : locker.map((club, i) =>
        i === 5 ? { ...club, shots: { full: { carryM: reach, source: 'stated' } } } : club,
      );
}

/** The decisions of that locker for a usual round, `limit` clubs carried. */
export function decisionOf(clubs: readonly LadderClub[], limit: number): BasketDecision {
  const from = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
  const round = usualRoundChoosing({ clubs, from })!;
  const gamerIds = clubs.slice(0, limit).map(({ id }) => id);
  const open = openShots(round.clubs, gamerIds, skillOf(clubs).handicap, {});
  return basketDecision(
    round,
    { preferences: { ...DEFAULT_PREFERENCES, limit }, school: 'even-carries', gamerIds },
    open,
  )!;
}

/** Whoever shares out the balls without looking at what they decide. */
const SHARINGS = {
  'even sharing': ({ open }: BasketDecision, balls: number) =>
    open.shots.map((_shot, i) => Math.floor((balls + i) / open.shots.length)),
  'fewest shots first': ({ open }: BasketDecision, balls: number) => {
    const has = open.shots.map(({ shot }) => (shot.source === 'measured' ? (shot.sampleSize ?? 0) : 0));
    const given = has.map(() => 0);
    for (let ball = 0; ball < balls; ball++) {
      const next = has.reduce((min, one, i) => (one + given[i]! < has[min]! + given[min]! ? i : min), 0);
      given[next]! += 1;
    }
    return given;
  },
} as const;

/**
 * Hits the balls in worlds drawn from what is known, decides by what they showed, and plays the true carries.
 * @returns strokes a round won over deciding without them, on average
 */
export function wonByHitting(
  decision: BasketDecision,
  balls: readonly number[],
  worlds: number,
  seed = 5,
): number {
  const { open, now, decide, costOf } = decision;
  const { covariance, shots } = open;
  const normal = normalFrom(randomFrom(seed));
  const lower = cholesky(covariance.map((row, i) => row.map((one, k) => (i === k ? one + 1e-9 : one))));
  const hit = balls.flatMap((count, i) => (count > 0 ? [i] : []));
  const noise = shots.map(({ ballShare }, i) => ballShare ** 2 / Math.max(1, balls[i]!));
  const factor = cholesky(hit.map((a) => hit.map((b) => covariance[a]![b]! + (a === b ? noise[a]! : 0))));
  const { left } = afterBalls(
    covariance,
    shots.map(({ ballShare }) => ballShare),
    balls,
  );
  let won = 0;
  for (let world = 0; world < worlds; world++) {
    const standard = shots.map(normal);
    const errors = shots.map(normal);
    const truth = lower.map((row) => row.reduce((sum, one, k) => sum + one * standard[k]!, 0));
    const seen = hit.map((i) => truth[i]! + Math.sqrt(noise[i]!) * errors[i]!);
    const weights = solved(factor, seen);
    const shifts = shots.map((_shot, i) =>
      hit.reduce((sum, k, at) => sum + covariance[i]![k]! * weights[at]!, 0),
    );
    const decided = decide(shifts, left, (shot) => shots[shot]?.isOwned !== false || balls[shot]! > 0);
    won += costOf(now, truth) - costOf(decided, truth);
  }
  return won / worlds;
}

/** L L' x = right. */
function solved(lower: readonly (readonly number[])[], right: readonly number[]): number[] {
  const x = forward(lower, right);
  for (let i = x.length - 1; i >= 0; i--) {
    for (let k = i + 1; k < x.length; k++) x[i]! -= lower[k]![i]! * x[k]!;
    x[i]! /= lower[i]![i]!;
  }
  return x;
}

/** One locker: what the basket, and each sharing, wins. */
export function compareSharings(seed: number, clubs: number, limit: number, balls: number, worlds: number) {
  const decision = decisionOf(someLocker(clubs, randomFrom(seed)), limit);
  const basket = allocateBalls(decision, balls);
  return {
    predicted: basket.gain,
    basket: wonByHitting(decision, basket.balls, worlds),
    'even sharing': wonByHitting(decision, SHARINGS['even sharing'](decision, balls), worlds),
    'fewest shots first': wonByHitting(decision, SHARINGS['fewest shots first'](decision, balls), worlds),
  };
}
