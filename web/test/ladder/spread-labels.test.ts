import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { spanLanes, spreadLabels } from '../../src/ladder/spread-labels';

const LOW = 0;
const HIGH = 600;
const GAP = 18;
const wishes = fc.array(fc.double({ min: LOW, max: HIGH, noNaN: true }), { minLength: 1, maxLength: 45 });

describe('labels spread along the rail', () => {
  it('leaves labels with room where they wish to be', () => {
    expect(spreadLabels([500, 20, 240], GAP, LOW, HIGH)).toEqual([500, 20, 240]);
  });

  it('moves two that touch apart by the same amount', () => {
    const [upper, lower] = spreadLabels([100, 104], GAP, LOW, HIGH);
    expect(lower! - upper!).toBeCloseTo(GAP);
    expect((upper! + lower!) / 2).toBeCloseTo(102);
  });

  it('keeps the order, the room and the distance, whatever is wished (property)', () => {
    fc.assert(
      fc.property(wishes, (wanted) => {
        const placed = spreadLabels(wanted, GAP, LOW, HIGH);
        const order = wanted.map((_wish, i) => i).sort((a, b) => wanted[a]! - wanted[b]! || a - b);
        const along = order.map((i) => placed[i]!);
        const min = Math.min(GAP, (HIGH - LOW) / Math.max(1, wanted.length - 1));
        for (let i = 1; i < along.length; i++)
          expect(along[i]! - along[i - 1]!).toBeGreaterThanOrEqual(min - 1e-6);
        expect(along[0]).toBeGreaterThanOrEqual(LOW - 1e-6);
        expect(along.at(-1)).toBeLessThanOrEqual(HIGH + 1e-6);
      }),
    );
  });

  it('puts spans that overlap into different lanes, and needs no more lanes than the deepest overlap (property)', () => {
    const spans = fc.array(
      fc
        .tuple(fc.integer({ min: 0, max: 400 }), fc.integer({ min: 1, max: 90 }))
        .map(([from, long]) => ({ from, to: from + long })),
      { maxLength: 30 },
    );
    fc.assert(
      fc.property(spans, (all) => {
        const lanes = spanLanes(all, 0);
        all.forEach((a, i) =>
          all.forEach((b, k) => {
            if (i < k && a.from < b.to && b.from < a.to) expect(lanes[i]).not.toBe(lanes[k]);
          }),
        );
        const deepest = Math.max(
          0,
          ...all.map((at) => all.filter((one) => one.from <= at.from && at.from < one.to).length),
        );
        expect(Math.max(-1, ...lanes) + 1).toBe(deepest);
      }),
    );
  });
});
