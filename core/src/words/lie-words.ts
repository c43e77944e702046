import type { Lie } from '../plays-like/index.js';

/** What a lie does to a shot, in a few words. */
export const LIE_WORDS: Readonly<Record<Lie, string>> = {
  tee: 'clean, a little higher',
  fairway: 'the stock shot',
  tight: 'low and spinning; little room under the ball',
  'light rough': 'may jump: less spin, more run',
  'light rough, wet': 'a flyer: half the spin',
  'heavy rough': 'grabs the hosel; take loft',
  'heavy rough, wet': 'out first, distance second',
  sand: 'ball first, or half of it stays there',
};
