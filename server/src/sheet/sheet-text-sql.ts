import { ticketView, wishView } from '../bench/bench-rows.js';
import { bagView } from '../bags/bag.js';
import { clubJsonWith } from '../clubs/club.js';
import { roundPlayedView } from '../rounds/round-played.js';
import { planView } from '../plans/plan.js';
import { playerView } from '../players/player.js';

/** Plans a sheet holds: the newest. Older ones are asked for page by page. */
const PLANS_ON_A_SHEET = 100;

/** Tickets a sheet holds: the open ones, then those done last. */
const TICKETS_ON_A_SHEET = 200;

/** The specs of a day, or those in force now. */
const SPEC = `case when day is not null then spec_as_of(id, day) when spec_due <= today then spec_as_of(id, today) else spec end`;

/**
 * The state of a player's sheet; where a reading has come to its day since the last change, the day is part of
 * it.
 */
export const SHEET_REVISION_SQL = `
  create or replace function sheet_revision(of_workspace uuid, of_players text, of_player uuid) returns text language plpgsql as $$
  declare
    today date := (now() at time zone 'UTC')::date;
  begin
    perform set_config('tasche.workspace', of_workspace::text, true), set_config('tasche.players', of_players, true);
    return (
      select revision::text || case
        when exists (select 1 from club where player_id = one.id and spec_due <= today and removed_at is null) then ' ' || today::text
        else '' end
      from player one where id = of_player);
  end $$`;

/**
 * The function that writes a whole SheetView as text, from the entities' own views; made again whenever the
 * tables are brought up to date. Row-level security holds inside; the setting ends with the transaction.
 */
export const SHEET_TEXT_SQL = `
  create or replace function sheet_text(of_workspace uuid, of_players text, of_player uuid, day date) returns text language plpgsql as $$
  declare
    today date := (now() at time zone 'UTC')::date;
  begin
    perform set_config('tasche.workspace', of_workspace::text, true), set_config('tasche.players', of_players, true);
    return (
      with shown as (
        select * from plan where player_id = of_player and removed_at is null order by starts_on desc, id limit ${PLANS_ON_A_SHEET}
      )
      select json_build_object(
        'player', ${playerView.json},
        'clubs', (
          select coalesce(json_agg(${clubJsonWith(SPEC)} order by place), '[]')
          from club where player_id = one.id and removed_at is null),
        'bags', (
          select coalesce(json_agg(${bagView.json} order by place), '[]')
          from bag where player_id = one.id and removed_at is null and (plan_id is null or gamer or plan_id in (select id from shown))),
        'plans', (
          select coalesce(json_agg(${planView.json} order by starts_on desc, id), '[]')
          from shown),
        'planCount', (select count(*) from plan where player_id = one.id and removed_at is null),
        'tickets', (
          select coalesce(json_agg(${ticketView.json} order by due_on nulls last, id), '[]')
          from (
            select * from ticket where player_id = one.id and removed_at is null
            order by state in ('done', 'dropped'), done_on desc nulls last, due_on nulls last, id limit ${TICKETS_ON_A_SHEET}) as ticket),
        'wishes', (
          select coalesce(json_agg(${wishView.json} order by name, id), '[]')
          from wish where player_id = one.id and removed_at is null),
        'roundsPlayed', (
          select coalesce(json_agg(${roundPlayedView.json} order by played_on desc, id), '[]')
          from round_played where player_id = one.id and removed_at is null),
        'asOf', day,
        'revision', revision,
        'lastChange', (
          select json_build_object('id', id, 'playerId', player_id, 'at', to_char(at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'), 'who', who,
            'why', why, 'summary', summary, 'undoes', null, 'undone', undone_by_id is not null)
          from change where player_id = one.id and undoes_id is null order by at desc, id limit 1)
      )::text
      from player one where id = of_player);
  end $$`;
