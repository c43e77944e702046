import type { Conditions, Surface } from '@tasche/core';
import type { PlaceView } from '@tasche/contract';
import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { EntityManager } from '@mikro-orm/postgresql';
import { workspaceFilter } from '../workspaces/workspace.js';

/** A course in a season: the air and ground a ladder may be read in. */
export const Place = defineEntity({
  name: 'Place',
  tableName: 'place',
  filters: workspaceFilter,
  properties: {
    id: p.uuid().primary(),
    workspaceId: p.uuid(),
    course: p.text(),
    season: p.text(),
    conditions: p.json<Conditions>(),
    surface: p.json<Surface>(),
    place: p.integer(),
  },
});
export type Place = InferEntity<typeof Place>;

const MOST_PLACES = 200;

/** The workspace's places, in the order they were written down. */
export async function readPlaces(em: EntityManager): Promise<PlaceView[]> {
  const places = await em.find(Place, {}, { orderBy: { place: 'asc' }, limit: MOST_PLACES });
  return places.map(({ id, course, season, conditions, surface }) => ({ id, course, season, conditions, surface }));
}
