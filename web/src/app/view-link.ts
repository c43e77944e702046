import type { LocationQuery, RouteLocationRaw, RouteParams } from 'vue-router';
import { settingPart } from '../conditions/setting-query';

/** Views of one bag, and views that are read in one air. */
const OF_A_BAG: readonly string[] = ['bag', 'flight'];
const IN_AN_AIR: readonly string[] = ['bag', 'flight', 'plan'];

/**
 * A link to a player's view. The air goes along between the views that are read in it, the bag between the
 * views of one.
 */
export function viewLink(
  name: string,
  playerId: string,
  here: { name?: unknown; params: RouteParams; query: LocationQuery },
): RouteLocationRaw {
  const both = (views: readonly string[]) =>
    views.includes(name) && typeof here.name === 'string' && views.includes(here.name);
  return {
    name,
    params: { playerId, ...(both(OF_A_BAG) && here.params.bagId && { bagId: here.params.bagId }) },
    query: both(IN_AN_AIR) ? settingPart(here.query) : {},
  };
}
