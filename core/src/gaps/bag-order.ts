import { isFullSwing, loftOrUsual, type ClubKind } from '../clubs/index.js';
import type { LadderClub } from '../spec/index.js';
import { carryLadder, type Step } from './ladder.js';

/** The kinds from the longest on, as they usually stand in a bag. */
const USUAL_ORDER: readonly ClubKind[] = ['driver', 'fairway', 'hybrid', 'driving iron', 'iron', 'wedge'];

/** Where a club usually stands, by its kind and what it is called: less is longer. */
function usualPlace(club: LadderClub): number {
  const within =
    club.kind === 'wedge' ? (loftOrUsual(club) ?? 0) : Number(/\d{1,2}/.exec(club.name)?.[0] ?? 0);
  return USUAL_ORDER.indexOf(club.kind) * 100 + within;
}

/**
 * A bag's clubs as they are listed: in the order of the ladder; one of which neither loft nor carry is known
 * before the first that usually is shorter; then the chipper and the putter.
 */
export function bagOrder<Club extends LadderClub>(clubs: readonly Club[]): Club[] {
  const byId = new Map(clubs.map((club) => [club.id, club]));
  const listed = carryLadder(clubs).map(({ id }) => byId.get(id)!);
  const placed = new Set(listed);
  const others = clubs.filter((club) => !placed.has(club));
  const unknown = others.filter(({ kind }) => isFullSwing(kind));
  for (const club of unknown.toSorted((a, b) => usualPlace(a) - usualPlace(b))) {
    const at = listed.findIndex((one) => usualPlace(one) > usualPlace(club));
    listed.splice(at === -1 ? listed.length : at, 0, club);
  }
  return [...listed, ...others.filter(({ kind }) => !isFullSwing(kind))];
}

/** Tells each step of a bag of the clubs without a carry that usually stand between its two. */
export function tellOfBetween(steps: readonly Step[], clubs: readonly LadderClub[]): void {
  if (clubs.every(({ kind, shots }) => shots.full || !isFullSwing(kind))) return;
  const order = bagOrder(clubs);
  const placeOf = new Map(order.map(({ id }, place) => [id, place]));
  for (const step of steps) {
    const between = order.slice(placeOf.get(step.upper.id)! + 1, placeOf.get(step.lower.id));
    if (between.length > 0) step.betweenIds = between.map(({ id }) => id);
  }
}
