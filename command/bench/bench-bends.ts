import {
  BASELINE,
  MEDIUM_FAIRWAY,
  bendPlan,
  wishWorths,
  type LadderClub,
  type LoftChoice,
} from '@tasche/core';
import { lockerOf } from '../../server/test/demo-week.js';
import { percentile, report } from './figure.js';

const RUNS = 40;
const WISHES = 12;

function halves(deg: number): LoftChoice[] {
  return Array.from({ length: 4 * deg + 1 }, (_one, i) => {
    const byDeg = i / 2 - deg;
    return { byDeg, effort: Math.abs(byDeg) * 2 };
  });
}

/**
 * A bend plan of a gamer with two degrees either way, and the worth of a dozen wishes with the best use of a
 * sum.
 */
export function benchBends(): void {
  const { clubs, gamerIds } = lockerOf('Davor Kolar');
  const bag = clubs.filter(({ id }) => gamerIds.includes(id));
  const choices = new Map(
    bag.filter(({ kind }) => kind === 'iron' || kind === 'wedge').map(({ id }) => [id, halves(2)] as const),
  );
  const times = Array.from({ length: RUNS }, () => {
    const began = performance.now();
    bendPlan({ clubs: bag, choices });
    return performance.now() - began;
  });
  const worst = percentile(times, 0.95);
  report(
    `a bend plan of ${choices.size} clubs, two degrees either way`,
    `median ${percentile(times, 0.5).toFixed(0)} ms, 95th ${worst.toFixed(0)} ms of ${RUNS}`,
    'under 100 ms',
    worst < 100,
  );

  const wishes = Array.from({ length: WISHES }, (_one, i) => {
    const kind = i < 3 ? 'fairway' : i < 6 ? 'hybrid' : i < 8 ? 'iron' : 'wedge';
    const club: LadderClub = { id: `w${i}`, name: `wish ${i}`, kind, loftDeg: 13 + i * 4.2, shots: {} };
    return { id: `wish ${i}`, club, price: 80 + 25 * (i % 5) };
  });
  const began = performance.now();
  wishWorths({
    request: { clubs, from: { conditions: BASELINE, surface: MEDIUM_FAIRWAY } },
    question: { bagIds: gamerIds, options: {}, limit: 14 },
    wishes,
    money: 400,
  });
  const seconds = (performance.now() - began) / 1000;
  report(
    `${WISHES} wishes weighed over a locker of ${clubs.length}, and the best use of every sum, proved`,
    `${seconds.toFixed(1)} s`,
    'under 10 s',
    seconds < 10,
  );
}
