import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** A rep's van, or one player: every other row hangs on one. */
export const Workspace = defineEntity({
  name: 'Workspace',
  tableName: 'workspace',
  properties: {
    id: p.uuid().primary(),
    name: p.text(),
    /** Who signs changes until people sign in by themselves. */
    person: p.text(),
    /** When the demo data was put in, once and for all; null where none is. */
    demoLoadedAt: p.datetime().nullable(),
    createdAt: p.datetime().onCreate(() => new Date()),
  },
});
export type Workspace = InferEntity<typeof Workspace>;

/** Put on every entity of a workspace, so that no query of the ORM can look past it. */
export const workspaceFilter = {
  workspace: { name: 'workspace', cond: (args: { id: string }) => ({ workspaceId: args.id }), default: true },
};
