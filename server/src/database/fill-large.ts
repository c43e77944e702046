import type pg from 'pg';

/** How large a workspace is made for measuring: players, and what each has of everything. */
interface LargeSize {
  players: number;
  clubsEach: number;
  readingsEach: number;
  changesEach: number;
  plansEach: number;
  sessionsEach: number;
  strikesEach: number;
  courses: number;
  events: number;
}

/** Rows to ask for: a player, a club, an old plan, a session of the first; an old plan of each. */
interface LargeIds {
  playerId: string;
  clubId: string;
  planId: string;
  sessionId: string;
  planIds: string[];
}

/** Two hundred players of a tour after some years. */
export const TOUR_SIZE: LargeSize = {
  players: 200,
  clubsEach: 30,
  readingsEach: 500,
  changesEach: 980,
  plansEach: 60,
  sessionsEach: 40,
  strikesEach: 400,
  courses: 60,
  events: 150,
};

/** Two hundred players in a season. Readings are each club's. */
export const MORNING_SIZE: LargeSize = {
  players: 200,
  clubsEach: 25,
  readingsEach: 2,
  changesEach: 50,
  plansEach: 12,
  sessionsEach: 8,
  strikesEach: 80,
  courses: 40,
  events: 500,
};

/**
 * Fills a workspace with made-up rows, by the database alone; for the bench and for tests at size, never for
 * people.
 * @param client connected as the owner of the tables, who may have them analysed
 * @returns ids to ask for
 */
