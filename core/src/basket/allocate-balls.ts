import type { BasketDecision } from './basket-decision.js';

/** Balls a shot gets at least; fewer say too little to be trusted. Our choice. */
const MIN_BALLS = 3;
/** And at most: more balls with one club tire more than they tell. Our choice. */
const MAX_A_SHOT = 20;
/** Balls that are put on a shot at once. */
const BATCHES = [MIN_BALLS, 5, 8] as const;
/** Balls that win less than this together are spare. Strokes a round; our choice. */
const WORTH_HITTING = 0.002;
/** Balls moved from one shot to another at once, and sweeps over all pairs at most. */
const MOVES = [4, 2] as const;
const MAX_SWEEPS = 6;
/** Between looks at every shot only so many of the most promising are looked at. */
const FULL_LOOK = 4;
const PROMISING = 6;

export const BASKET_BOUNDS = { balls: [MIN_BALLS, 300] } as const;

/** So many balls, put where they decide most. */
interface Allocation {
  /** On each open shot. */
  balls: readonly number[];
  /** Strokes a round they are expected to win. */
  gain: number;
  /** Balls that are over: too few for another shot, past what one shot gets, or worth nothing. */
  spare: number;
}

/**
 * Puts balls where they win most: batch after batch on the shot with the highest gain a ball; then, from
 * there and from an even sharing, a few at a time from one shot to another while that wins more. Gains are
 * expected values of sample information (Raiffa and Schlaifer 1961, from memory). The answer is near the
 * best, not proved to be it.
 * @param onProgress share of the work done, about
 */
export function allocateBalls(
  decision: Pick<BasketDecision, 'open' | 'gainOf' | 'expectedGain'>,
  count: number,
  onProgress?: (share: number) => void,
): Allocation {
  const greedy = oneByOne(decision, count, (share) => onProgress?.(share / 2));
  // One after the other may stop too early: a few balls on a second club can look worth nothing where many on
  // all are worth much.
  const starts = [greedy, evenly(decision, count)];
  const { balls, gain } = starts
    .map((start, i) =>
      exchanged(decision, start, (share) => onProgress?.(0.5 + (0.5 * (i + share)) / starts.length)),
    )
    .map((placed) => ({ balls: placed.balls, gain: decision.expectedGain(placed.balls) }))
    .reduce((best, one) => (one.gain > best.gain + WORTH_HITTING ? one : best));
  const spare = count - balls.reduce((sum, one) => sum + one, 0);
  return gain < WORTH_HITTING ? { balls: balls.map(() => 0), spare: count, gain: 0 } : { balls, spare, gain };
}

type Placed = Pick<Allocation, 'balls' | 'gain'>;

function oneByOne(
  { open, gainOf }: Pick<BasketDecision, 'open' | 'gainOf'>,
  count: number,
  onProgress: (share: number) => void,
): Allocation {
  let placed: Placed = { balls: open.shots.map(() => 0), gain: 0 };
  let left = count;
  /** Gain a ball of each shot's best batch, as it was found last. */
  const lastEach = open.shots.map(() => Infinity);
  for (let step = 0; left >= MIN_BALLS; step++) {
    const looked =
      step % FULL_LOOK === 0
        ? lastEach.map((_each, shot) => shot)
        : lastEach
            .map((_each, shot) => shot)
            .sort((a, b) => lastEach[b]! - lastEach[a]!)
            .slice(0, PROMISING);
    const offers = looked.flatMap((shot) => {
      const own = BATCHES.filter((batch) => batch <= left && placed.balls[shot]! + batch <= MAX_A_SHOT).map(
        (batch) => {
          const balls = placed.balls.map((one, i) => (i === shot ? one + batch : one));
          const gain = gainOf(balls);
          return { balls, gain, batch, each: (gain - placed.gain) / batch };
        },
      );
      lastEach[shot] = Math.max(-Infinity, ...own.map(({ each }) => each));
      return own;
    });
    const best = offers.reduce<(typeof offers)[number] | undefined>(
      (a, b) => (a && a.each >= b.each ? a : b),
      undefined,
    );
    if (!best || best.each * left < WORTH_HITTING) break;
    placed = best;
    left -= best.batch;
    onProgress(1 - left / count);
  }
  return { ...placed, spare: left };
}

/** As many balls on each shot; where there are too few for all, on those that are known least. */
function evenly({ open, gainOf }: Pick<BasketDecision, 'open' | 'gainOf'>, count: number): Placed {
  const { shots, covariance } = open;
  const order = shots.map((_shot, i) => i).sort((a, b) => covariance[b]![b]! - covariance[a]![a]!);
  const among = order.slice(0, Math.max(1, Math.min(shots.length, Math.floor(count / MIN_BALLS))));
  const each = Math.min(MAX_A_SHOT, Math.floor(count / among.length));
  const balls = shots.map((_shot, i) => {
    const place = among.indexOf(i);
    return place === -1 ? 0 : each + (each < MAX_A_SHOT && place < count - each * among.length ? 1 : 0);
  });
  return { balls, gain: gainOf(balls) };
}

/** The same balls, a few of them moved while that wins more. */
function exchanged(
  { gainOf }: Pick<BasketDecision, 'gainOf'>,
  from: Placed,
  onProgress: (share: number) => void,
): Placed {
  let { balls, gain } = from;
  const allowed = (one: number) => one === 0 || (one >= MIN_BALLS && one <= MAX_A_SHOT);
  const changed = (changes: Readonly<Record<number, number>>) =>
    balls.map((one, i) => one + (changes[i] ?? 0));
  for (let sweep = 0; sweep < MAX_SWEEPS; sweep++) {
    onProgress(sweep / MAX_SWEEPS);
    const moves = balls.flatMap((one, out) =>
      [...MOVES, one].flatMap((moved) =>
        moved > 0 && one >= moved && allowed(one - moved)
          ? [{ out, moved, gain: gainOf(changed({ [out]: -moved })) }]
          : [],
      ),
    );
    // Takes balls from the shot that misses them least and gives them to the one that gains most.
    moves.sort((a, b) => (gain - a.gain) / a.moved - (gain - b.gain) / b.moved);
    let found: Placed | undefined;
    for (const { out, moved } of moves.slice(0, 3)) {
      for (let into = 0; into < balls.length; into++) {
        if (into === out || !allowed(balls[into]! + moved)) continue;
        const tried = changed({ [out]: -moved, [into]: moved });
        const won = gainOf(tried);
        if (won > (found?.gain ?? gain) + 1e-6) found = { balls: tried, gain: won };
      }
    }
    if (!found) break;
    ({ balls, gain } = found);
  }
  return { balls, gain };
}
