import { Migration } from '@mikro-orm/migrations';

/** A whole SheetView as text, as the first migration made it, with what each plan's bag is chosen for. */
const SHEET_TEXT = `
  create or replace function sheet_text(of_workspace uuid, of_player uuid, day date) returns text language plpgsql as $$
  begin
    perform set_config('tasche.workspace', of_workspace::text, true);
    return (
      select json_build_object(
        'player', json_build_object('id', id, 'version', version, 'name', name, 'hand', hand, 'distanceUnit', distance_unit, 'notes', notes,
          'gapSettings', gap_settings, 'baseline', baseline, 'archived', archived or removed_at is not null),
        'clubs', (
          select coalesce(json_agg(json_build_object('id', id, 'playerId', player_id, 'version', version, 'name', name, 'kind', kind,
            'spec', case when day is null then spec else spec_as_of(id, day) end, 'removed', false) order by place), '[]')
          from (select * from club where player_id = one.id and removed_at is null order by place limit 500) club),
        'bags', (
          select coalesce(json_agg(json_build_object('id', id, 'playerId', player_id, 'planId', plan_id, 'version', version, 'name', name, 'note', note,
            'ready', ready, 'gamer', gamer, 'removed', false,
            'clubIds', (select coalesce(json_agg(club_id order by bag_club.place, bag_club.id), '[]') from bag_club where bag_id = bag.id)) order by place), '[]')
          from (select * from bag where player_id = one.id and removed_at is null order by place limit 200) bag),
        'plans', (
          select coalesce(json_agg(json_build_object('id', id, 'playerId', player_id, 'version', version, 'bagId', bag_id, 'name', name, 'course', course,
            'startsOn', starts_on, 'endsOn', ends_on, 'ground', ground, 'weather', weather, 'baseClubIds', base_club_ids, 'swaps', swaps, 'choosing', choosing,
            'removed', false) order by starts_on desc, id), '[]')
          from (select * from plan where player_id = one.id and removed_at is null order by starts_on desc, id limit 100) plan),
        'asOf', day,
        'revision', revision,
        'lastChange', (
          select json_build_object('id', id, 'playerId', player_id, 'at', to_char(at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'), 'who', who,
            'why', why, 'summary', summary, 'undoes', null, 'undone', undone_by_id is not null)
          from change where player_id = one.id and undoes_id is null order by at desc, id limit 1)
      )::text
      from player one where id = of_player);
  end $$`;

/** What a week's bag is chosen for: needs, locks, the worth of a change. */
export class Migration004PlanChoosing extends Migration {
  override up(): void {
    this.addSql('alter table plan add column choosing jsonb');
    this.addSql(SHEET_TEXT);
  }
}
