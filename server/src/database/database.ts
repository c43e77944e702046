import { Migrator } from '@mikro-orm/migrations';
import { MikroORM, UnderscoreNamingStrategy, type Options } from '@mikro-orm/postgresql';
import { Bag, BagClub } from '../bags/bag.js';
import { Change } from '../changes/change.js';
import { SCHEDULE_REVISION_SQL, Course, Event, Season } from '../schedule/schedule-rows.js';
import { Club, ReadingRow } from '../clubs/club.js';
import { Migration001FirstSlice } from '../migrations/migration-001-first-slice.js';
import { Migration002Places } from '../migrations/migration-002-places.js';
import { Migration003Sessions } from '../migrations/migration-003-sessions.js';
import { Migration004PlanChoosing } from '../migrations/migration-004-plan-choosing.js';
import { Migration005Courses } from '../migrations/migration-005-courses.js';
import { Migration006NothingLost } from '../migrations/migration-006-nothing-lost.js';
import { Migration007Handicap } from '../migrations/migration-007-handicap.js';
import { Migration008BagStrategy } from '../migrations/migration-008-bag-strategy.js';
import { Migration009ShotsBeforeABend } from '../migrations/migration-009-shots-before-a-bend.js';
import { Migration010Baskets } from '../migrations/migration-010-baskets.js';
import { RoundPlayed } from '../rounds/round-played.js';
import { Ticket, Wish } from '../bench/bench-rows.js';
import { Migration012Bench } from '../migrations/migration-012-bench.js';
import { Migration013Season } from '../migrations/migration-013-season.js';
import { Migration014People } from '../migrations/migration-014-people.js';
import { Migration015HandOver } from '../migrations/migration-015-hand-over.js';
import { Migration016RoundsPlayed } from '../migrations/migration-016-rounds-played.js';
import { Migration017WishesAndAttack } from '../migrations/migration-017-wishes-and-attack.js';
import { Migration018StandardNames } from '../migrations/migration-018-standard-names.js';
import { Migration019HitOffTees } from '../migrations/migration-019-hit-off-tees.js';
import { Migration011Preferences } from '../migrations/migration-011-preferences.js';
import { Plan } from '../plans/plan.js';
import { Player } from '../players/player.js';
import { ROSTER_REVISION_SQL } from '../players/read-roster.js';
import { IDENTITY_SQL } from '../people/identify.js';
import { Membership, OneTimeLink, Passkey, Person } from '../people/person.js';
import { SHEET_REVISION_SQL, SHEET_TEXT_SQL } from '../sheet/sheet-text-sql.js';
import { AccessToken } from '../tokens/access-token.js';
import { Share } from '../shares/share.js';
import { Session } from '../sessions/session.js';
import { FileMapping, SetAside, StrikeRow } from '../strikes/strike-rows.js';
import { Workspace } from '../workspaces/workspace.js';

const MIGRATIONS = [
  { name: 'migration-001-first-slice', class: Migration001FirstSlice },
  { name: 'migration-002-places', class: Migration002Places },
  { name: 'migration-003-sessions', class: Migration003Sessions },
  { name: 'migration-004-plan-choosing', class: Migration004PlanChoosing },
  { name: 'migration-005-courses', class: Migration005Courses },
  { name: 'migration-006-nothing-lost', class: Migration006NothingLost },
  { name: 'migration-007-handicap', class: Migration007Handicap },
  { name: 'migration-008-bag-strategy', class: Migration008BagStrategy },
  { name: 'migration-009-shots-before-a-bend', class: Migration009ShotsBeforeABend },
  { name: 'migration-010-baskets', class: Migration010Baskets },
  { name: 'migration-011-preferences', class: Migration011Preferences },
  { name: 'migration-012-bench', class: Migration012Bench },
  { name: 'migration-013-season', class: Migration013Season },
  { name: 'migration-014-people', class: Migration014People },
  { name: 'migration-015-hand-over', class: Migration015HandOver },
  { name: 'migration-016-rounds-played', class: Migration016RoundsPlayed },
  { name: 'migration-017-wishes-and-attack', class: Migration017WishesAndAttack },
  { name: 'migration-018-standard-names', class: Migration018StandardNames },
  { name: 'migration-019-hit-off-tees', class: Migration019HitOffTees },
];
/** Every migration there is, the oldest first. */
export const MIGRATION_NAMES: readonly string[] = MIGRATIONS.map(({ name }) => name);

