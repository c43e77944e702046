import type { Conditions, DistanceUnit, GapSettings } from '@tasche/core';
import type { Hand, PlayerView } from '@tasche/contract';
import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import { workspaceFilter } from '../workspaces/workspace.js';

export const Player = defineEntity({
  name: 'Player',
  tableName: 'player',
  filters: workspaceFilter,
  properties: {
    id: p.uuid().primary(),
    workspaceId: p.uuid(),
    name: p.text(),
    hand: p.text().$type<Hand>(),
    distanceUnit: p.text().$type<DistanceUnit>(),
    notes: p.text(),
    handicap: p.float().nullable(),
    gapSettings: p.json<Partial<GapSettings>>(),
    baseline: p.json<Conditions>().nullable(),
    archived: p.boolean(),
    version: p.integer(),
    removedAt: p.datetime().nullable(),
  },
});
export type Player = InferEntity<typeof Player>;

export function playerView(player: Player): PlayerView {
  const { id, version, name, hand, distanceUnit, notes, handicap, gapSettings, baseline, archived } = player;
  return {
    id,
    version,
    name,
    hand,
    distanceUnit,
    notes,
    handicap: handicap ?? null,
    gapSettings,
    baseline: baseline ?? null,
    archived: archived || player.removedAt != null,
  };
}
