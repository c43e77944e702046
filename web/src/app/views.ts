/** Views of the workspace, as the menu has them. */
export const VIEWS = [
  { name: 'roster', label: 'Roster' },
  { name: 'courses', label: 'Courses' },
  { name: 'calendar', label: 'Calendar' },
  { name: 'tickets', label: 'Tickets' },
] as const;

/** Views of a player. */
export const PLAYER_VIEWS = [
  { name: 'bag', label: 'Bag' },
  { name: 'flight', label: 'Flights' },
  { name: 'locker', label: 'Locker' },
  { name: 'range', label: 'Range' },
  { name: 'compare', label: 'Compare' },
  { name: 'plan', label: 'Plan' },
  { name: 'season', label: 'Season' },
  { name: 'card', label: 'Card' },
  { name: 'bench', label: 'Bench' },
  { name: 'history', label: 'History' },
  { name: 'settings', label: 'Settings' },
] as const;

/** Pages of the bench, as its tabs have them. */
export const BENCH_VIEWS = [
  { name: 'bench', label: 'Tickets' },
  { name: 'bend-plan', label: 'Bend plan' },
  { name: 'weights', label: 'Weights and lengths' },
  { name: 'check', label: 'Check' },
  { name: 'wear', label: 'Wear and balls' },
  { name: 'putters', label: 'Putters' },
  { name: 'wishes', label: 'Wish list' },
] as const;

/** Pages under a view, which stands for them in the menu. */
const VIEW_OF: Readonly<Record<string, string>> = {
  seasons: 'courses',
  'range-import': 'range',
  basket: 'range',
  'swap-sheet': 'plan',
  'club-life': 'history',
  review: 'history',
  'bend-plan': 'bench',
  weights: 'bench',
  check: 'bench',
  wear: 'bench',
  putters: 'bench',
  wishes: 'bench',
  build: 'bench',
};

/** The view of the menu that a route is of. */
export function viewOf(route: string): string {
  return VIEW_OF[route] ?? route;
}
