/** Plans a sheet holds: the newest. Older ones are asked for page by page. */
const PLANS_ON_A_SHEET = 100;

/** A PlanView of a row of `plan`. */
export const PLAN_JSON_SQL = `json_build_object('id', id, 'playerId', player_id, 'version', version, 'bagId', bag_id, 'name', name, 'course', course,
  'startsOn', starts_on, 'endsOn', ends_on, 'ground', ground, 'weather', weather, 'baseClubIds', base_club_ids, 'swaps', swaps,
  'choosing', choosing, 'eventId', event_id, 'rounds', rounds, 'removed', false)`;

/** A BagView of a row of `bag`. */
export const BAG_JSON_SQL = `json_build_object('id', id, 'playerId', player_id, 'planId', plan_id, 'version', version, 'name', name, 'note', note,
  'ready', ready, 'gamer', gamer, 'removed', false,
  'clubIds', (select coalesce(json_agg(club_id order by bag_club.place, bag_club.id), '[]') from bag_club where bag_id = bag.id))`;

/**
 * The function that writes a whole SheetView as text. A migration that changes what a sheet holds calls this anew, and the
 * function is made as the code then wants it. Row-level security holds inside; the setting ends with the transaction.
 */
export const SHEET_TEXT_SQL = `
  create or replace function sheet_text(of_workspace uuid, of_player uuid, day date) returns text language plpgsql as $$
  declare
    today date := (now() at time zone 'UTC')::date;
  begin
    perform set_config('tasche.workspace', of_workspace::text, true);
    return (
      with shown as (
        select * from plan where player_id = of_player and removed_at is null order by starts_on desc, id limit ${PLANS_ON_A_SHEET}
      )
      select json_build_object(
        'player', json_build_object('id', id, 'version', version, 'name', name, 'hand', hand, 'distanceUnit', distance_unit, 'notes', notes,
          'handicap', handicap, 'gapSettings', gap_settings, 'baseline', baseline, 'archived', archived or removed_at is not null),
        'clubs', (
          select coalesce(json_agg(json_build_object('id', id, 'playerId', player_id, 'version', version, 'name', name, 'kind', kind,
            'spec', case when day is not null then spec_as_of(id, day) when spec_due <= today then spec_as_of(id, today) else spec end,
            'removed', false) order by place), '[]')
          from club where player_id = one.id and removed_at is null),
        'bags', (
          select coalesce(json_agg(${BAG_JSON_SQL} order by place), '[]')
          from bag where player_id = one.id and removed_at is null and (plan_id is null or gamer or plan_id in (select id from shown))),
        'plans', (
          select coalesce(json_agg(${PLAN_JSON_SQL} order by starts_on desc, id), '[]')
          from shown),
        'planCount', (select count(*) from plan where player_id = one.id and removed_at is null),
        'asOf', day,
        'revision', revision,
        'lastChange', (
          select json_build_object('id', id, 'playerId', player_id, 'at', to_char(at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'), 'who', who,
            'why', why, 'summary', summary, 'undoes', null, 'undone', undone_by_id is not null)
          from change where player_id = one.id and undoes_id is null order by at desc, id limit 1)
      )::text
      from player one where id = of_player);
  end $$`;
