import { expect, it } from 'vitest';
import { playedVerdict } from '../../src/plan/played-verdict';

it.each([
  ['more than chance, the way the plan says', { difference: 0.3, plusMinus: 0.1, claim: 0.2 }, 'agree'],
  ['more than chance, the other way', { difference: -0.3, plusMinus: 0.1, claim: 0.2 }, 'opposite'],
  [
    'the opposite, where the second is called better',
    { difference: 0.3, plusMinus: 0.1, claim: -0.2 },
    'opposite',
  ],
  ['within chance', { difference: 0.1, plusMinus: 0.1, claim: 0.2 }, 'cannot tell'],
  [
    'of one round, whose interval is not known',
    { difference: 3, plusMinus: null, claim: 0.2 },
    'cannot tell',
  ],
])('rounds played %s', (_what, outcome, words) => {
  expect(playedVerdict(outcome)).toContain(words);
});
