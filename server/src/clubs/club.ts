import type { ClubKind, ReadingKey, ReadingValue, Spec } from '@tasche/core';
import type { ClubView } from '@tasche/contract';
import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import { REMOVED, rowView } from '../database/row-view.js';
import { Change } from '../changes/change.js';
import { Player } from '../players/player.js';
import { Workspace, workspaceFilter } from '../workspaces/workspace.js';

export const Club = defineEntity({
  name: 'Club',
  tableName: 'club',
  filters: workspaceFilter,
  properties: {
    id: p.uuid().primary(),
    workspaceId: p.manyToOne(Workspace).mapToPk(),
    playerId: p.manyToOne(Player).mapToPk(),
    name: p.text(),
    kind: p.text().$type<ClubKind>(),
    /**
     * The readings in force now, kept beside them so that a sheet needs no history; only `refreshSpecs` writes
     * it.
     */
    spec: p.json<Spec>(),
    version: p.integer(),
    removedAt: p.datetime().nullable(),
  },
});
export type Club = InferEntity<typeof Club>;

/** One dated fact about a club. Only ever added; undoing the change that brought it withdraws it. */
export const ReadingRow = defineEntity({
  name: 'Reading',
  tableName: 'reading',
  filters: workspaceFilter,
  properties: {
    id: p.uuid().primary(),
    workspaceId: p.manyToOne(Workspace).mapToPk(),
    clubId: p.manyToOne(Club).mapToPk(),
    changeId: p.manyToOne(Change).mapToPk(),
    key: p.text().$type<ReadingKey>(),
    value: p.json<ReadingValue>().nullable(),
    takenOn: p.date(),
  },
});

export const clubView = rowView<ClubView>()(Club, { removed: REMOVED });

/** The same with the specs of another day: an SQL expression. */
export const clubJsonWith = (spec: string) =>
  rowView<ClubView>()(Club, { removed: REMOVED, spec: { of: () => null, sql: spec } }).json;
