import type { WishView } from '@tasche/contract';
import type { SeasonValue } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import SeasonTables from '../../src/season/SeasonTables.vue';
import { againstGamerWords, strokesWithin } from '../../src/season/season-words';

const within = (strokes: number) => ({ strokes, low: strokes - 1, high: strokes + 1 });
const gamerIds = ['Driver', '7 iron', 'PW'];
const value: SeasonValue = {
  played: 4,
  rounds: [
    {
      id: 'a',
      name: 'Open, Round 1',
      times: 3,
      bestIds: ['Driver', '7 iron', 'LW'],
      gamerIds,
      saves: 0.126,
    },
    {
      id: 'b',
      name: 'Fours',
      times: 1,
      bestIds: ['Driver', 'PW'],
      gamerIds: ['Driver', 'PW'],
      saves: -0.001,
    },
  ],
  changed: within(0.4),
  fixed: { ...within(0.3), ids: gamerIds, short: 0 },
  swapping: within(0.1),
  clubs: [
    { id: 'Driver', rounds: 4, strokes: Infinity },
    { id: 'LW', rounds: 3, strokes: 0.7 },
  ],
  bags: [{ id: 'wet', ...within(-0.2) }],
  wishes: [{ id: 'w', rounds: 2, ...within(0.5) }],
  draws: 16,
};
const rowsOf = (view: ReturnType<typeof shown>, caption: string) =>
  view.findAll(`table[aria-label="${caption}"] tbody tr`).map((row) => row.text().replace(/\s+/g, ' '));
const shown = (more: Partial<SeasonValue> = {}) =>
  mount(SeasonTables, {
    props: {
      value: { ...value, ...more },
      gamerIds,
      wishes: [{ id: 'w', name: 'A 48', price: 140 } as unknown as WishView],
      nameOf: (id: string) => id,
      bagName: (id: string) => `the ${id} bag`,
    },
  });

describe('what stands behind the worth of a season', () => {
  it('says what each round changes, of the gamer as it may go there', () => {
    expect(rowsOf(shown(), 'Which set travels where')).toEqual([
      'Open, Round 1 and 2 rounds like it LW in, PW out0.13',
      'Fours 2 clubs of the gamer: Driver, PW0.00',
    ]);
  });

  it('weighs other bags and wishes, and is not there without any', () => {
    expect(rowsOf(shown(), 'Bags and wishes')).toEqual([
      'the wet bag in every round, over the gamer−0.2 (−1.2 to 0.8)',
      'A 48 wished for, 140; in the best bag of 2 of 4, over what is owned0.5 (−0.5 to 1.5)',
    ]);
    expect(rowsOf(shown({ bags: [], wishes: [] }), 'Bags and wishes')).toEqual([]);
  });

  it('names clubs that are not in the gamer, gives no number to an only club, and orders them by a head', async () => {
    const view = shown();
    expect(rowsOf(view, 'Clubs over the season')).toEqual(['Driver4 of 4–', 'LW not in the gamer3 of 40.70']);
    await view.get('button[aria-label="Lost without it: order"]').trigger('click');
    expect(rowsOf(view, 'Clubs over the season')[0]).toMatch(/^LW/);
  });
});

it('what a bag changes against the gamer, in words', () => {
  const words = (ids: string[], taken?: string[]) => againstGamerWords(ids, gamerIds, (id) => id, taken);
  expect(words(gamerIds)).toBe('the gamer');
  expect(words(['Driver', '7 iron'])).toBe('PW out');
  expect(words(['Driver'], ['Driver'])).toBe('1 club of the gamer: Driver');
  expect(strokesWithin({ strokes: -0.04, low: -0.6, high: 0.52 })).toBe('0.0 (−0.6 to 0.5)');
});
