import { MEDIUM_FAIRWAY, BASELINE, nextBasket, usualRules, usualRoundChoosing } from '@tasche/core';
import { compareSharings } from '../../core/test/basket/simulated-lockers.js';
import { lockerOf } from '../../server/test/demo-week.js';
import { report } from './figure.js';

const LOCKERS = 200;
const CLUBS = 16;
const LIMIT = 13;
const BALLS = 60;
const WORLDS = 100;

/**
 * How long a basket takes, and what it wins over sharing the balls out without looking at what they decide.
 * Takes a quarter of an hour.
 */
export function benchBaskets(): void {
  const { clubs, gamerIds } = lockerOf('Oluchi Nwosu');
  const began = performance.now();
  const round = usualRoundChoosing({ clubs, from: { conditions: BASELINE, surface: MEDIUM_FAIRWAY } })!;
  const question = { bagIds: gamerIds, options: {}, limit: 14 };
  nextBasket({ round, rules: usualRules(question), bagIds: gamerIds, balls: BALLS });
  const seconds = (performance.now() - began) / 1000;
  report(
    `a basket of ${BALLS} balls for a locker of ${clubs.length}`,
    `${seconds.toFixed(1)} s`,
    'under 10 s',
    seconds < 10,
  );

  const sums = { predicted: 0, basket: 0, 'even sharing': 0, 'fewest shots first': 0 };
  const beaten = { 'even sharing': 0, 'fewest shots first': 0 };
  for (let seed = 1; seed <= LOCKERS; seed++) {
    const won = compareSharings(seed, CLUBS, LIMIT, BALLS, WORLDS);
    for (const key of Object.keys(sums) as (keyof typeof sums)[]) sums[key] += won[key] / LOCKERS;
    for (const key of Object.keys(beaten) as (keyof typeof beaten)[])
      if (won.basket > won[key]) beaten[key] += 1;
  }
  for (const key of ['even sharing', 'fewest shots first'] as const)
    report(
      `${BALLS} balls in ${LOCKERS} simulated lockers: a basket against ${key}`,
      `${sums.basket.toFixed(3)} against ${sums[key].toFixed(3)} strokes a round, better in ${beaten[key]}; ${sums.predicted.toFixed(3)} predicted`,
      'more',
      sums.basket > sums[key],
    );
}
