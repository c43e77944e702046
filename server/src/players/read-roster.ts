import { gaps, ladderClub } from '@tasche/core';
import type { RosterEntry } from '@tasche/contract';
import type { EntityManager } from '@mikro-orm/postgresql';
import { changeView, type Change } from '../changes/change.js';
import type { Club } from '../clubs/club.js';
import { Player, playerView } from './player.js';

const MOST_PLAYERS = 200;

type GamerClub = Pick<Club, 'id' | 'name' | 'kind' | 'spec'> & { playerId: string; bagId: string };

/** The rep's day: every player with the gamer's verdict, the next plan, the last change. */
export async function readRoster(em: EntityManager, today: string): Promise<RosterEntry[]> {
  const players = await em.find(Player, { removedAt: null }, { orderBy: { name: 'asc' }, limit: MOST_PLAYERS });
  const ids = `{${players.map((player) => player.id).join(',')}}`;
  const gamers = await em.execute<{ bagId: string; playerId: string }[]>(
    `select id as "bagId", player_id as "playerId" from bag where gamer and removed_at is null and player_id = any(?::uuid[])`, [ids]);
  const gamerClubs = await em.execute<GamerClub[]>(
    `select club.id, club.name, club.kind, club.spec, bag.player_id as "playerId", bag.id as "bagId"
     from bag join bag_club on bag_club.bag_id = bag.id join club on club.id = bag_club.club_id
     where bag.gamer and bag.removed_at is null and bag.player_id = any(?::uuid[]) order by bag_club.place`, [ids]);
  const owned = await em.execute<{ playerId: string; count: number }[]>(
    `select player_id as "playerId", count(*)::int as count from club
     where removed_at is null and player_id = any(?::uuid[]) group by player_id`, [ids]);
  const plans = await em.execute<{ id: string; playerId: string; name: string; course: string; startsOn: string; endsOn: string; swaps: number; ofRounds: number | null; settled: number }[]>(
    `select distinct on (player_id) id, player_id as "playerId", name, course, starts_on::text as "startsOn", ends_on::text as "endsOn",
       jsonb_array_length(swaps) as swaps, (select jsonb_array_length(event.rounds) from event where event.id = plan.event_id) as "ofRounds",
       (select count(*) from event, jsonb_array_elements(plan.rounds) as own, jsonb_array_elements(event.rounds) as round
        where event.id = plan.event_id and own ->> 'roundId' = round ->> 'id' and own ->> 'bagId' is not null)::int as settled
     from plan where removed_at is null and ends_on >= ? and player_id = any(?::uuid[]) order by player_id, starts_on, id`, [today, ids]);
  const changes = await em.execute<(Omit<Change, 'images' | 'workspaceId'>)[]>(
    `select last.* from unnest(?::uuid[]) as one(player_id), lateral (
       select id, player_id as "playerId", at, who, why, summary, undoes_id as "undoesId", undone_by_id as "undoneById"
       from change where change.player_id = one.player_id and undoes_id is null and undone_by_id is null order by at desc limit 1
     ) last`, [ids]);
  return players.map((player): RosterEntry => {
    const gamer = gamers.find((bag) => bag.playerId === player.id);
    const clubs = gamerClubs.filter((club) => club.playerId === player.id);
    const plan = plans.find((one) => one.playerId === player.id);
    const last = changes.find((change) => change.playerId === player.id);
    return {
      player: playerView(player),
      gamer: gamer ? verdictOf(gamer.bagId, clubs, player) : null,
      clubsOwned: owned.find((row) => row.playerId === player.id)?.count ?? 0,
      nextPlan: plan ? { id: plan.id, name: plan.name, course: plan.course, startsOn: plan.startsOn, endsOn: plan.endsOn, swaps: plan.swaps, rounds: plan.ofRounds === null ? null : { of: plan.ofRounds, settled: plan.settled } } : null,
      lastChange: last ? changeView(last) : null,
    };
  });
}

function verdictOf(bagId: string, clubs: readonly GamerClub[], player: Player): RosterEntry['gamer'] {
  const { faults, looks, headline } = gaps(clubs.map(ladderClub), { settings: player.gapSettings, unit: player.distanceUnit });
  return { bagId, clubs: clubs.length, faults, looks, severity: headline.severity, headline: `${headline.title} ${headline.text}` };
}
