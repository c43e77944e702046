import type { Swap } from '@tasche/core';
import type { PlanChoosing, PlanRound, PlanView } from '@tasche/contract';
import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import { REMOVED, rowView } from '../database/row-view.js';
import { Bag } from '../bags/bag.js';
import { Event } from '../schedule/schedule-rows.js';
import { Player } from '../players/player.js';
import { Workspace, workspaceFilter } from '../workspaces/workspace.js';

export const Plan = defineEntity({
  name: 'Plan',
  tableName: 'plan',
  filters: workspaceFilter,
  properties: {
    id: p.uuid().primary(),
    workspaceId: p.manyToOne(Workspace).mapToPk(),
    playerId: p.manyToOne(Player).mapToPk(),
    bagId: p.manyToOne(Bag).mapToPk(),
    name: p.text(),
    course: p.text(),
    startsOn: p.date(),
    endsOn: p.date(),
    ground: p.text(),
    weather: p.text(),
    /** The gamer's clubs on the day the plan was made. */
    baseClubIds: p.json<string[]>(),
    swaps: p.json<Swap[]>(),
    choosing: p.json<PlanChoosing>().nullable(),
    eventId: p.manyToOne(Event).mapToPk().nullable(),
    rounds: p.json<PlanRound[]>(),
    version: p.integer(),
    removedAt: p.datetime().nullable(),
  },
});
export type Plan = InferEntity<typeof Plan>;

export const planView = rowView<PlanView>()(Plan, { removed: REMOVED });
