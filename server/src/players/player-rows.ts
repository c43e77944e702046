import { MAX_COURSES, MAX_EVENTS, MAX_PLAYER_ROWS } from '@tasche/contract';
import type { EntityManager } from '@mikro-orm/postgresql';
import { v4 as newId } from 'uuid';
import { rowDiffsOf, type Change } from '../changes/change.js';
import type { RowDiff } from '../changes/change-recorder.js';
import { ruleBroken } from '../http/http-error.js';

/** A row of the database, as JSON. */
export type Row = Record<string, unknown> & { id?: string };
/** Everything of a player, by table. */
export type PlayerRows = Record<Table, Row[]>;

/**
 * Where the rows of a player are, in an order in which they can be written; `?` is the player's id. What
 * the database counts or works out itself (`counted`) it does again where they go.
 */
const TABLES = {
  player: { of: 'id = ?' },
  club: { of: 'player_id = ?', order: 'place' },
  bag: { of: 'player_id = ?', order: 'place' },
  plan: { of: 'player_id = ?', order: 'id' },
  bag_club: { of: 'bag_id in (select id from bag where player_id = ?)', order: 'bag_id, place' },
  change: {
    of: `id in (select id from change where player_id = ?
      union select change_id from reading where club_id in (select id from club where player_id = ?)
      union select change_id from change_row where row_id in (
        select id from club where player_id = ? union select id from bag where player_id = ?
        union select id from plan where player_id = ? union select id from session where player_id = ?
        union select id from ticket where player_id = ? union select id from wish where player_id = ?
        union select id from round_played where player_id = ?))`,
    order: 'at, id',
  },
  reading: {
    of: 'club_id in (select id from club where player_id = ?)',
    order: 'seq',
    counted: ['seq', 'stands_from'],
  },
  session: { of: 'player_id = ?', order: 'held_on, id' },
  strike: { of: 'player_id = ?', order: 'arrival', counted: ['arrival'] },
  ticket: { of: 'player_id = ?', order: 'id' },
  wish: { of: 'player_id = ?', order: 'id' },
  round_played: { of: 'player_id = ?', order: 'id' },
} as const satisfies Record<string, { of: string; order?: string; counted?: readonly string[] }>;
type Table = keyof typeof TABLES;
const NAMES = Object.keys(TABLES) as Table[];

/** What is said of a change where what it says is of others too. */
const OF_SEVERAL = 'Something done to several players';
/** Rows sent to the database at once. */
const BATCH = 2000;
const UUID = /"([0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12})"/g;

function where(table: Table, playerId: string): [string, string[]] {
  const { of } = TABLES[table];
  return [of, Array.from(of.matchAll(/\?/g), () => playerId)];
}

/**
 * Everything of a player, as it stands in the workspace the transaction is in: with its history, of changes
 * only what they did to this player.
 * @throws HttpError 422 where there is more than can be carried
 */
export async function readPlayerRows(em: EntityManager, playerId: string): Promise<PlayerRows> {
  let count = 0;
  for (const table of NAMES) {
    const [of, values] = where(table, playerId);
    const [row] = await em.execute<{ n: number }[]>(
      `select count(*)::int as n from "${table}" where ${of}`,
      values,
    );
    count += row!.n;
  }
  if (count > MAX_PLAYER_ROWS)
    throw ruleBroken(
      `This player has ${count.toLocaleString('en')} rows; at most ${MAX_PLAYER_ROWS.toLocaleString('en')} are carried at once.`,
    );
  const rows = {} as PlayerRows;
  for (const table of NAMES) {
    const { order, counted } = { order: 'id', counted: [], ...TABLES[table] };
    const [of, values] = where(table, playerId);
    const found = await em.execute<{ row: Row }[]>(
      `select to_jsonb(one) - 'workspace_id'${counted.map((column) => ` - '${column}'`).join('')} as row from "${table}" one where ${of} order by ${order}`,
      values,
    );
    rows[table] = found.map(({ row }) => row);
  }
  const own = ownIds(rows);
  rows.change = rows.change.map((change) => {
    const images = ofPlayer(change, own);
    // What it says of others stays with them.
    const isOfOthersToo = images.length < (change.images as unknown[]).length;
    return {
      ...change,
      images,
      ...(isOfOthersToo && { summary: OF_SEVERAL, why: '' }),
    };
  });
  return rows;
}

function ownIds(rows: PlayerRows): Set<string> {
  return new Set(NAMES.flatMap((table) => rows[table].flatMap(({ id }) => id ?? [])));
}

