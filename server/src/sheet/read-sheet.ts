import { createHash } from 'node:crypto';
import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import type { ClubView, DifferenceView, ReadingView, SheetView } from '@tasche/contract';
import { specDifferences, type Spec } from '@tasche/core';
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import { changeView, type Change } from '../changes/change.js';
import { LRUCache } from 'lru-cache';
import { notFound } from '../http/refusal.js';
import { callInWorkspace } from '../workspaces/in-workspace.js';

/** A sheet as bytes, packed for the wire and plain, and a tag of its contents for browsers that have it already. */
export interface KnownSheet {
  text: Buffer;
  packed: Buffer;
  etag: string;
}

const pack = promisify(gzip);

/** Sheets as they were last read. Every use asks the database first whether they are still the newest, so many servers may share one. */
const known = new LRUCache<string, KnownSheet & { revision: string }>({ max: 500, maxSize: 64_000_000, sizeCalculation: ({ text, packed }) => text.length + packed.length });

/**
 * What `readSheetText` gives, as bytes; read anew only when a change has been made since.
 * @throws Refusal 404
 */
export async function knownSheetText(orm: MikroORM, workspaceId: string, playerId: string, asOf: string | null): Promise<KnownSheet> {
  const revision = await revisionOf(orm, workspaceId, playerId);
  if (revision === null) throw notFound('player');
  const key = `${workspaceId} ${playerId} ${asOf ?? ''}`;
  const standing = known.get(key);
  if (standing?.revision === revision) return standing;
  const text = Buffer.from(await readSheetText(orm, workspaceId, playerId, asOf));
  // A change may have come between the two questions: the older number only makes the next reader ask again.
  const sheet = { revision, text, packed: await pack(text), etag: `"${createHash('sha256').update(text).digest('base64url')}"` };
  known.set(key, sheet);
  return sheet;
}

/** Questions for a player's revision that wait for the one on its way; all of them share the next. */
const nextQuestion = new Map<string, { running: Promise<unknown>; next?: Promise<string | null> }>();

/**
 * The number of a player's newest state. Whoever asks while a question is on its way waits for the one after it, so that many readers
 * cost one query and none is told of a state older than its own asking.
 */
function revisionOf(orm: MikroORM, workspaceId: string, playerId: string): Promise<string | null> {
  const key = `${workspaceId} ${playerId}`;
  const ask = () => callInWorkspace<string | null>(orm, workspaceId, 'sheet_revision', [playerId]);
  const standing = nextQuestion.get(key);
  if (standing) return standing.next ??= standing.running.then(() => start(), () => start());
  return start();

  function start(): Promise<string | null> {
    const running = ask();
    const entry = { running };
    nextQuestion.set(key, entry);
    const leave = () => { if (nextQuestion.get(key) === entry && !('next' in entry)) nextQuestion.delete(key); };
    running.then(leave, leave);
    return running;
  }
}

/**
 * A player's locker, bags and plans as JSON text of a SheetView; with a day, the specs as they stood at its end.
 * PostgreSQL writes the whole of it (`sheet_text`, made by the first migration): this is the page everyone waits for.
 * @throws Refusal 404
 */
export async function readSheetText(orm: MikroORM, workspaceId: string, playerId: string, asOf: string | null): Promise<string> {
  const text = await callInWorkspace<string | null>(orm, workspaceId, 'sheet_text', [playerId, asOf]);
  if (text === null) throw notFound('player');
  return text;
}

/** The same, read. */
export async function readSheet(orm: MikroORM, workspaceId: string, playerId: string, asOf: string | null): Promise<SheetView> {
  return JSON.parse(await readSheetText(orm, workspaceId, playerId, asOf)) as SheetView;
}

/** The newest changes of a player; undone ones too, marked, but not the undoing itself. */
export async function readChanges(em: EntityManager, playerId: string, limit: number, before?: string) {
  const rows = await em.execute<Omit<Change, 'images' | 'workspaceId'>[]>(
    `select id, player_id as "playerId", at, who, why, summary, undoes_id as "undoesId", undone_by_id as "undoneById"
     from change where player_id = ? and undoes_id is null and at < ? order by at desc, id limit ?`,
    [playerId, before ?? '2999-01-01', limit]);
  return rows.map(changeView);
}

/** Every reading of a club, newest first. */
export async function readReadings(em: EntityManager, clubId: string, limit: number): Promise<ReadingView[]> {
  return em.execute<ReadingView[]>(
    `select reading.id, club_id as "clubId", key, value, taken_on::text as "takenOn", recorded_at as "recordedAt",
       change.who, change.why, reading.removed_at is not null as undone
     from reading join change on change.id = reading.change_id
     where club_id = ? order by taken_on desc, seq desc limit ?`, [clubId, limit]);
}

/** What changed in a player's specs between the ends of two days: one query. */
export async function readDifferences(em: EntityManager, playerId: string, from: string, to: string): Promise<DifferenceView[]> {
  const rows = await em.execute<{ id: string; name: string; before: Spec; after: Spec }[]>(
    `select id, name, spec_as_of(id, ?) as before, spec_as_of(id, ?) as after from club
     where player_id = ? and removed_at is null order by place limit 500`, [from, to, playerId]);
  return rows.flatMap((club) => specDifferences(club.before, club.after).map(({ key, before, after }): DifferenceView =>
    ({ clubId: club.id, clubName: club.name, key, before: before ?? null, after: after ?? null })));
}

/** The clubs of one bag in its order, or the whole locker. */
export function clubsOf(sheet: SheetView, bagId: string | undefined): ClubView[] {
  if (bagId === undefined) return [...sheet.clubs];
  const bag = sheet.bags.find((one) => one.id === bagId);
  if (!bag) throw notFound('bag');
  return bag.clubIds.flatMap((id) => sheet.clubs.find((club) => club.id === id) ?? []);
}
