import { DEFAULT_PREFERENCES } from '@tasche/core';
import { describe, expect, it } from 'vitest';
import { preferenceWords, shortPreferenceWords } from '../../src/plan/preference-words';

const nameOf = (id: string) => ({ a: '5 wood', b: 'Hybrid 3' })[id];

describe('what a player wants, in words', () => {
  it('no rule is hidden: one driver is said too', () => {
    expect(shortPreferenceWords(DEFAULT_PREFERENCES)).toBe(
      '14 clubs, bounce by turf and sand, 1 driver at most',
    );
  });

  it('is a phrase each, in the reader’s unit, without clubs that are gone', () => {
    const words = preferenceWords(
      {
        ...DEFAULT_PREFERENCES,
        limit: 1,
        mostChanges: 0,
        kinds: [{ kind: 'wedge', most: 3 }],
        always: ['a'],
        never: ['gone'],
        oneOf: [
          ['a', 'b'],
          ['a', 'gone'],
        ],
        mustCover: [{ distanceM: 182.88, withinM: 4.572 }],
        comfort: { b: -0.2, gone: 1 },
      },
      nameOf,
      'yd',
    );
    expect(words).toEqual([
      '1 club, bounce by turf and sand, frozen, 3 wedges at most',
      'always 5 wood',
      'one of 5 wood, Hybrid 3',
      'a shot within 5 of 200 yd',
      'Hybrid 3 is worth −0.20 strokes',
    ]);
  });
});
