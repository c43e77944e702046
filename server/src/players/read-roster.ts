import {
  checkedOn,
  gaps,
  bagHeadline,
  isBeingEntered,
  grooveWear,
  isFullSwing,
  ladderClub,
  placedClubs,
  type LadderClub,
  type GappingStrategyId,
} from '@tasche/core';
import {
  MAX_LAST_CHANGES,
  roundsAWeek,
  type Page,
  type RosterBench,
  type RosterEntry,
} from '@tasche/contract';
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import { LRUCache } from 'lru-cache';
import { OPEN_TICKETS } from '../bench/read-tickets.js';
import { changeView, type ChangeRow } from '../changes/change.js';
import type { Club } from '../clubs/club.js';
import { perDatabase } from '../database/per-database.js';
import type { NameCursor } from '../http/cursors.js';
import { knownText, type KnownText } from '../http/known-text.js';
import { callInWorkspace, inWorkspace, sightKey, type Sight } from '../workspaces/in-workspace.js';
import { Player, playerView } from './player.js';

type GamerClub = Pick<Club, 'id' | 'name' | 'kind' | 'spec'> & { playerId: string; bagId: string };
/** What of an entry changes with the player's own rows alone. */
type Known = Pick<RosterEntry, 'gamer' | 'clubsOwned' | 'lastChanges' | 'bench'>;

/** Verdicts as they were last worked out, by player and revision: any server may keep its own. */
const known = perDatabase(() => new LRUCache<string, Known & { revision: string }>({ max: 5000 }));

interface NextPlan {
  id: string;
  playerId: string;
  name: string;
  course: string;
  startsOn: string;
  endsOn: string;
  swaps: number;
  ofRounds: number | null;
  settled: number;
}

/** The state of everybody on a roster in one call; made again whenever the tables are brought up to date. */
export const ROSTER_REVISION_SQL = `
  create or replace function roster_revision(of_workspace uuid, of_players text) returns text language plpgsql as $$
  begin
    perform set_config('tasche.workspace', of_workspace::text, true), set_config('tasche.players', of_players, true);
    return (
      select concat_ws(' ', count(*), sum(revision),
        (select schedule_revision from workspace where id = of_workspace),
        (select count(*) from club where spec_due <= (now() at time zone 'UTC')::date and removed_at is null))
      from player where removed_at is null);
  end $$`;

/**
 * A page of the roster as JSON text, packed; made again only when something of any player, or of what is
 * played, was changed.
 */
export async function knownRosterText(
  orm: MikroORM,
  sight: Sight,
  today: string,
  limit: number,
  after?: NameCursor,
): Promise<KnownText> {
  const revision = await callInWorkspace<string>(orm, sight, 'roster_revision', []);
  const key = `roster ${sightKey(sight)} ${today} ${limit} ${after ? `${after.name} ${after.id}` : ''}`;
  return knownText(orm, key, revision, async () =>
    JSON.stringify(await inWorkspace(orm, sight, (em) => readRoster(em, today, limit, after))),
  );
}

/**
 * The rep's day, a page of it: players by name with the gamer's verdict, the next plan, the last change.
 * @param today YYYY-MM-DD where the reader is
 */
export async function readRoster(
  em: EntityManager,
  today: string,
  limit: number,
  after?: NameCursor,
): Promise<Page<RosterEntry>> {
  const standing = { removedAt: null };
  const where = after
    ? { ...standing, $or: [{ name: { $gt: after.name } }, { name: after.name, id: { $gt: after.id } }] }
    : standing;
  const found = await em.find(Player, where, { orderBy: { name: 'asc', id: 'asc' }, limit: limit + 1 });
  const players = found.slice(0, limit);
  const last = players.at(-1);
  await learn(em, players);
  const plans = await nextPlans(em, today, players);
  return {
    rows: players.map((player): RosterEntry => {
      const { gamer, clubsOwned, lastChanges, bench } = known(em).get(keyOf(player))!;
      return {
        player: playerView.of(player),
        gamer,
        clubsOwned,
        bench,
        nextPlan: plans.get(player.id) ?? null,
        lastChanges,
      };
    }),
    total: await em.count(Player, standing),
    next: found.length > limit && last ? `${last.name}_${last.id}` : null,
  };
}

