import { BASELINE, MEDIUM_FAIRWAY, STRIKE_PARTS } from '@tasche/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { packStrikes, unpackStrikes } from '../../src/range/packed-strikes';

const number = fc.double({ noNaN: true, noDefaultInfinity: true });
const given = fc.record(Object.fromEntries(STRIKE_PARTS.map((part) => [part, number])), { requiredKeys: [] });
const strikes = fc.array(
  fc.record({
    strike: fc.record({
      id: fc.uuid(),
      clubId: fc.constantFrom('7', '8', null),
      shot: fc.constantFrom('full' as const, 'soft' as const),
      leftOut: fc.constantFrom(null, 'mis-hit'),
      given,
    }),
    club: fc.constantFrom(
      null,
      { kind: 'iron' as const, loftDeg: 34 },
      { kind: 'iron' as const, loftDeg: 33 },
    ),
  }),
);

describe('balls on their way to the worker', () => {
  it('arrive as they were, whatever was given of them', () => {
    fc.assert(
      fc.property(strikes, (all) => {
        const session = { setting: { conditions: BASELINE, surface: MEDIUM_FAIRWAY }, strikes: all };
        expect(unpackStrikes(packStrikes(session))).toEqual(session);
      }),
    );
  });
});
