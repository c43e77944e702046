import type { ShotDemand } from './shot-demand.js';

/**
 * Needs as they are counted: one that stands for shots from several places is a row for each of them, with
 * its share of the weight. A shot at a green is as long as it is from the hole; one down a fairway leaves as
 * much more or less, and meets its hazards as much earlier or later.
 */
export function demandRows(needs: readonly ShotDemand[]): ShotDemand[] {
  return needs.flatMap(({ hitFromM, ...demand }) => {
    if (!hitFromM || hitFromM.length === 0) return [demand];
    const toHoleM = demand.distanceM + (demand.to === 'green' ? 0 : (demand.leftM ?? 0));
    return hitFromM.map((from): ShotDemand => {
      const row = { ...demand, weight: demand.weight / hitFromM.length };
      if (demand.to === 'green') return { ...row, distanceM: from };
      const farther = from - toHoleM;
      return {
        ...row,
        leftM: Math.max(1, from - demand.distanceM),
        ...(demand.hazards && { hazards: hazardsFrom(demand.hazards, farther) }),
      };
    });
  });
}

/** Hazards as they are met from so much farther back; what lies behind the ball is none. */
export function hazardsFrom(
  hazards: NonNullable<ShotDemand['hazards']>,
  fartherM: number,
): NonNullable<ShotDemand['hazards']> {
  return hazards
    .map((one) => ({ ...one, fromM: one.fromM + fartherM, toM: one.toM + fartherM }))
    .filter(({ toM }) => toM >= 1);
}
