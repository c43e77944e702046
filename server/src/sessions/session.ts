import type { Conditions, Surface } from '@tasche/core';
import type { Aim, BasketLine, HitOff, SessionView } from '@tasche/contract';
import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import { REMOVED, rowView } from '../database/row-view.js';
import { Player } from '../players/player.js';
import { Workspace, workspaceFilter } from '../workspaces/workspace.js';

/** Where the strikes of a session are from until a monitor or a file brings some. */
export const BY_HAND = 'by hand';

/** A range session: where, when, in what air, off what. */
export const Session = defineEntity({
  name: 'Session',
  tableName: 'session',
  filters: workspaceFilter,
  properties: {
    id: p.uuid().primary(),
    workspaceId: p.manyToOne(Workspace).mapToPk(),
    playerId: p.manyToOne(Player).mapToPk(),
    name: p.text(),
    heldOn: p.date(),
    conditions: p.json<Conditions>(),
    surface: p.json<Surface>(),
    hitOff: p.text().$type<HitOff>(),
    ball: p.text(),
    notes: p.text(),
    source: p.text(),
    live: p.boolean(),
    aim: p.json<Aim>().nullable(),
    basket: p.json<readonly BasketLine[]>().nullable(),
    version: p.integer(),
    removedAt: p.datetime().nullable(),
  },
});
export type Session = InferEntity<typeof Session>;

export const sessionView = rowView<SessionView>()(Session, { removed: REMOVED });
