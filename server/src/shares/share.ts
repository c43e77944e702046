import type { SharedPaper } from '@tasche/contract';
import { Player } from '../players/player.js';
import { Workspace } from '../workspaces/workspace.js';
import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** A link to a paper, for anyone who has it, until it ends. */
export const Share = defineEntity({
  name: 'Share',
  tableName: 'share',
  properties: {
    id: p.uuid().primary(),
    keyHash: p.text(),
    workspaceId: p.manyToOne(Workspace).mapToPk(),
    playerId: p.manyToOne(Player).mapToPk(),
    paper: p.text().$type<SharedPaper>(),
    /** Which of a player's. */
    question: p.json<{ planId?: string; clubId?: string }>(),
    name: p.text(),
    madeBy: p.text(),
    madeAt: p.datetime().onCreate(() => new Date()),
    expiresAt: p.datetime(),
    revokedAt: p.datetime().nullable(),
  },
});
export type Share = InferEntity<typeof Share>;
