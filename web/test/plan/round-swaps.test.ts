import type { BagAnswer, LadderClub } from '@tasche/core';
import { describe, expect, it } from 'vitest';
import {
  differsWords,
  insteadWords,
  settledWords,
  sinceWords,
  swapsAgainst,
  triggerOf,
} from '../../src/plan/round-swaps';

const club = (id: string, carryM: number): LadderClub => ({
  id,
  name: id,
  kind: 'iron',
  shots: { full: { carryM, source: 'stated' } },
});
const clubs = [club('4', 180), club('H', 185), club('48', 125), club('6', 160), club('P', 0)];
const name = (id: string) => id;
/** A choice of these clubs; of some it is said which would be next in their place. */
const answerOf = (
  ids: readonly string[],
  runnersUp: Readonly<Record<string, string>> = {},
): Pick<BagAnswer, 'best' | 'reasons'> => ({
  best: { ids, strokes: 70, forNeeds: 0, forSteps: 0, price: 0 },
  reasons: ids.map((id) => ({
    id,
    worth: 0.1,
    need: undefined,
    distanceM: undefined,
    shot: undefined,
    needsMet: 1,
    runnerUp: runnersUp[id] === undefined ? undefined : { id: runnersUp[id], costs: 0.12, onTheCourse: 0.12 },
  })),
});

describe('a round against the gamer', () => {
  it('the longest goes for the longest, each with its reason; what is gone from the locker is left out silently', () => {
    expect(
      swapsAgainst(['H', '6', 'P', 'sold'], answerOf(['4', '48', 'P']), clubs, {
        4: 'for the wind.',
        H: 'H would cost.',
        48: 'for the 13th',
      }),
    ).toEqual([
      { outId: 'H', inId: '4', why: 'for the wind. H would cost.' },
      { outId: '6', inId: '48', why: 'for the 13th' },
    ]);
    expect(
      swapsAgainst(['H', 'P'], answerOf(['4', 'P'], { 4: 'H' }), clubs, {
        4: '4: best for 3 of the needs. The H in its place costs 0.12 strokes.',
        H: 'H for the 4 would cost 0.12 strokes a round.',
      }),
    ).toEqual([
      { outId: 'H', inId: '4', why: '4: best for 3 of the needs. The H in its place costs 0.12 strokes.' },
    ]);
    expect(swapsAgainst(['H', 'P'], answerOf(['P']), clubs, { H: 'not asked for' })).toEqual([
      { outId: 'H', why: 'not asked for' },
    ]);
    expect(swapsAgainst(['P'], answerOf(['P']), clubs, {})).toEqual([]);
  });

  it('is told in words', () => {
    expect(insteadWords(['4', '48'], ['H'], name)).toBe('the 4 and the 48 for the H');
    expect(insteadWords(['4'], [], name)).toBe('the 4 as well');
    expect(insteadWords([], ['H'], name)).toBe('leave the H out');
    const best = { ids: ['4', 'P'], strokes: 70, forNeeds: 0, forSteps: 0, price: 0 };
    // As it is played: what having its clubs costs is none of it.
    const other = (strokes: number) => ({ ...best, ids: ['H', 'P'], strokes: strokes + 0.5, price: 0.5 });
    expect(differsWords(other(70.25), best, name)).toBe('the H for the 4, +0.25');
    expect(differsWords(other(70.02), best, name)).toBe('the H for the 4, a tie');
    expect(differsWords(best, best, name)).toBe('the same bag');
  });

  it('a round’s bag against the round’s before: what changes, that nothing does, or that there is none', () => {
    expect(sinceWords(['4', '6', 'P'], ['H', 'P', '6'], name)).toBe('the H for the 4');
    expect(sinceWords(['4', '6', 'P'], ['P', '6', '4'], name)).toBe('');
    expect(sinceWords(['4', '6'], ['4', '6', 'P'], name)).toBe('the P as well');
    expect(sinceWords(['4', '6'], ['4'], name)).toBe('leave the 6 out');
    expect(sinceWords(undefined, ['4'], name)).toBeNull();
    expect(sinceWords(['4'], undefined, name)).toBeNull();
  });

  it("what would change it has its day, its number in the player's unit, and what it is worth", () => {
    const of = (when: Parameters<typeof triggerOf>[0]['when']) =>
      triggerOf({ when, ids: ['H', 'P'], gain: 0.123 }, ['4', 'P'], '2026-12-04', 'm', name);
    expect(of({ wind: 'over', mps: 8 })).toEqual({
      text: 'If the wind on Friday is over 8 m/s: the H for the 4, worth 0.12.',
      outIds: ['4'],
      inIds: ['H'],
    });
    expect(
      triggerOf({ when: { wind: 'under', mps: 8 }, ids: ['H'], gain: 0.1 }, ['4'], '2026-12-04', 'yd', name)
        .text,
    ).toMatch(/under 18 mph/);
    expect(of({ ground: 'softer' }).text).toMatch(/the ground on Friday is a step softer/);
    expect(of({ rain: true }).text).toMatch(/it rains on Friday/);
  });
});

describe('settled rounds', () => {
  const round = (day: number, ...clubIds: string[]) => ({ name: `Round ${day}`, clubIds });

  it('with the same bag are said once, the others by what they change', () => {
    expect(settledWords([round(1, '4', '48'), round(2, '48', '4'), round(3, 'H', '48')], name)).toBe(
      'Round 1 and Round 2 play one bag. Round 3: the H for the 4.',
    );
    expect(settledWords([round(1, '4'), round(2, 'H'), round(3, '4'), round(4, '4')], name)).toBe(
      'Round 1, Round 3 and Round 4 play one bag. Round 2: the H for the 4.',
    );
  });

  it('with a bag each are compared with the first; one alone says nothing', () => {
    expect(settledWords([round(1, '4'), round(2, 'H')], name)).toBe(
      'Against the bag of Round 1, Round 2: the H for the 4.',
    );
    expect(settledWords([round(1, '4')], name)).toBe('');
    expect(settledWords([], name)).toBe('');
  });
});
