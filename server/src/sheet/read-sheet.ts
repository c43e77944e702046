import type {
  BagView,
  ChangeView,
  ClubView,
  DifferenceView,
  Page,
  PlanView,
  PlansPage,
  ReadingView,
  SheetView,
} from '@tasche/contract';
import { specDifferences, type Spec } from '@tasche/core';
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import type { Request, Response } from 'express';
import { LRUCache } from 'lru-cache';
import { bagView } from '../bags/bag.js';
import { changeView, type ChangeRow } from '../changes/change.js';
import { perDatabase } from '../database/per-database.js';
import type { DayCursor, IdCursor, MomentCursor } from '../http/cursors.js';
import { knownText, type KnownText } from '../http/known-text.js';
import type { RouteContext } from '../http/route-context.js';
import { sendKnownText } from '../http/send-known-text.js';
import { notFound } from '../http/http-error.js';
import { planView } from '../plans/plan.js';
import { callInWorkspace, inWorkspace, sightKey, type Sight } from '../workspaces/in-workspace.js';

/**
 * What `readSheetText` gives, as bytes; read again only when a change has been made since.
 * @throws HttpError 404
 */
export async function knownSheetText(
  orm: MikroORM,
  sight: Sight,
  playerId: string,
  asOf: string | null,
): Promise<KnownText> {
  const revision = await revisionOf(orm, sight, playerId);
  if (revision === null) throw notFound('player');
  return knownText(orm, `sheet ${sightKey(sight)} ${playerId} ${asOf ?? ''}`, revision, () =>
    readSheetText(orm, sight, playerId, asOf),
  );
}

/** Answers with something that only a change of the player's can change. */
export function answerOfPlayer({ orm, scopeOf }: Pick<RouteContext, 'orm' | 'scopeOf'>) {
  return async (
    request: Request,
    response: Response,
    playerId: string,
    what: string,
    read: (em: EntityManager) => Promise<unknown>,
  ): Promise<void> => {
    const sight = await scopeOf(request);
    sendKnownText(request, response, await knownOfPlayer(orm, sight, playerId, what, read));
  };
}

/** The owner of a club, as seen by one person: that never changes. */
const owners = perDatabase(() => new LRUCache<string, string>({ max: 20_000 }));

/**
 * Answers with something of a club that only a change of its player's can change.
 * @param none what is answered of a club that is not here, where that is no mistake
 */
export function answerOfClub({ orm, scopeOf }: Pick<RouteContext, 'orm' | 'scopeOf'>) {
  return async (
    request: Request,
    response: Response,
    clubId: string,
    what: string,
    read: (em: EntityManager) => Promise<unknown>,
    none?: object,
  ): Promise<void> => {
    const sight = await scopeOf(request);
    const key = `${sightKey(sight)} ${clubId}`;
    const playerId = owners(orm.em).get(key) ?? (await inWorkspace(orm, sight, (em) => ownerOf(em, clubId)));
    if (playerId === undefined) {
      if (!none) throw notFound('club');
      response.json(none);
      return;
    }
    owners(orm.em).set(key, playerId);
    sendKnownText(request, response, await knownOfPlayer(orm, sight, playerId, `${what} ${clubId}`, read));
  };
}

async function ownerOf(em: EntityManager, clubId: string): Promise<string | undefined> {
  const [club] = await em.execute<{ playerId: string }[]>(
    'select player_id as "playerId" from club where id = ?',
    [clubId],
  );
  return club?.playerId;
}

/**
 * Something else that only a change of the player's can change, packed; read again only when one has been made
 * since.
 * @param what it is, its question with it
 * @throws HttpError 404 where there is no such player
 */
async function knownOfPlayer(
  orm: MikroORM,
  sight: Sight,
  playerId: string,
  what: string,
  read: (em: EntityManager) => Promise<unknown>,
): Promise<KnownText> {
  const revision = await revisionOf(orm, sight, playerId);
  if (revision === null) throw notFound('player');
  return knownText(orm, `${what} ${sightKey(sight)} ${playerId}`, revision, async () =>
    JSON.stringify(await inWorkspace(orm, sight, read)),
  );
}

