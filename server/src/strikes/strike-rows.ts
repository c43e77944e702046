import type { ClubMatch, FileMapping as MappedColumns } from '@tasche/contract';
import type { ShotKind } from '@tasche/core';
import { LockMode, defineEntity, p, type EntityManager, type InferEntity } from '@mikro-orm/postgresql';
import type { StrikeMark } from '../changes/change-recorder.js';
import { Change } from '../changes/change.js';
import { Club } from '../clubs/club.js';
import { Session } from '../sessions/session.js';
import { Workspace, workspaceFilter } from '../workspaces/workspace.js';

/**
 * One ball of a session. What was measured of it is not here: ten thousand balls are written and read as lists
 * and as JSON text, past the ORM (`insert-strikes.ts`, `read-strikes.ts`).
 */
export const StrikeRow = defineEntity({
  name: 'Strike',
  tableName: 'strike',
  filters: workspaceFilter,
  properties: {
    sessionId: p.manyToOne(Session).mapToPk().primary(),
    /** Counts up as balls are committed. */
    arrival: p.bigint('number').primary(),
    id: p.uuid(),
    workspaceId: p.manyToOne(Workspace).mapToPk(),
    clubId: p.manyToOne(Club).mapToPk().nullable(),
    shot: p.text().$type<ShotKind>(),
    number: p.integer(),
    leftOut: p.text().nullable(),
    changeId: p.manyToOne(Change).mapToPk().nullable(),
    removedAt: p.datetime().nullable(),
  },
});
export type StrikeRow = InferEntity<typeof StrikeRow>;

/** What a monitor sent that could not be taken, to be looked at by a person. */
export const SetAside = defineEntity({
  name: 'SetAside',
  tableName: 'set_aside',
  filters: workspaceFilter,
  properties: {
    id: p.bigint('number').primary(),
    workspaceId: p.manyToOne(Workspace).mapToPk(),
    /** None where no session was open for it. */
    sessionId: p.manyToOne(Session).mapToPk().nullable(),
    deviceKey: p.text().nullable(),
    at: p.datetime(),
    text: p.text(),
    reason: p.text(),
  },
});
export type SetAside = InferEntity<typeof SetAside>;

/** How the files of one source are read: which column is what, and which label which club. */
export const FileMapping = defineEntity({
  name: 'FileMapping',
  tableName: 'file_mapping',
  filters: workspaceFilter,
  properties: {
    workspaceId: p.manyToOne(Workspace).mapToPk().primary(),
    /** What its files are known by: their heads. */
    headsKey: p.text().primary(),
    mapping: p.json<MappedColumns>(),
    clubs: p.json<Readonly<Record<string, ClubMatch>>>(),
    usedAt: p.datetime(),
  },
});

/**
 * What balls of a session are marked as now, locked until the change is done.
 * @param which those that were taken back too, or only those that stand
 */
export async function lockMarks(
  em: EntityManager,
  sessionId: string,
  ids: readonly string[],
  which: 'all' | 'standing',
): Promise<StrikeMark[]> {
  const rows = await em.find(
    StrikeRow,
    { sessionId, id: { $in: [...ids] }, ...(which === 'standing' && { removedAt: null }) },
    { orderBy: { id: 'asc' }, limit: ids.length, lockMode: LockMode.PESSIMISTIC_WRITE, refresh: true },
  );
  return rows.map(({ id, clubId, shot, leftOut }) => ({
    id,
    clubId: clubId ?? null,
    shot,
    leftOut: leftOut ?? null,
  }));
}
