import type { LocationQuery, RouteLocationRaw, RouteParams } from 'vue-router';
import { settingPart } from '../conditions/setting-query';

/** Views that show one bag, in one air. */
const OF_A_BAG: readonly string[] = ['bag', 'flight'];

/** A link to a player's view. Between views of a bag, the bag and the air it is read in go along. */
export function viewLink(name: string, playerId: string, here: { name?: unknown; params: RouteParams; query: LocationQuery }): RouteLocationRaw {
  const along = OF_A_BAG.includes(name) && typeof here.name === 'string' && OF_A_BAG.includes(here.name);
  return { name, params: { playerId, ...(along && here.params.bagId && { bagId: here.params.bagId }) }, query: along ? settingPart(here.query) : {} };
}
