import { Migration } from '@mikro-orm/migrations';

/**
 * A strike hangs on a session and a club of its own player and workspace. Checked once a statement instead of
 * row by row as a foreign key is: a file brings a hundred thousand rows. Sessions and clubs are only ever
 * marked as removed, so nothing can be left hanging later.
 */
const STRIKE_BELONGS = [
  `create function strike_belongs() returns trigger language plpgsql as $$
  begin
    if exists (
      select 1 from (select distinct workspace_id, player_id, session_id from fresh) one
      where not exists (select 1 from session where session.id = one.session_id and session.player_id = one.player_id and session.workspace_id = one.workspace_id)
    ) or exists (
      select 1 from (select distinct workspace_id, player_id, club_id from fresh where club_id is not null) one
      where not exists (select 1 from club where club.id = one.club_id and club.player_id = one.player_id and club.workspace_id = one.workspace_id)
    ) then
      raise foreign_key_violation using message = 'a strike hangs on a session or a club that is not its player''s';
    end if;
    return null;
  end $$`,
  'create trigger strike_belongs_new after insert on strike referencing new table as fresh for each statement execute function strike_belongs()',
  'create trigger strike_belongs_still after update on strike referencing new table as fresh for each statement execute function strike_belongs()',
];

/** Range sessions, the balls hit in them, what could not be taken, and how a source's columns are read. */
export class Migration003Sessions extends Migration {
  override up(): void {
    this.addSql(`
      create table session (
        id uuid primary key,
        workspace_id uuid not null,
        player_id uuid not null,
        name text not null,
        held_on date not null,
        conditions jsonb not null,
        surface jsonb not null,
        hit_off text not null check (hit_off in ('grass', 'mat')),
        ball text not null,
        notes text not null,
        source text not null,
        live boolean not null,
        aim jsonb,
        version integer not null,
        removed_at timestamptz,
        unique (workspace_id, id),
        foreign key (workspace_id, player_id) references player (workspace_id, id) deferrable initially deferred
      )`);
    this.addSql('create index session_player on session (player_id, held_on desc)');
    this.addSql(
      'create unique index session_one_live on session (workspace_id) where live and removed_at is null',
    );
    // Read by session, in the order they arrived; a strike's own id is only ever asked for within its session.
    this.addSql(`
      create table strike (
        session_id uuid not null,
        arrival bigserial not null,
        id uuid not null,
        workspace_id uuid not null,
        player_id uuid not null,
        club_id uuid,
        shot text not null,
        number integer not null,
        hit_at timestamptz,
        built_on date not null,
        club_speed_mps double precision, ball_speed_mps double precision, launch_deg double precision, azimuth_deg double precision, spin_rpm double precision, spin_axis_deg double precision, carry_m double precision, total_m double precision, side_m double precision, apex_m double precision, land_deg double precision,
        left_out text,
        device_key text collate "C",
        change_id uuid,
        removed_at timestamptz,
        primary key (session_id, arrival)
      )`);
    this.addSql(
      'create unique index strike_once on strike (player_id, device_key, session_id) where device_key is not null',
    );
    this.addSql('create index strike_change on strike (change_id) where change_id is not null');
    for (const sql of STRIKE_BELONGS) this.addSql(sql);
    this.addSql(`
      create table set_aside (
        id bigserial primary key,
        workspace_id uuid not null references workspace (id),
        session_id uuid,
        device_key text,
        at timestamptz not null default now(),
        text text not null,
        reason text not null
      )`);
    this.addSql('create index set_aside_session on set_aside (workspace_id, session_id, at desc)');
    this.addSql(
      'create unique index set_aside_once on set_aside (workspace_id, device_key) where device_key is not null',
    );
    this.addSql(`
      create table file_mapping (
        workspace_id uuid not null references workspace (id),
        heads_key text not null,
        mapping jsonb not null,
        clubs jsonb not null,
        used_at timestamptz not null default now(),
        primary key (workspace_id, heads_key)
      )`);
    for (const table of ['session', 'strike', 'set_aside', 'file_mapping']) {
      this.addSql(`alter table ${table} enable row level security`);
      this.addSql(`alter table ${table} force row level security`);
      this.addSql(`
        create policy one_workspace on ${table}
        using (workspace_id = nullif(current_setting('tasche.workspace', true), '')::uuid)
        with check (workspace_id = nullif(current_setting('tasche.workspace', true), '')::uuid)`);
    }
  }
}
