import { Migration } from '@mikro-orm/migrations';
import {
  SHEET_REVISION as FIRST_SHEET_REVISION,
  SPEC_AS_OF as FIRST_SPEC_AS_OF,
} from './migration-001-first-slice.js';

/**
 * From which day a reading stands. One dated today, wherever on earth its writer is, stands from the day it
 * was recorded (UTC), so that what is recorded later on the same day is the newer. One dated further
 * ahead waits for its day.
 */
const STANDS_FROM = `
  alter table reading add column stands_from date not null generated always as (
    case when taken_on <= ((recorded_at at time zone 'UTC') + interval '14 hours')::date
      then least(taken_on, (recorded_at at time zone 'UTC')::date) else taken_on end) stored`;

/**
 * The facts of a club in force on a day. From one key to the next and to its newest reading by index: a club
 * of ten years has thousands of readings of a dozen keys.
 */
export const SPEC_AS_OF = `
  create or replace function spec_as_of(of_club uuid, day date) returns jsonb language sql stable as $$
    with recursive known as (
      (select key from reading where club_id = of_club and removed_at is null order by key limit 1)
      union all
      select (select key from reading where club_id = of_club and removed_at is null and key > known.key order by key limit 1)
      from known where known.key is not null
    )
    select coalesce(jsonb_object_agg(known.key, jsonb_build_object('value', newest.value, 'takenOn', newest.taken_on::text)), '{}')
    from known, lateral (
      select value, taken_on from reading
      where club_id = of_club and key = known.key and removed_at is null and stands_from <= day
      order by stands_from desc, seq desc limit 1
    ) newest
    where known.key is not null and newest.value is not null and newest.value <> 'null'::jsonb
  $$`;

/**
 * The state of a player's sheet; where a reading has come to its day since the last change, the day is part of
 * it.
 */
const SHEET_REVISION = `
  create or replace function sheet_revision(of_workspace uuid, of_player uuid) returns text language plpgsql as $$
  declare
    today date := (now() at time zone 'UTC')::date;
  begin
    perform set_config('tasche.workspace', of_workspace::text, true);
    return (
      select revision::text || case
        when exists (select 1 from club where player_id = one.id and spec_due <= today and removed_at is null) then ' ' || today::text
        else '' end
      from player one where id = of_player);
  end $$`;

const OWN_WORKSPACE = `workspace_id = nullif(current_setting('tasche.workspace', true), '')::uuid`;

/** The rows each change touched, read off what it kept of them. */
const ROWS_OF_CHANGES = `
  insert into change_row (workspace_id, row_id, change_id)
  select distinct change.workspace_id, (image ->> 'id')::uuid, change.id
  from change, jsonb_array_elements(change.images) as one (image) where image ->> 'of' <> 'readings'`;

/**
 * Readings that wait for their day, changes found by row, reports that can be given again, balls a monitor
 * was answered.
 */
export class Migration006NothingLost extends Migration {
  override up(): void {
    this.addSql(STANDS_FROM);
    this.addSql(SPEC_AS_OF);
    this.addSql('drop index reading_newest');
    this.addSql(
      'create index reading_newest on reading (club_id, key, stands_from desc, seq desc) where removed_at is null',
    );
    this.addSql('create index reading_of_club on reading (club_id, taken_on desc, seq desc)');
    this.addSql('alter table club add column spec_due date');
    this.addSql('create index club_spec_due on club (player_id) where spec_due is not null');
    this.addSql('create index player_name on player (workspace_id, name, id) where removed_at is null');
    this.addSql('create index plan_event on plan (event_id) where event_id is not null');
    this.addSql(`
      create table change_row (
        workspace_id uuid not null,
        row_id uuid not null,
        change_id uuid not null,
        primary key (row_id, change_id),
        foreign key (workspace_id, change_id) references change (workspace_id, id) deferrable initially deferred
      )`);
    this.addSql('alter table change add column report jsonb');
    this.addSql('alter table change no force row level security');
    this.addSql(ROWS_OF_CHANGES);
    // References wait for the end of the transaction, and a table some wait for cannot be altered.
    this.addSql('set constraints all immediate');
    this.addSql('set constraints all deferred');
    this.addSql('alter table change force row level security');
    this.addSql('drop index change_player');
    this.addSql('create index change_player on change (player_id, at desc, id)');
    this.addSql('create index session_day on session (player_id, held_on desc, id)');
    this.addSql('drop index session_player');
    this.addSql('alter table workspace add column circuit_revision bigint not null default 0');
    this.addSql('alter table workspace add column demo_loaded_at timestamptz');
    // A demo of an earlier version is there already, whatever was renamed in it since.
    this.addSql(
      `update workspace set demo_loaded_at = now() where id = '7a5c4e00-0000-4000-8000-00000000de30'`,
    );
    this.addSql(`
      create table monitor_ball (
        workspace_id uuid not null references workspace (id),
        device text not null,
        device_session text not null,
        number integer not null,
        hit_at timestamptz not null,
        primary key (workspace_id, device, device_session, number, hit_at)
      )`);
    for (const table of ['monitor_ball', 'change_row']) {
      this.addSql(`alter table ${table} enable row level security`);
      this.addSql(`alter table ${table} force row level security`);
      this.addSql(
        `create policy one_workspace on ${table} using (${OWN_WORKSPACE}) with check (${OWN_WORKSPACE})`,
      );
    }
    this.addSql(SHEET_REVISION);
  }
  override down(): void {
    this.addSql('drop table monitor_ball');
    this.addSql('drop table change_row');
    this.addSql('alter table workspace drop column demo_loaded_at');
    this.addSql('alter table workspace drop column circuit_revision');
    this.addSql('drop index session_day');
    this.addSql('create index session_player on session (player_id, held_on desc)');
    this.addSql('drop index change_player');
    this.addSql('create index change_player on change (player_id, at desc)');
    this.addSql('alter table change drop column report');
    this.addSql('drop index plan_event');
    this.addSql('drop index player_name');
    this.addSql('alter table club drop column spec_due');
    this.addSql('drop index reading_of_club');
    this.addSql('drop index reading_newest');
    this.addSql(
      'create index reading_newest on reading (club_id, key, taken_on desc, seq desc) where removed_at is null',
    );
    this.addSql(FIRST_SPEC_AS_OF);
    this.addSql('alter table reading drop column stands_from');
    this.addSql(FIRST_SHEET_REVISION);
  }
}
