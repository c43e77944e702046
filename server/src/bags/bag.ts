import type { BagView } from '@tasche/contract';
import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import { workspaceFilter } from '../workspaces/workspace.js';

export const Bag = defineEntity({
  name: 'Bag',
  tableName: 'bag',
  filters: workspaceFilter,
  properties: {
    id: p.uuid().primary(),
    workspaceId: p.uuid(),
    playerId: p.uuid(),
    planId: p.uuid().nullable(),
    name: p.text(),
    note: p.text(),
    ready: p.boolean(),
    gamer: p.boolean(),
    version: p.integer(),
    removedAt: p.datetime().nullable(),
  },
});
export type Bag = InferEntity<typeof Bag>;

/** A club's place in a bag; the database keeps it to one. */
export const BagClub = defineEntity({
  name: 'BagClub',
  tableName: 'bag_club',
  filters: workspaceFilter,
  properties: {
    id: p.uuid().primary(),
    workspaceId: p.uuid(),
    bagId: p.uuid(),
    clubId: p.uuid(),
    place: p.integer(),
  },
});
export type BagClub = InferEntity<typeof BagClub>;

export function bagView(bag: Bag, clubIds: readonly string[]): BagView {
  const { id, playerId, version, name, note, ready, gamer } = bag;
  return {
    id,
    playerId,
    version,
    name,
    note,
    ready,
    gamer,
    planId: bag.planId ?? null,
    clubIds,
    removed: bag.removedAt != null,
  };
}
