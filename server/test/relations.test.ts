import pg from 'pg';
import { beforeAll, describe, expect, inject, it } from 'vitest';
import { workbench, type Workbench } from './workbench.js';

/** "column of table -> table" */
type Reference = `${string}.${string} -> ${string}`;

let bench: Workbench;
let declared: Reference[];
let held: Reference[];

/** The column that names the row; the workspace goes along in the others. */
const FOREIGN_KEYS = `
  select source.relname as "from", target.relname as "to",
    (select attname from pg_attribute where attrelid = conrelid and attnum = conkey[array_length(conkey, 1)]) as "column"
  from pg_constraint
    join pg_class source on source.oid = conrelid
    join pg_class target on target.oid = confrelid
  where contype = 'f'`;

beforeAll(async () => {
  bench = await workbench();
  declared = Object.values(bench.orm.getMetadata().getAll()).flatMap(({ tableName, relations }) =>
    relations.map(
      ({ fieldNames, targetMeta }): Reference => `${tableName}.${fieldNames[0]} -> ${targetMeta!.tableName}`,
    ),
  );
  const client = new pg.Client({ connectionString: inject('ownerUrl') });
  await client.connect();
  const { rows } = await client.query<{ from: string; to: string; column: string }>(FOREIGN_KEYS);
  held = rows.map(({ from, to, column }): Reference => `${from}.${column} -> ${to}`);
  await client.end();
});

describe('what hangs on what', () => {
  it('is declared of every entity as the database holds it', () => {
    const tables = new Set(declared.map((one) => one.split('.')[0]));
    const missing = held.filter((one) => tables.has(one.split('.')[0]) && !declared.includes(one));
    // Declared the other way round, or of the entity itself: the types of two entities cannot wait for each
    // other.
    expect(missing.toSorted()).toEqual([
      'bag.plan_id -> plan',
      'change.undoes_id -> change',
      'change.undone_by_id -> change',
    ]);
  });

  it('is held by the database, but for what comes in thousands and what outlives the row it names', () => {
    const loose = declared.filter((one) => !held.includes(one));
    // A row that hangs on another shares its workspace: the foreign key to that other carries it along.
    expect(loose.filter((one) => !one.endsWith('-> workspace')).toSorted()).toEqual([
      'change.person_id -> person',
      'change.player_id -> player',
      'set_aside.session_id -> session',
      // Checked once a statement, by a trigger.
      'strike.change_id -> change',
      'strike.club_id -> club',
      'strike.session_id -> session',
    ]);
  });

  it('is an id, read and written as it is', async () => {
    const playerId = await bench.player();
    const clubId = await bench.club(playerId, '7 iron');
    const [club] = (await bench.sheet(playerId)).clubs;
    expect([club!.id, club!.playerId]).toEqual([clubId, playerId]);
  });
});
