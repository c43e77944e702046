import type { TicketView, WishDetails, WishView } from '@tasche/contract';
import type { BenchJob, BenchValue, Miss, TicketState } from '@tasche/core';
import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import { REMOVED, rowView } from '../database/row-view.js';
import { Club } from '../clubs/club.js';
import { Event } from '../schedule/schedule-rows.js';
import { Player } from '../players/player.js';
import { Workspace, workspaceFilter } from '../workspaces/workspace.js';

/** A job for the bench. */
export const Ticket = defineEntity({
  name: 'Ticket',
  tableName: 'ticket',
  filters: workspaceFilter,
  properties: {
    id: p.uuid().primary(),
    workspaceId: p.manyToOne(Workspace).mapToPk(),
    playerId: p.manyToOne(Player).mapToPk(),
    clubId: p.manyToOne(Club).mapToPk(),
    name: p.text(),
    job: p.text().$type<BenchJob>(),
    wanted: p.json<BenchValue[]>(),
    why: p.text(),
    eventId: p.manyToOne(Event).mapToPk().nullable(),
    dueOn: p.date().nullable(),
    state: p.text().$type<TicketState>(),
    became: p.json<BenchValue[]>(),
    misses: p.json<Miss[]>(),
    doneOn: p.date().nullable(),
    version: p.integer(),
    removedAt: p.datetime().nullable(),
  },
});
export type Ticket = InferEntity<typeof Ticket>;

/** Something to buy, fit, learn or repair. */
export const Wish = defineEntity({
  name: 'Wish',
  tableName: 'wish',
  filters: workspaceFilter,
  properties: {
    id: p.uuid().primary(),
    workspaceId: p.manyToOne(Workspace).mapToPk(),
    playerId: p.manyToOne(Player).mapToPk(),
    name: p.text(),
    purpose: p.text().$type<WishDetails['purpose']>(),
    state: p.text().$type<WishDetails['state']>(),
    price: p.float().nullable(),
    club: p.json<NonNullable<WishDetails['club']>>().nullable(),
    clubId: p.manyToOne(Club).mapToPk().nullable(),
    expected: p.json<NonNullable<WishDetails['expected']>>().nullable(),
    boughtOn: p.date().nullable(),
    notes: p.text(),
    version: p.integer(),
    removedAt: p.datetime().nullable(),
  },
});
export type Wish = InferEntity<typeof Wish>;

export const ticketView = rowView<TicketView>()(Ticket, { removed: REMOVED });
export const wishView = rowView<WishView>()(Wish, { removed: REMOVED });
