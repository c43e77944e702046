import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gaps, type DistanceUnit } from '../../src/index.js';
import { stepSentence } from '../../src/words/index.js';
import { club } from '../bag-of-clubs.js';

const sentences = (carries: readonly number[], unit: DistanceUnit) => {
  const clubs = carries.map((yards, i) => club(`${i}`, 'iron', 18 + 3 * i, yards));
  const report = gaps(clubs);
  return report.steps.map((step) => stepSentence(step, report, unit));
};

describe('a limit that a step is over', () => {
  it('is another number than the step: to a tenth where whole ones are the same', () => {
    const said = sentences([260, 240, 220, 208, 196, 184, 170, 156, 142, 128, 112, 95], 'yd');
    expect(said[0]).toMatch(/is 3\.0° and 20 yd, over 19\.\d yd \(1\.3 times the target\)/);
  });

  it('whatever the bag (property)', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 60, max: 320 }), { minLength: 5, maxLength: 13 }),
        fc.constantFrom('yd' as const, 'm' as const),
        (carries, unit) => {
          for (const sentence of sentences(
            carries.toSorted((a, b) => b - a),
            unit,
          )) {
            const [, size, limit] = /(-?\d+) (?:yd|m), over (\d+(?:\.\d)?) (?:yd|m)/.exec(sentence) ?? [];
            if (size !== undefined) expect(limit).not.toBe(size);
          }
        },
      ),
    );
  });
});
