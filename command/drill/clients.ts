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
import { Work } from './work.js';

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
  /**
   * Milliseconds: the longest time without an acknowledged write since a moment, and since when writes flow
   * again.
   */
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
  /** Times a page was away or was told that it missed something, and read again. */
  reread: number;
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
/** So long a page that heard nothing has to hear, or read, what was acknowledged. */
const TOLD_WITHIN_MS = 30_000;

const ledger = new Ledger();
const people: Person[] = [];
const pages: OpenPage[] = [];
const doing = new Work(ledger);
let monitor: LaunchMonitor | undefined;
let screen: Screen | undefined;
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
    doing.isRunning = true;
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
      for (const clubId of clubIds) work.push(doing.type(person, playerId, clubId));
      if (i === 0) {
        screen = await startScreen(chromium, serverAddress, person, playerId, folder);
        work.push(doing.bringFiles(person, playerId));
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
        work.push(doing.hitBalls(person, sessionId, clubIds[0]!));
      }
      work.push(doing.choose(person, plan.id, event.rounds[i % event.rounds.length]!.id));
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
    doing.isPaused = true;
    await Promise.all(doing.typing);
    const balls = monitor!.balls();
    const told = await Promise.all(pages.map(missedBy));
    const stale = await screen!.staleCells(
      [...doing.shown.values()]
        .filter(({ playerId }) => playerId === screen!.playerId)
        .map(({ text }) => text),
    );
    const standing = {
      ...(await standingOf(backupUrl, ledger, DEVICE, balls)),
      refused: [...ledger.refused, ...people.flatMap(({ faults }) => faults)],
      choices: ledger.choices,
      wrongChoices: ledger.wrongChoices,
      sentAway: ledger.sentAway,
      eventsMissed: told.reduce((sum, one) => sum + one, 0),
      reread: pages.reduce((sum, one) => sum + one.readings, 0),
      staleCells: stale,
    };
    doing.isPaused = false;
    return standing;
  },

  async stop() {
    doing.isRunning = false;
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

/** Makes the first account, with the link that is good: each server that starts makes one again. */
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
  const { events } = await person.get<{ events: EventView[] }>('/schedule');
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

process.on('message', ({ ask, args }: { ask: keyof ClientAsks; args: unknown[] }) => {
  (asks[ask] as (...given: unknown[]) => Promise<unknown>)(...args).then(
    (answer) => process.send!({ answer }),
    (error: unknown) => process.send!({ error: (error as Error).stack ?? String(error) }),
  );
});
process.on('disconnect', () => process.exit(0));
process.send!({ answer: 'here' });
