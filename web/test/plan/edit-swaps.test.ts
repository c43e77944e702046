import type { Swap } from '@tasche/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { withClubIn, withClubOut } from '../../src/plan/edit-swaps';

describe('clubs in and out of a week', () => {
  it('a club that comes in takes the place of the one that went out last', () => {
    const out = withClubOut([], '58');
    expect(out).toEqual([{ outId: '58' }]);
    expect(withClubIn(out, '58 wide')).toEqual([{ outId: '58', inId: '58 wide' }]);
    expect(withClubIn([], '7 wood')).toEqual([{ inId: '7 wood' }]);
  });

  it('one that came in goes out by taking its swap back, and one that went out just stays', () => {
    const swaps: Swap[] = [{ outId: '58', inId: '58 wide', why: 'soft sand' }, { inId: '7 wood' }];
    expect(withClubOut(swaps, '58 wide')).toEqual([{ outId: '58', why: 'soft sand' }, { inId: '7 wood' }]);
    expect(withClubOut(swaps, '7 wood')).toEqual([swaps[0]]);
    expect(withClubIn(swaps, '58')).toEqual([{ inId: '58 wide', why: 'soft sand' }, { inId: '7 wood' }]);
    expect(withClubIn([{ outId: '3 iron' }], '3 iron')).toEqual([]);
  });

  it('never name a club twice, whatever is pressed', () => {
    const press = fc.tuple(fc.boolean(), fc.constantFrom('a', 'b', 'c', 'd'));
    fc.assert(
      fc.property(fc.array(press, { maxLength: 12 }), (presses) => {
        // Two of the four are in the bag to begin with; only what is in goes out, and only what is out comes
        // in.
        const inBag = new Set(['a', 'b']);
        let swaps: readonly Swap[] = [];
        for (const [isOut, club] of presses) {
          if (isOut !== inBag.has(club)) continue;
          swaps = isOut ? withClubOut(swaps, club) : withClubIn(swaps, club);
          if (isOut) inBag.delete(club);
          else inBag.add(club);
          const named = swaps.flatMap(({ outId, inId }) => [outId, inId].filter((id) => id !== undefined));
          expect(new Set(named).size).toBe(named.length);
          const left = new Set(['a', 'b']);
          for (const { outId, inId } of swaps) {
            if (outId) left.delete(outId);
            if (inId) left.add(inId);
          }
          expect(left).toEqual(inBag);
        }
      }),
    );
  });
});
