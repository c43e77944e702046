import type { RouteLocationRaw } from 'vue-router';

/** A page that another lies under. */
export interface PageAbove {
  label: string;
  to: RouteLocationRaw;
}

/** The views of a player that have pages under them. */
const LABELS = {
  bench: 'Bench',
  history: 'History',
  plan: 'Plan',
  range: 'Range',
} as const;

/** What a page under a view of a player lies under: the roster, the player's bag, the view. */
export function pagesAbove(
  player: { readonly id: string; readonly name: string },
  view: keyof typeof LABELS,
): readonly PageAbove[] {
  const params = { playerId: player.id };
  return [
    { label: 'Roster', to: { name: 'roster' } },
    { label: player.name, to: { name: 'bag', params } },
    { label: LABELS[view], to: { name: view, params } },
  ];
}
