import { ballOn, type BallInPlay, type ClubLifeView, type DayView } from '@tasche/contract';
import type { ClubKind, Spec } from '@tasche/core';
import type { EntityManager } from '@mikro-orm/postgresql';
import { readGamerStates, stintsOf } from '../bags/gamer-states.js';
import { ticketView } from '../bench/bench-rows.js';
import { notFound } from '../http/http-error.js';
import { readReadings } from '../sheet/read-sheet.js';

/**
 * What a player played with at the end of a day.
 * @param day YYYY-MM-DD
 * @param zone whose day it is, by its IANA name: a change made at one in the morning in Oslo is of the day
 * that has begun there
 * @throws HttpError 404
 */
export async function readDay(
  em: EntityManager,
  playerId: string,
  day: string,
  zone: string,
): Promise<DayView> {
  const [player] = await em.execute<{ balls: BallInPlay[]; ends: string }[]>(
    `select balls, to_char(((?::date + 1)::timestamp at time zone ?) at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') as ends
     from player where id = ?`,
    [day, zone, playerId],
  );
  if (!player) throw notFound('player');
  const gamer = (await readGamerStates(em, playerId, player.ends)).at(-1)?.gamer ?? null;
  const clubs = await em.execute<
    { id: string; name: string; kind: ClubKind; spec: Spec; removed: boolean }[]
  >(
    `select id, name, kind, spec_as_of(id, ?) as spec, removed_at is not null as removed from club
     where player_id = ? and (removed_at is null or id = any(?::uuid[])) order by place`,
    [day, playerId, `{${(gamer?.clubIds ?? []).join(',')}}`],
  );
  return { day, gamer, clubs, ball: ballOn(player.balls, day) ?? null };
}

const READINGS_OF_A_LIFE = 200;
const MAX_SESSIONS = 200;
const MAX_TICKETS = 200;

/** All that is known of a club's past. @throws HttpError 404 */
export async function readClubLife(em: EntityManager, clubId: string): Promise<ClubLifeView> {
  const [club] = await em.execute<ClubLifeView['club'][]>(
    `select id, player_id as "playerId", name, kind, removed_at is not null as removed from club where id = ?`,
    [clubId],
  );
  if (!club) throw notFound('club');
  const sessions = await em.execute<ClubLifeView['sessions'][number][]>(
    `select session.id, session.name, session.held_on::text as day, count(*)::int as shots,
       case when count(strike.spin_rpm) filter (where shot = 'full') > 1 then json_build_object(
         'shots', count(strike.spin_rpm) filter (where shot = 'full'),
         'meanRpm', avg(strike.spin_rpm) filter (where shot = 'full'),
         'deviationRpm', stddev_samp(strike.spin_rpm) filter (where shot = 'full')) end as spin
     from session join strike on strike.session_id = session.id
     where session.player_id = ? and session.removed_at is null and strike.club_id = ? and strike.removed_at is null and strike.left_out is null
     group by session.id order by session.held_on desc, session.id limit ${MAX_SESSIONS}`,
    [club.playerId, clubId],
  );
  const tickets = await em.execute<{ ticket: ClubLifeView['tickets'][number] }[]>(
    `select ${ticketView.json} as ticket from ticket where club_id = ? and removed_at is null
     order by done_on desc nulls first, id limit ${MAX_TICKETS}`,
    [clubId],
  );
  const states = await readGamerStates(em, club.playerId);
  return {
    club,
    readings: await readReadings(em, clubId, READINGS_OF_A_LIFE),
    sessions,
    stints: stintsOf(states, clubId).map((stint) => ({ clubId, clubName: club.name, ...stint })),
    tickets: tickets.map(({ ticket }) => ticket),
  };
}
