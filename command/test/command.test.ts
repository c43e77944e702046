import { fork, spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { createServer } from 'node:net';
import path from 'node:path';
import { setTimeout } from 'node:timers/promises';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { buildServer } from '../build.js';
import { throwAwayCluster, type Cluster } from '../cluster.js';
import { freePort } from '../ports.js';
import { runHere } from './run-here.js';

const root = path.resolve(import.meta.dirname, '../..');
/** The command as it is typed, in a process of its own. */
const run = (args: string[], options: { input?: string; env?: NodeJS.ProcessEnv } = {}) =>
  spawnSync(process.execPath, ['--import', 'tsx', 'command/main.ts', ...args], {
    cwd: root,
    encoding: 'utf8',
    timeout: 120_000,
    input: options.input ?? '',
    env: { ...process.env, ...options.env },
  });

describe('tasche calc gaps', () => {
  it('reads one JSON document and writes one, by the core alone', () => {
    const input = JSON.stringify({
      unit: 'yd',
      clubs: [
        {
          id: 'pw',
          name: 'PW',
          kind: 'iron',
          loftDeg: 44,
          shots: { full: { carryM: 114.3, source: 'stated' } },
        },
        {
          id: '52',
          name: '52',
          kind: 'wedge',
          loftDeg: 52,
          shots: { full: { carryM: 92.3544, source: 'stated' } },
        },
      ],
    });
    const { status, stdout } = run(['calc', 'gaps'], {
      input,
      env: { DATABASE_URL: 'postgresql://nobody@127.0.0.1:9/none' },
    });
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({
      faults: 1,
      steps: [{ word: 'wide', loftDeg: 8 }],
      headline: { text: 'PW to 52 is 8.0° and 24 yd, over 15 yd.' },
    });
  });

  it.each([
    ['{"clubs":[],"colour":1}', 'unknown field: colour'],
    [
      '{"clubs":[{"id":"a","name":"7","kind":"iron","loftDeg":"steep","shots":{}}]}',
      'clubs[0].loftDeg must be a number',
    ],
    ['not json', 'standard input is not one JSON document'],
    ['', 'standard input is not one JSON document'],
  ])('%s: exit 2 and a message that names the field', async (input, message) => {
    const { status, stdout, stderr } = await runHere(['calc', 'gaps'], input);
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(stderr).toContain(message);
  });

  it('ends as it says, in a process of its own too', () => {
    expect(run(['calc', 'gaps'], { input: 'not json' })).toMatchObject({
      status: 2,
      stdout: '',
      stderr: expect.stringContaining('standard input is not one JSON document') as string,
    });
  });

  it('knows its own names', async () => {
    const { stderr } = await runHere(['calc', 'toString']);
    expect(stderr).toContain('calc needs one of: gaps, flight, carry, conditions');
    expect((await runHere(['calc'])).status).toBe(2);
    expect(await runHere(['dance'])).toMatchObject({ status: 2 });
    for (const asked of ['--help', '-h', 'help'])
      expect((await runHere([asked])).stdout, asked).toContain('./tasche demo');
    expect(await runHere(['calc', '--colour'])).toMatchObject({ status: 2 });
  });
});

describe('tasche calc flight', () => {
  const launch = {
    ballSpeedMps: 74.7,
    launchDeg: 10.9,
    azimuthDeg: 0,
    spinRpm: 2686,
    spinAxisDeg: 0,
    surface: 'medium',
    conditions: {
      temperatureC: 21,
      altitudeM: 0,
      humidityPct: 50,
      windMps: 0,
      windFromDeg: 0,
      targetElevationM: 0,
    },
  };

  it('flies one launch, or a list of them, and gives just what is published', async () => {
    const one = await runHere(['calc', 'flight'], JSON.stringify(launch));
    expect(one.status).toBe(0);
    const flown = JSON.parse(one.stdout) as Record<string, number>;
    expect(Object.keys(flown)).toEqual([
      'carryM',
      'totalM',
      'lateralM',
      'apexM',
      'descentDeg',
      'landSpeedMps',
      'flightS',
    ]);
    expect(flown.carryM).toBeGreaterThan(230);
    expect(flown.totalM).toBeGreaterThan(flown.carryM!);
    const list = await runHere(
      ['calc', 'flight'],
      JSON.stringify([launch, { ...launch, conditions: { ...launch.conditions, windMps: 8 } }]),
    );
    const [calm, into] = JSON.parse(list.stdout) as Record<string, number>[];
    expect(calm).toEqual(flown);
    expect(into!.carryM).toBeLessThan(flown.carryM! - 15);
  });

  it('exits 2 and names the field, from the border and from the core', async () => {
    const bad = await runHere(
      ['calc', 'flight'],
      JSON.stringify([
        launch,
        { ...launch, spinRpm: 1e6, conditions: { ...launch.conditions, windMps: 'strong' } },
      ]),
    );
    expect(bad.status).toBe(2);
    expect(bad.stderr).toContain('[1].spinRpm must be between 0 and 15000');
    expect(bad.stderr).toContain('[1].conditions.windMps must be a number');
    const high = await runHere(
      ['calc', 'flight'],
      JSON.stringify({ ...launch, conditions: { ...launch.conditions, targetElevationM: 60 } }),
    );
    expect(high).toMatchObject({ status: 2, stdout: '' });
    expect(high.stderr).toContain('conditions.targetElevationM is never reached');
  });
});

describe('tasche calc carry and calc conditions', () => {
  const clubs = [
    {
      id: '7',
      name: '7 iron',
      kind: 'iron',
      loftDeg: 32,
      shots: { full: { carryM: 147, source: 'measured', sampleSize: 20, spreadM: 4 } },
    },
  ];
  const conditions = {
    temperatureC: 12,
    altitudeM: 1520,
    humidityPct: 50,
    windMps: 0,
    windFromDeg: 0,
    targetElevationM: 0,
  };

  it('give an interval, and a shift with its own', async () => {
    const carry = await runHere(
      ['calc', 'carry'],
      JSON.stringify({ clubs, lofts: [{ kind: 'iron', loftDeg: 36 }] }),
    );
    const { estimates } = JSON.parse(carry.stdout) as {
      estimates: { carryM: { value: number; plusMinus: number } }[];
    };
    expect(estimates[0]!.carryM.value).toBeLessThan(147);
    expect(estimates[0]!.carryM.plusMinus).toBeGreaterThan(3);
    const moved = await runHere(['calc', 'conditions'], JSON.stringify({ clubs, to: { conditions } }));
    const { shots } = JSON.parse(moved.stdout) as { shots: { shiftCarryM: number }[] };
    expect(shots[0]!.shiftCarryM).toBeGreaterThan(2);
  });

  it('exit 2 and name the field', async () => {
    expect(
      await runHere(['calc', 'carry'], JSON.stringify({ clubs, lofts: [{ kind: 'iron', loftDeg: 80 }] })),
    ).toMatchObject({ status: 2, stderr: 'tasche: lofts[0].loftDeg must be between 13 and 54, not 80\n' });
    expect(await runHere(['calc', 'conditions'], JSON.stringify({ clubs }))).toMatchObject({
      status: 2,
      stderr: 'tasche: to is missing\n',
    });
  });
});

describe('tasche start', () => {
  it('says in one sentence what stands in the way, and the way out', async () => {
    const taken = createServer();
    const port = await new Promise<number>((resolve) => {
      taken.listen(0, '127.0.0.1', () => {
        resolve((taken.address() as { port: number }).port);
      });
    });
    expect(run(['start', '--port', String(port)]).stderr).toBe(
      `tasche: port ${port} is taken; stop what uses it, or choose another with --port.\n`,
    );
    taken.close();
    expect(run(['start', '--port', 'x']).stderr).toContain('--port must be between 1 and 65535');
    expect(run(['start', '--port', String(await freePort()), '--data', '/dev/null/x']).stderr).toContain(
      'choose another with --data',
    );
    const away = run(['start', '--port', String(await freePort())], {
      env: { DATABASE_URL: 'postgresql://nobody:x@127.0.0.1:9/none' },
    });
    expect(away.stderr).toContain('the database at DATABASE_URL does not answer');
    expect(away.status).toBe(1);
  });
});

describe('a server killed in the middle of an import', () => {
  let cluster: Cluster;
  let built: string;
  beforeAll(async () => {
    cluster = await throwAwayCluster();
    built = await buildServer(root);
  });
  afterAll(() => {
    cluster.stop();
  });

  async function serve(port: number) {
    // One that lets this machine in without signing in.
    const child = fork('command/fuzz/fuzz-server.ts', [cluster.url, cluster.ownerUrl, String(port), built], {
      cwd: root,
      execArgv: ['--import', 'tsx'],
    });
    await new Promise<void>((resolve, reject) => {
      child.once('message', () => {
        resolve();
      });
      child.once('exit', (code) => {
        reject(new Error(`exit ${code}`));
      });
    });
    return child;
  }

  it('leaves all of it or none, whenever it dies', async () => {
    const heads = 'club,kind,loft,lie,length,head,shaft,flex,grip,swing weight,carry [m],shots,spread [m]';
    // Eight quantities and one shot a row.
    const readingsARow = 9;
    const csv = [
      heads,
      ...Array.from(
        { length: 200 },
        (_row, i) => `club ${i},iron,${20 + (i % 40)},62,37,Halm,Rohr,S,Moos,D2,${60 + i},12,3`,
      ),
    ].join('\n');
    const outcomes: number[] = [];
    // Milliseconds into it, and when it is done.
    for (const delay of [15, 120, 300, 600, undefined]) {
      const port = await freePort();
      const child = await serve(port);
      const playerId = randomUUID();
      await fetch(`http://127.0.0.1:${port}/api/changes`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          id: randomUUID(),
          commands: [
            { do: 'addPlayer', player: { id: playerId, name: 'P', hand: 'right', distanceUnit: 'm' } },
          ],
        }),
      });
      const importing = fetch(
        `http://127.0.0.1:${port}/api/players/${playerId}/import?take=all&changeId=${randomUUID()}&takenOn=2026-11-24`,
        { method: 'POST', headers: { 'content-type': 'text/csv' }, body: csv },
      ).then(
        (response) => response.status,
        () => 0,
      );
      if (delay === undefined) expect(await importing).toBe(200);
      else await setTimeout(delay);
      child.kill('SIGKILL');
      await importing;
      const client = new pg.Client({ connectionString: cluster.ownerUrl });
      await client.connect();
      const workspace = (await client.query<{ id: string }>('select id from workspace limit 1')).rows[0]!.id;
      await client.query(`select set_config('tasche.workspace', $1, false)`, [workspace]);
      // What the killed server had begun is given up, or done, before it is counted.
      await expect
        .poll(async () => {
          const { rows } = await client.query(
            `select from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()`,
          );
          return rows.length;
        })
        .toBe(0);
      const counts = (
        await client.query<{ clubs: number; readings: number; changes: number }>(
          `select (select count(*)::int from club where player_id = $1) as clubs, (select count(*)::int from change where player_id = $1) as changes,
         (select count(*)::int from reading where club_id in (select id from club where player_id = $1)) as readings`,
          [playerId],
        )
      ).rows[0]!;
      await client.end();
      expect([
        { clubs: 0, readings: 0, changes: 1 },
        { clubs: 200, readings: 200 * readingsARow, changes: 2 },
      ]).toContainEqual(counts);
      outcomes.push(counts.clubs);
    }
    expect(outcomes[0]).toBe(0);
    expect(outcomes.at(-1)).toBe(200);
  });
});
