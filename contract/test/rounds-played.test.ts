import { describe, expect, it } from 'vitest';
import {
  emptyRound,
  hitsARound,
  roundsPlayed,
  type EventView,
  type PlanView,
  type RoundAfter,
} from '../src/index.js';

const after = (hits: RoundAfter['hits'], says = ''): RoundAfter => ({ hits, says, keep: '' });
const event = (id: string, days: readonly string[]) =>
  ({
    id,
    name: id,
    rounds: days.map((day, i) => ({ id: `${id} ${i}`, name: `Round ${i + 1}`, day, courseId: 'c' })),
  }) as unknown as EventView;
const plan = (eventId: string, afters: Readonly<Record<string, RoundAfter>>) =>
  ({
    id: `plan of ${eventId}`,
    eventId,
    rounds: Object.entries(afters).map(([roundId, one]) => ({ ...emptyRound(roundId), after: one })),
  }) as unknown as PlanView;
const events = [event('Open', ['2026-11-01', '2026-11-02']), event('Cup', ['2026-11-10'])];

describe('rounds played', () => {
  const rounds = roundsPlayed(
    [
      plan('Open', { 'Open 0': after({ driver: 12, iron: 0 }, 'windy'), 'Open 1': after({ driver: 13 }) }),
      plan('Cup', { 'Cup 0': after({}, 'no count') }),
      plan('Gone', { x: after({ driver: 99 }) }),
    ],
    events,
    [{ id: 'c', name: 'Skarvoy' }],
  );

  it('are those somebody wrote something down about, the newest first', () => {
    expect(rounds.map(({ name, day, courseName }) => [name, day, courseName])).toEqual([
      ['Cup, Round 1', '2026-11-10', 'Skarvoy'],
      ['Open, Round 2', '2026-11-02', 'Skarvoy'],
      ['Open, Round 1', '2026-11-01', 'Skarvoy'],
    ]);
    expect(roundsPlayed([plan('Open', {})], events, [])).toEqual([]);
  });

  it('count a club over the rounds it was counted in alone', () => {
    expect(hitsARound(rounds)).toEqual([
      { clubId: 'driver', perRound: 12.5, rounds: 2 },
      { clubId: 'iron', perRound: 0, rounds: 1 },
    ]);
    expect(hitsARound([])).toEqual([]);
  });
});
