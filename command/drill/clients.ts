import { randomUUID } from 'node:crypto';
import { setTimeout as wait } from 'node:timers/promises';
import type { ChangeResult, EventView, Page, PlanView } from '@tasche/contract';
import { BASELINE, MEDIUM_FAIRWAY } from '@tasche/core';
import pg from 'pg';
import { loadDemo } from '../../server/src/demo/load-demo.js';
import { migrate, openDatabase } from '../../server/src/database/database.js';
import {
  NO_FAULTS,
  startLaunchMonitor,
  type LaunchMonitor,
} from '../../standins/launch-monitor/launch-monitor.js';
import { SUPERUSER_PASSWORD } from './database-hosts.js';
import { Ledger, standingOf, type Standing } from './ledger.js';
import { OpenPage } from './open-page.js';
import { Person } from './person.js';
import { startScreen, type Screen } from './screen.js';

/** Of the database's roles. */
export type Passwords = Record<'owner' | 'application' | 'backup', string>;

/** A database as Patroni sees it. */
export interface DatabaseMember {
  name: string;
  role: string;
  state: string;
  timeline?: number;
  /** Bytes behind the primary; not a number where it is not known. */
  lag?: number | string;
}

/** What the drill asks the process of its clients, which lives on a host of its own. */
export interface ClientAsks {
  prepare: (passwords: Passwords) => Promise<void>;
  /** @param firstPersonAt addresses for the first person, of which one is good */
  begin: (firstPersonAt: string) => Promise<void>;
  /** What Patroni says of its databases, where every host says the same; nothing where they differ. */
  databases: (addresses: readonly string[]) => Promise<readonly DatabaseMember[]>;
  /** How many of these servers are ready. */
  ready: (addresses: readonly string[]) => Promise<number>;
  /** Milliseconds: the longest time without an acknowledged write since a moment, and since when writes flow again. */
  pause: (since: number) => Promise<{ longestMs: number; sinceLastMs: number }>;
  standing: () => Promise<Standing & ClientCounts>;
  stop: () => Promise<void>;
}

export interface ClientCounts {
  refused: readonly string[];
  choices: number;
  wrongChoices: number;
  sentAway: number;
  /** Changes acknowledged that an open page neither heard of nor read, after it had time to. */
  eventsMissed: number;
  /** Times a page was away or was told that it missed something, and read anew. */
  readAnew: number;
  /** Cells of a real browser's page that differ from what was last acknowledged. */
  staleCells: number;
}

const [databaseHost, serverAddress, monitorHost, chromium, folder] = process.argv.slice(2) as [
  string,
  string,
  string,
  string,
  string,
];
const DEVICE = 'drill';
const MONITOR_PORT = 9000;
const PASSWORD = 'seven iron off wet turf';
const PEOPLE = 3;
const CLUBS_EACH = 2;
const TYPED_EVERY_MS = 250;
const FILE_EVERY_MS = 4000;
const FILE_ROWS = 20;
const HIT_EVERY_MS = 2500;
const BALLS_AT_ONCE = 4;
const CHOSEN_EVERY_MS = 3000;
/** So long a page that heard nothing has to hear, or read, what was acknowledged. */
const TOLD_WITHIN_MS = 30_000;

const ledger = new Ledger();
const people: Person[] = [];
const pages: OpenPage[] = [];
/** What the screen shows of each club once everything is told. */
const shown = new Map<string, string>();
/** What is being typed, and not answered yet. */
const typing = new Set<Promise<unknown>>();
let isPaused = false;
let monitor: LaunchMonitor | undefined;
let screen: Screen | undefined;
let isRunning = false;
let backupUrl = '';
const work: Promise<void>[] = [];

function urlOf(role: string, password: string, database = 'tasche'): string {
  return `postgresql://${role}:${password}@${databaseHost}:5432/${database}`;
}

