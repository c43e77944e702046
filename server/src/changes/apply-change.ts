import {
  ROLE_WORDS,
  commandWords,
  mayDo,
  type ChangeRequest,
  type ChangeResult,
  type Command,
  type CommandName,
} from '@tasche/contract';
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import { benchCommands } from '../bench/commands.js';
import { Ticket, Wish, ticketView, wishView } from '../bench/bench-rows.js';
import { roundPlayedCommands } from '../rounds/commands.js';
import { RoundPlayed, roundPlayedView } from '../rounds/round-played.js';
import { Bag, BagClub, bagView } from '../bags/bag.js';
import { bagCommands, requireWithinLimits } from '../bags/commands.js';
import { Course, Event, Season, courseView, eventView, seasonView } from '../schedule/schedule-rows.js';
import { scheduleCommands } from '../schedule/commands.js';
import { Club, clubView } from '../clubs/club.js';
import { clubCommands } from '../clubs/commands.js';
import { refreshSpecs } from '../clubs/refresh-specs.js';
import { planCommands } from '../plans/commands.js';
import { Plan, planView } from '../plans/plan.js';
import { playerCommands } from '../players/commands.js';
import { forbidden } from '../http/http-error.js';
import { tellOfChange } from '../news/listen-for-news.js';
import { requireReasonInFreeze } from '../players/in-freeze.js';
import { Player, playerView } from '../players/player.js';
import { sessionCommands } from '../sessions/commands.js';
import { Session, sessionView } from '../sessions/session.js';
import type { Scope } from '../people/scope.js';
import { inWorkspace } from '../workspaces/in-workspace.js';
import { Change, changeView, rowDiffsOf } from './change.js';
import { doneBefore } from './done-before.js';
import type { ChangeContext, Done, Handlers } from './handlers.js';
import { latestDay } from './latest-day.js';
import { lockFirst, rowsOfCommands, uuidList } from './lock-players.js';
import { ChangeRecorder, ofEveryKind, type EntityKind } from './change-recorder.js';

const HANDLERS: Handlers<CommandName> = {
  ...playerCommands,
  ...clubCommands,
  ...bagCommands,
  ...planCommands,
  ...sessionCommands,
  ...scheduleCommands,
  ...benchCommands,
  ...roundPlayedCommands,
};

/**
 * Does a change, whole or not at all. A change that was done already (its id is known) is answered, not
 * done again.
 * @param report kept with the change, for a repeated request
 * @throws HttpError
 */
export async function applyChange(
  orm: MikroORM,
  scope: Scope,
  request: ChangeRequest,
  report: object | null = null,
): Promise<ChangeResult> {
  requireMayDo(scope, request.commands);
  return inWorkspace(orm, scope, async (em) => {
    // The same change sent twice at once: the second waits here and then finds it done.
    await em.execute('select pg_advisory_xact_lock(hashtextextended(?, 0))', [request.id]);
    const done = await doneBefore(em, request.id);
    if (done) return resultOf(em, done, await touchedBy(em, done));
    await lockFirst(em, scope.workspaceId, rowsOfCommands(request.commands));
    const recorder = new ChangeRecorder(em, scope.workspaceId);
    let day: Promise<string> | undefined;
    const context: ChangeContext = {
      recorder,
      changeId: request.id,
      latestDay: () => (day ??= latestDay(em)),
    };
    const dones: Done[] = [];
    for (const command of request.commands) {
      const handle = HANDLERS[command.do] as (command: unknown, context: ChangeContext) => Promise<Done>;
      dones.push(await handle(command, context));
    }
    if (recorder.reread.size > 0)
      recorder.rowDiffs.push({
        of: 'readings',
        id: request.id,
        withdrawn: false,
        clubIds: [...recorder.reread],
      });
    if (!request.why?.trim()) await requireReasonInFreeze(recorder, new Date().toISOString().slice(0, 10));
    return finish(recorder, {
      id: request.id,
      who: scope.who,
      personId: scope.personId,
      why: request.why ?? '',
      summary: summaryOf(dones),
      playerId: dones[0]!.playerId,
      undoesId: null,
      report,
    });
  });
}

/** @throws HttpError 403 naming the first command that somebody of that role may not give */
function requireMayDo({ role }: Scope, commands: readonly Command[]): void {
  const refused = commands.find((command) => !mayDo(role, command));
  if (refused)
    throw forbidden(
      `${ROLE_WORDS[role].name}: ${ROLE_WORDS[role].may}. Not this: ${commandWords(refused, () => undefined, 'm')}.`,
    );
}

