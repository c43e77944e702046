import type { ClubView } from '@tasche/contract';
import { bringTo, swingWeightPoints, swingWeightWords } from '@tasche/core';
import { expect, it } from 'vitest';
import { weightTickets } from '../../src/bench/set-weights';

const TAKEN = { takenOn: '2026-11-02', by: 'Jonas Brandl' };
const club = (id: string, swingWeight: string, leadG?: number) =>
  ({
    id,
    name: `${id} iron`,
    kind: 'iron',
    spec: {
      swingWeight: { ...TAKEN, value: swingWeight },
      lengthIn: { ...TAKEN, value: 37 },
      ...(leadG !== undefined && { leadG: { ...TAKEN, value: leadG } }),
    },
  }) as unknown as ClubView;

it('each club that is not there yet has a ticket with the lead that will be on its head, as far as it can be told', () => {
  const clubs = [club('6', 'D2'), club('7', 'D4'), club('8', 'D5', 4), club('9', 'E0')];
  const brought = new Map(bringTo(clubs, swingWeightPoints('D4')!).map((one) => [one.clubId, one]));
  const tickets = weightTickets(clubs, brought, swingWeightWords(swingWeightPoints('D4')!), {
    eventId: 'e',
    dueOn: '2026-12-01',
  });
  expect(tickets.map(({ clubId, name, job, dueOn }) => [clubId, name, job, dueOn])).toEqual(
    ['6', '8', '9'].map((id) => [id, `Bring the ${id} iron to D4`, 'weight', '2026-12-01']),
  );
  const lead = tickets.map(({ wanted }) => wanted.find(({ key }) => key === 'leadG')?.value);
  expect(lead[0]).toBe(brought.get('6')!.grams);
  expect(lead[0]).toBeGreaterThan(0);
  // Some of the lead that is on it comes off.
  expect(lead[1]).toBe(4 + brought.get('8')!.grams!);
  expect(lead[1]).toBeLessThan(4);
  // No lead to take off: what is done instead is said, not recorded as lead.
  expect(lead[2]).toBeUndefined();
  expect(tickets[2]!.why).toContain('under the grip');
});