const asks: ClientAsks = {
  async prepare({ owner, application, backup }) {
    const admin = new pg.Client({ connectionString: urlOf('postgres', SUPERUSER_PASSWORD, 'postgres') });
    await admin.connect();
    for (const sql of [
      `create role tasche login password '${owner}'`,
      `create role tasche_app login password '${application}'`,
      `create role tasche_backup login bypassrls password '${backup}'`,
      'grant pg_read_all_data to tasche_backup',
      'create database tasche owner tasche',
    ])
      await admin.query(sql);
    await admin.end();
    backupUrl = urlOf('tasche_backup', backup);
    await migrate(urlOf('tasche', owner), 'tasche_app');
    const orm = await openDatabase(urlOf('tasche_app', application));
    await loadDemo(orm);
    await orm.close(true);
    monitor = await startLaunchMonitor({
      host: monitorHost,
      port: MONITOR_PORT,
      device: DEVICE,
      seed: 1,
      everyMs: 300,
      faults: { ...NO_FAULTS, twice: 0.1, hangUp: 0.02 },
    });
  },

  async begin(firstPersonAt) {
    const owner = new Person(serverAddress);
    await enterFirst(owner, firstPersonAt.split(' '));
    people.push(owner);
    for (let i = 1; i < PEOPLE; i++) people.push(await invited(owner, `rep-${i}@van.example`));
    const [event, plan] = await eventPlan(owner);
    isRunning = true;
    for (const [i, person] of people.entries()) {
      const playerId = randomUUID();
      const clubIds = Array.from({ length: CLUBS_EACH }, () => randomUUID());
      await change(person, [
        {
          do: 'addPlayer',
          player: { id: playerId, name: `Drill ${i + 1}`, hand: 'right', distanceUnit: 'm' },
        },
        ...clubIds.map((id, c) => ({
          do: 'addClub',
          club: { id, playerId, name: `${c + 6} iron`, kind: 'iron' },
          readings: [{ key: 'loftStampedDeg', value: 28 + 4 * c, takenOn: '2026-11-01' }],
        })),
        { do: 'addBag', bag: { id: randomUUID(), playerId, name: 'Gamer' }, clubIds },
      ]);
      pages.push(new OpenPage(serverAddress, person, playerId));
      for (const clubId of clubIds) work.push(type(person, playerId, clubId));
      if (i === 0) {
        screen = await startScreen(chromium, serverAddress, person, playerId, folder);
        work.push(bringFiles(person, playerId));
      }
      if (i === 1) {
        const sessionId = randomUUID();
        await change(person, [
          {
            do: 'addSession',
            session: {
              id: sessionId,
              playerId,
              name: 'Range',
              heldOn: '2026-11-01',
              conditions: BASELINE,
              surface: MEDIUM_FAIRWAY,
              hitOff: 'grass',
              ball: '',
              notes: '',
            },
          },
          {
            do: 'editSession',
            sessionId,
            version: 1,
            set: { live: true, aim: { clubId: clubIds[0], shot: 'full' } },
          },
        ]);
        work.push(hitBalls(person, sessionId, clubIds[0]!));
      }
      work.push(choose(person, plan.id, event.rounds[i % event.rounds.length]!.id));
    }
  },

  async databases(addresses) {
    const views = await Promise.all(
      addresses.map((address) =>
        fetch(`http://${address}:8008/cluster`, { signal: AbortSignal.timeout(1500) })
          .then((response) => response.json() as Promise<{ members: DatabaseMember[] }>)
          .catch(() => undefined),
      ),
    );
    // A host that was cut off tells what it knew before; only what all say is so.
    const leaders = new Set(views.map((view) => view?.members.find(({ role }) => role === 'leader')?.name));
    return leaders.size === 1 && !leaders.has(undefined) ? views[0]!.members : [];
  },

  async ready(addresses) {
    const answers = await Promise.all(
      addresses.map((address) =>
        fetch(`${address}/api/ready`, { signal: AbortSignal.timeout(1500) })
          .then(({ ok }) => ok)
          .catch(() => false),
      ),
    );
    return answers.filter(Boolean).length;
  },

  pause(since) {
    const last = ledger.moments.at(-1) ?? 0;
    return Promise.resolve({ longestMs: ledger.longestPause(since), sinceLastMs: Date.now() - last });
  },

  async standing() {
    isPaused = true;
    await Promise.all(typing.values());
    const balls = monitor!.balls();
    const told = await Promise.all(pages.map(missedBy));
    const stale = await screen!.staleCells([...shown.values()]);
    const standing = {
      ...(await standingOf(backupUrl, ledger, DEVICE, balls)),
      refused: ledger.refused,
      choices: ledger.choices,
      wrongChoices: ledger.wrongChoices,
      sentAway: ledger.sentAway,
      eventsMissed: told.reduce((sum, one) => sum + one, 0),
      readAnew: pages.reduce((sum, one) => sum + one.readings, 0),
      staleCells: stale,
    };
    isPaused = false;
    return standing;
  },

  async stop() {
    isRunning = false;
    await Promise.all(work);
    await screen?.close();
    await monitor?.close();
  },
};

