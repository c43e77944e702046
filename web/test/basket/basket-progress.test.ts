import type { BasketLine } from '@tasche/contract';
import { describe, expect, it } from 'vitest';
import { basketProgress, nextLine } from '../../src/basket/basket-progress';

const line = (clubId: string, balls: number): BasketLine => ({
  clubId,
  shot: 'full',
  balls,
  usualM: 8,
  nowM: 10,
  thenM: 4,
});
const strike = (id: string, clubId: string, leftOut: string | null = null) => ({
  id,
  clubId,
  shot: 'full' as const,
  leftOut,
});
const carries = (...each: [string, number][]) =>
  new Map(
    each.map(([id, carryM]) => [id, { whole: { atBaseline: { carryM, offlineM: 0, totalM: carryM } } }]),
  );

describe('a basket taken along ball by ball', () => {
  const lines = [line('5', 3), line('7', 4)];

  it('counts the balls of each line that count, and no others', () => {
    const strikes = [strike('a', '5'), strike('b', '5', 'a duff'), strike('c', '9'), strike('d', '7')];
    const progress = basketProgress(
      lines,
      strikes,
      carries(['a', 150], ['b', 90], ['c', 120], ['d', 140]) as never,
    );
    expect(progress.map(({ shots }) => shots)).toEqual([1, 1]);
    expect(progress.every(({ isEnough }) => !isEnough)).toBe(true);
  });

  it('stays with the club in hand until it is known well enough, then takes the first that is not', () => {
    const none = basketProgress(lines, [], new Map());
    expect(nextLine(none, null)?.clubId).toBe('5');
    expect(nextLine(none, { clubId: '7', shot: 'full' })?.clubId).toBe('7');
    const strikes = ['a', 'b', 'c'].map((id) => strike(id, '5'));
    const done = basketProgress(lines, strikes, carries(['a', 150], ['b', 151], ['c', 149]) as never);
    expect(done[0]!.isEnough).toBe(true);
    expect(nextLine(done, { clubId: '5', shot: 'full' })?.clubId).toBe('7');
  });

  it('has no next line once all are known', () => {
    const strikes = [...'abc'].map((id) => strike(id, '5'));
    const done = basketProgress([line('5', 3)], strikes, carries(['a', 1], ['b', 1], ['c', 1]) as never);
    expect(nextLine(done, null)).toBeUndefined();
  });
});
