import { Migration } from '@mikro-orm/migrations';

/**
 * What a transaction is told about the asker (`inWorkspace`): the workspace, the players they may see where
 * not all, who they are, and what they hold in their hand (the hash of a key, or an e-mail address). Each is
 * read once a query.
 */
const WORKSPACE = `(select nullif(current_setting('tasche.workspace', true), '')::uuid)`;
const PERSON = `(select nullif(current_setting('tasche.person', true), '')::uuid)`;
const KEY = `(select nullif(current_setting('tasche.key', true), ''))`;
const ALL_PLAYERS = `(select coalesce(current_setting('tasche.players', true), '') = '')`;
const PLAYERS = `((select string_to_array(nullif(current_setting('tasche.players', true), ''), ','))::uuid[])`;

/** Somebody who may see some players only sees nothing that hangs on others. */
const OF_PLAYERS: Readonly<Record<string, string>> = {
  player: `id = any ${PLAYERS}`,
  ...Object.fromEntries(
    ['club', 'bag', 'plan', 'session', 'strike', 'ticket', 'wish'].map((table) => [
      table,
      `player_id = any ${PLAYERS}`,
    ]),
  ),
  change: `player_id is null or player_id = any ${PLAYERS}`,
  bag_club: 'sees_bag(bag_id)',
  reading: 'sees_club(club_id)',
  change_row: 'sees_change(change_id)',
  set_aside: 'sees_session(session_id)',
};

/**
 * Whether a row that others hang on is seen. A function and no subquery: it is called only for somebody who
 * sees some players, and the plans of everybody else stay as they are.
 */
const SEES = ['bag', 'club', 'change', 'session'].map(
  (table) => `
  create function sees_${table}(of_id uuid) returns boolean language plpgsql stable parallel safe cost 1 as $$
  begin
    return exists (select 1 from ${table} where id = of_id);
  end $$`,
);

const TABLES = [
  `create table person (
    id uuid primary key,
    email text not null check (email = lower(email)),
    name text not null,
    password_hash text not null,
    code_secret text,
    code_step bigint not null default 0,
    recovery_codes jsonb not null default '[]',
    created_at timestamptz not null default now()
  )`,
  'create unique index person_email on person (email)',
  `create table membership (
    workspace_id uuid not null references workspace (id),
    person_id uuid not null references person (id),
    role text not null check (role in ('owner', 'rep', 'assistant', 'player', 'caddie')),
    player_ids jsonb,
    since timestamptz not null default now(),
    primary key (workspace_id, person_id)
  )`,
  'create index membership_person on membership (person_id)',
  `create table passkey (
    id text primary key,
    person_id uuid not null references person (id),
    public_key text not null,
    counter bigint not null,
    transports jsonb not null,
    name text not null,
    made_at timestamptz not null default now()
  )`,
  'create index passkey_person on passkey (person_id)',
  `create table one_time_link (
    id uuid primary key,
    key_hash text not null unique,
    purpose text not null check (purpose in ('first', 'invitation', 'reset')),
    workspace_id uuid references workspace (id),
    person_id uuid references person (id),
    name text not null,
    email text not null,
    role text,
    player_ids jsonb,
    made_by text not null,
    made_at timestamptz not null default now(),
    expires_at timestamptz not null,
    used_at timestamptz
  )`,
  'create index one_time_link_workspace on one_time_link (workspace_id, made_at desc)',
  `create table share (
    id uuid primary key,
    key_hash text not null unique,
    workspace_id uuid not null references workspace (id),
    player_id uuid not null,
    paper text not null,
    question jsonb not null,
    name text not null,
    made_by text not null,
    made_at timestamptz not null default now(),
    expires_at timestamptz not null,
    revoked_at timestamptz,
    foreign key (workspace_id, player_id) references player (workspace_id, id) deferrable initially deferred
  )`,
  'create index share_player on share (player_id, made_at desc)',
  `create table share_opening (
    id bigserial primary key,
    workspace_id uuid not null references workspace (id),
    share_id uuid not null references share (id),
    at timestamptz not null default now(),
    address text not null,
    agent text not null
  )`,
  'create index share_opening_share on share_opening (share_id, id desc)',
  `create table access_token (
    id uuid primary key,
    key_hash text not null unique,
    workspace_id uuid not null references workspace (id),
    person_id uuid not null references person (id),
    name text not null,
    scopes jsonb not null,
    made_at timestamptz not null default now(),
    expires_at timestamptz not null,
    revoked_at timestamptz,
    used_at timestamptz
  )`,
  'create index access_token_person on access_token (person_id, made_at desc)',
  `create table audit_entry (
    id bigserial primary key,
    at timestamptz not null default now(),
    workspace_id uuid references workspace (id),
    person_id uuid,
    who text not null,
    what text not null,
    detail text not null,
    address text not null
  )`,
  'create index audit_entry_workspace on audit_entry (workspace_id, id desc)',
  'create index audit_entry_person on audit_entry (person_id, id desc)',
  // Of the server itself: sessions of browsers, failed tries counted, secrets all servers share.
  'create table signed_in (sid varchar primary key, sess json not null, expire timestamptz not null)',
  'create index signed_in_expire on signed_in (expire)',
  `create index signed_in_person on signed_in ((sess ->> 'personId'))`,
  'create table counted_try (key varchar(255) primary key, points integer not null default 0, expire bigint)',
  'create table server_secret (name text primary key, value text not null)',
];

