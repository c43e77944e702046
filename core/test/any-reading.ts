import fc from 'fast-check';
import { QUANTITIES } from '../src/index.js';

/** Any value of any quantity, on any of some days. */
export const anyReading = fc.constantFrom(...QUANTITIES).chain((quantity) =>
  fc.record({
    key: fc.constant(quantity.key),
    takenOn: fc.constantFrom('2025-01-01', '2025-06-01', '2026-02-01', '2026-06-01'),
    value:
      quantity.type === 'number'
        ? fc.double({ min: quantity.min, max: quantity.max, noNaN: true })
        : quantity.type === 'choice'
          ? fc.constantFrom(...quantity.choices)
          : quantity.type === 'swingWeight'
            ? fc.constantFrom('C9', 'D2', 'D4.5')
            : fc.constantFrom('2025-03-01', 'a', 'b'),
  }),
);