function keyOf(player: Player): string {
  return `${player.workspaceId} ${player.id}`;
}

/** Works out what is not known yet, or was changed since. */
async function learn(em: EntityManager, players: readonly Player[]): Promise<void> {
  const revisions = await em.execute<{ id: string; revision: string }[]>(
    `select id, revision::text || case when exists (
       select 1 from club where player_id = player.id and spec_due <= (now() at time zone 'UTC')::date
         and removed_at is null)
       then ' ' || (now() at time zone 'UTC')::date::text else '' end as revision
     from player where id = any(?::uuid[])`,
    [idList(players)],
  );
  const revisionOf = new Map(revisions.map(({ id, revision }) => [id, revision]));
  const changed = players.filter(
    (player) => known(em).get(keyOf(player))?.revision !== revisionOf.get(player.id),
  );
  if (changed.length === 0) return;
  const ids = idList(changed);
  const gamers = await em.execute<{ bagId: string; playerId: string; strategy: GappingStrategyId }[]>(
    `select id as "bagId", player_id as "playerId", strategy
     from bag where gamer and removed_at is null and player_id = any(?::uuid[])`,
    [ids],
  );
  const gamerClubs = await em.execute<GamerClub[]>(
    `select club.id, club.name, club.kind, case when spec_due <= (now() at time zone 'UTC')::date
         then spec_as_of(club.id, (now() at time zone 'UTC')::date) else club.spec end as spec,
       bag.player_id as "playerId", bag.id as "bagId"
     from bag join bag_club on bag_club.bag_id = bag.id join club on club.id = bag_club.club_id
     where bag.gamer and bag.removed_at is null and bag.player_id = any(?::uuid[]) order by bag_club.place`,
    [ids],
  );
  const owned = await em.execute<{ playerId: string; count: number }[]>(
    `select player_id as "playerId", count(*)::int as count from club
     where removed_at is null and player_id = any(?::uuid[]) group by player_id`,
    [ids],
  );
  const changes = await em.execute<ChangeRow[]>(
    `select last.* from unnest(?::uuid[]) as one(player_id), lateral (
       select id, player_id as "playerId", at, who, why, summary, undoes_id as "undoesId",
         undone_by_id as "undoneById"
       from change where change.player_id = one.player_id and undoes_id is null and undone_by_id is null
         order by at desc, id limit ${MAX_LAST_CHANGES}
     ) last`,
    [ids],
  );
  const tickets = await em.execute<
    { playerId: string; count: number; dueOn: string | null; builtOn: string | null }[]
  >(
    `select player_id as "playerId", count(*) filter (where ${OPEN_TICKETS})::int as count,
       (min(due_on) filter (where ${OPEN_TICKETS}))::text as "dueOn",
         (max(done_on) filter (where state = 'done'))::text as "builtOn"
     from ticket where player_id = any(?::uuid[]) and removed_at is null group by player_id`,
    [ids],
  );
  const lockers = await lockersOf(em, [
    ...new Set(gamerClubs.filter(lacksCarry).map((club) => club.playerId)),
  ]);
  for (const player of changed) {
    const gamer = gamers.find((bag) => bag.playerId === player.id);
    const ticket = tickets.find((row) => row.playerId === player.id);
    const carried = gamerClubs.filter((club) => club.playerId === player.id);
    known(em).set(keyOf(player), {
      revision: revisionOf.get(player.id) ?? '',
      gamer: gamer
        ? verdictOf(gamer.bagId, carried.map(ladderClub), player, lockers.get(player.id), gamer.strategy)
        : null,
      clubsOwned: owned.find((row) => row.playerId === player.id)?.count ?? 0,
      lastChanges: changes.filter((change) => change.playerId === player.id).map(changeView),
      bench: {
        tickets: ticket?.count ?? 0,
        dueOn: ticket?.dueOn ?? null,
        builtOn: ticket?.builtOn ?? null,
        ...knownOf(carried, player),
      },
    });
  }
}

