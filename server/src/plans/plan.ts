import type { Swap } from '@tasche/core';
import type { PlanChoosing, PlanRound, PlanView } from '@tasche/contract';
import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import { workspaceFilter } from '../workspaces/workspace.js';

export const Plan = defineEntity({
  name: 'Plan',
  tableName: 'plan',
  filters: workspaceFilter,
  properties: {
    id: p.uuid().primary(),
    workspaceId: p.uuid(),
    playerId: p.uuid(),
    bagId: p.uuid(),
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
    eventId: p.uuid().nullable(),
    rounds: p.json<PlanRound[]>(),
    version: p.integer(),
    removedAt: p.datetime().nullable(),
  },
});
export type Plan = InferEntity<typeof Plan>;

export function planView(plan: Plan): PlanView {
  const {
    id,
    playerId,
    version,
    bagId,
    name,
    course,
    startsOn,
    endsOn,
    ground,
    weather,
    baseClubIds,
    swaps,
    rounds,
  } = plan;
  return {
    id,
    playerId,
    version,
    bagId,
    name,
    course,
    startsOn,
    endsOn,
    ground,
    weather,
    baseClubIds,
    swaps,
    choosing: plan.choosing ?? null,
    eventId: plan.eventId ?? null,
    rounds,
    removed: plan.removedAt != null,
  };
}
