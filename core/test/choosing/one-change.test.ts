import fc from 'fast-check';
import { expect, it } from 'vitest';
import { costOf } from '../../src/index.js';
import { oneChange } from '../../src/choosing/one-change.js';
import { randomModel } from './random-model.js';

it('one club in, one out, or both, costs what choosing again costs', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 2 ** 30 }),
      fc.integer({ min: 2, max: 12 }),
      fc.integer({ min: 0, max: 20 }),
      fc.integer({ min: 0, max: 2 }),
      fc.nat(),
      (seed, clubs, needs, putters, mask) => {
        const model = randomModel(seed, { clubs, needs, limit: 8, putters: Math.min(putters, clubs - 1) });
        const chosen = Array.from({ length: clubs }, (_one, c) => c).filter((c) => (mask >> c) & 1);
        if (chosen.length === 0) return;
        const changed = oneChange(model, chosen);
        for (const into of [
          undefined,
          ...Array.from({ length: clubs }, (_one, c) => c).filter((c) => !chosen.includes(c)),
        ]) {
          for (const out of [undefined, ...chosen]) {
            const after = [...chosen.filter((c) => c !== out), ...(into === undefined ? [] : [into])].sort(
              (a, b) => a - b,
            );
            expect(changed(into, out)).toBeCloseTo(
              after.length === 0 ? Infinity : costOf(model, after).total,
              9,
            );
          }
        }
      },
    ),
    { numRuns: 150 },
  );
});