/** The earliest migration the tables can be taken back to: those after it say how. */
export const EARLIEST_TO_GO_BACK_TO: string =
  MIGRATIONS[MIGRATIONS.findLastIndex(({ class: one }) => !Object.hasOwn(one.prototype, 'down'))]!.name;

/** The driver's settings for a connection, in milliseconds; each ends a wait of its kind. */
interface ConnectionLimits {
  connectionTimeoutMillis?: number;
  statement_timeout?: number;
  lock_timeout?: number;
  idle_in_transaction_session_timeout?: number;
  query_timeout?: number;
}

/** A property that holds another row's id is called so already: `playerId` is `player_id`. */
class ColumnNames extends UnderscoreNamingStrategy {
  override joinKeyColumnName(property: string): string {
    return this.propertyToColumnName(property);
  }
}

/**
 * Connects to PostgreSQL lazily: the server can start before its database does.
 * @param limits in place of the usual ones
 */
export async function openDatabase(
  url: string,
  options: Partial<Options> = {},
  limits: ConnectionLimits = LIMITS,
): Promise<MikroORM> {
  return MikroORM.init({
    clientUrl: url,
    entities: [
      Workspace,
      Player,
      Club,
      ReadingRow,
      Bag,
      BagClub,
      Plan,
      Change,
      Session,
      Course,
      Season,
      Event,
      Ticket,
      Wish,
      RoundPlayed,
      Person,
      Membership,
      Passkey,
      OneTimeLink,
      AccessToken,
      Share,
      StrikeRow,
      SetAside,
      FileMapping,
    ],
    extensions: [Migrator],
    migrations: {
      migrationsList: MIGRATIONS,
      snapshot: false,
      silent: true,
      disableForeignKeys: false,
    },
    namingStrategy: ColumnNames,
    // A query that locks rows cannot join; each entity has the workspace's filter of its own.
    autoJoinRefsForFilters: false,
    connect: false,
    // Every write goes through one transaction that flushes at its end or where it says so.
    flushMode: 'commit',
    pool: { min: 2, max: MAX_CONNECTIONS, idleTimeoutMillis: 30_000, acquireTimeoutMillis: ACQUIRE_MS },
    driverOptions: {
      connection: {
        application_name: 'tasche',
        connectionTimeoutMillis: CONNECT_MS,
        options: NO_JIT,
        ...limits,
      },
    },
    ...options,
  });
}

/** As many as two cores can keep busy, and some for what waits on a lock. */
const MAX_CONNECTIONS = 10;
/** A request that gets no connection within this is answered 503. */
const ACQUIRE_MS = 2000;
const CONNECT_MS = 2000;
/**
 * Queries here are short and many. PostgreSQL guesses some of them long (`spec_as_of` asks again for what it
 * found) and then compiles them again each time they are called: 34 s for the specs of 89 clubs, which take 20
 * ms without.
 */
const NO_JIT = '-c jit=off';
/**
 * Nothing waits for ever: the database ends a statement, a wait for a lock, a transaction that does
 * nothing; and where
 * the database itself stands still, the driver gives up. Milliseconds.
 */
const LIMITS: ConnectionLimits = {
  statement_timeout: 15_000,
  lock_timeout: 5000,
  idle_in_transaction_session_timeout: 30_000,
  query_timeout: 20_000,
};
/** Held while tables are brought up to date, or taken back. */
const MIGRATION_LOCK = 4_310_001;
/** Bringing tables up to date may take long. */
const FOR_MIGRATIONS: ConnectionLimits = { connectionTimeoutMillis: 5000 };