/** How many of the changes acknowledged by now a page does not come to know. */
async function missedBy(page: OpenPage): Promise<number> {
  const wanted = ledger.readings.filter(({ playerId }) => playerId === page.playerId);
  const missing = () => wanted.filter(({ changeId }) => !page.seen.has(changeId)).length;
  for (const start = Date.now(); missing() > 0 && Date.now() - start < TOLD_WITHIN_MS;) await wait(200);
  return missing();
}

/** Makes the first account, with the link that is good: each server that starts makes one anew. */
async function enterFirst(owner: Person, links: readonly string[]): Promise<void> {
  const tries = [];
  for (const link of links) {
    try {
      await owner.enter('/links/use', {
        key: link.split('#')[1],
        name: 'Jonas Brandl',
        email: 'jonas@van.example',
        password: PASSWORD,
      });
      return;
    } catch (error) {
      tries.push((error as Error).message);
    }
  }
  throw new Error(tries.join('; ') || 'no server printed an address for the first person');
}

async function invited(owner: Person, email: string): Promise<Person> {
  const { text } = await owner.askUntilAnswered(
    'POST',
    '/people/invite',
    JSON.stringify({ name: email, email, role: 'rep' }),
  );
  const person = new Person(serverAddress);
  const key = (JSON.parse(text) as { url: string }).url.split('#')[1];
  await person.enter('/links/use', { key, name: email, password: PASSWORD });
  return person;
}

/** A plan for an event, of the demo's players. */
async function eventPlan(person: Person): Promise<[EventView, PlanView]> {
  const { events } = await person.get<{ events: EventView[] }>('/circuit');
  const { rows: players } = await person.get<Page<{ player: { id: string } }>>('/players?limit=50');
  for (const { player } of players) {
    const { rows } = await person.get<Page<PlanView>>(`/players/${player.id}/plans`);
    for (const plan of rows) {
      const event = events.find((one) => one.id === plan.eventId);
      if (event) return [event, plan];
    }
  }
  throw new Error('the demo has no plan for an event');
}

async function change(person: Person, commands: readonly object[]): Promise<ChangeResult | undefined> {
  const body = JSON.stringify({ id: randomUUID(), commands });
  const { status, text } = await person.askUntilAnswered('POST', '/changes', body);
  if (status === 200) return JSON.parse(text) as ChangeResult;
  throw new Error(`a change was answered ${status}: ${text}`);
}

/** Types a serial number and a head into one club again and again, two readings of one change. */
async function type(person: Person, playerId: string, clubId: string): Promise<void> {
  for (let version = 1; isRunning; version++) {
    const [changeId, serial] = [randomUUID(), `S${randomUUID().slice(0, 13)}`];
    ledger.sent.add(serial);
    const asked = person.askUntilAnswered(
      'POST',
      '/changes',
      JSON.stringify({
        id: changeId,
        commands: [
          {
            do: 'editClub',
            clubId,
            version,
            readings: [
              { key: 'serial', value: serial, takenOn: '2026-11-01' },
              { key: 'head', value: serial, takenOn: '2026-11-01' },
            ],
          },
        ],
      }),
    );
    typing.add(asked);
    const { status, text } = await asked;
    typing.delete(asked);
    if (status !== 200) {
      ledger.refused.push(`typing was answered ${status}: ${text}`);
      return;
    }
    ledger.moments.push(Date.now());
    ledger.readings.push({ changeId, playerId, serial });
    if (playerId === screen?.playerId) shown.set(clubId, serial);
    do await wait(TYPED_EVERY_MS);
    while (isPaused);
  }
}

