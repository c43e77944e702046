import { Migration } from '@mikro-orm/migrations';

const TABLES = ['player', 'club', 'reading', 'bag', 'bag_club', 'plan', 'change'];

/** Which state of a player's sheet is the newest; every change counts it up. */
export const SHEET_REVISION = `
  create or replace function sheet_revision(of_workspace uuid, of_player uuid) returns text language plpgsql as $$
  begin
    perform set_config('tasche.workspace', of_workspace::text, true);
    return (select revision::text from player where id = of_player);
  end $$`;

/** The facts of a club in force on a day. */
export const SPEC_AS_OF = `
  create or replace function spec_as_of(of_club uuid, day date) returns jsonb language sql stable as $$
    select coalesce(jsonb_object_agg(key, jsonb_build_object('value', value, 'takenOn', taken_on::text)), '{}')
    from (
      select distinct on (key) key, value, taken_on from reading
      where club_id = of_club and removed_at is null and taken_on <= day
      order by key, taken_on desc, seq desc
    ) newest
    where value is not null and value <> 'null'::jsonb
  $$`;

/**
 * The first slice. References are checked at commit, so that one change may write rows in any order;
 * they carry the workspace along, so that no row can hang on another workspace's row.
 */
export class Migration001FirstSlice extends Migration {
  override up(): void {
    this.addSql(`
      create table workspace (
        id uuid primary key,
        name text not null,
        person text not null,
        created_at timestamptz not null default now()
      )`);
    this.addSql(`
      create table player (
        id uuid primary key,
        workspace_id uuid not null references workspace (id),
        name text not null,
        hand text not null check (hand in ('right', 'left')),
        distance_unit text not null check (distance_unit in ('yd', 'm')),
        notes text not null,
        gap_settings jsonb not null,
        baseline jsonb,
        archived boolean not null default false,
        version integer not null,
        revision bigint not null default 0,
        removed_at timestamptz,
        unique (workspace_id, id)
      )`);
    this.addSql(`
      create table club (
        id uuid primary key,
        workspace_id uuid not null,
        player_id uuid not null,
        name text not null,
        kind text not null,
        spec jsonb not null,
        version integer not null,
        place serial not null,
        removed_at timestamptz,
        unique (workspace_id, id),
        foreign key (workspace_id, player_id) references player (workspace_id, id) deferrable initially deferred
      )`);
    this.addSql('create index club_player on club (player_id, place)');
    this.addSql(`
      create table plan (
        id uuid primary key,
        workspace_id uuid not null,
        player_id uuid not null,
        bag_id uuid not null,
        name text not null,
        course text not null,
        starts_on date not null,
        ends_on date not null check (ends_on >= starts_on),
        ground text not null,
        weather text not null,
        base_club_ids jsonb not null,
        swaps jsonb not null,
        version integer not null,
        removed_at timestamptz,
        unique (workspace_id, id),
        foreign key (workspace_id, player_id) references player (workspace_id, id) deferrable initially deferred
      )`);
    this.addSql('create index plan_player on plan (player_id, starts_on)');
    this.addSql(`
      create table bag (
        id uuid primary key,
        workspace_id uuid not null,
        player_id uuid not null,
        plan_id uuid,
        name text not null,
        note text not null,
        ready boolean not null,
        gamer boolean not null,
        version integer not null,
        place serial not null,
        removed_at timestamptz,
        unique (workspace_id, id),
        foreign key (workspace_id, player_id) references player (workspace_id, id) deferrable initially deferred,
        foreign key (workspace_id, plan_id) references plan (workspace_id, id) deferrable initially deferred
      )`);
    this.addSql(
      'alter table plan add foreign key (workspace_id, bag_id) references bag (workspace_id, id) deferrable initially deferred',
    );
    this.addSql('create unique index bag_one_gamer on bag (player_id) where gamer and removed_at is null');
    this.addSql('create index bag_player on bag (player_id, place)');
    this.addSql(`
      create table bag_club (
        id uuid primary key,
        workspace_id uuid not null,
        bag_id uuid not null,
        club_id uuid not null,
        place integer not null,
        unique (bag_id, club_id),
        foreign key (workspace_id, bag_id) references bag (workspace_id, id) deferrable initially deferred,
        foreign key (workspace_id, club_id) references club (workspace_id, id) deferrable initially deferred
      )`);
    this.addSql('create index bag_club_club on bag_club (club_id)');
    this.addSql(`
      create table change (
        id uuid primary key,
        workspace_id uuid not null references workspace (id),
        player_id uuid,
        at timestamptz not null,
        who text not null,
        why text not null,
        summary text not null,
        images jsonb not null,
        undoes_id uuid,
        undone_by_id uuid,
        unique (workspace_id, id),
        foreign key (workspace_id, undoes_id) references change (workspace_id, id) deferrable initially deferred,
        foreign key (workspace_id, undone_by_id) references change (workspace_id, id) deferrable initially deferred
      )`);
    this.addSql('create index change_player on change (player_id, at desc)');
    this.addSql(`
      create table reading (
        id uuid primary key,
        workspace_id uuid not null,
        club_id uuid not null,
        change_id uuid not null,
        key text not null,
        value jsonb,
        taken_on date not null,
        seq bigserial not null,
        recorded_at timestamptz not null default now(),
        removed_at timestamptz,
        foreign key (workspace_id, club_id) references club (workspace_id, id) deferrable initially deferred,
        foreign key (workspace_id, change_id) references change (workspace_id, id) deferrable initially deferred
      )`);
    this.addSql(
      'create index reading_newest on reading (club_id, key, taken_on desc, seq desc) where removed_at is null',
    );
    this.addSql('create index reading_change on reading (change_id)');
    this.addSql(SPEC_AS_OF);
    this.addSql(SHEET_REVISION);
    for (const table of TABLES) {
      this.addSql(`alter table "${table}" enable row level security`);
      this.addSql(`alter table "${table}" force row level security`);
      this.addSql(`
        create policy one_workspace on "${table}"
        using (workspace_id = nullif(current_setting('tasche.workspace', true), '')::uuid)
        with check (workspace_id = nullif(current_setting('tasche.workspace', true), '')::uuid)`);
    }
  }
}