/** What of a change was done to rows of the player's own. */
function ofPlayer(change: Row, own: ReadonlySet<string>): RowDiff[] {
  return rowDiffsOf({ rowDiffs: change.images } as Pick<Change, 'rowDiffs'>).flatMap((diff): RowDiff[] => {
    if (diff.of !== 'readings') return own.has(diff.id) ? [diff] : [];
    if (!diff.clubIds) return [diff];
    const clubIds = diff.clubIds.filter((id) => own.has(id));
    return clubIds.length > 0 ? [{ ...diff, clubIds }] : [];
  });
}

/** Courses and events of one workspace, as rows. */
export interface Played {
  courses: Row[];
  events: Row[];
}

/** The events a player's plans and tickets are for, and the courses they and other rounds are played on. */
export async function readPlayed(em: EntityManager, rows: PlayerRows): Promise<Played> {
  const ids = new Set(
    [...rows.plan, ...rows.ticket].flatMap(({ event_id }) => (event_id as string | null) ?? []),
  );
  const read = async (table: 'event' | 'course', wanted: Iterable<string>) =>
    (
      await em.execute<{ row: Row }[]>(
        `select to_jsonb(one) - 'workspace_id' as row from ${table} one where id = any(?::uuid[])
          order by id`,
        [`{${[...wanted].join(',')}}`],
      )
    ).map(({ row }) => row);
  const events = await read('event', ids);
  const courses = await read(
    'course',
    new Set([
      ...events.flatMap((event) => roundsOf(event).map((one) => one.courseId)),
      ...rows.round_played.flatMap(({ course_id }) => (course_id as string | null) ?? []),
    ]),
  );
  return { courses, events };
}

function roundsOf(event: Row): { id: string; courseId: string; day: string }[] {
  return event.rounds as { id: string; courseId: string; day: string }[];
}

/**
 * Writes a player's rows into the workspace the transaction is in now, under ids of their own. An event or
 * a course that is there already, by its
 * name and days, is used; others come along.
 * @returns the player's new id
 */
export async function writePlayerRows(
  em: EntityManager,
  workspaceId: string,
  rows: PlayerRows,
  played: Played,
): Promise<string> {
  const ids = new Map<string, string>();
  for (const table of NAMES) for (const { id } of rows[table]) if (id !== undefined) ids.set(id, newId());
  const fresh = await placePlayed(em, played, ids);
  // In one go through the text, so that what names a row within another is found too.
  const moved = (text: string) =>
    text.replace(UUID, (all, id: string) => (ids.has(id) ? `"${ids.get(id)!}"` : all));
  const own = ownIds(rows);
  const changed: Partial<Record<Table, (row: Row) => Row>> = {
    player: (row) => ({ ...row, archived: false }),
    // Who did it is told by name; an account may not be of this workspace.
    change: (row) => ({
      ...row,
      person_id: null,
      report: null,
      player_id: rows.player[0]!.id,
      undoes_id: own.has(row.undoes_id as string) ? row.undoes_id : null,
      undone_by_id: own.has(row.undone_by_id as string) ? row.undone_by_id : null,
    }),
    session: (row) => ({ ...row, live: false }),
  };
  const write = (table: string, all: readonly Row[], change: (row: Row) => Row = (row) => row) =>
    insert(em, workspaceId, table, all.map(change), (some) => moved(JSON.stringify(some)));
  await write('course', fresh.courses);
  await write('event', fresh.events);
  for (const table of NAMES) await write(table, rows[table], changed[table]);
  await em.execute(
    `insert into change_row (workspace_id, row_id, change_id)
     select distinct ?::uuid, (diff ->> 'id')::uuid, change.id from change, jsonb_array_elements(images) diff
     where change.player_id = ? and diff ->> 'of' <> 'readings'
     union select ?::uuid, reading.club_id, reading.change_id
       from reading join club on club.id = reading.club_id where club.player_id = ?
     on conflict do nothing`,
    [workspaceId, ids.get(rows.player[0]!.id!)!, workspaceId, ids.get(rows.player[0]!.id!)!],
  );
  return ids.get(rows.player[0]!.id!)!;
}