/** Questions for a player's revision that wait for the one on its way; all of them share the next. */
const nextQuestion = perDatabase(
  () => new Map<string, { running: Promise<unknown>; next?: Promise<string | null> }>(),
);

/**
 * The number of a player's newest state. A reader who asks during a query waits for the next one, so that many
 * readers cost one query and none is told of a state older than its own asking.
 */
function revisionOf(orm: MikroORM, sight: Sight, playerId: string): Promise<string | null> {
  const key = `${sightKey(sight)} ${playerId}`;
  const ask = () => callInWorkspace<string | null>(orm, sight, 'sheet_revision', [playerId]);
  const questions = nextQuestion(orm.em);
  const standing = questions.get(key);
  if (standing)
    return (standing.next ??= standing.running.then(
      () => start(),
      () => start(),
    ));
  return start();

  function start(): Promise<string | null> {
    const running = ask();
    const entry = { running };
    questions.set(key, entry);
    const leave = () => {
      if (questions.get(key) === entry && !('next' in entry)) questions.delete(key);
    };
    running.then(leave, leave);
    return running;
  }
}

/**
 * A player's locker, bags and plans as JSON text of a SheetView; with a day, the specs as they stood at its
 * end. PostgreSQL writes the whole of it (`sheet_text`): this is the page everyone waits for.
 * @throws HttpError 404
 */
async function readSheetText(
  orm: MikroORM,
  sight: Sight,
  playerId: string,
  asOf: string | null,
): Promise<string> {
  const text = await callInWorkspace<string | null>(orm, sight, 'sheet_text', [playerId, asOf]);
  if (text === null) throw notFound('player');
  return text;
}

/** The same, read. */
export async function readSheet(
  orm: MikroORM,
  sight: Sight,
  playerId: string,
  asOf: string | null,
): Promise<SheetView> {
  return JSON.parse(await readSheetText(orm, sight, playerId, asOf)) as SheetView;
}

/** One page of a player's changes, the newest first; undone ones too, marked, but not the undoing itself. */
export async function readChanges(
  em: EntityManager,
  playerId: string,
  limit: number,
  before?: MomentCursor,
): Promise<Page<ChangeView>> {
  const [count] = await em.execute<{ total: number }[]>(
    'select count(*)::int as total from change where player_id = ? and undoes_id is null',
    [playerId],
  );
  const found = await em.execute<(ChangeRow & { cursorAt: string })[]>(
    `select id, player_id as "playerId", at, who, why, summary, undoes_id as "undoesId",
      undone_by_id as "undoneById",
       to_char(at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') as "cursorAt"
     from change where player_id = ?
       and undoes_id is null ${before ? 'and (at < ?::timestamptz or (at = ?::timestamptz and id > ?))' : ''}
     order by at desc, id limit ?`,
    [playerId, ...(before ? [before.at, before.at, before.id] : []), limit + 1],
  );
  const rows = found.slice(0, limit);
  const last = rows.at(-1);
  return {
    rows: rows.map(changeView),
    total: count!.total,
    next: found.length > limit && last ? `${last.cursorAt}_${last.id}` : null,
  };
}

/** One page of a club's readings, the newest first. */
export async function readReadings(
  em: EntityManager,
  clubId: string,
  limit: number,
  before?: DayCursor,
): Promise<Page<ReadingView>> {
  const [count] = await em.execute<{ total: number }[]>(
    'select count(*)::int as total from reading where club_id = ?',
    [clubId],
  );
  const found = await em.execute<(ReadingView & { cursorSeq: string })[]>(
    `select reading.id, club_id as "clubId", key, value, taken_on::text as "takenOn",
      recorded_at as "recordedAt",
       change.who, change.why, reading.removed_at is not null as undone, reading.seq::text as "cursorSeq"
     from reading join change on change.id = reading.change_id
     where club_id = ? ${before ? 'and (taken_on, seq) < (?::date, ?::bigint)' : ''}
       order by reading.taken_on desc, reading.seq desc limit ?`,
    [clubId, ...(before ? [before.day, before.seq] : []), limit + 1],
  );
  const rows = found.slice(0, limit);
  const last = rows.at(-1);
  return {
    rows: rows.map(({ cursorSeq: _seq, ...row }) => row),
    total: count!.total,
    next: found.length > limit && last ? `${last.takenOn}_${last.cursorSeq}` : null,
  };
}

