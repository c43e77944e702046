import type { ChangeView } from '@tasche/contract';
import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import { Person } from '../people/person.js';
import { Player } from '../players/player.js';
import { Workspace, workspaceFilter } from '../workspaces/workspace.js';
import type { RowDiff } from './change-recorder.js';

/** One thing done: who, when, why, and what it was before, so that it can be undone. */
export const Change = defineEntity({
  name: 'Change',
  tableName: 'change',
  filters: workspaceFilter,
  properties: {
    id: p.uuid().primary(),
    workspaceId: p.manyToOne(Workspace).mapToPk(),
    playerId: p.manyToOne(Player).mapToPk().nullable(),
    at: p.datetime(),
    who: p.text(),
    /** Whose account it was done by; null where nobody signed in. */
    personId: p.manyToOne(Person).mapToPk().nullable(),
    why: p.text(),
    summary: p.text(),
    /**
     * A list of RowDiff, in the column `images`; the ORM's types do not carry unions, so `rowDiffsOf` reads it.
     */
    rowDiffs: p.json<object>().fieldName('images'),
    /** What an import answered, so that it can be answered again. */
    report: p.json<object>().nullable(),
    undoesId: p.uuid().nullable(),
    undoneById: p.uuid().nullable(),
  },
});
export type Change = InferEntity<typeof Change>;

export function rowDiffsOf(change: Pick<Change, 'rowDiffs'>): RowDiff[] {
  return change.rowDiffs as RowDiff[];
}

/** A change as a list of changes reads it. */
export type ChangeRow = Omit<Change, 'rowDiffs' | 'workspaceId' | 'personId' | 'report'>;

export function changeView(change: ChangeRow): ChangeView {
  const { id, at, who, why, summary } = change;
  return {
    id,
    playerId: change.playerId ?? null,
    at: new Date(at).toISOString(),
    who,
    why,
    summary,
    undoes: change.undoesId ?? null,
    undone: change.undoneById != null,
  };
}
