import type { ClubKind } from '../clubs/index.js';
import { ladderClub, type Spec } from '../spec/index.js';
import { BEND_STEP_DEG, bendChoices, bendRangeOf, type BounceWindow } from './bend-range.js';
import type { LoftChoice } from './bend-plan.js';
import { sleeveOf } from './sleeve.js';

const SLEEVED: readonly ClubKind[] = ['driver', 'fairway', 'hybrid'];

/**
 * What may be done to a club's loft: half degrees of bending for an iron or a wedge, the positions of its
 * sleeve for a wood that has one.
 */
export function loftChoicesOf(
  club: { id: string; name: string; kind: ClubKind; spec: Spec },
  window?: BounceWindow,
): LoftChoice[] {
  if (SLEEVED.includes(club.kind)) {
    const sleeve = sleeveOf(club.spec);
    if (!sleeve?.now) return [];
    const { now } = sleeve;
    const turns = new Set(sleeve.positions.map(({ loftDeg }) => loftDeg - now.loftDeg));
    return [...turns].map((byDeg) => ({ byDeg, effort: byDeg === 0 ? 0 : 1 }));
  }
  return bendChoices(ladderClub(club), bendRangeOf(club), window).map((byDeg) => ({
    byDeg,
    effort: Math.round(Math.abs(byDeg) / BEND_STEP_DEG),
  }));
}