/**
 * One page of a player's plans, the newest first, with the bags that belong to them; written by PostgreSQL,
 * as a sheet is.
 */
export async function readPlans(
  em: EntityManager,
  playerId: string,
  limit: number,
  after?: IdCursor,
): Promise<PlansPage> {
  const [row] = await em.execute<
    { page: { rows: PlanView[]; bags: BagView[]; total: number; more: boolean } }[]
  >(
    `with found as materialized (
       select * from plan where player_id = ? and removed_at is null
         ${after ? 'and (starts_on < ?::date or (starts_on = ?::date and id > ?::uuid))' : ''}
           order by starts_on desc, id limit ?),
       shown as (select * from found order by starts_on desc, id limit ?)
     select json_build_object(
       'rows', (select coalesce(json_agg(${planView.json} order by starts_on desc, id), '[]') from shown),
       'bags', (select coalesce(json_agg(${bagView.json} order by place), '[]') from bag
                where player_id = ? and removed_at is null and plan_id in (select id from shown)),
       'total', (select count(*) from plan where player_id = ? and removed_at is null),
       'more', (select count(*) > ? from found)) as page`,
    [
      playerId,
      ...(after ? [after.day, after.day, after.id] : []),
      limit + 1,
      limit,
      playerId,
      playerId,
      limit,
    ],
  );
  const { rows, bags, total, more } = row!.page;
  const last = rows.at(-1);
  return { rows, bags, total, next: more && last ? `${last.startsOn}_${last.id}` : null };
}

/** What changed in a player's specs between the ends of two days: one query. */
export async function readDifferences(
  em: EntityManager,
  playerId: string,
  from: string,
  to: string,
): Promise<DifferenceView[]> {
  const rows = await em.execute<{ id: string; name: string; before: Spec; after: Spec }[]>(
    `select id, name, spec_as_of(id, ?) as before, spec_as_of(id, ?) as after from club
     where player_id = ? and removed_at is null order by place`,
    [from, to, playerId],
  );
  const differences = rows.flatMap((club) =>
    specDifferences(club.before, club.after).map(({ key, before, after }) => ({
      clubId: club.id,
      clubName: club.name,
      key,
      before: before ?? null,
      after: after ?? null,
    })),
  );
  const made = await em.execute<{ clubId: string; key: string; at: string; who: string; why: string }[]>(
    `select distinct on (reading.club_id, reading.key) reading.club_id as "clubId", reading.key, change.at,
      change.who, change.why
     from jsonb_to_recordset(?::jsonb) as asked ("clubId" uuid, key text)
     join reading on reading.club_id = asked."clubId" and reading.key = asked.key
     join change on change.id = reading.change_id
     where reading.removed_at is null and reading.stands_from <= ?
     order by reading.club_id, reading.key, reading.stands_from desc, reading.seq desc`,
    [JSON.stringify(differences.map(({ clubId, key }) => ({ clubId, key }))), to],
  );
  const madeBy = new Map(made.map(({ clubId, key, ...by }) => [`${clubId} ${key}`, by]));
  return differences.map((one) => ({ ...one, by: madeBy.get(`${one.clubId} ${one.key}`) ?? null }));
}

/** The clubs of one bag in its order, or the whole locker. */
export function clubsOf(sheet: SheetView, bagId: string | undefined): ClubView[] {
  if (bagId === undefined) return [...sheet.clubs];
  const bag = sheet.bags.find((one) => one.id === bagId);
  if (!bag) throw notFound('bag');
  return bag.clubIds.flatMap((id) => sheet.clubs.find((club) => club.id === id) ?? []);
}
