import { emptyRound, type PlanRound } from '@tasche/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { revertedValue } from '../src/changes/reverted-value.js';

const round = (id: string, more: Partial<PlanRound> = {}): PlanRound => ({ ...emptyRound(id), ...more });
const said = (says: string) => ({ hits: {}, says, keep: '' });
const rounds = (before: readonly PlanRound[], after: readonly PlanRound[], now: readonly PlanRound[]) =>
  revertedValue('plan', 'rounds', before, after, now);

describe('a change taken back', () => {
  it('a plain field goes back where it stands as it was written, and not where it does not', () => {
    expect(revertedValue('plan', 'name', 'Open', 'Masters', 'Masters')).toEqual({ value: 'Open' });
    expect(revertedValue('plan', 'name', 'Open', 'Masters', 'Cup')).toBeNull();
    expect(revertedValue('course', 'holes', [{ par: 4 }], [{ par: 5 }], [{ par: 5 }, { par: 3 }])).toBeNull();
  });

  it('of a plan’s rounds only what was touched goes back; what others wrote of others, or of the same, stays', () => {
    const [one, two] = [round('1', { bagId: 'bag' }), round('2', { after: said('Long.') })];
    expect(rounds([], [one], [one, two])).toEqual({ value: [two] });
    // The part was made by the change, and somebody wrote more into it since.
    expect(rounds([], [one], [{ ...one, after: said('Right.') }])).toEqual({
      value: [round('1', { after: said('Right.') })],
    });
    expect(
      rounds([one], [{ ...one, after: said('Right.') }], [{ ...one, after: said('Wrong.') }]),
    ).toBeNull();
    expect(rounds([one, two], [two], [two])).toEqual({ value: [one, two] });
    expect(rounds([one], [], [one])).toBeNull();
    // It is gone since.
    expect(rounds([one], [{ ...one, bagId: 'other' }], [])).toBeNull();
  });

  it('an event’s round that a change made and others wrote into since cannot be made not to have been', () => {
    const event = { id: '1', name: 'Round 1', day: '2026-12-04' };
    expect(revertedValue('event', 'rounds', [], [event], [{ ...event, day: '2026-12-05' }])).toBeNull();
    expect(
      revertedValue(
        'event',
        'rounds',
        [event],
        [{ ...event, day: '2026-12-05' }],
        [{ ...event, day: '2026-12-05', name: 'Thursday' }],
      ),
    ).toEqual({ value: [{ ...event, name: 'Thursday' }] });
  });

  it('leaves what it would be if it had never been, whenever it was not written over', () => {
    const fields = ['bagId', 'after', 'notes'] as const;
    const values = {
      bagId: ['a', 'b', null],
      after: [said('x'), said('y'), null],
      notes: [[], [{ name: 'n' }]],
    } as unknown as Record<(typeof fields)[number], unknown[]>;
    const edit = fc.record({
      round: fc.constantFrom('1', '2', '3'),
      field: fc.constantFrom(...fields),
      pick: fc.nat(2),
    });
    type Edit = { round: string; field: (typeof fields)[number]; pick: number };
    const apply = (all: readonly PlanRound[], edits: readonly Edit[]): PlanRound[] =>
      edits.reduce<PlanRound[]>(
        (list, { round: id, field, pick }) => {
          const value = values[field][pick % values[field].length];
          return list.some(({ roundId }) => roundId === id)
            ? list.map((one) => (one.roundId === id ? { ...one, [field]: value } : one))
            : [...list, round(id, { [field]: value })];
        },
        [...all],
      );
    const byId = (all: readonly PlanRound[]) => [...all].sort((a, b) => a.roundId.localeCompare(b.roundId));
    fc.assert(
      fc.property(
        fc.array(edit, { maxLength: 4 }),
        fc.array(edit, { minLength: 1, maxLength: 4 }),
        fc.array(edit, { maxLength: 4 }),
        (first, change, later) => {
          const touched = new Set(change.map(({ round: id, field }) => `${id} ${field}`));
          const others = later.filter(({ round: id, field }) => !touched.has(`${id} ${field}`));
          const before = apply([], first);
          const after = apply(before, change);
          const back = rounds(before, after, apply(after, others));
          expect(back).not.toBeNull();
          // An empty round is the same as none.
          const told = (all: readonly PlanRound[]) =>
            byId(all).filter((one) => JSON.stringify(one) !== JSON.stringify(emptyRound(one.roundId)));
          expect(told(back!.value as PlanRound[])).toEqual(told(apply(before, others)));
        },
      ),
      { numRuns: 300 },
    );
  });
});