/** Writes the change itself and brings everything derived up to date. */
export async function finish(
  recorder: ChangeRecorder,
  about: Pick<Change, 'id' | 'who' | 'personId' | 'why' | 'summary' | 'playerId' | 'undoesId' | 'report'>,
): Promise<ChangeResult> {
  await requireWithinLimits(recorder);
  const change = recorder.em.create(
    Change,
    {
      ...about,
      workspaceId: recorder.workspaceId,
      at: new Date(),
      rowDiffs: recorder.rowDiffs,
      undoneById: null,
    },
    { persist: true },
  );
  await recorder.em.flush();
  // The players' rows are locked, so that of two changes the later to commit has the higher number.
  const isSchedule = SCHEDULE_KINDS.some((kind) => recorder.touched[kind].size > 0);
  await recorder.em.execute(
    `with counted as (update player set revision = revision + 1 where id = any(?::uuid[])),
       schedule as (update workspace set schedule_revision = schedule_revision + 1 where id = ? and ?)
     insert into change_row (workspace_id, row_id, change_id) select ?, unnest(?::uuid[]), ? on conflict do nothing`,
    [
      uuidList(recorder.playerIds()),
      recorder.workspaceId,
      isSchedule,
      recorder.workspaceId,
      uuidList(recorder.rowIds()),
      about.id,
    ],
  );
  await refreshSpecs(recorder.em, [...recorder.reread]);
  await tellOfChange(recorder.em, {
    workspaceId: recorder.workspaceId,
    changeId: about.id,
    playerIds: recorder.playerIds(),
    who: about.who,
    summary: about.summary,
    schedule: isSchedule,
  });
  return resultOf(recorder.em, change, recorder.touched);
}

/** What a whole workspace plays. */
const SCHEDULE_KINDS = ['course', 'season', 'event'] as const;
const MAX_NAMED = 3;

function summaryOf(dones: readonly Done[]): string {
  const named = dones
    .slice(0, MAX_NAMED)
    .map((done) => done.summary)
    .join('; ');
  return dones.length > MAX_NAMED ? `${named}; and ${dones.length - MAX_NAMED} more` : named;
}

type Touched = Record<EntityKind, ReadonlySet<string>>;

/** The rows a change touched, as it kept them. */
export async function touchedBy(em: EntityManager, change: Change): Promise<Touched> {
  const touched = ofEveryKind(() => new Set<string>());
  for (const image of rowDiffsOf(change)) {
    if (image.of === 'bagClubs') touched.bag.add(image.id);
    else if (image.of === 'strikes' || image.of === 'strikeMarks') touched.session.add(image.id);
    else if (image.of === 'readings')
      (image.clubIds ?? (await clubsRead(em, image.id))).forEach((id) => touched.club.add(id));
    else touched[image.of].add(image.id);
  }
  return touched;
}

/** The clubs a change of an earlier version brought readings to. */
async function clubsRead(em: EntityManager, changeId: string): Promise<string[]> {
  const rows = await em.execute<{ id: string }[]>(
    'select distinct club_id as id from reading where change_id = ?',
    [changeId],
  );
  return rows.map(({ id }) => id);
}

export async function resultOf(em: EntityManager, change: Change, touched: Touched): Promise<ChangeResult> {
  const fresh = { refresh: true } as const;
  const some = <T>(ids: ReadonlySet<string>, find: (ids: string[]) => Promise<T[]>) =>
    ids.size > 0 ? find([...ids]) : Promise.resolve<T[]>([]);
  const players = await some(touched.player, (ids) => em.find(Player, { id: { $in: ids } }, fresh));
  const clubs = await some(touched.club, (ids) => em.find(Club, { id: { $in: ids } }, fresh));
  const bags = await some(touched.bag, (ids) => em.find(Bag, { id: { $in: ids } }, fresh));
  const plans = await some(touched.plan, (ids) => em.find(Plan, { id: { $in: ids } }, fresh));
  const sessions = await some(touched.session, (ids) => em.find(Session, { id: { $in: ids } }, fresh));
  const courses = await some(touched.course, (ids) => em.find(Course, { id: { $in: ids } }, fresh));
  const seasons = await some(touched.season, (ids) => em.find(Season, { id: { $in: ids } }, fresh));
  const events = await some(touched.event, (ids) => em.find(Event, { id: { $in: ids } }, fresh));
  const tickets = await some(touched.ticket, (ids) => em.find(Ticket, { id: { $in: ids } }, fresh));
  const wishes = await some(touched.wish, (ids) => em.find(Wish, { id: { $in: ids } }, fresh));
  const roundsPlayed = await some(touched.roundPlayed, (ids) =>
    em.find(RoundPlayed, { id: { $in: ids } }, fresh),
  );
  const bagClubs = await some(touched.bag, (ids) =>
    em.find(BagClub, { bagId: { $in: ids } }, { orderBy: { place: 'asc', id: 'asc' } }),
  );
  return {
    change: changeView(change),
    players: players.map(playerView.of),
    clubs: clubs.map(clubView.of),
    bags: bags.map((bag) =>
      bagView.of(
        bag,
        bagClubs.filter((row) => row.bagId === bag.id).map((row) => row.clubId),
      ),
    ),
    plans: plans.map(planView.of),
    sessions: sessions.map(sessionView.of),
    courses: courses.map(courseView.of),
    seasons: seasons.map(seasonView.of),
    events: events.map(eventView.of),
    tickets: tickets.map(ticketView.of),
    wishes: wishes.map(wishView.of),
    roundsPlayed: roundsPlayed.map(roundPlayedView.of),
  };
}
