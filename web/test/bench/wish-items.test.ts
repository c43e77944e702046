import type { LadderClub, WishAnswer } from '@tasche/core';
import { describe, expect, it } from 'vitest';
import { alonePairs, neededWords, spentByYear, wishedItem } from '../../src/bench/wish-items';
import { wish } from './wish';

const driver: LadderClub = { id: 'D', name: 'Driver', kind: 'driver', loftDeg: 10, shots: {} };
const locker = new Map([['D', driver]]);
const shaft = wish('shaft', {
  purpose: 'fit',
  clubId: 'D',
  price: 160,
  expected: { shot: 'full', scatterShare: 0.9 },
});
const head = wish('head', { club: { kind: 'driver', loftDeg: 9 }, price: 400 });

describe('a wish as the choice weighs it', () => {
  it('is a club, or another state of one that is owned', () => {
    expect(wishedItem(head, locker)).toMatchObject({
      id: 'head',
      price: 400,
      club: { kind: 'driver', loftDeg: 9 },
    });
    expect(wishedItem(shaft, locker)).toEqual({
      id: 'shaft',
      price: 160,
      clubId: 'D',
      expected: { shot: 'full', scatterShare: 0.9 },
    });
    expect(wishedItem(wish('mend', { purpose: 'repair', clubId: 'D' }), locker)).toMatchObject({
      club: driver,
    });
  });

  it('costs nothing to learn where there is no price, and a lesson what it costs', () => {
    const learn = wish('half', { purpose: 'learn', clubId: 'D', price: null, expected: { shot: 'half' } });
    expect(wishedItem(learn, locker)).toMatchObject({ price: 0 });
    expect(wishedItem({ ...learn, price: 50 }, locker)).toMatchObject({ price: 50 });
  });

  it('is none while it says too little, and says what it needs; nor once it is bought', () => {
    expect(wishedItem(wish('grips', { purpose: 'repair' }), locker)).toBeUndefined();
    expect(wishedItem({ ...shaft, expected: null }, locker)).toBeUndefined();
    expect(wishedItem({ ...shaft, clubId: 'gone' }, locker)).toBeUndefined();
    expect(wishedItem({ ...head, state: 'bought' }, locker)).toBeUndefined();
    expect(neededWords({ purpose: 'buy', clubId: null })).toBe('needs a loft');
    expect(neededWords({ purpose: 'repair', clubId: null })).toBe('not weighed');
    expect(neededWords({ purpose: 'learn', clubId: null })).toBe('needs a club');
    expect(neededWords({ purpose: 'learn', clubId: 'D' })).toBe('needs a shot');
    expect(neededWords({ purpose: 'fit', clubId: 'D' })).toBe('needs what it would bring');
  });
});

describe('a shaft alone against a new head', () => {
  const answer = (alone: number, whole: number, out: string[]): WishAnswer => ({
    worth: [
      { id: 'shaft', gain: alone, bag: [], out: [] },
      { id: 'head', gain: whole, bag: [], out },
    ],
    best: { money: 0, buys: [], spent: 0, gain: 0, bag: [] },
    advised: { money: 0, buys: [], spent: 0, gain: 0, bag: [] },
    ladder: [],
  });
  const nameOf = (id: string) => locker.get(id)?.name ?? '';

  it('is said with both figures and prices', () => {
    expect(alonePairs([shaft, head], answer(0.08, 0.19, ['D']), nameOf)).toEqual([
      'Driver: shaft (160) brings 0.08 of the 0.19 strokes a round head (400) brings.',
    ]);
    expect(alonePairs([shaft, head], answer(0.25, 0.19, ['D']), nameOf)).toEqual([
      'Driver: shaft (160) brings as much as head (400), or more: 0.25 strokes a round against 0.19.',
    ]);
  });

  it('is not said where the head gains nothing, or takes the place of another club', () => {
    expect(alonePairs([shaft, head], answer(0.08, 0.001, ['D']), nameOf)).toEqual([]);
    expect(alonePairs([shaft, head], answer(0.08, 0.19, ['other']), nameOf)).toEqual([]);
  });
});

describe('what was bought', () => {
  it('is summed year by year, the newest first, what has no day last', () => {
    const bought = (id: string, boughtOn: string | null, price: number | null) =>
      wish(id, { state: 'bought', boughtOn, price });
    expect(
      spentByYear([
        bought('a', '2025-03-01', 100),
        bought('b', null, 30),
        bought('c', '2026-01-01', 50),
        bought('d', '2026-11-01', null),
        head,
      ]),
    ).toEqual([
      { year: '2026', sum: 50, names: ['c', 'd'] },
      { year: '2025', sum: 100, names: ['a'] },
      { year: null, sum: 30, names: ['b'] },
    ]);
  });
});