class UnfitDatabaseError extends Error {
  override readonly name = 'UnfitDatabaseError';
}

/**
 * Brings the tables up to date, as their owner. Safe to run from several servers at once: the second waits
 * for the first.
 * @param application the role the application works as, which is then given what it needs and no more
 * @throws UnfitDatabaseError when the role would walk past row-level security
 */
export async function migrate(ownerUrl: string, application?: string): Promise<void> {
  await asTableOwner(ownerUrl, (orm) => migrateWith(orm, application));
}

/**
 * Takes the tables back to what an earlier version knows, all of it or nothing: what came later is dropped.
 * @param to the newest migration that version knows
 * @throws Error where a migration after it cannot be taken back
 */
export async function migrateDown(ownerUrl: string, to: string): Promise<void> {
  const next = MIGRATION_NAMES[MIGRATION_NAMES.indexOf(to) + 1];
  if (!MIGRATION_NAMES.includes(to) || to < EARLIEST_TO_GO_BACK_TO)
    throw new Error(`${to} cannot be gone back to; ${EARLIEST_TO_GO_BACK_TO} is the earliest that can.`);
  if (next === undefined) return;
  await asTableOwner(ownerUrl, (orm) =>
    orm.em.fork().transactional(async (em) => {
      await em.execute('select pg_advisory_xact_lock(?)', [MIGRATION_LOCK]);
      await orm.getMigrator().down({ to: next });
    }),
  );
}

/** Does something with a connection of the tables' owner. */
export async function asTableOwner<T>(ownerUrl: string, work: (orm: MikroORM) => Promise<T>): Promise<T> {
  const orm = await openDatabase(ownerUrl, { pool: { min: 0, max: 2 } }, FOR_MIGRATIONS);
  try {
    return await work(orm);
  } finally {
    await orm.close(true);
  }
}

/** The role in a database's address. */
export function roleIn(url: string): string {
  return decodeURIComponent(new URL(url).username);
}

async function migrateWith(orm: MikroORM, application: string | undefined): Promise<void> {
  const [role] = await orm.em
    .fork()
    .execute<{ rolname: string; walks_past: boolean }[]>(
      'select rolname, rolsuper or rolbypassrls as walks_past from pg_roles where rolname = current_user',
    );
  if (role?.walks_past) {
    throw new UnfitDatabaseError(
      `The database role "${role.rolname}" ignores row-level security. Give Tasche an ordinary one: ` +
        "CREATE ROLE tasche LOGIN PASSWORD '...'; CREATE DATABASE tasche OWNER tasche;",
    );
  }
  await orm.em.fork().transactional(async (em) => {
    await em.execute('select pg_advisory_xact_lock(?)', [MIGRATION_LOCK]);
    await orm.getMigrator().up();
    // Nothing of it is in a migration, so that none is needed when a view changes.
    await em.execute(SHEET_TEXT_SQL);
    await em.execute(SHEET_REVISION_SQL);
    await em.execute(ROSTER_REVISION_SQL);
    await em.execute(SCHEDULE_REVISION_SQL);
    await em.execute(IDENTITY_SQL);
    if (application !== undefined) for (const sql of grantsTo(application)) await em.execute(sql);
  });
}

/**
 * What the application may do: read and write rows, but neither change tables nor what was noted of people.
 */
function grantsTo(role: string): string[] {
  const to = `"${role.replaceAll('"', '""')}"`;
  return [
    `grant usage on schema public to ${to}`,
    `grant select, insert, update, delete on all tables in schema public to ${to}`,
    `grant usage, select on all sequences in schema public to ${to}`,
    `revoke insert, update, delete on mikro_orm_migrations from ${to}`,
    `revoke update, delete on audit_entry, share_opening from ${to}`,
  ];
}
