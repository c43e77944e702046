import { randomUUID } from 'node:crypto';
import { Agent, get as httpGet } from 'node:http';
import pg from 'pg';
import { percentile, report } from './figure.js';

/** A player with 40 clubs, each on the gauge every week for ten years. */
export async function tenYears(url: string): Promise<string> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const workspace = (await client.query<{ id: string }>('select id from workspace limit 1')).rows[0]!.id;
  await client.query(`select set_config('tasche.workspace', $1, false)`, [workspace]);
  const [player, change] = [randomUUID(), randomUUID()];
  await client.query('begin');
  await client.query(
    `insert into player (id, workspace_id, name, hand, distance_unit, notes, gap_settings, version) values ($1, $2, 'Ten years', 'right', 'm', '', '{}', 1)`,
    [player, workspace],
  );
  await client.query(
    `insert into change (id, workspace_id, player_id, at, who, why, summary, images) values ($1, $2, $3, now(), 'bench', '', '', '[]')`,
    [change, workspace, player],
  );
  await client.query(
    `insert into club (id, workspace_id, player_id, name, kind, spec, version) select gen_random_uuid(), $1, $2, 'club ' || n, 'iron', '{}', 1 from generate_series(1, 40) n`,
    [workspace, player],
  );
  await client.query(
    `insert into reading (id, workspace_id, club_id, change_id, key, value, taken_on)
     select gen_random_uuid(), $1, club.id, $3, fact.key, fact.value, date '2016-11-24' + week * 7
     from club, generate_series(0, 520) week, (values ('loftMeasuredDeg', '44.5'::jsonb), ('lieDeg', '63'::jsonb)) fact(key, value) where club.player_id = $2`,
    [workspace, player, change],
  );
  await client.query(
    `insert into reading (id, workspace_id, club_id, change_id, key, value, taken_on)
     select gen_random_uuid(), $1, club.id, $3, fact.key, fact.value, date '2020-01-01' + year * 365
     from club, generate_series(0, 6) year, (values ('loftStampedDeg', '44'::jsonb), ('lengthIn', '36.5'), ('head', '"Halm"'), ('shaft', '"Rohr 120"'), ('shaftWeightG', '120'), ('flex', '"S"'),
       ('grip', '"Moos"'), ('swingWeight', '"D3"'), ('state', '"gamer"'), ('bounceDeg', '8'), ('shot.full', '{"carryM":140,"source":"measured","sampleSize":20,"spreadM":4}'), ('shot.soft', '{"carryM":130,"source":"stated"}')) fact(key, value)
     where club.player_id = $2`,
    [workspace, player, change],
  );
  await client.query(`update club set spec = spec_as_of(id, 'infinity') where player_id = $1`, [player]);
  await client.query('commit');
  await client.query('analyze');
  await client.end();
  return player;
}

const CLIENTS = 20;
const REQUESTS_EACH = 200;

export async function benchSheet(address: string, player: string): Promise<void> {
  const agent = new Agent({ keepAlive: true, maxSockets: CLIENTS });
  const hit = async (query: string, clients: number, each: number) => {
    const times: number[] = [];
    await Promise.all(
      Array.from({ length: clients }, async () => {
        for (let i = 0; i < each; i++) {
          const start = performance.now();
          await get(`${address}/api/players/${player}/sheet${query}`, agent);
          times.push(performance.now() - start);
        }
      }),
    );
    return times;
  };
  await hit('', CLIENTS, 100);
  const now = await hit('', CLIENTS, REQUESTS_EACH);
  const p95 = percentile(now, 0.95);
  report(
    `sheet of 40 clubs, 45,000 readings over 10 years, ${CLIENTS} clients without a pause`,
    `median ${percentile(now, 0.5).toFixed(1)} ms, 95th ${p95.toFixed(1)} ms of ${now.length}`,
    '95th under 30 ms',
    p95 < 30,
  );
  const nothing: number[] = [];
  await Promise.all(
    Array.from({ length: CLIENTS }, async () => {
      for (let i = 0; i < REQUESTS_EACH; i++) {
        const start = performance.now();
        await get(`${address}/api/signed-in`, agent);
        nothing.push(performance.now() - start);
      }
    }),
  );
  console.log(
    `        the same ${CLIENTS} clients asking for 100 bytes that need no database (what this machine's sockets cost): median ${percentile(nothing, 0.5).toFixed(1)} ms, 95th ${percentile(nothing, 0.95).toFixed(1)} ms`,
  );
  const alone = await hit('', 1, 100);
  console.log(
    `        the same, one client: median ${percentile(alone, 0.5).toFixed(1)} ms, 95th ${percentile(alone, 0.95).toFixed(1)} ms`,
  );
  const then = await hit('?asOf=2021-06-01', 1, 20);
  console.log(
    `        the same as of a day five years ago, one client: median ${percentile(then, 0.5).toFixed(1)} ms`,
  );
}

/** A plain client with a kept connection, so that what is measured is the server. */
function get(address: string, agent: Agent): Promise<number> {
  return new Promise((resolve, reject) => {
    httpGet(address, { agent, headers: { 'accept-encoding': 'gzip' } }, (response) => {
      let bytes = 0;
      response.on('data', (chunk: Buffer) => {
        bytes += chunk.length;
      });
      response.on('end', () => {
        if (response.statusCode === 200) resolve(bytes);
        else reject(new Error(`${address} answered ${response.statusCode}`));
      });
    }).on('error', reject);
  });
}