/** Finds what is played here already, and gives the rest ids of its own. @returns the rest */
async function placePlayed(
  em: EntityManager,
  { courses, events }: Played,
  ids: Map<string, string>,
): Promise<Played> {
  const here = async (table: 'event' | 'course') =>
    (
      await em.execute<{ row: Row }[]>(
        `select to_jsonb(one) as row from ${table} one where removed_at is null`,
      )
    ).map(({ row }) => row);
  const [coursesHere, eventsHere] = [await here('course'), await here('event')];
  const isNamed = (a: Row, b: Row) => String(a.name).toLowerCase() === String(b.name).toLowerCase();
  const freshCourses = courses.filter((course) => {
    const known = coursesHere.find((one) => isNamed(one, course));
    ids.set(course.id!, known?.id ?? newId());
    return !known;
  });
  const days = (event: Row) =>
    roundsOf(event)
      .map(({ day }) => day)
      .join();
  const freshEvents = events.filter((event) => {
    const known = eventsHere.find((one) => isNamed(one, event) && days(one) === days(event));
    ids.set(event.id!, known?.id ?? newId());
    roundsOf(event).forEach(({ id }, i) => ids.set(id, known ? roundsOf(known)[i]!.id : newId()));
    return !known;
  });
  const tooMany = (what: string, most: number, count: number) => {
    if (count > most)
      throw ruleBroken(
        `A workspace holds at most ${most} ${what}; those of the player's plans would be too many.`,
      );
  };
  tooMany('courses', MAX_COURSES, coursesHere.length + freshCourses.length);
  tooMany('events', MAX_EVENTS, eventsHere.length + freshEvents.length);
  return { courses: freshCourses, events: freshEvents };
}

/**
 * A batch at a time, so that others have a turn in between. @param textOf some rows as the JSON they are
 * written from
 */
async function insert(
  em: EntityManager,
  workspaceId: string,
  table: string,
  rows: readonly Row[],
  textOf: (rows: readonly Row[]) => string,
): Promise<void> {
  if (rows.length === 0) return;
  const columns = Object.keys(rows[0]!)
    .map((name) => `"${name}"`)
    .join(', ');
  for (let i = 0; i < rows.length; i += BATCH)
    await em.execute(
      `insert into "${table}" (workspace_id, ${columns})
       select ?::uuid, ${columns} from jsonb_populate_recordset(null::"${table}", ?::jsonb)`,
      [workspaceId, textOf(rows.slice(i, i + BATCH))],
    );
}

/**
 * Deletes everything of a player for good, in the workspace the transaction is in, but the bare row that
 * links and what was noted hang on. Of
 * changes made to others too, what they did to others stays.
 */
export async function deletePlayerRows(em: EntityManager, rows: PlayerRows): Promise<void> {
  const [player] = rows.player;
  const playerId = player!.id!;
  const own = ownIds(rows);
  await em.execute('update share set revoked_at = now() where player_id = ? and revoked_at is null', [
    playerId,
  ]);
  await em.execute('delete from set_aside where session_id in (select id from session where player_id = ?)', [
    playerId,
  ]);
  const changeIds = `{${rows.change.map(({ id }) => id!).join(',')}}`;
  const changes = await em.execute<{ id: string; images: object }[]>(
    'select id, images from change where id = any(?::uuid[])',
    [changeIds],
  );
  for (const table of [
    'strike',
    'ticket',
    'wish',
    'round_played',
    'reading',
    'session',
    'bag_club',
    'plan',
    'bag',
  ] as const) {
    const [of, values] = where(table, playerId);
    await em.execute(`delete from "${table}" where ${of}`, values);
  }
  await em.execute(`delete from change_row where row_id = any(?::uuid[])`, [`{${[...own].join(',')}}`]);
  await em.execute('delete from club where player_id = ?', [playerId]);
  // What is left of readings is others'.
  const left = await em.execute<{ id: string; clubIds: string[] }[]>(
    `select change_id as id, array_agg(distinct club_id::text) as "clubIds"
     from reading where change_id = any(?::uuid[]) group by 1`,
    [changeIds],
  );
  const clubsLeft = new Map(left.map(({ id, clubIds }) => [id, clubIds]));
  const gone: string[] = [];
  for (const { id, images } of changes) {
    const others = rowDiffsOf({ rowDiffs: images }).flatMap((diff): RowDiff[] => {
      if (diff.of !== 'readings') return own.has(diff.id) ? [] : [diff];
      const clubIds = clubsLeft.get(diff.id);
      return clubIds ? [{ ...diff, clubIds }] : [];
    });
    if (others.length === 0) gone.push(id);
    else
      await em.execute(
        `update change set images = ?::jsonb, player_id = null, summary = ?, why = '' where id = ?`,
        [JSON.stringify(others), OF_SEVERAL, id],
      );
  }
  const goneIds = `{${gone.join(',')}}`;
  for (const sql of [
    'update change set undoes_id = null where undoes_id = any(?::uuid[])',
    'update change set undone_by_id = null where undone_by_id = any(?::uuid[])',
    'delete from change_row where change_id = any(?::uuid[])',
    'delete from change where id = any(?::uuid[])',
  ])
    await em.execute(sql, [goneIds]);
  await em.execute(
    `update player set removed_at = now(), version = version + 1, notes = '', handicap = null,
      gap_settings = '{}', baseline = null,
       preferences = null, balls = '[]', season = null where id = ?`,
    [playerId],
  );
}
