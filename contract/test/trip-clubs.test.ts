import { describe, expect, it } from 'vitest';
import { emptyRound, tripClubs, type BagView, type EventView, type PlanView } from '../src/index.js';

const bag = (id: string, clubIds: string[], gamer = false) => ({ id, clubIds, gamer }) as unknown as BagView;
const event = (id: string, days: string[]) =>
  ({ id, rounds: days.map((day, i) => ({ id: `${id}-${i}`, day })) }) as unknown as EventView;
const plan = (id: string, eventId: string | null, bagIds: (string | null)[] = []) =>
  ({
    id,
    eventId,
    rounds: bagIds.map((bagId, i) => ({ ...emptyRound(`${eventId}-${i}`), bagId })),
  }) as unknown as PlanView;

describe('what travels', () => {
  const gamer = bag('g', ['Driver', '4 iron', '7 iron', '60'], true);
  const bags = [gamer, bag('b1', ['Driver', '7 iron', 'Driving iron']), bag('b2', ['60', 'Driver'])];
  const events = [event('lagoons', ['2026-12-27', '2026-12-28']), event('later', ['2027-02-01'])];
  const trip = { from: '2026-12-25', to: '2026-12-31' };

  it('is what every settled bag of the days holds, the gamer’s first; the rest of the gamer stays at home', () => {
    const plans = [plan('p', 'lagoons', ['b1', 'b2']), plan('q', 'later', ['g'])];
    expect(tripClubs(trip, { plans, bags }, events)).toEqual({
      planId: 'p',
      clubIds: ['Driver', '7 iron', '60', 'Driving iron'],
      homeIds: ['4 iron'],
      rounds: 2,
      settled: 2,
    });
  });

  it('says how many rounds are not settled; a day more or less decides what is played on it', () => {
    const plans = [plan('p', 'lagoons', [null, 'b2'])];
    expect(tripClubs(trip, { plans, bags }, events)).toMatchObject({ rounds: 2, settled: 1 });
    expect(tripClubs({ from: '2026-12-28', to: '2026-12-28' }, { plans, bags }, events)).toMatchObject({
      rounds: 1,
      clubIds: ['Driver', '60'],
    });
    const none = tripClubs({ from: '2026-12-27', to: '2026-12-27' }, { plans, bags }, events)!;
    expect([none.settled, none.clubIds, none.homeIds]).toEqual([0, [], gamer.clubIds]);
  });

  it('is nothing where no round of the player’s is played', () => {
    expect(
      tripClubs(trip, { plans: [plan('q', 'later', ['g']), plan('w', null)], bags }, events),
    ).toBeUndefined();
    expect(tripClubs(trip, { plans: [], bags: [] }, events)).toBeUndefined();
  });
});
