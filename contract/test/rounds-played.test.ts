import { describe, expect, it } from 'vitest';
import {
  emptyRound,
  hitsARound,
  roundsPlayed,
  type EventView,
  type PlanView,
  type RoundAfter,
  type RoundPlayedView,
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
const sheet = (...plans: PlanView[]) => ({ plans, roundsPlayed: [] });
const events = [event('Open', ['2026-11-01', '2026-11-02']), event('Cup', ['2026-11-10'])];

describe('rounds played', () => {
  const rounds = roundsPlayed(
    sheet(
      plan('Open', { 'Open 0': after({ driver: 12, iron: 0 }, 'windy'), 'Open 1': after({ driver: 13 }) }),
      plan('Cup', { 'Cup 0': after({}, 'no count') }),
      plan('Gone', { x: after({ driver: 99 }) }),
    ),
    events,
    [{ id: 'c', name: 'Skarvoy' }],
  );

  it('are those with something recorded, the newest first', () => {
    expect(rounds.map(({ name, day, courseName }) => [name, day, courseName])).toEqual([
      ['Cup, Round 1', '2026-11-10', 'Skarvoy'],
      ['Open, Round 2', '2026-11-02', 'Skarvoy'],
      ['Open, Round 1', '2026-11-01', 'Skarvoy'],
    ]);
    expect(roundsPlayed(sheet(plan('Open', {})), events, [])).toEqual([]);
  });

  it('count a club over the rounds it was counted in alone', () => {
    expect(hitsARound(rounds)).toEqual([
      { clubId: 'driver', perRound: 12.5, rounds: 2 },
      { clubId: 'iron', perRound: 0, rounds: 1 },
    ]);
    expect(hitsARound([])).toEqual([]);
  });

  it('are those outside any event too, by their name or their course', () => {
    const single = (id: string, name: string, courseId: string | null): RoundPlayedView => ({
      id,
      playerId: 'p',
      playedOn: '2026-11-05',
      name,
      courseId,
      bagId: null,
      after: { hits: { driver: 10 }, says: '', keep: '' },
      version: 1,
      removed: false,
    });
    const all = roundsPlayed(
      {
        plans: [
          plan('Open', { 'Open 0': after({ driver: 12 }) }),
          plan('Cup', { 'Cup 0': after({ driver: 14 }) }),
        ],
        roundsPlayed: [single('a', 'Medal', 'c'), single('b', '', 'c'), single('d', '', null)],
      },
      events,
      [{ id: 'c', name: 'Skarvoy' }],
    );
    expect(all.map(({ planId, name, courseName }) => [planId, name, courseName])).toEqual([
      ['plan of Cup', 'Cup, Round 1', 'Skarvoy'],
      [null, 'Medal', 'Skarvoy'],
      [null, 'Skarvoy', null],
      [null, 'A round', null],
      ['plan of Open', 'Open, Round 1', 'Skarvoy'],
    ]);
    expect(hitsARound(all)).toEqual([{ clubId: 'driver', perRound: 11.2, rounds: 5 }]);
  });
});
