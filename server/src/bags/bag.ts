import type { BagView } from '@tasche/contract';
import type { GappingStrategyId } from '@tasche/core';
import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import { REMOVED, rowView } from '../database/row-view.js';
import { Club } from '../clubs/club.js';
import { Player } from '../players/player.js';
import { Workspace, workspaceFilter } from '../workspaces/workspace.js';

export const Bag = defineEntity({
  name: 'Bag',
  tableName: 'bag',
  filters: workspaceFilter,
  properties: {
    id: p.uuid().primary(),
    workspaceId: p.manyToOne(Workspace).mapToPk(),
    playerId: p.manyToOne(Player).mapToPk(),
    /** A plan declares its bag; this is the way back. */
    planId: p.uuid().nullable(),
    name: p.text(),
    note: p.text(),
    ready: p.boolean(),
    gamer: p.boolean(),
    strategy: p.text().$type<GappingStrategyId>(),
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
    workspaceId: p.manyToOne(Workspace).mapToPk(),
    bagId: p.manyToOne(Bag).mapToPk(),
    clubId: p.manyToOne(Club).mapToPk(),
    place: p.integer(),
  },
});
export type BagClub = InferEntity<typeof BagClub>;

/** Its clubs stand in rows of their own. */
const ownFields = rowView<Omit<BagView, 'clubIds'>>()(Bag, { removed: REMOVED });

export const bagView = {
  of: (bag: Bag, clubIds: readonly string[]): BagView => ({ ...ownFields.of(bag), clubIds }),
  json: `(${ownFields.json}::jsonb || jsonb_build_object('clubIds',
    (select coalesce(jsonb_agg(club_id order by bag_club.place, bag_club.id), '[]') from bag_club where bag_id = bag.id)))`,
};
