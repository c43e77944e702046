import type { BagView, ClubView, DifferenceView, ReadingView, SheetView } from '@tasche/contract';
import { specDifferences, type Spec } from '@tasche/core';
import type { EntityManager } from '@mikro-orm/postgresql';
import { bagView, type Bag } from '../bags/bag.js';
import { changeView, type Change } from '../changes/change.js';
import { clubView } from '../clubs/club.js';
import { notFound } from '../http/refusal.js';
import { Plan, planView } from '../plans/plan.js';
import { Player, playerView } from '../players/player.js';

const MOST_BAGS = 200;
const MOST_PLANS = 100;

/**
 * A player's locker, bags and plans; with a day, the specs as they stood at its end.
 * Plain rows rather than entities: this is the page everyone waits for.
 * @throws Refusal 404
 */
export async function readSheet(em: EntityManager, playerId: string, asOf: string | null): Promise<SheetView> {
  const player = await em.findOne(Player, { id: playerId });
  if (!player) throw notFound('player');
  const spec = asOf === null ? 'spec' : 'spec_as_of(id, ?) as spec';
  const clubs = await em.execute<Parameters<typeof clubView>[0][]>(
    `select id, player_id as "playerId", version, name, kind, ${spec} from club
     where player_id = ? and removed_at is null order by place limit 500`,
    asOf === null ? [playerId] : [asOf, playerId]);
  const bags = await em.execute<(Bag & { clubIds: string[] })[]>(
    `select bag.id, player_id as "playerId", plan_id as "planId", version, name, note, ready, gamer,
       array(select club_id from bag_club where bag_id = bag.id order by bag_club.place, bag_club.id) as "clubIds"
     from bag where player_id = ? and removed_at is null order by place limit ${MOST_BAGS}`, [playerId]);
  const plans = await em.find(Plan, { playerId, removedAt: null }, { orderBy: { startsOn: 'desc' }, limit: MOST_PLANS });
  const [lastChange] = await readChanges(em, playerId, 1);
  return {
    player: playerView(player),
    clubs: clubs.map(clubView),
    bags: bags.map((bag): BagView => bagView(bag, bag.clubIds)),
    plans: plans.map(planView),
    asOf,
    lastChange: lastChange ?? null,
  };
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
