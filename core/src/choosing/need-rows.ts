import type { Need } from './need.js';

/**
 * Needs as they are counted: one that stands for shots from several places is a row for each of them, with its share of the weight. A shot
 * at a green is as long as it is from the hole; one down a fairway leaves as much more or less, and meets its trouble as much earlier or later.
 */
export function needRows(needs: readonly Need[]): Need[] {
  return needs.flatMap(({ hitFromM, ...need }) => {
    if (!hitFromM || hitFromM.length === 0) return [need];
    const toHoleM = need.distanceM + (need.to === 'green' ? 0 : (need.leftM ?? 0));
    return hitFromM.map((from): Need => {
      const row = { ...need, weight: need.weight / hitFromM.length };
      if (need.to === 'green') return { ...row, distanceM: from };
      const farther = from - toHoleM;
      return {
        ...row,
        leftM: Math.max(1, from - need.distanceM),
        ...(need.trouble && { trouble: troubleFrom(need.trouble, farther) }),
      };
    });
  });
}

/** Trouble as it is met from so much farther back; what lies behind the ball is none. */
export function troubleFrom(
  trouble: NonNullable<Need['trouble']>,
  fartherM: number,
): NonNullable<Need['trouble']> {
  return trouble
    .map((one) => ({ ...one, fromM: one.fromM + fartherM, toM: one.toM + fartherM }))
    .filter(({ toM }) => toM >= 1);
}