/** How well the gamer's clubs are known, on a gauge and by their carries, and when their grooves are due. */
function knownOf(
  clubs: readonly GamerClub[],
  player: Player,
): Pick<RosterBench, 'checkedOn' | 'stale' | 'unknown' | 'groovesDueOn'> {
  const swung = clubs.filter(({ kind }) => isFullSwing(kind)).map(ladderClub);
  return {
    checkedOn: checkedOn(clubs) ?? null,
    stale: swung.filter(({ changed }) => changed?.full).length,
    unknown: swung.filter(({ shots }) => !shots.full).length,
    // The day it is due does not hang on today.
    groovesDueOn: clubs
      .flatMap((club) => grooveWear(club, '2000-01-01', roundsAWeek(player))?.dueOn ?? [])
      .sort(),
  };
}

async function nextPlans(
  em: EntityManager,
  today: string,
  players: readonly Player[],
): Promise<Map<string, NonNullable<RosterEntry['nextPlan']>>> {
  const plans = await em.execute<NextPlan[]>(
    `select distinct on (player_id) id, player_id as "playerId", name, course,
       starts_on::text as "startsOn", ends_on::text as "endsOn", jsonb_array_length(swaps) as swaps,
       (select jsonb_array_length(event.rounds) from event where event.id = plan.event_id) as "ofRounds",
       (select count(*) from event, jsonb_array_elements(plan.rounds) as own,
         jsonb_array_elements(event.rounds) as round
        where event.id = plan.event_id and own ->> 'roundId' = round ->> 'id'
          and own ->> 'bagId' is not null)::int as settled
     from plan where removed_at is null and ends_on >= ? and player_id = any(?::uuid[])
     order by player_id, starts_on, id`,
    [today, idList(players)],
  );
  return new Map(
    plans.map(({ playerId, ofRounds, settled, ...plan }) => [
      playerId,
      { ...plan, rounds: ofRounds === null ? null : { of: ofRounds, settled } },
    ]),
  );
}

function idList(players: readonly Player[]): string {
  return `{${players.map((player) => player.id).join(',')}}`;
}

function lacksCarry(club: GamerClub): boolean {
  const { kind, loftDeg, shots } = ladderClub(club);
  return isFullSwing(kind) && loftDeg !== undefined && !shots.full;
}

/** All clubs of these players: what is not known of one is predicted by the others. */
async function lockersOf(
  em: EntityManager,
  playerIds: readonly string[],
): Promise<Map<string, readonly LadderClub[]>> {
  const lockers = new Map<string, LadderClub[]>();
  if (playerIds.length === 0) return lockers;
  const rows = await em.execute<(Pick<Club, 'id' | 'name' | 'kind' | 'spec'> & { playerId: string })[]>(
    `select id, name, kind, spec, player_id as "playerId"
     from club where removed_at is null and player_id = any(?::uuid[]) order by place`,
    [`{${playerIds.join(',')}}`],
  );
  for (const { playerId, ...club } of rows) {
    lockers.set(playerId, [...(lockers.get(playerId) ?? []), ladderClub(club)]);
  }
  return lockers;
}

/** @param locker where a carry is missing: the clubs that predict it */
function verdictOf(
  bagId: string,
  clubs: readonly LadderClub[],
  player: Player,
  locker: readonly LadderClub[] | undefined,
  strategy: GappingStrategyId,
): RosterEntry['gamer'] {
  const placed = locker && placedClubs(locker, player.baseline ?? undefined);
  const shown = placed ? clubs.map((club) => placed.find(({ id }) => id === club.id) ?? club) : clubs;
  const report = gaps(shown, { school: strategy, settings: player.gapSettings });
  const { title, text, severity } = bagHeadline(report, player.distanceUnit);
  const isJudged = !isBeingEntered(report);
  return {
    bagId,
    clubs: clubs.length,
    faults: isJudged ? report.faults : 0,
    looks: isJudged ? report.looks : 0,
    severity,
    headline: `${title} ${text}`,
  };
}