/**
 * Functions as this version and later ones make them whenever the tables are brought up to date; earlier ones
 * make their own.
 */
const MADE_ANEW: Readonly<Record<string, string>> = {
  sheet_text: 'uuid, text, uuid, date',
  sheet_revision: 'uuid, text, uuid',
  roster_revision: 'uuid, text',
  circuit_revision: 'uuid, text',
  identity_of: 'uuid',
};

const IN_WORKSPACE = `workspace_id = ${WORKSPACE}`;
const A_MEMBER = `exists (select 1 from membership where membership.person_id = person.id and membership.${IN_WORKSPACE})`;

/** Who sees a row, and who may write one. */
const POLICIES: Readonly<Record<string, { sees: string; writes: string }>> = {
  person: {
    sees: `id = ${PERSON} or email = ${KEY} or ${A_MEMBER}`,
    writes: `id = ${PERSON}`,
  },
  membership: { sees: `${IN_WORKSPACE} or person_id = ${PERSON}`, writes: IN_WORKSPACE },
  passkey: { sees: `person_id = ${PERSON} or id = ${KEY}`, writes: `person_id = ${PERSON}` },
  one_time_link: {
    sees: `${IN_WORKSPACE} or key_hash = ${KEY}`,
    writes: `${IN_WORKSPACE} or key_hash = ${KEY}`,
  },
  share: { sees: `${IN_WORKSPACE} or key_hash = ${KEY}`, writes: IN_WORKSPACE },
  share_opening: { sees: IN_WORKSPACE, writes: IN_WORKSPACE },
  access_token: {
    sees: `${IN_WORKSPACE} or key_hash = ${KEY}`,
    writes: IN_WORKSPACE,
  },
  audit_entry: {
    sees: `${IN_WORKSPACE} or person_id = ${PERSON}
      or (workspace_id is null and person_id in (select person_id from membership where membership.${IN_WORKSPACE}))`,
    writes: `workspace_id is null or ${IN_WORKSPACE}`,
  },
};

/**
 * People, what they may do where, how they get in, what they share, and what is noted of it. Row-level
 * security holds for the workspaces themselves too, and for players somebody may not see; the owner of the
 * tables walks past the former, for a server that starts has to find its workspace.
 */
export class Migration014People extends Migration {
  override up(): void {
    for (const sql of [...TABLES, ...SEES]) this.addSql(sql);
    this.addSql('alter table change add column person_id uuid');
    for (const [table, seen] of Object.entries(OF_PLAYERS))
      this.addSql(
        `create policy own_players on "${table}" as restrictive using (${ALL_PLAYERS} or ${seen}) with check (${ALL_PLAYERS} or ${seen})`,
      );
    for (const [table, { sees, writes }] of Object.entries(POLICIES)) {
      this.addSql(`alter table ${table} enable row level security`);
      this.addSql(`alter table ${table} force row level security`);
      this.addSql(`create policy who_may on ${table} using (${sees}) with check (${writes})`);
    }
    const mine = `exists (select 1 from membership where membership.workspace_id = workspace.id and membership.person_id = ${PERSON})`;
    this.addSql('alter table workspace enable row level security');
    this.addSql(
      `create policy who_may on workspace using (id = ${WORKSPACE} or ${mine}) with check (id = ${WORKSPACE})`,
    );
    // Made again, with the players that may be seen, whenever the tables are brought up to date.
    this.addSql('drop function if exists sheet_text(uuid, uuid, date)');
    this.addSql('drop function if exists sheet_revision(uuid, uuid)');
    this.addSql('drop function if exists roster_revision(uuid)');
  }
  override down(): void {
    for (const [name, parameters] of Object.entries(MADE_ANEW))
      this.addSql(`drop function if exists ${name}(${parameters})`);
    this.addSql('drop policy who_may on workspace');
    this.addSql('alter table workspace disable row level security');
    for (const table of Object.keys(POLICIES)) this.addSql(`drop policy who_may on ${table}`);
    for (const table of Object.keys(OF_PLAYERS)) this.addSql(`drop policy own_players on "${table}"`);
    this.addSql('alter table change drop column person_id');
    for (const table of ['bag', 'club', 'change', 'session'])
      this.addSql(`drop function sees_${table}(uuid)`);
    for (const sql of TABLES.toReversed()) {
      const table = /^create table (\w+)/.exec(sql)?.[1];
      if (table) this.addSql(`drop table ${table}`);
    }
  }
}