const FILE_ORDER = {
  source: 'a.csv',
  encoding: 'utf-8',
  delimiter: ',',
  heads: ['club', 'carry', 'launch', 'spin', 'land'],
  skipLines: 0,
  zoneMinutes: 0,
  clubs: {},
  mapping: {
    columns: [
      { column: 0, field: 'club' },
      { column: 1, field: 'carryM', unit: 'm' },
      { column: 2, field: 'launchDeg', unit: 'deg' },
      { column: 3, field: 'spinRpm', unit: 'rpm' },
      { column: 4, field: 'landDeg', unit: 'deg' },
    ],
    decimal: '.',
    dates: 'day first',
    unitRows: 0,
    leftIsPositive: false,
  },
  session: {
    name: 'A file',
    heldOn: '2026-11-01',
    conditions: BASELINE,
    surface: MEDIUM_FAIRWAY,
    hitOff: 'grass',
    ball: '',
    notes: '',
  },
};

/** Brings in one file after the other. */
async function bringFiles(person: Person, playerId: string): Promise<void> {
  while (isRunning) {
    const changeId = randomUUID();
    // No file is another: the same again would be known as such.
    const about = (middle: number) => (middle * (0.95 + 0.1 * Math.random())).toFixed(2);
    const rows = Array.from({ length: FILE_ROWS }, () =>
      ['6 iron', about(150), about(15), about(6000), about(48)].join(','),
    );
    const body = [JSON.stringify(FILE_ORDER), FILE_ORDER.heads.join(','), ...rows, ''].join('\n');
    const { status, text } = await person.askUntilAnswered(
      'POST',
      `/players/${playerId}/strikes/import?take=good&changeId=${changeId}`,
      body,
      'application/octet-stream',
    );
    const taken = status === 200 ? (JSON.parse(text) as { taken: number }).taken : 0;
    if (taken !== FILE_ROWS) ledger.refused.push(`a file was answered ${status}: ${text.slice(0, 300)}`);
    else {
      ledger.moments.push(Date.now());
      ledger.imports.push({ changeId, rows: FILE_ROWS });
    }
    await wait(FILE_EVERY_MS);
  }
}

/** Has the monitor's simulated player hit balls; what comes of them the monitor knows. */
async function hitBalls(person: Person, sessionId: string, clubId: string): Promise<void> {
  while (isRunning) {
    await person.ask(
      'POST',
      `/sessions/${sessionId}/hit`,
      JSON.stringify({ clubId, shot: 'full', count: BALLS_AT_ONCE }),
    );
    await wait(HIT_EVERY_MS);
  }
}

/** Chooses the bag of one round again and again; nothing it depends on changes, so that every answer is the first. */
async function choose(person: Person, planId: string, roundId: string): Promise<void> {
  let first: string | undefined;
  while (isRunning) {
    const { status, text } = await person.ask('GET', `/plans/${planId}/rounds/${roundId}/choice`);
    if (status === 503 || status === 429) ledger.sentAway += 1;
    else if (status === 200) {
      first ??= text;
      ledger.choices += 1;
      if (text !== first) ledger.wrongChoices += 1;
    } else if (status !== 0 && status < 500)
      ledger.refused.push(`a choice was answered ${status}: ${text.slice(0, 300)}`);
    await wait(CHOSEN_EVERY_MS);
  }
}

process.on('message', ({ ask, args }: { ask: keyof ClientAsks; args: unknown[] }) => {
  (asks[ask] as (...given: unknown[]) => Promise<unknown>)(...args).then(
    (answer) => process.send!({ answer }),
    (error: unknown) => process.send!({ error: (error as Error).stack ?? String(error) }),
  );
});
process.on('disconnect', () => process.exit(0));
process.send!({ answer: 'here' });
