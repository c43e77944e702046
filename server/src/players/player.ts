import type { BagPreferences, Conditions, DistanceUnit, GapSettings } from '@tasche/core';
import type { BallInPlay, Hand, PlayerSeason, PlayerView } from '@tasche/contract';
import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import { rowView } from '../database/row-view.js';
import { Workspace, workspaceFilter } from '../workspaces/workspace.js';

export const Player = defineEntity({
  name: 'Player',
  tableName: 'player',
  filters: workspaceFilter,
  properties: {
    id: p.uuid().primary(),
    workspaceId: p.manyToOne(Workspace).mapToPk(),
    name: p.text(),
    hand: p.text().$type<Hand>(),
    distanceUnit: p.text().$type<DistanceUnit>(),
    notes: p.text(),
    handicap: p.float().nullable(),
    gapSettings: p.json<Partial<GapSettings>>(),
    baseline: p.json<Conditions>().nullable(),
    preferences: p.json<Partial<BagPreferences>>().nullable(),
    balls: p.json<BallInPlay[]>(),
    season: p.json<PlayerSeason>().nullable(),
    archived: p.boolean(),
    version: p.integer(),
    removedAt: p.datetime().nullable(),
  },
});
export type Player = InferEntity<typeof Player>;

/** A player who was taken away is shown as archived. */
export const playerView = rowView<PlayerView>()(Player, {
  archived: {
    of: ({ archived, removedAt }) => archived || removedAt != null,
    sql: 'archived or removed_at is not null',
  },
});
