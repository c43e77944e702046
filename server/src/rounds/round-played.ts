import type { RoundAfter, RoundPlayedView } from '@tasche/contract';
import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import { REMOVED, rowView } from '../database/row-view.js';
import { Bag } from '../bags/bag.js';
import { Course } from '../schedule/schedule-rows.js';
import { Player } from '../players/player.js';
import { Workspace, workspaceFilter } from '../workspaces/workspace.js';

/** A round played outside any event, as somebody wrote it down. */
export const RoundPlayed = defineEntity({
  name: 'RoundPlayed',
  tableName: 'round_played',
  filters: workspaceFilter,
  properties: {
    id: p.uuid().primary(),
    workspaceId: p.manyToOne(Workspace).mapToPk(),
    playerId: p.manyToOne(Player).mapToPk(),
    playedOn: p.date(),
    name: p.text(),
    courseId: p.manyToOne(Course).mapToPk().nullable(),
    bagId: p.manyToOne(Bag).mapToPk().nullable(),
    after: p.json<RoundAfter>(),
    version: p.integer(),
    removedAt: p.datetime().nullable(),
  },
});
export type RoundPlayed = InferEntity<typeof RoundPlayed>;

export const roundPlayedView = rowView<RoundPlayedView>()(RoundPlayed, { removed: REMOVED });
