import { describe, expect, it } from 'vitest';
import { bendOutcome, placedClubs, whatIf, type LadderClub } from '../src/index.js';

const full = { carryM: 150, source: 'stated' as const };
const seven = (loftDeg: number, bendDeg?: number): LadderClub => ({
  id: '7',
  name: '7 iron',
  kind: 'iron',
  loftDeg,
  shots: { full },
  ...(bendDeg !== undefined && { changed: { full: { bendDeg, takenOn: '2026-01-01' } } }),
});

describe('what a bend promised', () => {
  it('is what the model says of the loft that was asked for, beside that of the loft it came to', () => {
    // 33 was asked to become 34, and became 34.25.
    const outcome = bendOutcome(seven(34.25, 1.25), 34)!;
    expect(outcome.beforeM).toBe(150);
    expect(outcome.promisedM - 150).toBeCloseTo(
      whatIf({ kind: 'iron', loftDeg: 33 }, full, { bendDeg: 1 }).carryM,
      9,
    );
    expect(outcome.nowM).toBeLessThan(outcome.promisedM);
    // The ladder shows what it came to.
    expect(placedClubs([seven(34.25, 1.25)])[0]!.shots.full!.carryM).toBeCloseTo(outcome.nowM, 9);
  });

  it('is kept where the loft is as asked, and is nothing once it was hit, or where the carry was not known', () => {
    const kept = bendOutcome(seven(34, 1), 34)!;
    expect(kept.nowM).toBe(kept.promisedM);
    expect(bendOutcome(seven(34), 34)).toBeUndefined();
    expect(bendOutcome({ ...seven(34, 1), shots: {} }, 34)).toBeUndefined();
    expect(bendOutcome({ ...seven(3, 1), kind: 'putter' }, 4)).toBeUndefined();
    // No bend goes so far: the model has no word on it.
    expect(bendOutcome(seven(34, 1), 50)).toBeUndefined();
  });
});