export async function fillLarge(client: pg.Client, workspaceId: string, size: LargeSize): Promise<LargeIds> {
  const run = (sql: string, values: unknown[] = []) => client.query<{ id: string }>(sql, values);
  await run(`select set_config('tasche.workspace', $1, false)`, [workspaceId]);
  await run('begin');
  await run(
    `create temporary table made on commit drop as
     select gen_random_uuid() as id, gen_random_uuid() as gamer, n from generate_series(1, $1::int) n`,
    [size.players],
  );
  await run(
    `insert into player (id, workspace_id, name, hand, distance_unit, notes, gap_settings, version)
     select id, $1, 'Large ' || to_char(n, 'FM0000'), 'right', 'yd', '', '{}', 1 from made`,
    [workspaceId],
  );
  await run(
    `insert into club (id, workspace_id, player_id, name, kind, spec, version)
     select gen_random_uuid(), $1, made.id, 'club ' || c,
       case when c < 4 then 'fairway' when c < 20 then 'iron' else 'wedge' end, '{}', 1
     from made, generate_series(1, $2::int) c`,
    [workspaceId, size.clubsEach],
  );
  await run(
    `insert into bag (id, workspace_id, player_id, plan_id, name, note, ready, gamer, version)
     select gamer, $1, id, null, 'Gamer', '', false, true, 1 from made`,
    [workspaceId],
  );
  await run(
    `with one_club as materialized (select distinct on (player_id) player_id, id from club
      where player_id in (select id from made) order by player_id, place),
       fresh as (
       insert into change (id, workspace_id, player_id, at, who, why, summary, images)
       select gen_random_uuid(), $1, made.id, now() - c * interval '3 hours', 'bench', '',
         'lie 62.0° from 61.5°',
         jsonb_build_array(jsonb_build_object('of', 'club', 'id', club.id, 'before', '{"name":"a"}'::jsonb, 'after', '{"name":"b"}'::jsonb, 'version', c))
       from made join one_club club on club.player_id = made.id, generate_series(1, $2::int) c
       returning id, images)
     insert into change_row (workspace_id, row_id, change_id)
     select $1, (images -> 0 ->> 'id')::uuid, id from fresh`,
    [workspaceId, size.changesEach],
  );
  await run(
    `insert into reading (id, workspace_id, club_id, change_id, key, value, taken_on)
     with one_change as materialized (select distinct on (player_id) player_id, id from change
       where player_id in (select id from made) order by player_id)
     select gen_random_uuid(), $1, club.id, change.id,
       (array['lieDeg', 'loftMeasuredDeg', 'swingWeight', 'shot.full'])[1 + r % 4],
       (array['62.5'::jsonb, '36.5', '"D3"', jsonb_build_object('carryM', 80 + (club.place % 30) * 5, 'source', 'measured', 'sampleSize', 20, 'spreadM', 4)])[1 + r % 4],
       current_date - r
     from club join one_change change on change.player_id = club.player_id, generate_series(1, $2::int) r`,
    [workspaceId, size.readingsEach],
  );
  await run(
    `insert into course (id, workspace_id, name, altitude_m, grass, sand, tees, holes, seasons, notes,
      version)
     select gen_random_uuid(), $1, 'Course ' || n, 10, 'rye', 'medium', '["Back"]', (
       select jsonb_agg(jsonb_build_object('par', 4, 'lengthsM', '[350]'::jsonb, 'bearingDeg', 90,
         'elevationChangeM', 0, 'corridorM', 30, 'greenM', 25, 'front', 'open',
         'slope', 'flat', 'hazards', '[]'::jsonb)) from generate_series(1, 18)), '[]',
           repeat('Notes of the course. ', 20), 1
     from generate_series(1, $2::int) n`,
    [workspaceId, size.courses],
  );
  await run(
    `insert into event (id, workspace_id, name, rounds, limits, notes, version)
     select gen_random_uuid(), $1, 'Event ' || n, (
       select jsonb_agg(jsonb_build_object('id', gen_random_uuid(), 'name', 'Round ' || r,
         'day', current_date + n, 'courseId', course.id, 'tee', 0,
         'air', '{"temperatureC":15,"humidityPct":60,"windMps":4,"windFromDeg":90}'::jsonb, 'ground', '{}'::jsonb, 'forecast', null))
       from generate_series(1, 4) r), '{"clubs":14,"lengthIn":48}', '', 1
     from generate_series(1, $2::int) n join lateral (select id from course limit 1) course on true`,
    [workspaceId, size.events],
  );
  await run(
    `with fresh as (select gen_random_uuid() as id, gen_random_uuid() as bag_id, made.id as player_id, p
      from made, generate_series(1, $2::int) p),
       plans as (
         insert into plan (id, workspace_id, player_id, bag_id, name, course, starts_on, ends_on, ground,
           weather, base_club_ids, swaps, rounds, version)
         select id, $1, player_id, bag_id, 'Week ' || p, '', current_date + 60 - p * 7,
           current_date + 63 - p * 7, '', '', '[]', '[]', '[]', 1 from fresh)
     insert into bag (id, workspace_id, player_id, plan_id, name, note, ready, gamer, version)
     select bag_id, $1, player_id, id, 'Week ' || p, '', false, false, 1 from fresh`,
    [workspaceId, size.plansEach],
  );
  await run(
    `insert into bag_club (id, workspace_id, bag_id, club_id, place)
     with carried as materialized (
       select id, player_id, place, row_number() over (partition by player_id order by place) as nth from club
         where player_id in (select id from made))
     select gen_random_uuid(), $1, bag.id, club.id, club.place
     from bag join carried club on club.player_id = bag.player_id where nth <= 14`,
    [workspaceId],
  );
  await run(
    `insert into monitor_ball (workspace_id, device, device_session, number, hit_at)
     select $1, 'bench', 's' || n % 50, n, now() - n * interval '1 minute' from generate_series(1, 5000) n`,
    [workspaceId],
  );
  await run(
    `insert into session (id, workspace_id, player_id, name, held_on, conditions, surface, hit_off, ball,
      notes, source, live, version)
     select gen_random_uuid(), $1, made.id, 'Range', current_date - s, '{}', '{}', 'grass', '', '', 'bench',
       false, 1 from made, generate_series(1, $2::int) s`,
    [workspaceId, size.sessionsEach],
  );
  await run(
    `insert into strike (workspace_id, session_id, player_id, built_on, id, club_id, shot, number,
      ball_speed_mps, carry_m)
     with one_club as materialized (select distinct on (player_id) player_id, id from club
       where player_id in (select id from made) order by player_id, place)
     select $1, session.id, session.player_id, session.held_on, gen_random_uuid(), club.id, 'full', s, 55, 150
     from session join one_club club on club.player_id = session.player_id, generate_series(1, $2::int) s
     where session.source = 'bench'`,
    [workspaceId, Math.ceil(size.strikesEach / size.sessionsEach)],
  );
  // Nothing is known yet of tables that are being filled: readings looked for without their index, club by
  // club, take minutes.
  await run('set local enable_seqscan = off');
  await run(
    `update club set spec = spec_as_of(club.id, current_date) where player_id in (select id from made)`,
  );
  const {
    rows: [player],
  } = await run('select id from made order by n limit 1');
  const idIn = async (sql: string) => (await run(sql, [player!.id])).rows[0]!.id;
  const ids = {
    playerId: player!.id,
    clubId: await idIn('select id from club where player_id = $1 order by place limit 1'),
    planId: await idIn('select id from plan where player_id = $1 order by starts_on limit 1'),
    planIds: (
      await run(
        'select distinct on (player_id) id from plan where player_id in (select id from made) order by player_id, starts_on',
      )
    ).rows.map(({ id }) => id),
    sessionId: await idIn('select id from session where player_id = $1 order by held_on limit 1'),
  };
  await run('commit');
  // The tables that were filled, and no more: others may be locked by their users.
  await run(
    `analyze player, club, bag, bag_club, change, change_row, reading, course, event, plan, monitor_ball, session,
       strike`,
  );
  return ids;
}
